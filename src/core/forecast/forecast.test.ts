import { readFileSync } from 'node:fs'
import digamma from '@stdlib/math-base-special-digamma'
import trigamma from '@stdlib/math-base-special-trigamma'
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { addDays, type Day } from '../calendar/day'
import type { CalmStretch } from '../calendar/planned-week'
import type { Seen } from './content'
import { availableDays, calendarOf, chanceWithin, daysFor, finishSpan, goalUses } from './finish'
import { bestMeasure } from './asking'
import { chanceOf, evidenceOf, forecastOf, type ForecastFacts } from './forecast'
import { packageModelOf } from './form-models'
import { userEffectsOf } from './user-effects'
import { forgottenSums, logitMoments, rateOf, sinceFocus, type UseLog } from './rate'
import { useAmountOf } from './use-amounts'

/** Computed with SciPy; each case names its source. */
const CASES = JSON.parse(
  readFileSync(new URL('../../../test/reference/forecast-cases.json', import.meta.url), 'utf8'),
) as { id: string; inputs: Record<string, never>; outputs: Record<string, number> }[]
function reference<Inputs>(id: string): { inputs: Inputs; outputs: Record<string, number> } {
  const found = CASES.find((each) => each.id === id)
  if (!found) throw new Error(`no case ${id}`)
  return found as never
}
const near = (actual: number, expected: number | undefined, share: number): void => {
  expect(Math.abs(actual / (expected ?? Number.NaN) - 1), `${actual} for ${expected}`).toBeLessThanOrEqual(share)
}
const LAST = '2026-03-01' as Day
const NOTHING_AHEAD = calendarOf(LAST, [])
/** A calm stretch from one number of days after the last known one to another. */
const calm = (from: number, to: number, factor?: number): CalmStretch => ({
  earliest: addDays(LAST, from),
  latest: addDays(LAST, to),
  ...(factor === undefined ? {} : { factor }),
})

describe('the rate', () => {
  test('digamma and trigamma are those of SciPy', () => {
    const { outputs } = reference('special-functions')
    near(digamma(0.4), outputs['digamma_0_4'], 1e-9)
    near(digamma(3.7), outputs['digamma_3_7'], 1e-9)
    near(trigamma(0.4), outputs['trigamma_0_4'], 1e-9)
    near(trigamma(3.7), outputs['trigamma_3_7'], 1e-9)
    const { inputs, outputs: moments } = reference<{ alpha: number; beta: number }>('beta-logit-moments')
    const found = logitMoments(inputs.alpha, inputs.beta)
    near(found.mean, moments['mean'], 1e-7)
    near(found.variance, moments['var'], 1e-7)
  })
  test('sums of days that are forgotten are those of a direct sum', () => {
    const { inputs, outputs } = reference<{ H: number; cut: number; useDays: number[] }>('forgetting-sums')
    const found = forgottenSums(
      { cut: inputs.cut, uses: inputs.useDays, out: [], weights: [[0, inputs.cut, 1]] },
      inputs.H,
    )
    near(found.used, outputs['A'], 1e-9)
    near(found.unused, outputs['B'], 1e-9)
  })
  test('days away count for nothing, days before the focus for less', () => {
    const days = (log: Partial<UseLog>): { used: number; unused: number } =>
      forgottenSums({ cut: 99, uses: [10, 50, 90], out: [], weights: [[0, 99, 1]], ...log }, 1e9)
    expect(days({}).unused).toBeCloseTo(97, 3)
    // Overlapping stretches are no two; a use on a day away is no use of a usual day.
    expect(
      days({
        out: [
          [0, 19],
          [15, 29],
        ],
      }),
    ).toEqual({
      used: expect.closeTo(2, 3) as number,
      unused: expect.closeTo(68, 3) as number,
    })
    const focused = days({ weights: sinceFocus(50, 99) })
    expect(focused.used).toBeCloseTo(2.2, 3)
    expect(focused.unused).toBeCloseTo(49 * 0.2 + 48, 3)
    expect(days({ weights: sinceFocus(null, 99) }).used).toBeCloseTo(0.6, 3)
    // Of what rests: a little of the days before any drawer was laid, those of its stays, nothing of the others.
    const rests = days({
      weights: [
        [0, 19, 0.2],
        [40, 59, 1],
      ],
      out: [[15, 44]],
    })
    expect(rests.used).toBeCloseTo(1.2, 3)
    expect(rests.unused).toBeCloseTo(14 * 0.2 + 14, 3)
  })
})

