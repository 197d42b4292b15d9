import { readFileSync } from 'node:fs'
import { describe, expect, test } from 'vitest'
import { evaluateByRecord, evaluateForecasts, readForecastFile } from '#server/forecast/evaluate-forecast'

/** 300 simulated things with what came of them, and 77 that tell her user effect; handed over with the brief. */
const TEXT = readFileSync(new URL('reference/forecast-train.json', import.meta.url), 'utf8')
const THINGS = readForecastFile(TEXT)

describe('forecasts against what came of them', () => {
  // The known point of the method on this file, computed by others: 77.7 % and .49 without what is known of the user, 80 % and .49 with
  // it. Since then the rate begins with other constants, which lives showed to be better: two of the 300 more are inside without it.
  test('with her userEffects they hold 8 times in 10, and beat a lifetime average', () => {
    const score = evaluateForecasts(THINGS)
    expect(score.n).toBe(300)
    expect(score.coverage80).toBeGreaterThanOrEqual(0.77)
    expect(score.coverage80).toBeLessThanOrEqual(0.85)
    expect(score.coverage80).toBeCloseTo(0.803, 2)
    expect(score.medianAbsLogError).toBeCloseTo(0.481, 2)
    expect(score.lifetimeAverageError).toBeCloseTo(0.633, 2)
    expect(score.early + score.late + score.coverage80).toBeCloseTo(1, 10)
  })
  test('without it they are the known point without it', () => {
    const score = evaluateForecasts(THINGS, false)
    expect(score.coverage80).toBeCloseTo(0.783, 2)
    expect(score.medianAbsLogError).toBeCloseTo(0.496, 2)
  })
  test('the groups of what was recorded are of the same items, and none is without a figure', () => {
    const rows = evaluateByRecord(THINGS)
    const n = (recorded: string): number => rows.find((row) => row.recorded === recorded)?.score.n ?? Number.NaN
    expect(n('everything')).toBe(300)
    expect(n('fewer than 10 uses so far') + n('10 uses or more so far')).toBe(300)
    for (const { score } of rows) for (const figure of Object.values(score)) expect(Number.isFinite(figure)).toBe(true)
  })
  test('what came of an item isn’t told to the model, and the order of the file doesn’t matter', () => {
    const later = THINGS.map((each) =>
      each.truth === null ? each : { ...each, truth: { ...each.truth, finishDay: each.truth.finishDay * 50 } },
    )
    const worse = evaluateForecasts(later)
    expect(worse.late).toBeGreaterThan(0.9)
    expect(evaluateForecasts([...THINGS].reverse())).toEqual(evaluateForecasts(THINGS))
  })
  test.each([
    ['no list', '{}'],
    ['a role that is none', JSON.stringify([{ ...THINGS[0], role: 'favourite' }])],
    ['a weight that is a word', JSON.stringify([{ ...THINGS[0], obs: [[3, 'gross', 'heavy', 0.1]] }])],
  ])('%s is no such file', (_, text) => {
    expect(() => readForecastFile(text)).toThrow()
  })
})
