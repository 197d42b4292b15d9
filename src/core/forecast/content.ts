import { GaussianState } from './content-state.js'
import type { PackageModel } from './form-models.js'
import { logNormalDensity, phi, positiveQuantile, Z_TENTH } from './normal.js'
import { STAGE_LEVELS, type StageLevel } from '../item/stage-levels.js'
import { median } from '../lists/median.js'
import type { UseAmount } from './use-amounts.js'
import { samplesOf, spanOf, type Span, type Weighed } from './weighed.js'

/** Something seen of an item. `uses` = logged uses on or after it, the day's own only where it was seen before that. */
export type Seen =
  | {
      readonly kind: 'gross'
      readonly grams: number
      /** The scale's smallest step, g. */
      readonly resolution: number
      /** Which weighing series it belongs to, from 0. */
      readonly series: number
      readonly uses: number
      /** Grams lost otherwise since (spilt, given to a blend). */
      readonly lost: number
    }
  | { readonly kind: 'level' | 'length'; readonly share: number; readonly uses: number; readonly lost: number }
  | { readonly kind: 'stage'; readonly stage: StageLevel; readonly uses: number; readonly lost: number }

/** An empty package of the same kind: `cleaned` has lost what could not be reached. */
export interface SeenEmpty {
  readonly grams: number
  readonly resolution: number
  readonly cleaned: boolean
  /** Which series it speaks of; 0 = the package it came in. */
  readonly series: number
}

/**
 * How it started when its log did: new; by the uses that the user states; used, with so much left; opened before the log, with
 * nothing known of it.
 */
export type Start =
  | { readonly kind: 'new' | 'unknown' }
  | { readonly kind: 'stated'; readonly uses: number }
  | { readonly kind: 'used'; readonly share: number }

export interface ContentFacts {
  readonly amount: UseAmount
  readonly package: PackageModel
  /** Content by its label in g; null = not known. */
  readonly label: number | null
  /** What else is known of the user's hand, as a shift of the log amount. 0 = nothing. */
  readonly handShift: number
  readonly start: Start
  /** Logged uses in all. */
  readonly uses: number
  /** Grams lost otherwise in all. */
  readonly lost: number
  readonly series: number
  readonly empties: readonly SeenEmpty[]
  /** Its own weight when it was full. */
  readonly full: { readonly grams: number; readonly resolution: number } | null
  /** Everything seen, by date. */
  readonly seen: readonly Seen[]
  readonly finished: boolean
}

export interface ContentEstimate {
  /** Usable grams left. */
  readonly grams: Span
  /** The same as a share of the usable grams of a full one. */
  readonly share: Span
  /** Grams a logged use takes. */
  readonly perUse: Span
  /** The same as a normal of its logarithm. */
  readonly logPerUse: { readonly mean: number; readonly sd: number }
  /** Uses left, as fifteen equally likely numbers, ascending. */
  readonly usesLeft: readonly number[]
  /** Gross weight when finished, by series: mean and standard deviation. */
  readonly packages: readonly { readonly mean: number; readonly sd: number }[]
  /** Where scale and label contradict each other: usable grams of a full one by each. Null where they do not. */
  readonly disagreement: { readonly byScale: number; readonly byLabel: number } | null
}

const COARSE = 17
const COARSE_REACH = 4
const FINE_REACH = 3.5
/** Amounts of R that stand for its likely span. */
const R_PROBABILITIES = [0.1, 0.3, 0.5, 0.7, 0.9]
const DISAGREE_SD = 3
/** How a use differs from the next, and how user effects drift, as shares of its amount. Tuned by simulation. */
const USE_SD = 0.4
const DRIFT_SD = 0.15
const START_SD = { new: 0.01, stated: 0.01, used: 0.11, unknown: 0.36 } as const
/** What is left of something opened before the log, as a share of a full one. Tuned by simulation. */
const UNKNOWN_START = 0.58
/** Uses that are stated are off by this share of them. Tuned by simulation; results hardly depend on it. */
const STATED_SD = 0.3
const FINISHED_SD = 0.03
/** Empties of one kind differ by this share of their weight. Assumption. */
const EMPTY_SD = 0.015
/** A label printed otherwise than it was filled. Assumption. */
const FILL_SD = 0.03
const UNKNOWN_LABEL_SD = 0.3
const MOST_EACH_END = 19