describe('when it will be finished', () => {
  test('chances and days are those of the closed form', () => {
    const { inputs, outputs } = reference<{ mu: number; v: number; n: number; D: number }>('finish-cdf-fixed-n')
    const rate = { mean: inputs.mu, variance: inputs.v }
    near(chanceWithin(inputs.D, [inputs.n], rate, NOTHING_AHEAD), outputs['F'], 1e-5)
    near(daysFor(0.1, [inputs.n], rate, NOTHING_AHEAD), outputs['D10'], 1e-5)
    near(daysFor(0.5, [inputs.n], rate, NOTHING_AHEAD), outputs['D50'], 1e-5)
    near(daysFor(0.9, [inputs.n], rate, NOTHING_AHEAD), outputs['D90'], 1e-5)
  })
  test('a goal of so many uses is near the exact sum over days', () => {
    const found = CASES.find((each) => each.id === 'bnb-exact') as unknown as {
      inputs: { alpha: number; beta: number; n: number; D: number }
      outputs: { exact: number }
      approximation: { absTolerance: number }
    }
    const { alpha, beta, n, D } = found.inputs
    const chance = chanceWithin(D, goalUses(n, 0), logitMoments(alpha, beta), NOTHING_AHEAD)
    expect(Math.abs(chance - found.outputs.exact)).toBeLessThan(found.approximation.absTolerance)
  })
  test('days away and low seasons are worth less, the calmest where several hold', () => {
    // By hand: ten days, four of them away (at .15), two in a season of a half.
    const calendar = calendarOf(LAST, [calm(2, 5), calm(5, 7, 0.5)])
    expect(availableDays(10, calendar)).toBeCloseTo(10 - 4 * 0.85 - 2 * 0.5, 9)
    expect(availableDays(3.5, calendar)).toBeCloseTo(1 + 2.5 * 0.15, 9)
    const less = calendarOf(LAST, [calm(30, 40_000, 0.5)])
    expect(availableDays(1029, less)).toBeCloseTo(29 + 500, 9)
  })
  test('away for all of the horizon is late, and still a number', () => {
    const rate = rateOf({ role: 'staple', cut: 50, uses: [1, 2, 3], out: [], weights: [[0, 50, 1]], inFocus: false })
    const span = finishSpan([30], rate, calendarOf(LAST, [calm(1, 36_500)]))
    expect(span.low).toBeGreaterThan(150)
    expect(span.high).toBeLessThanOrEqual(36_500)
  })
})

interface EndToEnd {
  useDays: number[]
  gross: [number, number, number][]
  pan: [number, number][]
  cut: number
  label: number
}
function powder(days: readonly number[], cut: number, seen: (after: (day: number) => number) => Seen[]): ForecastFacts {
  return {
    content: {
      amount: useAmountOf('pressed powder', 'pressed'),
      package: packageModelOf('pressed powder', 'pressed'),
      label: 9,
      handShift: 0,
      start: { kind: 'new' },
      uses: days.length,
      lost: 0,
      series: 1,
      empties: [],
      full: null,
      seen: seen((day) => days.filter((use) => use >= day).length),
      finished: false,
    },
    log: { role: 'rotation', cut, uses: days, out: [], weights: [[0, cut, 1]], inFocus: true },
    ahead: NOTHING_AHEAD,
  }
}

test('the whole forecast is that of an independent sum over six million draws', () => {
  const { inputs, outputs } = reference<EndToEnd>('end-to-end')
  const found = forecastOf(
    powder(inputs.useDays, inputs.cut, (after) => [
      ...inputs.gross.map(([day, grams, resolution]): Seen => ({
        kind: 'gross',
        grams,
        resolution,
        series: 0,
        uses: after(day),
        lost: 0,
      })),
      { kind: 'stage', stage: 'first pan', uses: after(140), lost: 0 },
    ]),
    undefined,
    // The case was computed with these.
    { roles: { staple: 0.5, rotation: 0.22, occasional: 0.08 }, focusShift: 0.5 },
  )
  near(found.rate.mean, outputs['mu'], 1e-6)
  near(found.rate.variance, outputs['vTotal'], 1e-6)
  near(found.finish.low, outputs['days10'], 0.04)
  near(found.finish.middle, outputs['days50'], 0.04)
  near(found.finish.high, outputs['days90'], 0.04)
  expect(Math.abs(chanceOf(found, 200) - (outputs['pWithin200'] ?? 0))).toBeLessThan(0.02)
  expect(Math.abs(chanceOf(found, 500) - (outputs['pWithin500'] ?? 0))).toBeLessThan(0.02)
})

