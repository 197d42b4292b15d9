import { describe, expect, test } from 'vitest'
import { addDays, type Day } from '../calendar/day'
import { evennessOf } from '../goal/evenness'
import type { TimedReading } from '../measure/content-facts'
import { looksIn, neverTogether, wornTogether, type LookOfDay } from './looks'
import { whyMissed } from './misses'
import { nextRules, type KindOfYear } from './next-rules'
import { before, kindOf, monthOf, monthsWithin, yearOf } from './span'
import { fewestForHalf, giniOf } from './spread'
import { gramsFound, usesOfAWhole } from './used-up'

const d = (text: string): Day => text as Day

/** A plain generator of fixed sequences (Numerical Recipes, from memory). */
function sequence(seed: number): () => number {
  let state = seed
  return () => (state = (state * 1664525 + 1013904223) % 4294967296) / 4294967296
}

describe('how evenly', () => {
  // Textbook cases, closed form: all alike 0; all on one of n: (n - 1) / n; 1 to n: (n² - 1) / (3n) over the mean (n + 1) / 2 … (n - 1) / (3n).
  test.each([
    ['all alike', [4, 4, 4, 4], 0],
    ['all on one of five', [0, 0, 0, 0, 9], 4 / 5],
    ['one to ten', [1, 2, 3, 4, 5, 6, 7, 8, 9, 10], 99 / (3 * 10 * 11)],
    ['two of which one has a quarter', [1, 3], 0.25],
  ])('Gini of %s', (_, uses, gini) => {
    expect(giniOf(uses)).toBeCloseTo(gini, 12)
  })

  test('Gini equals half the mean difference over the mean, whatever the order (200 random cases)', () => {
    const next = sequence(3)
    for (let n = 0; n < 200; n += 1) {
      const uses = Array.from({ length: 2 + Math.floor(next() * 12) }, () => Math.floor(next() * 9))
      const mean = uses.reduce((sum, each) => sum + each, 0) / uses.length
      if (mean === 0) {
        expect(giniOf(uses)).toBeNull()
        continue
      }
      const differences = uses.flatMap((one) => uses.map((other) => Math.abs(one - other)))
      expect(giniOf(uses)).toBeCloseTo(
        differences.reduce((sum, each) => sum + each, 0) / (2 * uses.length ** 2 * mean),
        12,
      )
    }
  })

  test('nothing is said of one item or of no use; Pielou of two that share evenly is 1', () => {
    expect(giniOf([7])).toBeNull()
    expect(giniOf([0, 0])).toBeNull()
    expect(evennessOf([6, 6])).toBeCloseTo(1, 12)
    // H = -(1/4 ln 1/4 + 3/4 ln 3/4) over ln 2, by hand.
    expect(evennessOf([1, 3])).toBeCloseTo(0.8112781244591328, 12)
  })

  test.each([
    [[10, 1, 1, 1], 1],
    [[5, 5], 1],
    [[3, 3, 3], 2],
    [[0, 0], 0],
  ])('half of %j is held by %i', (uses, fewest) => {
    expect(fewestForHalf(uses)).toBe(fewest)
  })
})