interface Point {
  readonly a: number
  readonly state: GaussianState
  readonly logWeight: number
}

/**
 * How much is left, from any mix of weighings, marks, stages, lengths, empties and logged uses. Usable grams, gross weight when
 * finished (by series) and usable grams when full are jointly normal for each amount per use on a grid; the grid is weighed by
 * how well it explains what was seen. Deterministic.
 */
export function contentOf(given: ContentFacts): ContentEstimate {
  const disagreement = disagreementOf(given)
  const facts = disagreement === null ? given : { ...given, label: null }
  return { ...summary(pointsOf(facts, given), facts), disagreement }
}

/** Only what a use takes, as a normal of its logarithm: quicker than all that `contentOf` tells. */
export function logPerUseOf(given: ContentFacts): { readonly mean: number; readonly sd: number } {
  return momentsOf(pointsOf(disagreementOf(given) === null ? given : { ...given, label: null }, given))
}

/**
 * What was left at earlier times, as shares of a full one: each with the logged uses and other losses since. Narrow where it was
 * weighed, since what a use takes and what is left now move together.
 */
export function sharesBefore(
  given: ContentFacts,
  times: readonly { readonly uses: number; readonly lost: number }[],
): Span[] {
  const facts = disagreementOf(given) === null ? given : { ...given, label: null }
  const points = pointsOf(facts, given)
  const weights = weightsOf(points)
  return times.map(({ uses, lost }) =>
    spanOf(
      points.flatMap(({ a, state }, n) =>
        R_PROBABILITIES.map((p) => ({
          value: Math.min(
            1,
            positiveQuantile(p, (state.mean[0] ?? 0) + a * uses + lost, state.sd(0)) /
              Math.max(state.mean[1] ?? 0, 1e-9),
          ),
          weight: (weights[n] ?? 0) / R_PROBABILITIES.length,
        })),
      ),
    ),
  )
}

/** The grid of amounts per use, first over all that is likely, then over what what was seen leaves of it. */
function pointsOf(facts: ContentFacts, given: ContentFacts): Point[] {
  const centre = Math.log(facts.amount.median) + facts.handShift
  const { sd } = facts.amount
  const step = (2 * COARSE_REACH * sd) / (COARSE - 1)
  const moments = momentsOf(gridOf(facts, given, centre, step))
  const narrow = Math.max(moments.sd, 0.35 * step)
  return gridOf(facts, given, moments.mean, (FINE_REACH * narrow) / ((COARSE - 1) / 2))
}

/** Where full minus empty and the label differ by more than three of their standard deviations together. */
function disagreementOf(facts: ContentFacts): ContentEstimate['disagreement'] {
  const { label: c, full, package: pack } = facts
  const empty = emptyOf(facts, 0)
  if (c === null || full === null || empty === null) return null
  const byScale = full.grams - empty.grams
  const byLabel = c * (1.02 - pack.residue)
  const sd = Math.hypot(c * Math.hypot(pack.residueSd, FILL_SD), Math.sqrt(empty.variance), 0.5 * full.resolution)
  return Math.abs(byScale - byLabel) > DISAGREE_SD * sd ? { byScale, byLabel } : null
}

/** Weight when finished by the empties of a series, taken together: they differ among each other, not only from this one. */
function emptyOf(facts: ContentFacts, series: number): { grams: number; variance: number } | null {
  const own = facts.empties.filter((each) => each.series === series)
  if (own.length === 0) return null
  const c = facts.label ?? typicalGrams(facts)
  const { residue, residueSd } = facts.package
  const finished = own.map((each) => (each.cleaned ? each.grams + residue * c : each.grams))
  const grams = finished.reduce((sum, each) => sum + each, 0) / own.length
  const resolution = Math.min(...own.map((each) => each.resolution))
  const variance =
    (EMPTY_SD * grams) ** 2 +
    (residueSd * c) ** 2 +
    (0.4 * resolution) ** 2 +
    (own.every((e) => e.cleaned) ? (residueSd * c) ** 2 : 0)
  return { grams, variance }
}

function typicalGrams({ amount }: ContentFacts): number {
  const { typicalLabel, density } = amount
  return typicalLabel.unit === 'g' ? typicalLabel.amount : typicalLabel.amount * density
}