/** Uses on every `every`th day, weighed now and then: 48.2 g when new, .05 g a use. */
function weighedPowder(weighings: readonly number[], over: (each: Seen, n: number) => Seen = (each) => each) {
  const days = Array.from({ length: 40 }, (_, n) => n * 3)
  return powder(days, 119, (after) =>
    weighings.map((day, n) => {
      const grams = 48.2 - 0.05 * (40 - after(day))
      return over({ kind: 'gross', grams, resolution: 0.1, series: 0, uses: after(day), lost: 0 }, n)
    }),
  )
}

describe('a slip of the hand', () => {
  const middle = (facts: ForecastFacts): number => forecastOf(facts).finish.middle
  test.each([0, 1, 2, 3])(
    'a weight ten times too heavy (number %i of four) moves it by under a tenth of its own',
    (bad) => {
      const typed = weighedPowder([0, 30, 70, 110], (each, n) =>
        n === bad && each.kind === 'gross' ? { ...each, grams: each.grams * 10 } : each,
      )
      const without = weighedPowder([0, 30, 70, 110].filter((_, n) => n !== bad))
      near(middle(typed), middle(without), 0.1)
    },
  )
  test.each([0, 1, 2])('nor does one of three, ten times too light (number %i)', (bad) => {
    const typed = weighedPowder([0, 60, 110], (each, n) =>
      n === bad && each.kind === 'gross' ? { ...each, grams: each.grams / 10 } : each,
    )
    near(middle(typed), middle(weighedPowder([0, 60, 110].filter((_, n) => n !== bad))), 0.1)
  })
  test('nor one of two beside the weight of an empty', () => {
    const anchored = (facts: ForecastFacts): ForecastFacts => ({
      ...facts,
      content: { ...facts.content, empties: [{ grams: 39.2, resolution: 0.1, cleaned: true, series: 0 }] },
    })
    const typed = weighedPowder([60, 110], (each, n) =>
      n === 1 && each.kind === 'gross' ? { ...each, grams: each.grams * 10 } : each,
    )
    near(middle(anchored(typed)), middle(anchored(weighedPowder([60]))), 0.1)
  })
})

describe('more never makes it sooner', () => {
  const days = fc.uniqueArray(fc.integer({ min: 0, max: 200 }), { minLength: 0, maxLength: 60 })
  const facts = (uses: readonly number[], label: number): ForecastFacts => {
    const base = powder(
      [...uses].sort((a, b) => a - b),
      200,
      () => [],
    )
    return { ...base, content: { ...base.content, label } }
  }
  const middle = (given: ForecastFacts): number => forecastOf(given).finish.middle
  test('a larger label, days away, fewer days used', () => {
    fc.assert(
      fc.property(
        days,
        fc.double({ min: 2, max: 30, noNaN: true }),
        fc.double({ min: 1, max: 3, noNaN: true }),
        (uses, label, more) => {
          const now = facts(uses, label)
          const then = middle(now)
          expect(middle(facts(uses, label * more))).toBeGreaterThanOrEqual(then * (1 - 1e-6))
          const away = middle({ ...now, ahead: calendarOf(LAST, [calm(10, 40)]) })
          expect(away).toBeGreaterThanOrEqual(then * (1 - 1e-6))
          const low = middle({ ...now, ahead: calendarOf(LAST, [calm(10, 40), calm(30, 90, 0.4)]) })
          expect(low).toBeGreaterThanOrEqual(away * (1 - 1e-6))
        },
      ),
      { numRuns: 60, seed: 1867 },
    )
  })
  test('a lower rate, more uses asked for', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -4, max: 2, noNaN: true }),
        fc.double({ min: 0, max: 2, noNaN: true }),
        fc.integer({ min: 1, max: 300 }),
        (mean, less, n) => {
          const rate = { mean, variance: 0.4 }
          const then = daysFor(0.5, goalUses(n, 0), rate, NOTHING_AHEAD)
          expect(
            daysFor(0.5, goalUses(n, 0), { mean: mean - less, variance: 0.4 }, NOTHING_AHEAD),
          ).toBeGreaterThanOrEqual(then)
          expect(daysFor(0.5, goalUses(n + 1, 0), rate, NOTHING_AHEAD)).toBeGreaterThanOrEqual(then)
        },
      ),
      { numRuns: 100, seed: 1867 },
    )
  })
  test('whatever was recorded, the range is finite and in order', () => {
    const seen = fc.array(
      fc.oneof(
        fc.record({
          kind: fc.constant('gross' as const),
          grams: fc.double({ min: 0.1, max: 5000, noNaN: true }),
          resolution: fc.constantFrom(0.01, 0.1, 1),
          series: fc.constant(0),
          uses: fc.integer({ min: 0, max: 400 }),
          lost: fc.constant(0),
        }),
        fc.record({
          kind: fc.constant('level' as const),
          share: fc.double({ min: 0, max: 1, noNaN: true }),
          uses: fc.integer({ min: 0, max: 400 }),
          lost: fc.constant(0),
        }),
        fc.record({
          kind: fc.constant('stage' as const),
          stage: fc.constantFrom('dip' as const, 'first pan' as const, 'half bare' as const, 'mostly bare' as const),
          uses: fc.integer({ min: 0, max: 400 }),
          lost: fc.constant(0),
        }),
      ),
      { maxLength: 8 },
    )
    fc.assert(
      fc.property(days, seen, fc.option(fc.double({ min: 0.05, max: 500, noNaN: true })), (uses, all, label) => {
        const base = powder(
          [...uses].sort((a, b) => a - b),
          1100,
          () => all,
        )
        const { finish, content } = forecastOf({ ...base, content: { ...base.content, label, uses: 400 } })
        for (const span of [finish, content.grams, content.share]) {
          expect(Number.isFinite(span.low) && Number.isFinite(span.high)).toBe(true)
          expect(span.low <= span.middle && span.middle <= span.high).toBe(true)
        }
        expect(finish.low).toBeGreaterThanOrEqual(1)
      }),
      { numRuns: 150, seed: 1867 },
    )
  })
})

