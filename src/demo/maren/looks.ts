import { fieldsOf, weekdayOf, type Day } from '#core/calendar/day'
import type { DayRange } from '#core/calendar/when'
import type { Random } from '../random.js'

export type LookKind = 'none' | 'quick' | 'bold'

/**
 * What Maren's day asks for: early shifts on Mondays and Tuesdays without makeup, quick looks on
 * other work days, bold ones on gig Saturdays, Sundays as she likes; fewer in May; two walking
 * weeks in June without any.
 */
export function lookKindOf(day: Day, random: Random): LookKind {
  const { month, date } = fieldsOf(day)
  if (month === 6 && date >= 8 && date <= 21) return 'none'
  const weekday = weekdayOf(day)
  // Hay fever: many days without.
  if (month === 5 && random.chance(0.4)) return 'none'
  if (weekday <= 1) return random.chance(0.06) ? 'quick' : 'none'
  if (weekday === 5) return random.chance(0.75) ? 'bold' : 'quick'
  if (weekday === 6) return random.chance(0.45) ? 'quick' : 'none'
  return random.chance(0.88) ? 'quick' : 'none'
}

/** Hay fever: eyes are off limits in May. */
export function eyesOffLimits(day: Day): boolean {
  return fieldsOf(day).month === 5
}

/** Hay fever in May: less makeup every year. */
export const HAY_FEVER = { from: '05-01', to: '05-31', factor: 0.6 } as const

/** Two walking weeks in June, of this year and the ones around it. */
export function walks(today: Day): DayRange[] {
  const { year } = fieldsOf(today)
  return [year - 2, year - 1, year, year + 1].map((each) => ({
    earliest: `${each}-06-08` as Day,
    latest: `${each}-06-21` as Day,
  }))
}
