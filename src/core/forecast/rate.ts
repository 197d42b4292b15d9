import digamma from '@stdlib/math-base-special-digamma'
import trigamma from '@stdlib/math-base-special-trigamma'
import type { Role } from './role.js'

/** Shares of days, log odds and weights that the rate begins with. */
export interface RateModel {
  /** Share of days on which an item of that role is worn, before anything is known of it. */
  readonly roles: Readonly<Record<Role, number>>
  /** What being in focus adds to the log odds of a day's use. */
  readonly focusShift: number
}
/** Tuned by simulation. */
export const RATE_MODEL: RateModel = { roles: { staple: 0.4, rotation: 0.18, occasional: 0.07 }, focusShift: 0.4 }
/** Days after which a day counts half. Tuned by simulation. */
export const HALF_LIFE_DAYS = 120
/** What a day counts before the item came into focus. Tuned by simulation. */
export const BEFORE_FOCUS = 0.2
/** What is believed at first counts as so many days. Tuned by simulation. */
const PRIOR_DAYS = 15
/** How far user effects drift: variance of the log odds. Tuned by simulation; without it ranges come out too narrow. */
const DRIFT = 0.28

/** Days by number, both ends included. */
export type Stretch = readonly [first: number, last: number]
/** Days by number with what each counts. */
export type Weighted = readonly [first: number, last: number, share: number]

/** On which days an item was used, as numbers from the first day that is known of it (0). */
export interface UseLog {
  readonly role: Role
  /** The last day that is known; of a finished item the day it was finished. */
  readonly cut: number
  /** Days used, each once. */
  readonly uses: readonly number[]
  /** Days that tell nothing: away, or never written down. May overlap. */
  readonly out: readonly Stretch[]
  /** What days count, by stretches that do not overlap: a day in none of them counts for nothing. */
  readonly weights: readonly Weighted[]
  /** It is in a project or the drawer, or it is asked what would be if it were. */
  readonly inFocus: boolean
}

/** What days count of an item that came into focus on a day; null = it never did. */
export function sinceFocus(focus: number | null, cut: number, before = BEFORE_FOCUS): Weighted[] {
  return focus === null
    ? [[0, cut, before]]
    : [
        [0, focus - 1, before],
        [focus, cut, 1],
      ]
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

/** Sums of 2^(-age/half life) over days used and over days not, by what each day counts; those of `out` are in neither. */
export function forgottenSums(log: Omit<UseLog, 'role' | 'inFocus'>, halfLife = HALF_LIFE_DAYS): ForgottenSums {
  const { cut } = log
  const out = disjoint(log.out, cut)
  const isIn = (day: number, [first, last]: readonly [number, number, ...unknown[]]): boolean =>
    day >= first && day <= last
  let used = 0
  for (const day of log.uses)
    if (day >= 0 && day <= cut && !out.some((each) => isIn(day, each)))
      used += (log.weights.find((each) => isIn(day, each))?.[2] ?? 0) * run(day, day, cut, halfLife)
  let all = 0
  for (const [from, to, share] of log.weights) {
    const [first, last] = [Math.max(0, from), Math.min(cut, to)]
    all += share * run(first, last, cut, halfLife)
    for (const each of out) all -= share * run(Math.max(first, each[0]), Math.min(last, each[1]), cut, halfLife)
  }
  return { used, unused: Math.max(0, all - used) }
}

/** Weight of a run of days, as a geometric series: a span of years takes no longer than a week. */
function run(first: number, last: number, cut: number, halfLife: number): number {
  if (last < first) return 0
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

/** The pace shown is counted over so many days, and told from so many of them on that tell something. Assumptions. */
const PACE_DAYS = 84
export const LEAST_PACE_DAYS = 14

/**
 * The pace shown to the user: a count, uses on the days in the drawer or a project within the last twelve weeks, away and unwritten
 * days left out. Null where fewer than 14 such days are known.
 */
export function paceShown({ cut, uses, out, weights }: UseLog): { uses: number; days: number; perWeek: number } | null {
  const from = Math.max(0, cut - PACE_DAYS + 1)
  const silent = disjoint(out, cut)
  const isIn = (day: number): boolean =>
    weights.some(([first, last, share]) => share === 1 && day >= first && day <= last) &&
    !silent.some(([first, last]) => day >= first && day <= last)
  let days = 0
  for (let day = from; day <= cut; day += 1) if (isIn(day)) days += 1
  if (days < LEAST_PACE_DAYS) return null
  const counted = uses.filter((day) => day >= from && day <= cut && isIn(day)).length
  return { uses: counted, days, perWeek: Math.round((70 * counted) / days) / 10 }
}

/** Log odds of a day's use before anything is known; `userEffects` = what is known of the user's beyond this item. */
export function roleLogit(role: Role, inFocus: boolean, userEffects = 0, model = RATE_MODEL): number {
  return logit(model.roles[role]) + (inFocus ? model.focusShift : 0) + userEffects
}

/** How often it is used of late: what the role lets expect, narrowed by the days that are known. */
export function rateOf(log: UseLog, userEffects = 0, sums = forgottenSums(log), model = RATE_MODEL): Rate {
  const m = logistic(roleLogit(log.role, log.inFocus, userEffects, model))
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
