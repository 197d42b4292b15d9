import { addDays, dayOf, daysInMonth, lastDayOfMonth, weekdayOf, type Day } from './day.js'
import type { DayRange } from './when.js'

/** Share of wear days for each weekday, Monday first, 0..1. */
export type PlannedWeek = readonly [number, number, number, number, number, number, number]

/** A stretch with less makeup: days away at their usual share, a low season at her factor of it. */
export type CalmStretch = DayRange & { readonly factor?: number }

/** A day away still sees some makeup. Assumption. */
export const AWAY_SHARE = 0.15
/** Weeks that must be logged before the week is learned. */
export const LEARN_AFTER_WEEKS = 4
/** Weeks it is learned from. */
export const LEARN_FROM_WEEKS = 12

/** Wear days expected from one day to another, both included. Fractions are kept. */
export function wearDaysBetween(from: Day, to: Day, week: PlannedWeek, away: readonly CalmStretch[] = []): number {
  let sum = 0
  for (let day = from; day <= to; day = addDays(day, 1)) sum += wearShareOf(day, week, away)
  return sum
}

/** How much of a wear day is expected of one day. */
export function wearShareOf(day: Day, week: PlannedWeek, calm: readonly CalmStretch[]): number {
  const share = week[weekdayOf(day)] ?? 0
  const factors = calm
    .filter((stretch) => day >= stretch.earliest && day <= stretch.latest)
    .map((stretch) => stretch.factor ?? AWAY_SHARE)
  return share * Math.min(1, ...factors)
}

/**
 * The stretches of a low season that comes every year, `MM-DD` to `MM-DD` and over New Year if need be, in the years from
 * one to another.
 */
export function yearlyStretches(
  season: { readonly from: string; readonly to: string; readonly factor: number },
  firstYear: number,
  lastYear: number,
): CalmStretch[] {
  const found: CalmStretch[] = []
  for (let year = firstYear; year <= lastYear; year += 1) {
    const end = season.to < season.from ? year + 1 : year
    found.push({ earliest: dayIn(year, season.from), latest: dayIn(end, season.to), factor: season.factor })
  }
  return found
}

/** A 29 February is the 28th in other years. */
function dayIn(year: number, monthDay: string): Day {
  const [month = 1, date = 1] = monthDay.split('-').map(Number)
  return dayOf(year, month, Math.min(date, daysInMonth(year, month))) ?? lastDayOfMonth(year, 1)
}

/**
 * The week learned from the log: share of each weekday in the last 12 weeks that was a wear day.
 * Until four weeks are logged it is the week she ticked. `until` is the last day that counts.
 */
export function learnedWeek(
  ticked: PlannedWeek,
  wearDays: ReadonlySet<Day>,
  loggedSince: Day | null,
  until: Day,
): { week: PlannedWeek; learned: boolean } {
  if (loggedSince === null) return { week: ticked, learned: false }
  const seen = [0, 0, 0, 0, 0, 0, 0]
  const worn = [0, 0, 0, 0, 0, 0, 0]
  let day = until
  for (let back = 0; back < LEARN_FROM_WEEKS * 7 && day >= loggedSince; back += 1, day = addDays(day, -1)) {
    const weekday = weekdayOf(day)
    seen[weekday] = (seen[weekday] ?? 0) + 1
    if (wearDays.has(day)) worn[weekday] = (worn[weekday] ?? 0) + 1
  }
  if (Math.min(...seen) < LEARN_AFTER_WEEKS) return { week: ticked, learned: false }
  const week = seen.map((count, weekday) => (worn[weekday] ?? 0) / count)
  return { week: week as unknown as PlannedWeek, learned: true }
}