describe('what was used up', () => {
  test.each([
    [{ logged: 31, allUses: 31, usesLeft: 0, shareLeft: 0 }, 31],
    [{ logged: 20, allUses: 26, usesLeft: 80, shareLeft: 0.8 }, 106],
    // Nobody counted the first ones: 40 are half of 80.
    [{ logged: 5, allUses: null, usesLeft: 40, shareLeft: 0.5 }, 80],
    [{ logged: 20, allUses: null, usesLeft: 0, shareLeft: 0 }, null],
    [{ logged: 20, allUses: 20, usesLeft: null, shareLeft: null }, null],
  ])('of %j a whole one gives %s uses', (known, whole) => {
    expect(usesOfAWhole(known)).toBe(whole)
  })

  const weight = (day: string, value: number, more: Partial<TimedReading> = {}): TimedReading => ({
    kind: 'gross',
    value,
    stage: null,
    word: null,
    partId: null,
    day: d(day),
    moment: 'before-use',
    savedAt: `${day}T10:00:00Z`,
    resolution: 0.1,
    doubtful: false,
    ...more,
  })
  const readings = [
    weight('2026-01-10', 50),
    weight('2026-02-10', 48),
    weight('2026-02-20', 20, { doubtful: true }),
    weight('2026-03-10', 47.5),
    weight('2026-04-10', 30),
    weight('2026-05-10', 29),
  ]
  const repressed = [{ day: d('2026-03-20'), savedAt: '2026-03-20T10:00:00Z', kind: 'repressed' as const }]
  const found = (from: string, to: string) => gramsFound(readings, repressed, { from: d(from), to: d(to) })?.grams ?? 0

  test('grams: weight to weight in one package; another package begins anew, a doubtful one counts nowhere', () => {
    expect(found('2026-01-01', '2026-03-31')).toBeCloseTo(2.5, 12)
    expect(found('2026-01-01', '2026-12-31')).toBeCloseTo(3.5, 12)
    expect(gramsFound(readings, repressed, { from: d('2026-01-01'), to: d('2026-01-31') })).toBeNull()
    // From the last weight before the span, not from the first in it.
    expect(found('2026-03-01', '2026-03-31')).toBeCloseTo(0.5, 12)
  })

  test('months of grams add up to the year', () => {
    const months = monthsWithin({ from: d('2026-01-01'), to: d('2026-12-31') })
    expect(months.reduce((sum, { from, to }) => sum + found(from, to), 0)).toBeCloseTo(
      found('2026-01-01', '2026-12-31'),
      12,
    )
  })
})

describe('looks', () => {
  const look = (day: number, ...itemIds: string[]): LookOfDay => ({ day: addDays(d('2026-01-01'), day), itemIds })

  test('the order of putting on makes no other look; the later of two that came as often is told', () => {
    expect(looksIn([look(0, 'a', 'b'), look(1, 'b', 'a'), look(2, 'c')])).toEqual({
      different: 2,
      most: { itemIds: ['a', 'b'], days: 2 },
    })
    expect(looksIn([look(0, 'a'), look(1, 'b'), look(2, 'a'), look(3, 'b')]).most?.itemIds).toEqual(['b'])
    expect(looksIn([look(0, 'a'), look(1, 'b')]).most).toBeNull()
    expect(looksIn([])).toEqual({ different: 0, most: null })
  })

  test('together and never together as by looking at every two, 40 random logs', () => {
    const next = sequence(11)
    for (let n = 0; n < 40; n += 1) {
      const ids = Array.from({ length: 9 }, (_, at) => `t${at}`)
      const looks = Array.from({ length: 25 }, (_, day) =>
        look(day, ...ids.filter((_id, at) => next() < 0.1 + at / 12)),
      )
      const couldMeet = (one: string, other: string): boolean => (Number(one[1]) + Number(other[1])) % 4 !== 0
      const worn = (id: string): number => looks.filter(({ itemIds }) => itemIds.includes(id)).length
      const all = ids.flatMap((one, at) =>
        ids.slice(at + 1).flatMap((other) => {
          const days = looks.filter(({ itemIds }) => itemIds.includes(one) && itemIds.includes(other)).length
          return couldMeet(one, other) ? [{ one, other, days, rarer: Math.min(worn(one), worn(other)) }] : []
        }),
      )
      const often = all.filter(({ days }) => days > 1).sort((a, b) => b.days - a.days)
      expect(
        wornTogether(looks, couldMeet, 5).map(({ days }) => days),
        `log ${n}`,
      ).toEqual(often.slice(0, 5).map(({ days }) => days))
      const never = all.filter(({ days, rarer }) => days === 0 && rarer >= 5).sort((a, b) => b.rarer - a.rarer)
      expect(
        neverTogether(looks, couldMeet, 5).map(({ each }) => Math.min(...each)),
        `log ${n}`,
      ).toEqual(never.slice(0, 5).map(({ rarer }) => rarer))
    }
  })
})

