import { addDays, daysBetween, earlier, later, weekdayOf, type Day } from './day.js'
import type { CalmStretch, PlannedWeek } from './planned-week.js'

/** A day away still sees some makeup. Assumption. */
export const AWAY_SHARE = 0.15

/** A run of days on which the same factor holds. */
export interface Segment {
  readonly from: Day
  readonly days: number
  readonly factor: number
}

/**
 * Wear days expected from one day to another, both included; fractions are kept. Computed by stretches of whole weeks, so
 * that a span of centuries takes no longer than a month.
 */
export function wearDaysBetween(from: Day, to: Day, week: PlannedWeek, calm: readonly CalmStretch[] = []): number {
  return segmentsOf(from, to, calm).reduce((sum, each) => sum + each.factor * plainDays(each.from, each.days, week), 0)
}

/** The first day, from one day on, by which so many wear days are to be expected; null where none is up to the last day. */
export function dayOfNthWear(
  wearDays: number,
  from: Day,
  last: Day,
  week: PlannedWeek,
  calm: readonly CalmStretch[],
): Day | null {
  const inWeek = week.reduce((sum, share) => sum + share, 0)
  let left = wearDays
  for (const segment of segmentsOf(from, last, calm)) {
    const whole = segment.factor * plainDays(segment.from, segment.days, week)
    if (whole < left) {
      left -= whole
      continue
    }
    const weeks = Math.max(0, Math.floor(left / (inWeek * segment.factor)) - 1)
    let day = addDays(segment.from, weeks * 7)
    left -= weeks * inWeek * segment.factor
    for (; ; day = addDays(day, 1)) {
      left -= segment.factor * (week[weekdayOf(day)] ?? 0)
      // What is left of a sum of shares is not exactly nothing.
      if (left <= 1e-9) return day
    }
  }
  return null
}

/** Cuts a span where a calm stretch begins or ends; where several hold, the calmest counts. */
export function segmentsOf(from: Day, to: Day, calm: readonly CalmStretch[]): Segment[] {
  if (from > to) return []
  const near = calm.filter((stretch) => stretch.earliest <= to && stretch.latest >= from)
  const end = addDays(to, 1)
  const cuts = new Set<Day>([from, end])
  for (const stretch of near) {
    cuts.add(later(stretch.earliest, from))
    cuts.add(earlier(addDays(stretch.latest, 1), end))
  }
  const sorted = [...cuts].sort()
  return sorted.slice(0, -1).map((start, at) => ({
    from: start,
    days: daysBetween(start, sorted[at + 1] ?? end),
    factor: factorOf(start, near),
  }))
}

function factorOf(day: Day, calm: readonly CalmStretch[]): number {
  return Math.min(
    1,
    ...calm
      .filter((stretch) => day >= stretch.earliest && day <= stretch.latest)
      .map((stretch) => stretch.factor ?? AWAY_SHARE),
  )
}

/** Wear days of so many days in a row by the week alone. */
function plainDays(from: Day, days: number, week: PlannedWeek): number {
  const weeks = Math.floor(days / 7)
  const first = weekdayOf(from)
  let sum = weeks * week.reduce((total, share) => total + share, 0)
  for (let at = 0; at < days - weeks * 7; at += 1) sum += week[(first + at) % 7] ?? 0
  return sum
}