/** `said` has the label as printed, which scales the model even where its figure does not count. */
function gridOf(facts: ContentFacts, said: ContentFacts, centre: number, step: number): Point[] {
  const c = said.label ?? typicalGrams(said)
  const seen = observationsOf(facts, c)
  return Array.from({ length: COARSE }, (_, n) => {
    const logA = centre + (n - (COARSE - 1) / 2) * step
    const a = Math.exp(logA)
    const state = stateFor(facts, c, a, seen)
    const prior = logNormalDensity(logA - Math.log(facts.amount.median) - facts.handShift, facts.amount.sd ** 2)
    const above = phi((state.mean[0] ?? 0) / state.sd(0))
    return { a, state, logWeight: state.logLikelihood + prior + Math.log(Math.max(above, 1e-300)) }
  })
}

/** Something seen, made ready for every point of the grid: only what the uses since took depends on the point. */
interface Observation {
  readonly weights: readonly number[]
  /** Without what the uses since took, g. */
  readonly value: number
  readonly variance: number
  /** Uses since. */
  readonly uses: number
  /** Of those, how far their number may be off: its standard deviation. */
  readonly usesSd?: number
  /** Over how many grams a slip may lie; null = it is none. */
  readonly width: number | null
}

/** Everything seen, in the order in which it is taken in: empties, full, start; weighings; marks; finished. */
function observationsOf(facts: ContentFacts, c: number): Observation[] {
  const { residue: q, tau, markSd, lengthSd } = facts.package
  const rows = Array.from({ length: facts.series }, (_, n) => n)
  const weights = (r: number, f: number, series: number | null): number[] => [
    r,
    f,
    ...rows.map((n) => (n === series ? 1 : 0)),
  ]
  const usable = (share: number): number => (share - q) / (1 - q)
  const found: Observation[] = []
  for (const series of rows) {
    const empty = emptyOf({ ...facts, label: c }, series)
    if (empty)
      found.push({ weights: weights(0, 0, series), value: empty.grams, variance: empty.variance, uses: 0, width: null })
  }
  const { full, start } = facts
  if (full)
    found.push({
      weights: weights(0, 1, 0),
      value: full.grams,
      variance: (0.5 * full.resolution) ** 2,
      uses: 0,
      width: null,
    })
  const f = start.kind === 'used' ? start.share : start.kind === 'unknown' ? UNKNOWN_START : 1
  const stated = start.kind === 'stated' ? start.uses : 0
  found.push({
    weights: weights(1, -usable(f), null),
    value: -facts.lost,
    variance: (c * START_SD[start.kind]) ** 2,
    uses: facts.uses + stated,
    usesSd: STATED_SD * stated,
    width: null,
  })
  for (const seen of weighingsInOrder(facts))
    found.push({
      weights: weights(1, 0, seen.series),
      value: seen.grams - seen.lost,
      variance: (0.5 * seen.resolution) ** 2,
      uses: seen.uses,
      width: 3 * tau * c + c,
    })
  for (const seen of marksInOrder(facts)) {
    const share = seen.kind === 'stage' ? STAGE_LEVELS[seen.stage].left : seen.share
    const sd = seen.kind === 'stage' ? STAGE_LEVELS[seen.stage].sd : seen.kind === 'length' ? lengthSd : markSd
    found.push({
      weights: weights(1, -usable(share), null),
      value: -seen.lost,
      variance: (c * sd) ** 2,
      uses: seen.uses,
      width: seen.kind === 'stage' ? null : 1.5 * c,
    })
  }
  if (facts.finished)
    found.push({ weights: weights(1, 0, null), value: 0, variance: (FINISHED_SD * c) ** 2, uses: 0, width: null })
  return found
}

/** R, F, then T of every series. */
function stateFor(facts: ContentFacts, c: number, a: number, seen: readonly Observation[]): GaussianState {
  const { residue: q, residueSd, tau } = facts.package
  const f0 = c * (1.02 - q)
  const sdF = facts.label === null ? UNKNOWN_LABEL_SD * c : c * Math.hypot(residueSd, FILL_SD)
  const packages = Array.from({ length: facts.series }, () => tau * c)
  const state = new GaussianState([0.5 * f0, f0, ...packages], [0.6 * f0, sdF, ...packages.map((each) => 0.7 * each)])
  for (const { weights, value, variance, uses, usesSd = 0, width } of seen) {
    const spread = variance + a * a * (uses * (USE_SD ** 2 + DRIFT_SD ** 2 * uses) + usesSd ** 2)
    if (width === null) state.see(weights, value - a * uses, spread)
    else state.seeRobustly(weights, value - a * uses, spread, width)
  }
  return state
}

