import { readFileSync } from 'node:fs'
import { describe, expect, test } from 'vitest'
import { contentOf, type ContentFacts, type Seen } from './content'
import { GaussianState } from './content-state'
import { packageModelOf } from './form-models'
import { phi, phiInverse, positiveQuantile } from './normal'
import { useAmountOf } from './use-amounts'

/** Computed with SciPy; each case names its source. */
const CASES = JSON.parse(
  readFileSync(new URL('../../../test/reference/forecast-cases.json', import.meta.url), 'utf8'),
) as { id: string; inputs: never; outputs: Record<string, number> }[]
function reference<Inputs>(id: string): { inputs: Inputs; outputs: Record<string, number> } {
  const found = CASES.find((each) => each.id === id)
  if (!found) throw new Error(`no case ${id}`)
  return found
}
const near = (expected: number | undefined, share: number) => ({
  asymmetricMatch: (actual: number) =>
    expected !== undefined && Math.abs(actual - expected) <= share * Math.abs(expected),
  toString: () => `within ${share} of ${String(expected)}`,
})

const powder = (over: Partial<ContentFacts>): ContentFacts => ({
  amount: useAmountOf('pressed powder', 'pressed'),
  package: packageModelOf('pressed powder', 'pressed'),
  label: 9,
  handShift: 0,
  start: { kind: 'new' },
  uses: 0,
  lost: 0,
  series: 1,
  empties: [],
  full: null,
  seen: [],
  finished: false,
  ...over,
})
const weighed = (grams: number, uses: number, over: Partial<Seen & { kind: 'gross' }> = {}): Seen => ({
  kind: 'gross',
  grams,
  resolution: 0.1,
  series: 0,
  uses,
  lost: 0,
  ...over,
})

test('the normal distribution is that of SciPy', () => {
  const { outputs } = reference('special-functions')
  expect(phi(-2.5)).toEqual(near(outputs['Phi_m2_5'], 1e-6))
  expect(phi(0.3)).toEqual(near(outputs['Phi_0_3'], 1e-6))
  expect(phiInverse(0.001)).toEqual(near(outputs['PhiInv_001'], 1e-6))
  expect(phiInverse(0.9)).toEqual(near(outputs['PhiInv_9'], 1e-6))
  const cut = reference<{ m: number; s: number }>('truncated-R')
  for (const [p, name] of [
    [0.1, 'q10'],
    [0.5, 'q50'],
    [0.9, 'q90'],
  ] as const)
    expect(positiveQuantile(p, cut.inputs.m, cut.inputs.s)).toEqual(near(cut.outputs[name], 1e-6))
})

test('an amount far below nothing is still a small number above it', () => {
  const far = positiveQuantile(0.5, -40, 1)
  expect(far).toBeGreaterThan(0)
  expect(far).toBeLessThan(0.1)
})

test('a published high-end daily amount gives the median of the table', () => {
  expect(useAmountOf('liquid foundation', 'pump').median).toEqual(
    near(reference('sccs-p90-to-median').outputs['median'], 0.002),
  )
})

test('seen sums narrow amounts as dense conditioning does', () => {
  const { inputs, outputs } = reference<Record<string, number> & { priorMean: number[]; priorSd: number[] }>(
    'linear-gaussian-content',
  )
  const [c, a] = [inputs['C'] ?? 0, inputs['a'] ?? 0]
  const [r, t, f] = inputs.priorMean as [number, number, number]
  const [sr, st, sf] = inputs.priorSd as [number, number, number]
  const state = new GaussianState([r, f, t], [sr, sf, st])
  const noise = (s: number, uses: number): number => s * s + a * a * uses * (0.4 ** 2 + 0.15 ** 2 * uses)
  state.see([1, -1, 0], -a * 100, noise(0.01 * c, 100))
  state.see([0, 1, 1], 50.3, 0.05 ** 2)
  state.see([1, 0, 1], 46.1 - a * 20, noise(0.05, 20))
  expect(state.mean[0]).toEqual(near(outputs['R'], 1e-6))
  expect(state.mean[2]).toEqual(near(outputs['T'], 1e-6))
  expect(state.mean[1]).toEqual(near(outputs['F'], 1e-6))
  expect(state.sd(0)).toEqual(near(outputs['sdR'], 1e-6))
  expect(state.sd(2)).toEqual(near(outputs['sdT'], 1e-6))
  expect(state.logLikelihood).toEqual(near(outputs['logMarginal'], 1e-6))
})

test('a whole content agrees with six million importance draws', () => {
  const { inputs, outputs } = reference<{
    useDays: number[]
    gross: [number, number, number][]
    pan: [number, number][]
  }>('end-to-end')
  const after = (day: number): number => inputs.useDays.filter((use) => use >= day).length
  const found = contentOf(
    powder({
      uses: inputs.useDays.length,
      seen: [
        ...inputs.gross.map(([day, grams]) => weighed(grams, after(day))),
        { kind: 'stage', stage: 'first pan', uses: after(140), lost: 0 },
      ],
    }),
  )
  for (const [span, name] of [
    [found.perUse, 'a'],
    [found.grams, 'R'],
  ] as const) {
    expect(span.low).toEqual(near(outputs[`${name}10`], 0.04))
    expect(span.middle).toEqual(near(outputs[`${name}50`], 0.04))
    expect(span.high).toEqual(near(outputs[`${name}90`], 0.04))
  }
  expect(found.usesLeft[7]).toEqual(near(outputs['uses50'], 0.04))
})

