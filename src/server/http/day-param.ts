import { parseDay, type Day } from '#core/calendar/day'

/** A day given in the address, or null. */
export function dayParam(value: unknown): Day | null {
  return typeof value === 'string' ? parseDay(value) : null
}
