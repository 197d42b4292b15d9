/** A calendar date of the owner's clock, written `2026-11-24`. Never an instant. */
export type Day = string & { readonly __brand: 'Day' }

const DAY_MS = 86_400_000
const SHAPE = /^(\d{4})-(\d{2})-(\d{2})$/

/** Days lie in these years: nothing in a collection is older, and no date of the user's lies further ahead. Assumption. */
export const FIRST_YEAR = 1970
export const LAST_YEAR = 2199

/** The day of these numbers, or null where the calendar has none (31 February) or the year is not 1970..2199. */
export function dayOf(year: number, month: number, date: number): Day | null {
  if (year < FIRST_YEAR || year > LAST_YEAR || month < 1 || month > 12 || date < 1) return null
  if (date > daysInMonth(year, month)) return null
  return write(year, month, date)
}

/** Reads `YYYY-MM-DD`; null for anything else, a day that does not exist included. */
export function parseDay(text: string): Day | null {
  const found = SHAPE.exec(text)
  return found ? dayOf(Number(found[1]), Number(found[2]), Number(found[3])) : null
}

/** Year, month 1..12 and date 1..31 of a day. */
export function fieldsOf(day: Day): { year: number; month: number; date: number } {
  return { year: +day.slice(0, 4), month: +day.slice(5, 7), date: +day.slice(8, 10) }
}

export function daysInMonth(year: number, month: number): number {
  return new Date(Date.UTC(year, month, 0)).getUTCDate()
}

/** Whole days from one day to another; negative when the second is earlier. */
export function daysBetween(from: Day, to: Day): number {
  return Math.round((serial(to) - serial(from)) / DAY_MS)
}

export function addDays(day: Day, days: number): Day {
  const moved = new Date(serial(day) + days * DAY_MS)
  return write(moved.getUTCFullYear(), moved.getUTCMonth() + 1, moved.getUTCDate())
}

/** Month arithmetic clamps to the month's last day: 31 January + 1 month = 28 or 29 February. */
export function addMonths(day: Day, months: number): Day {
  const { year, month, date } = fieldsOf(day)
  const count = year * 12 + (month - 1) + months
  const toYear = Math.floor(count / 12)
  const toMonth = count - toYear * 12 + 1
  return write(toYear, toMonth, Math.min(date, daysInMonth(toYear, toMonth)))
}

/** The last day of a month: a month-only expiry is good up to and including it. */
export function lastDayOfMonth(year: number, month: number): Day {
  return write(year, month, daysInMonth(year, month))
}

/** First days of months between two days, both included: every month, or every second, third, sixth, twelfth …, so that there are at most `most`. */
export function monthStarts(from: Day, to: Day, most: number): Day[] {
  const [first, last] = [fieldsOf(from), fieldsOf(to)]
  const start = first.year * 12 + first.month - (first.date === 1 ? 1 : 0)
  const end = last.year * 12 + last.month - 1
  const step = [1, 2, 3, 6, 12, 24, 60].find((each) => (end - start) / each < most) ?? 120
  const days: Day[] = []
  for (let month = Math.ceil(start / step) * step; month <= end; month += step) {
    const day = dayOf(Math.floor(month / 12), (month % 12) + 1, 1)
    if (day !== null) days.push(day)
  }
  return days
}

/** 0 = Monday … 6 = Sunday. */
export function weekdayOf(day: Day): number {
  return (new Date(serial(day)).getUTCDay() + 6) % 7
}

export function earlier(a: Day, b: Day): Day {
  return a <= b ? a : b
}

export function later(a: Day, b: Day): Day {
  return a >= b ? a : b
}

/**
 * The owner's day of a local wall-clock reading: before the roll-over hour it is still yesterday.
 *
 * @example dayAt({ year: 2027, month: 1, date: 1, hour: 2 }, 4) === '2026-12-31'
 */
export function dayAt(wall: { year: number; month: number; date: number; hour: number }, rollOverHour: number): Day {
  const day = write(wall.year, wall.month, wall.date)
  return wall.hour < rollOverHour ? addDays(day, -1) : day
}

function serial(day: Day): number {
  const { year, month, date } = fieldsOf(day)
  return Date.UTC(year, month - 1, date)
}

function write(year: number, month: number, date: number): Day {
  const pad = (n: number, width: number): string => String(n).padStart(width, '0')
  return `${pad(year, 4)}-${pad(month, 2)}-${pad(date, 2)}` as Day
}
