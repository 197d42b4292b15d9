import { describe, expect, test } from 'vitest'
import type { Day } from '../calendar/day.js'
import { aimOf } from '../goal/aim.js'
import { pushOf } from '../goal/push.js'
import { goesWithUses, rulerOf } from './ruler.js'
import { compared, type SheetReading } from './sheet.js'

const d = (text: string): Day => text as Day
const gross = (
  day: string,
  value: number,
  checkInId: string | null,
  over: Partial<SheetReading> = {},
): SheetReading => ({
  id: `${day} ${value}`,
  checkInId,
  kind: 'gross',
  value,
  stage: null,
  word: null,
  partId: null,
  day: d(day),
  moment: 'before-use',
  savedAt: `${day}T12:00:00.000Z`,
  resolution: 0.1,
  doubtful: false,
  ...over,
})
const DAYS = ['2026-10-20', '2026-10-26', '2026-11-02', '2026-11-24'].map(d)
const facts = (readings: SheetReading[]) => ({
  checkInId: 'now',
  from: d('2026-10-26'),
  readings,
  events: [],
  days: DAYS,
})

describe('an item between two check-ins', () => {
  test('grams and uses go from the one to the other, the uses of their days by the moment of the reading', () => {
    const found = compared(facts([gross('2026-10-26', 44.6, 'then'), gross('2026-11-24', 44, 'now')]))
    // Weighed before the use of 26 October, and before that of 24 November.
    expect([found.uses, found.grams?.grams.toFixed(1), found.grams?.giveOrTake]).toEqual([2, '0.6', 0.1])
    const after = compared(
      facts([
        gross('2026-10-26', 44.6, 'then', { moment: 'after-use' }),
        gross('2026-11-24', 44, 'now', { moment: 'after-use' }),
      ]),
    )
    expect(after.uses).toBe(2)
  })
  test('what was read in between moves neither end', () => {
    const found = compared(
      facts([gross('2026-10-26', 44.6, 'then'), gross('2026-11-10', 44.4, null), gross('2026-11-24', 44, 'now')]),
    )
    expect(found.before?.gross?.value).toBe(44.6)
  })
  test('what was first read since stands in for a begin that wasn’t read; never measured is nothing', () => {
    const found = compared(facts([gross('2026-11-10', 44.4, null), gross('2026-11-24', 44, 'now')]))
    expect(found.grams?.grams).toBeCloseTo(0.4, 10)
    expect(compared(facts([])).before).toBeNull()
    expect(compared(facts([])).uses).toBe(2)
  })
  test('another package tells no grams, a doubtful weighing none either', () => {
    const readings = [gross('2026-10-26', 44.6, 'then'), gross('2026-11-24', 20, 'now')]
    const events = [{ kind: 'decanted' as const, day: d('2026-11-01'), savedAt: '2026-11-01T10:00:00.000Z' }]
    expect(compared({ ...facts(readings), events }).grams).toBeNull()
    expect(
      compared(facts([readings[0] as SheetReading, gross('2026-11-24', 20, 'now', { doubtful: true })])).after,
    ).toBeNull()
  })
})

describe('the content on one line', () => {
  const line = {
    empty: 39.2,
    emptySd: 0.2,
    full: null,
    label: 9,
    weighed: [
      { grams: 46, day: d('2026-08-01') },
      { grams: 44.6, day: d('2026-10-26') },
    ],
    now: 44,
  }
  test('left, lately, earlier and before add up to a full one', () => {
    const ruler = rulerOf(line)
    expect(ruler?.left).toBeCloseTo(4.8, 10)
    expect(ruler?.lately).toBeCloseTo(0.6, 10)
    expect(ruler?.earlier.map((each) => Number(each.grams.toFixed(1)))).toEqual([1.4])
    // 9 g by the label, 6.8 above the empty at the first weighing.
    expect(ruler?.before).toBeCloseTo(2.2, 10)
  })
  test('where nothing tells how much is package, there is no line', () => {
    expect(rulerOf({ ...line, emptySd: 6 })).toBeNull()
    expect(rulerOf({ ...line, label: null })).toBeNull()
  })
  test('what is gone goes with its uses, give or take what the scale reads', () => {
    const perUse = { low: 0.05, high: 0.08 }
    expect(goesWithUses({ gone: 0.6, giveOrTake: 0.1, uses: 9, perUse }).fits).toBe(true)
    expect(goesWithUses({ gone: 2, giveOrTake: 0.1, uses: 9, perUse }).fits).toBe(false)
    expect(goesWithUses({ gone: 0, giveOrTake: 0.1, uses: 0, perUse }).fits).toBe(true)
  })
})

describe('what to aim for until the next time', () => {
  const goal = {
    kind: 'uses',
    met: false,
    usesLeft: 20,
    done: 0.5,
    wearDaysLeft: 40,
    usesLately: 6,
    wearDaysNext: 10,
  } as const
  test.each([
    ['its share of the wear days to its date', goal, { code: 'uses', count: 5 }],
    ['as many as lately without a date', { ...goal, wearDaysLeft: null }, { code: 'uses', count: 6 }],
    ['never more than one a day', { ...goal, usesLeft: 70, wearDaysLeft: 12 }, { code: 'uses', count: 10 }],
    ['a share of what is left to go', { ...goal, kind: 'finish', usesLeft: null }, { code: 'done', share: 0.625 }],
    ['out, where it is met', { ...goal, met: true }, { code: 'roll out' }],
    ['nothing, where nothing measures it', { ...goal, kind: 'level', usesLeft: null, done: null }, null],
  ] as const)('%s', (_, given, expected) => expect(aimOf(given)).toEqual(expected))
  test('the push is the furthest along that can still be reached, those with a date first', () => {
    const line = (itemId: string, over: object) => ({
      itemId,
      finishedOn: null,
      goal: {
        kind: 'uses' as const,
        met: false,
        done: 0.5,
        by: '2026-12-20',
        beside: false,
        standing: 'on pace',
        ...over,
      },
    })
    const lines = [
      line('met', { met: true, done: 1 }),
      line('far', { done: 0.9, standing: 'out of reach' }),
      line('undated', { done: 0.8, by: null }),
      line('near', { done: 0.7 }),
    ]
    expect(pushOf(lines)).toBe('near')
    expect(pushOf([])).toBeNull()
  })
})
