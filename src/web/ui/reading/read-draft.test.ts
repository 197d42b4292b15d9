import { describe, expect, test } from 'vitest'
import { specimen } from '#web/specimen/specimen-data'
import { draftFor, drawnWith, kindsOf, readOf, type ReadDraft } from './read-draft'

const blush = specimen({ shade: 'Rust Bloom', form: 'pressed', colour: '#b4706f' })
const draft = (over: Partial<ReadDraft>): ReadDraft => ({
  ...draftFor(blush, '2026-11-24', 'g', 0.1),
  partId: null,
  ...over,
})

describe('what is sent of a reading', () => {
  test.each<[string, Partial<ReadDraft>, object]>([
    ['a weight in grams', { kind: 'gross', mass: '44.0' }, { kind: 'gross', grams: 44, resolution: 0.1, how: 'typed' }],
    ['a weight with a comma', { kind: 'gross', mass: '44,5 g' }, { grams: 44.5 }],
    ['a weight in ounces', { kind: 'gross', mass: '2', unit: 'oz' }, { grams: 56.69904625 }],
    ['a stage', { kind: 'stage', stage: 'dip' }, { kind: 'stage', stage: 'dip' }],
    ['a level', { kind: 'level', percent: 40 }, { kind: 'level', value: 0.4, how: 'slider' }],
    ['a word', { kind: 'word', word: 'half' }, { kind: 'word', word: 'half', how: 'her word' }],
    ['a length in mm', { kind: 'length', mm: '80', ofMm: '160' }, { kind: 'length', value: 0.5, mm: 80, ofMm: 160 }],
    ['a length by the slider', { kind: 'length', percent: 70 }, { kind: 'length', value: 0.7 }],
  ])('%s', (_, over, body) => {
    const read = readOf(draft(over))
    expect(read).toMatchObject({ ok: true, body: { day: '2026-11-24', doubtful: false, ...body } })
  })
  test.each<[string, Partial<ReadDraft>, RegExp]>([
    ['nothing typed says nothing yet', { kind: 'gross', mass: '' }, /^$/],
    ['fluid ounces are no mass', { kind: 'gross', mass: '1.5 fl oz' }, /a scale weighs/],
    ['millilitres are no mass', { kind: 'gross', mass: '30 ml' }, /a scale weighs/],
    ['below nothing', { kind: 'gross', mass: '-3' }, /above 0/],
    ['a slipped point', { kind: 'gross', mass: '48200' }, /5,000/],
    ['words', { kind: 'gross', mass: 'heavy' }, /as a number/],
    ['longer than a new one', { kind: 'length', mm: '170', ofMm: '160' }, /Longer than a new one/],
    ['a length without what it is of', { kind: 'length', mm: '80', ofMm: '' }, /How long a new one is/],
    ['no stage chosen', { kind: 'stage', stage: null }, /^$/],
  ])('%s', (_, over, words) => {
    const read = readOf(draft(over))
    expect(read.ok).toBe(false)
    expect(read.ok ? '' : read.words).toMatch(words)
  })
})

test('an item is read by what its form shows; of what is opaque only its weight and a word', () => {
  expect(kindsOf(blush, null)).toEqual(['gross', 'stage', 'bare'])
  expect(kindsOf(specimen({ shade: 'Low Tide', form: 'tube', colour: null, opaque: true }), null)).toEqual([
    'gross',
    'word',
  ])
  expect(kindsOf(specimen({ shade: 'Soot', form: 'wooden pencil', colour: null }), null)).toEqual(['gross', 'length'])
})

test('a weight changes nothing that is drawn, and a stage not chosen neither', () => {
  expect(drawnWith(blush, draft({ kind: 'gross', mass: '44' }))).toBe(blush)
  expect(drawnWith(blush, draft({ kind: 'stage', stage: null }))).toBe(blush)
  expect(drawnWith(blush, draft({ kind: 'stage', stage: 'half bare' })).reading?.stage).toBe('half bare')
})
