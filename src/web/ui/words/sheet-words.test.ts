import { describe, expect, test } from 'vitest'
import type { Day } from '#core/calendar/day'
import type { ClosedSheet, SheetItem } from '#contract/check-in'
import type { GoalView } from '#contract/item'
import type { ContentView } from '#contract/reading'
import { contentWords, doubtWords, massFigure, massWords } from './measure-words'
import { aimWords, goalLine, goneWords, lookWords, sheetMarkdown } from './sheet-words'

const d = (text: string): Day => text as Day
const gross = (grams: number, day: string) => ({ id: `g${grams}`, grams, resolution: 0.1, day: d(day) })
const line = (over: Partial<SheetItem>): SheetItem => ({
  itemId: 'a',
  name: 'Wet Stone',
  kind: 'Pellwick Wet Stone highlighter',
  before: { day: d('2026-10-26'), gross: gross(44.6, '2026-10-26'), reading: null, parts: [] },
  after: { day: d('2026-11-24'), gross: gross(44, '2026-11-24'), reading: null, parts: [] },
  uses: 9,
  grams: { grams: 0.6, giveOrTake: 0.1, from: d('2026-10-26'), to: d('2026-11-24') },
  skipped: false,
  words: 'still | glows',
  events: [],
  cameIn: null,
  finishedOn: null,
  goal: { kind: 'uses', target: 36, uses: 30, done: 0.8 } as GoalView,
  aim: { code: 'uses', count: 6 },
  ...over,
})

test('weights are told in her unit, with as many digits as the scale can tell', () => {
  expect([massWords(44, 0.1, 'g'), massWords(44, 1, 'g'), massWords(44.05, 0.01, 'g')]).toEqual([
    '44.0 g',
    '44 g',
    '44.05 g',
  ])
  // 44 / 28.349523125 = 1.5521; a tenth of a gram is .0035 oz.
  expect(massFigure(44, 0.1, 'oz')).toBe('1.552')
})

const NOVEMBER = { from: d('2026-10-26'), to: d('2026-11-24') }
describe('what went between two looks', () => {
  test.each<[string, Partial<SheetItem>, string]>([
    ['in grams, as finely as both weighings tell', {}, '0.6 g'],
    [
      'with the days of the weighings where they are others',
      { grams: { grams: 8.7, giveOrTake: 0.1, from: d('2026-10-01'), to: d('2026-11-02') } },
      '8.7 g, 1 Oct to 2 Nov',
    ],
    [
      'not weighed since',
      { grams: null, after: { day: d('2026-11-24'), gross: gross(44.6, '2026-10-26'), reading: null, parts: [] } },
      'not weighed since',
    ],
    ['skipped', { grams: null, skipped: true, after: null }, 'skipped'],
    ['not looked at', { grams: null, after: null }, 'not looked at'],
    ['the first time', { grams: null, before: null }, 'first time'],
    ['another package', { grams: null }, 'another package'],
  ])('%s', (_, over, words) => expect(goneWords(line(over), 'g', NOVEMBER)).toBe(words))
})

test('goal and aim are told in their own unit', () => {
  expect([goalLine(line({})), aimWords(line({}))]).toEqual(['30 of 36 uses', 'next: 6 uses'])
  const finish = line({ goal: { kind: 'finish', done: 0.61 } as GoalView, aim: { code: 'done', share: 0.7 } })
  expect([goalLine(finish), aimWords(finish)]).toEqual(['finish it, 61 % of the way', 'next: 70 % of the way'])
  expect(aimWords(line({ aim: { code: 'roll out' } }))).toContain('roll out')
  expect(goalLine(line({ goal: null }))).toBe('no goal')
})

test('the sheet as Markdown has a row for each item, and no sign of hers breaks it', () => {
  const totals = { uses: 9, grams: 0.6, giveOrTake: 0.1, weighed: 1, looked: 1, asked: 2, wearDays: 8, finished: 0 }
  const sheet: ClosedSheet = {
    from: d('2026-10-26'),
    to: d('2026-11-24'),
    items: [
      line({}),
      line({ itemId: 'b', kind: 'Night Shift concealer', after: null, grams: null, skipped: true, words: '' }),
    ],
    totals,
    previous: null,
    pushItemId: 'a',
    rolledOut: [],
    rolledIn: [],
  }
  const rows = sheetMarkdown('November', sheet, 'g').split('\n')
  const cells = rows.filter((row) => row.startsWith('|')).map((row) => row.split('|').length)
  expect(new Set(cells).size).toBe(1)
  expect(rows.find((row) => row.includes('Wet Stone'))).toContain('| 44.6 g | 44.0 g | 0.6 g | 9 |')
  expect(rows.join(' ')).toContain('Next focus: Pellwick Wet Stone highlighter.')
  expect(rows.join(' ')).toContain('9 uses on 8 wear days')
})

test('a look tells weight, eye and shades together', () => {
  const reading = { kind: 'level' as const, value: 0.4, stage: null, word: null, day: d('2026-11-24') }
  const look = {
    day: d('2026-11-24'),
    gross: gross(44, '2026-11-24'),
    reading: { ...reading, id: 'r' },
    parts: [{ partId: 'p', id: 's', reading: { ...reading, kind: 'bare' as const } }],
  }
  expect(lookWords(look, 'g', d('2026-11-24'))).toBe('44.0 g, 40 % full, 1 shade looked at')
  // Under another day each value says its own.
  const weighed = { ...look, gross: gross(44, '2026-11-02'), parts: [] }
  expect(lookWords(weighed, 'g', d('2026-11-24'))).toBe('44.0 g on 2 Nov, 40 % full')
  expect(lookWords(weighed, 'g', null)).toBe('44.0 g on 2 Nov, 40 % full on 24 Nov')
})

test('every doubt and every content explains itself with its figures', () => {
  expect(doubtWords({ code: 'looks like ounces', value: 43.94 }, 'g')).toBe(
    'That looks like ounces: it would be 43.9 g.',
  )
  expect(doubtWords({ code: 'level rose', value: 0.65 }, 'g')).toContain('65 %')
  const content = {
    from: {
      weighings: 2,
      marks: 1,
      uses: 60,
      label: 9,
      full: null,
      empty: { grams: 39.56, cleaned: true, day: d('2026-09-25'), itemId: null, own: false },
    },
  } as unknown as ContentView
  expect(contentWords(content, 'g')).toBe(
    'Estimated from 2 weighings, 1 look, 60 uses, 9 g by the label, an empty one at 39.6 g, 25 Sept 2026.',
  )
})
