import digamma from '@stdlib/math-base-special-digamma'
import trigamma from '@stdlib/math-base-special-trigamma'
import type { Role } from './role.js'

/** Share of days on which an item of that role is worn, before anything is known of it. Assumption. */
const ROLE_RATES: Readonly<Record<Role, number>> = { staple: 0.5, rotation: 0.22, occasional: 0.08 }
/** Days after which a day counts half. Tuned by simulation. */
export const HALF_LIFE_DAYS = 120
/** What a day counts before the item came into focus. Tuned by simulation. */
const BEFORE_FOCUS = 0.4
/** What being in focus adds to the log odds of a day's use. Tuned by simulation. */
const FOCUS_SHIFT = 0.5
/** What is believed at first counts as so many days. Tuned by simulation. */
const PRIOR_DAYS = 15
/** How far habits drift: variance of the log odds. Tuned by simulation; without it ranges come out too narrow. */
const DRIFT = 0.28

/** Days by number, both ends included. */
export type Stretch = readonly [first: number, last: number]

/** On which days an item was used, as numbers from the first day that is known of it (0). */
export interface UseLog {
  readonly role: Role
  /** The last day that is known; of a finished item the day it was finished. */
  readonly cut: number
  /** Days used, each once. */
  readonly uses: readonly number[]
  /** Days that tell nothing: away, or never written down. May overlap. */
  readonly out: readonly Stretch[]
  /** The day it came into focus (a project, the drawer); null = it is in none. */
  readonly focus: number | null
}

/** Log odds of a day's use: normal. */
export interface Rate {
  readonly mean: number
  readonly variance: number
}

/** Days used and days not, each worth less the longer ago it is. */
export interface ForgottenSums {
  readonly used: number
  readonly unused: number
}

/**
 * Sums of 2^(-age/half life) over days used and over days not, those of `out` left out of both, and days before the focus worth
 * less.
 */
export function forgottenSums(log: Omit<UseLog, 'role'>, halfLife = HALF_LIFE_DAYS): ForgottenSums {
  const out = disjoint(log.out, log.cut)
  const used = log.uses
    .filter((day) => day >= 0 && day <= log.cut && !out.some(([first, last]) => day >= first && day <= last))
    .reduce((sum, day) => sum + weightOf(day, day, log, halfLife), 0)
  const all = weightOf(0, log.cut, log, halfLife)
  const silent = out.reduce((sum, [first, last]) => sum + weightOf(first, last, log, halfLife), 0)
  return { used, unused: Math.max(0, all - silent - used) }
}

/** Weight of a run of days, as a geometric series: a span of years takes no longer than a week. */
function weightOf(first: number, last: number, { cut, focus }: Omit<UseLog, 'role'>, halfLife: number): number {
  if (last < first) return 0
  if (focus !== null && first < focus && last >= focus)
    return BEFORE_FOCUS * run(first, focus - 1, cut, halfLife) + run(focus, last, cut, halfLife)
  return (focus !== null && last < focus ? BEFORE_FOCUS : 1) * run(first, last, cut, halfLife)
}

function run(first: number, last: number, cut: number, halfLife: number): number {
  const back = 2 ** (-1 / halfLife)
  return (back ** (cut - last) * (1 - back ** (last - first + 1))) / (1 - back)
}

/** The same days as stretches that do not overlap, within 0 to the cut. */
function disjoint(stretches: readonly Stretch[], cut: number): Stretch[] {
  const sorted = stretches
    .map(([first, last]) => [Math.max(0, first), Math.min(cut, last)] as const)
    .filter(([first, last]) => first <= last)
    .sort(([a], [b]) => a - b)
  const found: [number, number][] = []
  for (const [first, last] of sorted) {
    const before = found.at(-1)
    if (before && first <= before[1] + 1) before[1] = Math.max(before[1], last)
    else found.push([first, last])
  }
  return found
}

/** Log odds of a day's use before anything is known; `habit` = what is known of the user's beyond this item. */
export function roleLogit(role: Role, inFocus: boolean, userEffects = 0): number {
  return logit(ROLE_RATES[role]) + (inFocus ? FOCUS_SHIFT : 0) + userEffects
}

/** How often it is used of late: what the role lets expect, narrowed by the days that are known. */
export function rateOf(log: UseLog, userEffects = 0, sums = forgottenSums(log)): Rate {
  const m = logistic(roleLogit(log.role, log.focus !== null, userEffects))
  const alpha = PRIOR_DAYS * m + sums.used
  const beta = PRIOR_DAYS * (1 - m) + sums.unused
  return {
    mean: digamma(alpha) - digamma(beta),
    variance: trigamma(alpha) + trigamma(beta) + DRIFT,
  }
}

/** Mean and variance of the log odds of a share that is beta distributed. */
export function logitMoments(alpha: number, beta: number): Rate {
  return { mean: digamma(alpha) - digamma(beta), variance: trigamma(alpha) + trigamma(beta) }
}

export function logit(p: number): number {
  return Math.log(p / (1 - p))
}

export function logistic(x: number): number {
  return 1 / (1 + Math.exp(-x))
}
