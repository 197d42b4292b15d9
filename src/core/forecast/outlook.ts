import { sumBy } from '../lists/grouping.js'
import type { Span } from './weighed.js'
import { CURVE_DAYS } from './curve-days.js'
import { availableDays, chanceWithin, finishSpan, goalUses } from './finish.js'
import { phiInverse } from './normal.js'
import type { Forecast } from './forecast.js'
import { logistic } from './rate.js'

/** Where the fan is drawn: parts of the way to the latest likely finish. */
const FAN_STEPS = 16
/** Equally likely rates that a fan is drawn from. */
const RATE_STEPS = 5

/** What is left along the days ahead, as shares of a full one. */
export interface FanPoint extends Span {
  readonly days: number
}

/** Uses left and share left that go together: more left is more uses left. */
export function samplesOf({ content }: Pick<Forecast, 'content'>): { readonly uses: number; readonly share: number }[] {
  const { usesLeft, share } = content
  return usesLeft.map((uses, n) => ({ uses, share: along(share, (n + 0.5) / usesLeft.length) }))
}

/** A likely span as a function of the chance, in straight lines between and beyond what is known of it. */
function along({ low, middle, high }: Span, p: number): number {
  const at = p < 0.5 ? middle + ((p - 0.5) / 0.4) * (middle - low) : middle + ((p - 0.5) / 0.4) * (high - middle)
  return Math.min(1, Math.max(0, at))
}

/** What is left so many days ahead, as equally likely shares of a full one; a function of the days. */
function sharesAhead(forecast: Forecast): (days: number) => number[] {
  const { rate, calendar } = forecast
  const samples = samplesOf(forecast)
  const rates = Array.from({ length: RATE_STEPS }, (_, n) =>
    logistic(rate.mean + Math.sqrt(rate.variance) * phiInverse((n + 0.5) / RATE_STEPS)),
  )
  return (days) => {
    const available = availableDays(days, calendar)
    return samples.flatMap(({ uses, share }) => rates.map((each) => share * Math.max(0, 1 - (available * each) / uses)))
  }
}

/** What is expected to be left so many days ahead, as a share of a full one. */
export function expectedShareIn(days: number, forecast: Forecast): number {
  const shares = sharesAhead(forecast)(days)
  return sumBy(shares, (each) => each) / shares.length
}

/** The fan from the last known day to where nine tenths of the chances have finished it, or to the end of what is drawn. */
export function fanOf(forecast: Forecast, most: number): FanPoint[] {
  const leftIn = sharesAhead(forecast)
  const end = Math.min(forecast.finish.high, most)
  return Array.from({ length: FAN_STEPS + 1 }, (_, n) => {
    const days = end * (n / FAN_STEPS) ** 1.4
    const left = leftIn(days).sort((a, b) => a - b)
    const at = (p: number): number => left[Math.min(left.length - 1, Math.floor(p * left.length))] ?? 0
    return { days, low: at(0.1), middle: at(0.5), high: at(0.9) }
  })
}

/** The chance of being finished by each of the days of `CURVE_DAYS`. */
export function curveOf({ content, rate, calendar }: Forecast): number[] {
  return CURVE_DAYS.map((days) => chanceWithin(days, content.usesLeft, rate, calendar))
}

/** What a goal asks for: uses, or to be down to a share of what a full one holds. */
export type GoalAim =
  | { readonly kind: 'uses'; readonly target: number; readonly done: number }
  | { readonly kind: 'share'; readonly left: number }

/** Uses that a goal still asks for, as equally likely numbers. */
export function usesUntil(forecast: Pick<Forecast, 'content'>, aim: GoalAim): number[] {
  if (aim.kind === 'uses') return goalUses(aim.target, aim.done)
  return samplesOf(forecast).map(({ uses, share }) =>
    share <= aim.left ? 0.5 : Math.max(0.5, (uses * (share - aim.left)) / share),
  )
}

export interface Outlook {
  /** Days ahead by which it is reached. */
  readonly days: Span
  /** Chance that it is reached by its date; null without one. */
  readonly chance: number | null
}

/** When a goal will be reached, if it goes on like this. `until` = days to its date. */
export function outlookOf(
  { content, rate, calendar }: Pick<Forecast, 'content' | 'rate' | 'calendar'>,
  aim: GoalAim,
  until: number | null,
): Outlook {
  const uses = usesUntil({ content }, aim)
  const enough = aim.kind === 'uses' ? whileItLasts(content.usesLeft, uses) : uses
  return {
    days: finishSpan(uses, rate, calendar),
    chance: until === null ? null : chanceWithin(until, enough, rate, calendar),
  }
}

/** The uses asked for, at each number of uses left: never where it runs out before. */
function whileItLasts(usesLeft: readonly number[], [asked = 0]: readonly number[]): number[] {
  return usesLeft.map((left) => (left < asked ? Infinity : asked))
}

/** Uses that a goal still asks for, from 1: equally likely numbers, the smallest first, to a tenth. */
export function needsOfGoal(forecast: Pick<Forecast, 'content'>, aim: GoalAim): number[] {
  return usesUntil(forecast, aim)
    .map((each) => Math.max(1, Math.round(each * 10) / 10))
    .sort((a, b) => a - b)
}