/** Those nearest to what they all say first, so that a slip does not lead the way. */
function weighingsInOrder({ seen, full, uses, amount }: ContentFacts) {
  const all = seen.filter((each) => each.kind === 'gross')
  // A weighing of the first day that equals the full weight is that same weighing.
  const own = all.filter((each) => !(full !== null && each.uses === uses && each.grams === full.grams))
  const kept = bothEnds(own)
  const level = (each: (typeof kept)[number]): number => each.grams - amount.median * each.uses
  const sorted = kept.map(level).sort((a, b) => a - b)
  const middle = median(sorted)
  return [...kept].sort((a, b) => Math.abs(level(a) - middle) - Math.abs(level(b) - middle))
}

function marksInOrder({ seen }: ContentFacts) {
  const stages = new Set<StageLevel>()
  const all = seen
    .filter((each) => each.kind !== 'gross')
    .filter((each) => {
      if (each.kind !== 'stage') return true
      if (stages.has(each.stage)) return false
      stages.add(each.stage)
      return true
    })
  return bothEnds(all)
}

/** The first and the last of them by date. */
function bothEnds<T>(all: readonly T[]): readonly T[] {
  return all.length <= 2 * MOST_EACH_END ? all : [...all.slice(0, MOST_EACH_END), ...all.slice(-MOST_EACH_END)]
}

function momentsOf(points: readonly Point[]): { mean: number; sd: number } {
  const weights = weightsOf(points)
  const mean = points.reduce((sum, point, n) => sum + (weights[n] ?? 0) * Math.log(point.a), 0)
  const variance = points.reduce((sum, point, n) => sum + (weights[n] ?? 0) * (Math.log(point.a) - mean) ** 2, 0)
  return { mean, sd: Math.sqrt(variance) }
}

function weightsOf(points: readonly Point[]): number[] {
  const most = Math.max(...points.map((point) => point.logWeight))
  const raw = points.map((point) => Math.exp(point.logWeight - most))
  const total = raw.reduce((sum, each) => sum + each, 0)
  return raw.map((each) => each / total)
}

function summary(points: readonly Point[], facts: ContentFacts): Omit<ContentEstimate, 'disagreement'> {
  const weights = weightsOf(points)
  const grams: Weighed[] = []
  const shares: Weighed[] = []
  const uses: Weighed[] = []
  points.forEach(({ a, state }, n) => {
    const [meanR, sdR] = [state.mean[0] ?? 0, state.sd(0)]
    for (const p of R_PROBABILITIES) {
      const r = positiveQuantile(p, meanR, sdR)
      const weight = (weights[n] ?? 0) / R_PROBABILITIES.length
      // What a full one held, given that this much is left.
      const full = (state.mean[1] ?? 0) + (state.covariance(0, 1) / Math.max(sdR * sdR, 1e-12)) * (r - meanR)
      grams.push({ value: r, weight })
      shares.push({ value: Math.min(1, full > 0 ? r / full : 1), weight })
      uses.push({ value: r / a, weight })
    }
  })
  const packages = Array.from({ length: facts.series }, (_, series) => {
    const mean = points.reduce((sum, { state }, n) => sum + (weights[n] ?? 0) * (state.mean[2 + series] ?? 0), 0)
    const second = points.reduce(
      (sum, { state }, n) =>
        sum + (weights[n] ?? 0) * (state.sd(2 + series) ** 2 + ((state.mean[2 + series] ?? 0) - mean) ** 2),
      0,
    )
    return { mean, sd: Math.sqrt(second) }
  })
  const logPerUse = momentsOf(points)
  return {
    grams: spanOf(grams),
    share: spanOf(shares),
    perUse: smoothSpan(logPerUse),
    logPerUse,
    usesLeft: samplesOf(uses),
    packages,
  }
}

/** The amount per use is lognormal, near enough: its span by mean and standard deviation of the logarithm. */
function smoothSpan({ mean, sd }: { readonly mean: number; readonly sd: number }): Span {
  return { low: Math.exp(mean - Z_TENTH * sd), middle: Math.exp(mean), high: Math.exp(mean + Z_TENTH * sd) }
}
