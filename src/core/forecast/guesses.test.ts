import fc from 'fast-check'
import { readFileSync } from 'node:fs'
import { describe, expect, test } from 'vitest'
import { chanceWord, verdictOf } from './verdict'
import { MONTH_DAYS, YEAR_DAYS } from '../calendar/lengths'
import { categoryFactor, guessFactor, type GuessOutcome } from './guesses'
import { lifeTable, type Watched } from './life-table'
import { supplyOf, supplyOfFewer, typePace, type InStock } from './supply'

interface GuessCase {
  id: string
  inputs: { m0: number; t0: number; sigma: number; finishedRatios: number[]; unfinishedElapsedOverGuess?: number[] }
  outputs: { mean: number; sd: number; k?: number }
}
/** Computed with SciPy. */
const CASES = JSON.parse(
  readFileSync(new URL('../../../test/reference/forecast-cases.json', import.meta.url), 'utf8'),
) as GuessCase[]
const took = (ratio: number, finished = true): GuessOutcome => ({ months: 2, days: ratio * 2 * MONTH_DAYS, finished })

describe('her guesses', () => {
  test.each(['guess-ratio-censored', 'guess-ratio-uncensored'])('%s', (id) => {
    const found = CASES.find((each) => each.id === id)
    if (!found) throw new Error(id)
    const { m0, t0, sigma, finishedRatios, unfinishedElapsedOverGuess = [] } = found.inputs
    const factor = guessFactor(
      [...finishedRatios.map((each) => took(each)), ...unfinishedElapsedOverGuess.map((each) => took(each, false))],
      { mean: m0, sd: t0 },
      sigma,
    )
    expect(Math.abs(factor.mean / found.outputs.mean - 1)).toBeLessThan(0.002)
    // Ours is made wider by a quarter, since few guesses look surer than they are.
    expect(Math.abs(factor.sd / 1.25 / found.outputs.sd - 1)).toBeLessThan(0.002)
  })
  test('what is unfinished and long over its guess tells that it ran short; what has just begun tells nothing', () => {
    const finished = [took(1.2), took(1.5)]
    const short = guessFactor([...finished, took(6, false), took(5, false)])
    expect(short.mean).toBeGreaterThan(guessFactor(finished).mean + 0.1)
    expect(guessFactor([...finished, took(0, false)]).mean).toBeCloseTo(guessFactor(finished).mean, 9)
  })
  test('it is said only of three finished, and only where it is nearly sure', () => {
    expect(guessFactor([took(6), took(8)]).runsShort).toBe(false)
    expect(guessFactor([took(6), took(8), took(5)])).toMatchObject({ runsShort: true, finished: 3, unfinished: 0 })
    expect(guessFactor([took(1), took(0.5), took(0.6), took(0.4)]).runsShort).toBe(false)
    expect(guessFactor([]).factor).toBeCloseTo(2.5, 2)
  })
  test('a category leans on the person, and moves away from her by its own', () => {
    const person = guessFactor([took(2), took(2.2), took(2.5)])
    expect(categoryFactor([], person).mean).toBeCloseTo(person.mean, 2)
    expect(categoryFactor([took(9), took(8)], person).mean).toBeGreaterThan(person.mean + 0.2)
  })
  test('the middle is that of the finished ones alone', () => {
    expect(guessFactor([took(2), took(3), took(9), took(20, false)]).middle).toBeCloseTo(3, 9)
    expect(guessFactor([took(2, false)]).middle).toBeNull()
  })
})

describe('forecasts against what came, without choosing by the outcome', () => {
  const watched = (days: number, finished = true): Watched => ({ low: 10, middle: 50, high: 90, days, finished })
  test('by hand: what watching ended of counts half of its period', () => {
    // Ten at risk, one finished by the first mark; nine, one of them let go: 3 of 8.5; five, one still open at day 60: 2 of 4.5, too few.
    const all = [5, 20, 30, 40, 70, 80].map((days) => watched(days))
    const ended = [watched(25, false), watched(60, false), watched(200, false), watched(200, false)]
    const table = lifeTable([...all, ...ended])
    expect(table.map(({ watched: n, finished }) => [n, finished])).toEqual([
      [10, 1],
      [9, 3],
      [5, 2],
    ])
    expect(table[0]?.came).toBeCloseTo(0.1, 9)
    expect(table[1]?.came).toBeCloseTo(1 - 0.9 * (1 - 3 / 8.5), 9)
    expect(table[2]?.came).toBeNull()
  })
  test('of an honest forecaster whose items are mostly still open, it says what was meant', () => {
    // Finished evenly over 100 days, watched for a random part of them: marks at 10, 50, 90 of 100.
    const rows = Array.from({ length: 4000 }, (_, n) => {
      const end = ((n * 37) % 100) + 0.5
      const until = ((n * 61) % 140) + 0.5
      return watched(Math.min(end, until), end <= until)
    })
    lifeTable(rows).forEach(({ came, meant }) => expect(Math.abs((came ?? 0) - meant)).toBeLessThan(0.04))
  })
})