describe('her own userEffects', () => {
  test('what takes more than usual by every weighing shifts the hand; a single item hardly', () => {
    // Each use takes .1 g where .05 is usual: log 2 = .69.
    const heavy = powder(
      Array.from({ length: 40 }, (_, n) => n * 3),
      119,
      (after) =>
        [0, 60, 117].map((day) => ({
          kind: 'gross',
          grams: 48.2 - 0.1 * (40 - after(day)),
          resolution: 0.01,
          series: 0,
          uses: after(day),
          lost: 0,
        })),
    )
    const one = userEffectsOf([evidenceOf(heavy)]).amount
    const many = userEffectsOf(Array.from({ length: 12 }, () => evidenceOf(heavy))).amount
    expect(one).toBeGreaterThan(0.05)
    expect(many).toBeGreaterThan(2 * one)
    expect(many).toBeLessThan(Math.log(2))
  })
  test('one who wears items more often than their roles let expect', () => {
    const daily = powder(
      Array.from({ length: 100 }, (_, n) => n),
      99,
      () => [],
    )
    expect(userEffectsOf([evidenceOf(daily), evidenceOf(daily)]).rate).toBeGreaterThan(0.3)
    expect(userEffectsOf([])).toEqual({ amount: 0, rate: 0 })
  })
})

describe('one measurement is asked for where it pays', () => {
  const none = { amount: 0, rate: 0 }
  const asks = (facts: ForecastFacts, until: number | null): ReturnType<typeof bestMeasure> =>
    bestMeasure(facts, forecastOf(facts, none), none, { looks: 'level', step: 0.1, until })
  const unseen = powder([...Array(40).keys()], 119, () => [])
  const unknown: ForecastFacts = {
    ...unseen,
    content: { ...unseen.content, start: { kind: 'unknown' } },
  }
  test('where nothing is known of its level: the range narrows by a quarter at least', () => {
    const asked = asks(unknown, null)
    expect(asked?.narrows).toBe(true)
    const { finish } = forecastOf(unknown, none)
    expect((asked?.finish.high ?? Infinity) - (asked?.finish.low ?? 0)).toBeLessThanOrEqual(
      0.75 * (finish.high - finish.low),
    )
  })
  test('after good weighings only for the sake of the verdict, and with two verdicts that differ', () => {
    const weighed = weighedPowder([0, 30, 70, 110])
    expect(asks(weighed, null)).toBeNull()
    for (const until of [10, 100, 200, 300, 400, 600, 3000]) {
      const asked = asks(unknown, until)
      if (asked?.verdicts) expect(asked.verdicts[0]).not.toBe(asked.verdicts[1])
    }
    // Little left is finished in time, a full one is not.
    expect(asks(unknown, 250)?.verdicts).toEqual(['in time', 'not in time'])
  })
})
