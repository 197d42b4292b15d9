import { describe, expect, test } from 'vitest'
import type { Day } from '#core/calendar/day'
import type { ItemSummary } from '#contract/item'
import { specimen } from '#web/specimen/specimen-data'
import { differencesOf } from '#web/ui/form/differences'
import { draftOf, EMPTY_DRAFT, fieldsOf, ITEM_FIELDS, type ItemDraft } from './item-draft'

const TODAY = '2026-11-24' as Day
const CONTEXT = { currency: 'EUR', today: TODAY, before: null }
const draft = (over: Partial<ItemDraft>): ItemDraft => ({
  ...EMPTY_DRAFT,
  name: 'Quay',
  categoryId: 'lip-gloss',
  form: 'wand',
  ...over,
})
const read = (over: Partial<ItemDraft>) => fieldsOf(draft(over), CONTEXT)

test('a name, a category and a form are enough', () => {
  expect(read({})).toMatchObject({
    errors: {},
    fields: { name: 'Quay', opened: { kind: 'unknown' }, content: null, priceMinor: null, colour: null },
  })
})

describe('a field that can’t be read is named, with a sentence, and nothing is saved', () => {
  test.each<[Partial<ItemDraft>, keyof ItemDraft]>([
    [{ name: '  ' }, 'name'],
    [{ categoryId: null }, 'categoryId'],
    [{ form: null }, 'form'],
    [{ size: '12' }, 'size'],
    [{ size: '-3 g' }, 'size'],
    [{ price: 'dear' }, 'price'],
    [{ price: '$4' }, 'price'],
    [{ pao: '0M' }, 'pao'],
    [{ expiry: '31.02.2027' }, 'expiry'],
    [{ acquired: '2042' }, 'acquired'],
    [{ openedKind: 'range', opened: '' }, 'opened'],
    [{ openedKind: 'range', opened: '31.02.2024' }, 'opened'],
    [{ openedKind: 'range', opened: '2042-01-01' }, 'opened'],
    [{ usesBefore: '-1' }, 'usesBefore'],
    [{ usesBefore: '1.5' }, 'usesBefore'],
    [{ slots: '0' }, 'slots'],
    [{ liking: '9' }, 'liking'],
  ])('%o', (over, field) => {
    const { fields, errors } = read(over)
    expect(fields).toBeNull()
    expect(Object.keys(errors)).toEqual([field])
    expect(errors[field]?.length).toBeGreaterThan(10)
  })
  test('several at once, each by its own field', () => {
    expect(Object.keys(read({ name: '', size: 'much', pao: 'long' }).errors).sort()).toEqual(['name', 'pao', 'size'])
  })
})

const TWO_SHADES = ['Moss', 'Bark'].map((name, n) => ({
  id: `t${n}`,
  name,
  colour: n === 0 ? null : '#5b6b3a',
  finish: null,
  shape: 'square' as const,
  row: 1,
  col: n + 1,
  rowSpan: 1,
  colSpan: 1,
  form: null,
  guess: null,
  reading: null,
  uses: 0,
  finishedOn: null,
  depottedOn: null,
}))

test('what is typed is read as it is meant', () => {
  const { fields } = read({
    size: '0.5 fl oz',
    price: '12,50',
    acquired: 'March 2024',
    openedKind: 'range',
    opened: 'spring 2024',
    pao: '12M',
    expiry: '11/26',
    usesBefore: '40',
    colour: '#C0614E',
  })
  expect(fields).toMatchObject({
    content: { unit: 'ml' },
    priceMinor: 1250,
    acquired: { earliest: '2024-03-01', latest: '2024-03-31' },
    opened: { kind: 'range', earliest: '2024-03-01', latest: '2024-05-31', said: 'spring 2024' },
    paoMonths: 12,
    expiry: '2026-11-30',
    usesBefore: 40,
    colour: '#c0614e',
  })
})

test('a gift has no price, whatever stands in the field', () => {
  expect(read({ source: 'gift', price: '9' }).fields?.priceMinor).toBeNull()
})

test('an item opened in the form and saved again unchanged stays as it is', () => {
  const item: ItemSummary = {
    ...specimen({ shade: 'Quay', form: 'wand', colour: '#c0614e' }),
    content: { amount: 14.78676478125, unit: 'ml' },
    priceMinor: 1250,
    source: 'bought',
    acquired: { earliest: '2024-03-01' as Day, latest: '2024-05-31' as Day },
    // Said in words that the form itself would read otherwise: the stored range stays.
    opened: { kind: 'range', earliest: '2024-06-01' as Day, latest: '2024-08-31' as Day, said: 'before the move' },
    paoMonths: 18,
    expiry: '2027-01-31' as Day,
    liking: 4,
  }
  const { fields, errors } = fieldsOf(draftOf(item, 'EUR'), { currency: 'EUR', today: TODAY, before: item })
  expect(errors).toEqual({})
  expect(fields).toMatchObject({
    opened: item.opened,
    acquired: item.acquired,
    expiry: item.expiry,
    paoMonths: 18,
    priceMinor: 1250,
    liking: 4,
    colour: '#c0614e',
  })
  expect(fields?.content?.amount).toBeCloseTo(14.7868, 4)
})

test('shades keep the place she gave them, spans and forms included', () => {
  const wide = { row: 2, col: 1, rowSpan: 1, colSpan: 2, form: 'wand' as const }
  const parts = ['Moss', 'Bark'].map((name, n) => ({
    id: `s${n}`,
    name,
    // One dyed, one not: it stays undyed.
    colour: n === 0 ? '#888888' : null,
    finish: null,
    shape: 'square' as const,
    ...(n === 1 ? wide : { row: 1, col: 1, rowSpan: 1, colSpan: 1, form: null }),
  }))
  const { fields } = read({ parts })
  expect(fields?.parts).toEqual(parts)
  // What has shades and was called a single is a palette.
  expect(fields?.structure).toBe('palette')
})

test('a note changed changes the note alone: undyed shades stay undyed, every other field as it was', () => {
  const palette = specimen({ shade: 'Hedgerow', form: 'pressed', colour: null, parts: TWO_SHADES })
  const context = { currency: 'EUR', today: TODAY, before: palette }
  const before = fieldsOf(draftOf(palette, 'EUR'), context).fields
  const after = fieldsOf({ ...draftOf(palette, 'EUR'), notes: 'fig by candlelight' }, context).fields
  expect(after).toEqual({ ...before, notes: 'fig by candlelight' })
  expect(after?.parts.map((part) => part.colour)).toEqual([null, '#5b6b3a'])
})

test('every field of the form has a name for when two windows differ', () => {
  const mine = { ...EMPTY_DRAFT, seasons: ['summer' as const], brushes: 'fan' }
  expect(differencesOf(ITEM_FIELDS, mine, EMPTY_DRAFT)).toEqual([
    { name: 'Seasons', mine: 'summer', theirs: '' },
    { name: 'Brushes', mine: 'fan', theirs: '' },
  ])
})

test.each([
  ['', true],
  ['0', true],
  ['62.5', true],
  ['100', true],
  ['101', false],
  ['-1', false],
  ['half', false],
])('a content of "%s" percent can be saved: %s', async (text, fine) => {
  const { levelProblem } = await import('./item-draft')
  expect(levelProblem(text)).toEqual(fine ? '' : expect.stringContaining(`"${text}"`))
})