test.each([
  [0.85, 'in time'],
  [0.849, 'close'],
  [0.6, 'close'],
  [0.599, '50-50'],
  [0.35, '50-50'],
  [0.349, 'not in time'],
  [0, 'not in time'],
])('a chance of %f is called "%s"', (chance, words) => {
  expect(chanceWord(chance)).toBe(words)
})

test.each([
  ['on pace', 0.2, null, 'not in time'],
  ['on pace', 0.7, null, 'on pace'],
  ['ahead', 0.7, null, 'close'],
  ['behind', 0.9, null, 'behind'],
  ['not known', 0.5, null, '50-50'],
  ['no date', null, null, 'no date'],
  ['out of reach', null, null, 'out of reach'],
  ['ahead', 0.9, 'expired', 'expired'],
  ['met', null, 'gone off', 'met'],
  [null, 0.9, null, 'in time'],
  [null, null, null, 'not known'],
] as const)('where it stands (%s) and its chance (%s) make one verdict', (standing, chance, over, verdict) => {
  expect(verdictOf({ over, standing, chance })).toBe(verdict)
})

describe('how much there is of a type', () => {
  const lipstick = (id: string, uses: number, goodFor: number | null, price: number | null = 1000): InStock => ({
    id,
    uses: { low: uses / 2, middle: uses, high: uses * 2 },
    share: 0.8,
    goodFor,
    price,
  })
  const ONE_A_DAY = YEAR_DAYS
  test('uses in stock by the uses of a year', () => {
    const found = supplyOf([lipstick('a', 100, null), lipstick('b', 265.25, null)], ONE_A_DAY)
    expect(found).toMatchObject({ uses: 365.25, years: 1, yearsInDate: 1 })
    expect(found.expiring.size).toBe(0)
  })
  test('the earliest use-by date is served first; whose turn ends too late expires, with the money left in it then', () => {
    // One a day: a for 100 days, then b for the 51 up to the 150th after today, which is its use-by date, then c for 100.
    const stock = [lipstick('c', 100, 300, null), lipstick('b', 100, 150, 2400), lipstick('a', 100, 120)]
    const found = supplyOf(stock, ONE_A_DAY)
    // Of b 49 of its 100 uses, of the .8 that are left today.
    expect([...found.expiring]).toEqual([['b', expect.closeTo(0.392, 9)]])
    expect(found).toMatchObject({ expiringPrice: 941, expiringUnpriced: 0 })
    expect(found.need.middle).toBeCloseTo(251, 6)
    expect(found.yearsInDate * ONE_A_DAY).toBeCloseTo(251, 6)
  })
  test('what is expired is counted apart, and in no sum', () => {
    expect(supplyOf([lipstick('a', 50, -3, null), lipstick('b', 10, 90)], ONE_A_DAY)).toMatchObject({
      items: 1,
      expired: 1,
      uses: 10,
      expiringUnpriced: 0,
      need: { middle: 10 },
    })
  })
  test('a pace needs twelve wears, the last of them within eight months', () => {
    const worn = { wears: 12, weight: 6, daysSince: 30 }
    expect(typePace(worn, 60)).toBeCloseTo(YEAR_DAYS / 10, 9)
    expect(typePace({ ...worn, wears: 11 }, 60)).toBeNull()
    expect(typePace({ ...worn, daysSince: 260 }, 60)).toBeNull()
  })
  test('day by day, a slow simulation spoils the same', () => {
    const thing = fc.record({ uses: fc.integer({ min: 1, max: 60 }), goodFor: fc.integer({ min: 1, max: 400 }) })
    fc.assert(
      fc.property(fc.array(thing, { minLength: 1, maxLength: 8 }), fc.constantFrom(1, 2, 4), (things, perDay) => {
        const left = things.map(({ uses }) => uses)
        const order = things
          .map((_, n) => n)
          .sort((a, b) => (things[a]?.goodFor ?? 0) - (things[b]?.goodFor ?? 0) || a - b)
        // Every day so many uses, of the first in turn that is good still, its use-by date included.
        for (let day = 0; day < 500; day += 1)
          for (let use = 0; use < perDay; use += 1) {
            const next = order.find((n) => (left[n] ?? 0) > 0 && day <= (things[n]?.goodFor ?? 0))
            if (next !== undefined) left[next] = (left[next] ?? 0) - 1
          }
        const stock = things.map(({ uses, goodFor }, n) => lipstick(`t${n}`, uses, goodFor))
        const spoiled = left.flatMap((uses, n) => (uses > 0 ? [`t${n}`] : []))
        expect([...supplyOf(stock, ONE_A_DAY * perDay).expiring.keys()].sort()).toEqual(spoiled)
      }),
      { seed: 11, numRuns: 400 },
    )
  })
  test('of fewer, less expires', () => {
    const stock = [lipstick('a', 100, 100), lipstick('b', 100, 110), lipstick('c', 100, 120)]
    const all = supplyOf(stock, ONE_A_DAY)
    expect([...all.expiring.keys()]).toEqual(['b', 'c'])
    // One of 100 uses, in time; two of them: the second comes too late.
    expect(supplyOfFewer(stock, all)).toMatchObject([
      { items: 1, years: 100 / ONE_A_DAY, expiring: 0, expiringPrice: 0 },
      { items: 2, years: 200 / ONE_A_DAY, expiring: 1 },
    ])
  })
})
