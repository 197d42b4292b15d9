import { dayAt, type Day } from '#core/calendar/day'
import type { Settings } from '#contract/settings'
import type { Db } from './db/query.js'

/** What every service of the server works with. */
export interface Context {
  readonly db: Db
  readonly now: () => Date
  /** The user's day now, by local time and the user's roll-over hour. */
  readonly today: () => Day
  readonly settings: () => Settings
  /** An id for a row that no caller names. */
  readonly newId: () => string
}

/** The instant at which the next day begins for the user: the next time that the clock stands at the roll-over hour. */
export function nextRollOver(instant: Date, rollOverHour: number): Date {
  const next = new Date(instant)
  next.setHours(rollOverHour, 0, 0, 0)
  if (next <= instant) next.setDate(next.getDate() + 1)
  return next
}

/** The local calendar day of an instant under a roll-over hour. */
export function dayNow(instant: Date, rollOverHour: number): Day {
  return dayAt(
    { year: instant.getFullYear(), month: instant.getMonth() + 1, date: instant.getDate(), hour: instant.getHours() },
    rollOverHour,
  )
}
