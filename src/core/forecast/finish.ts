import { addDays, type Day } from '../calendar/day.js'
import type { CalmStretch } from '../calendar/planned-week.js'
import { segmentsOf } from '../calendar/wear-days.js'
import { phi } from './normal.js'
import { logit, type Rate } from './rate.js'

/** Nothing is looked for further ahead, days: a century. */
export const HORIZON_DAYS = 36_500
const BISECTIONS = 22
/** Where so many uses are needed of so many days, they cannot all come. */
const NEVER = 0.9999

/** The days ahead, counted from the one after the last known, cut where a calm stretch begins or ends. Made once, asked often. */
export type Calendar = readonly { readonly after: number; readonly share: number; readonly before: number }[]

/** Usual days that the days after the last known one are worth, ready to be asked. */
export function calendarOf(last: Day, calm: readonly CalmStretch[]): Calendar {
  let after = 0
  let before = 0
  return segmentsOf(addDays(last, 1), addDays(last, HORIZON_DAYS), calm).map(({ days, factor: share }) => {
    const part = { after, share, before }
    after += days
    before += share * days
    return part
  })
}

/** Usual days that the next `days` days are worth. */
export function availableDays(days: number, calendar: Calendar): number {
  const part = calendar.findLast(({ after }) => after < days)
  return part ? part.before + part.share * (days - part.after) : 0
}

/**
 * Chance that what needs so many uses is done within `days` days: the mean over equally likely numbers of uses. Known rate and
 * drift make it normal on the scale of log odds.
 */
export function chanceWithin(days: number, uses: readonly number[], rate: Rate, calendar: Calendar): number {
  const available = availableDays(days, calendar)
  if (!(available > 0) || uses.length === 0) return 0
  let sum = 0
  for (const n of uses) {
    const share = n / available
    if (share >= NEVER) continue
    sum += phi((rate.mean - logit(share)) / Math.sqrt(rate.variance + 1 / (n * (1 - share))))
  }
  return sum / uses.length
}

/** The days within which it is done with that chance; the horizon where it is not. */
export function daysFor(chance: number, uses: readonly number[], rate: Rate, calendar: Calendar): number {
  let low = 0
  let high = Math.log(HORIZON_DAYS)
  if (chanceWithin(HORIZON_DAYS, uses, rate, calendar) < chance) return HORIZON_DAYS
  for (let n = 0; n < BISECTIONS; n += 1) {
    const middle = (low + high) / 2
    if (chanceWithin(Math.exp(middle), uses, rate, calendar) < chance) low = middle
    else high = middle
  }
  return Math.exp((low + high) / 2)
}

/** When it is done: a tenth of the chances before `low`, half before `middle`, nine tenths before `high`, days ahead. */
export function finishSpan(
  uses: readonly number[],
  rate: Rate,
  calendar: Calendar,
): { readonly low: number; readonly middle: number; readonly high: number } {
  const at = (chance: number): number => daysFor(chance, uses, rate, calendar)
  return { low: at(0.1), middle: at(0.5), high: at(0.9) }
}

/** Uses that a goal of so many still asks for, as one likely number; what was done counts half a use of doubt. */
export function goalUses(target: number, done: number): number[] {
  return [Math.max(0.5, target - done - 0.5)]
}
