import { addDays, dayOf, daysInMonth, lastDayOfMonth, weekdayOf, type Day } from './day.js'
import { isWithin, recordedStretches, type DayLog } from './day-log.js'
import type { DayRange } from './when.js'

/** Share of wear days for each weekday, Monday first, 0..1. */
export type PlannedWeek = readonly [number, number, number, number, number, number, number]

/** A stretch with less makeup: days away at their usual share, a low season at the user's factor of it. */
export type CalmStretch = DayRange & { readonly factor?: number }

/** Weeks that must be logged before the week is learned. */
export const LEARN_AFTER_WEEKS = 4
/** Weeks it is learned from. */
export const LEARN_FROM_WEEKS = 12

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

/** The week to compute with, and over how many weeks it was learned; 0 = it is the one the user ticked. */
export interface KnownWeek {
  readonly week: PlannedWeek
  readonly weeks: number
}

/**
 * The week learned from the log: share of each weekday in the last 12 weeks that was a wear day. Only days that were recorded
 * count: neither the time before the log, nor a stretch nobody wrote down. Days away and low seasons are left out, since every
 * sum takes them off for itself. Until each weekday was seen four times it is the week the user ticked. `log.until` is the last day
 * that counts.
 */
export function learnedWeek(ticked: PlannedWeek, wearDays: ReadonlySet<Day>, log: DayLog): KnownWeek {
  const seen = [0, 0, 0, 0, 0, 0, 0]
  const worn = [0, 0, 0, 0, 0, 0, 0]
  const stretches = recordedStretches(log)
  for (let back = 0; back < LEARN_FROM_WEEKS * 7; back += 1) {
    const day = addDays(log.until, -back)
    if (!isWithin(day, stretches) || isWithin(day, log.calm) || isWithin(day, log.unwritten)) continue
    const weekday = weekdayOf(day)
    seen[weekday] = (seen[weekday] ?? 0) + 1
    if (wearDays.has(day)) worn[weekday] = (worn[weekday] ?? 0) + 1
  }
  if (Math.min(...seen) < LEARN_AFTER_WEEKS) return { week: ticked, weeks: 0 }
  const week = seen.map((count, weekday) => (worn[weekday] ?? 0) / count)
  return { week: week as unknown as PlannedWeek, weeks: Math.round(seen.reduce((sum, each) => sum + each, 0) / 7) }
}