describe('spans', () => {
  test.each([
    ['2026-02-01', '2026-02-28', 'month'],
    ['2028-02-01', '2028-02-29', 'month'],
    ['2028-02-01', '2028-02-28', 'own'],
    ['2026-01-01', '2026-12-31', 'year'],
    ['2026-01-02', '2026-12-31', 'own'],
    ['2026-01-01', '2026-01-31', 'month'],
  ])('%s to %s is a span of type %s', (from, to, kind) => {
    expect(kindOf({ from: d(from), to: d(to) })).toBe(kind)
  })

  test('before it: the month before, the year before, as many days before', () => {
    expect(before(monthOf(d('2026-03-15')))).toEqual(monthOf(d('2026-02-01')))
    expect(before(yearOf(d('2026-03-15')))).toEqual(yearOf(d('2025-06-01')))
    expect(before({ from: d('2026-03-10'), to: d('2026-03-12') })).toEqual({
      from: d('2026-03-07'),
      to: d('2026-03-09'),
    })
  })

  test('months within are cut at the ends and leave no day out', () => {
    expect(monthsWithin({ from: d('2025-11-20'), to: d('2026-01-05') })).toEqual([
      { from: '2025-11-20', to: '2025-11-30' },
      { from: '2025-12-01', to: '2025-12-31' },
      { from: '2026-01-01', to: '2026-01-05' },
    ])
    expect(monthsWithin({ from: d('2026-01-05'), to: d('2026-01-04') })).toEqual([])
  })
})

describe('why a forecast missed', () => {
  const facts = { daysBefore: 70, usesBefore: 30, daysAfter: 140, usesAfter: 60, expectedDays: 70, late: true }
  test('held twice as much at the same pace, or worn half as often', () => {
    expect(whyMissed(facts)).toEqual({ code: 'held more', expected: 30, came: 60 })
    expect(whyMissed({ ...facts, usesAfter: 30 })).toEqual({ code: 'worn less often', before: 3, after: 1.5 })
    expect(whyMissed({ ...facts, late: false, daysAfter: 20, usesAfter: 20 })).toMatchObject({
      code: 'worn more often',
    })
    expect(whyMissed({ ...facts, late: false, daysAfter: 28, usesAfter: 12 })).toEqual({
      code: 'held less',
      expected: 30,
      came: 12,
    })
  })
  test('nothing tells where it wasn’t in use before', () => {
    expect(whyMissed({ ...facts, usesBefore: 0 })).toBeNull()
  })
})

test('rules for the next year come from what is there: none of a type that lasts for years, as many in as out, half as much', () => {
  const kind = (categoryId: string, more: Partial<KindOfYear>): KindOfYear => {
    return { categoryId, now: 10, cameIn: 0, wentOut: 0, finished: 0, years: 1, ...more }
  }
  const kinds = [
    kind('lipstick', { now: 30, years: 9 }),
    kind('blush', { now: 12, years: Infinity }),
    kind('primer', { cameIn: 4, wentOut: 1 }),
    kind('mascara', { now: 2, years: 8 }),
    kind('bronzer', { years: null }),
  ]
  expect(nextRules(kinds, 9, 4)).toEqual([
    { code: 'none of a kind', categoryId: 'lipstick', years: 9, items: 30, finished: 0 },
    { code: 'none of a kind', categoryId: 'blush', years: Infinity, items: 12, finished: 0 },
    { code: 'as many in as out', categoryId: 'primer', cameIn: 4, wentOut: 1 },
    { code: 'at most', bought: 9, most: 4 },
  ])
  expect(nextRules([], 1, 0)).toEqual([])
})