describe('weighing series worked by hand', () => {
  // New at 48.2 g, a cleaned empty of the kind 39.2 g, label 9 g, now 44.0 g: 4.8 g above the empty, of which 4 % of the label
  // (.36 g) cannot be reached: 4.44 g left of 9 - .36 = 8.64, about a half.
  const series = powder({
    uses: 80,
    full: { grams: 48.2, resolution: 0.1 },
    empties: [{ grams: 39.2, resolution: 0.1, cleaned: true, series: 0 }],
    seen: [weighed(48.2, 80), weighed(44, 0)],
  })
  test('scale, empty and label agree', () => {
    const found = contentOf(series)
    expect(found.disagreement).toBeNull()
    expect(found.grams.low).toBeLessThan(4.44)
    expect(found.grams.high).toBeGreaterThan(4.44)
    expect(found.share.middle).toBeGreaterThan(0.44)
    expect(found.share.middle).toBeLessThan(0.58)
    // 4.2 g in 80 uses.
    expect(found.perUse.middle).toEqual(near(4.2 / 80, 0.1))
  })
  test('scale and label contradict each other: it is said, and the scale wins', () => {
    // 48.2 - 36.6 = 11.6 g in the pan, 9 g on the label: 11.24 reachable against 8.82 by the label.
    const found = contentOf({
      ...series,
      empties: [{ grams: 36.6, resolution: 0.1, cleaned: false, series: 0 }],
    })
    expect(found.disagreement?.byScale).toBeCloseTo(11.6, 6)
    expect(found.disagreement?.byLabel).toBeCloseTo(9 * 0.98, 6)
    // 7.4 g above the empty.
    expect(found.grams.middle).toEqual(near(7.4, 0.1))
  })
  test('a weighing a gram off leads nothing astray', () => {
    const clean = [48.2, 47.2, 46.2, 45.2].map((grams, n) => weighed(grams, 60 - n * 20))
    const sound = contentOf(powder({ uses: 60, seen: clean }))
    const slipped = contentOf(powder({ uses: 60, seen: [...clean, weighed(51.2, 0)] }))
    expect(slipped.perUse.middle).toEqual(near(sound.perUse.middle, 0.15))
  })
  test('a new series weighs its own package and carries on what is left', () => {
    const found = contentOf(
      powder({ uses: 40, series: 2, seen: [weighed(48.2, 40), weighed(46.2, 0), weighed(20.3, 0, { series: 1 })] }),
    )
    const [first, second] = found.packages
    // Two grams in forty uses, 6.8 left: what is in it weighs the same in both.
    expect((first?.mean ?? 0) - (second?.mean ?? 0)).toEqual(near(46.2 - 20.3, 0.01))
    expect(found.grams.middle).toEqual(near(8.82 - 2, 0.1))
  })
  test('what was spilt is gone, and no use took it', () => {
    const kept = contentOf(powder({ uses: 20, seen: [weighed(48.2, 20), weighed(47.2, 0)] }))
    const spilt = contentOf(
      powder({ uses: 20, lost: 2, seen: [weighed(48.2, 20, { lost: 2 }), weighed(45.2, 0, { lost: 0 })] }),
    )
    expect(spilt.perUse.middle).toEqual(near(kept.perUse.middle, 0.05))
    expect(kept.grams.middle - spilt.grams.middle).toEqual(near(2, 0.1))
  })
  test('nothing known is a wide span, and finished is nothing left', () => {
    const open = contentOf(powder({ start: { kind: 'unknown' }, uses: 10 }))
    expect(open.share.high - open.share.low).toBeGreaterThan(0.4)
    const done = contentOf(powder({ uses: 200, finished: true }))
    expect(done.grams.high).toBeLessThan(0.6)
  })
  test('stated uses are taken off a full one, with what they may be off by; nothing said is anything', () => {
    const fresh = contentOf(powder({ uses: 10 }))
    const stated = contentOf(powder({ uses: 10, start: { kind: 'stated', uses: 60 } }))
    const unknown = contentOf(powder({ uses: 10, start: { kind: 'unknown' } }))
    // By hand: sixty uses at .05 g of the 8.82 g that can be reached.
    expect(fresh.share.middle - stated.share.middle).toEqual(near((60 * 0.05) / 8.82, 0.25))
    const width = ({ share }: typeof fresh): number => share.high - share.low
    expect(width(stated)).toBeGreaterThan(2 * width(fresh))
    expect(width(unknown)).toBeGreaterThan(width(stated))
  })
  test('each stage of a pan says how much is left, an untouched one nearly all', () => {
    const left = (['untouched', 'dome gone', 'dip', 'first pan', 'half bare', 'mostly bare'] as const).map(
      (stage) =>
        contentOf(powder({ start: { kind: 'unknown' }, seen: [{ kind: 'stage', stage, uses: 0, lost: 0 }] })).share
          .middle,
    )
    expect(left).toEqual([...left].sort((a, b) => b - a))
    expect(left[0]).toBeGreaterThan(0.9)
  })
})
