import { fail, ok, type Outcome } from '../failure.js'
import { dayOf, fieldsOf, lastDayOfMonth, type Day } from './day.js'
import { monthNamed } from './month-names.js'

/** A time known as closely as she knows it: a day, a month, a year or a range. Both ends included. */
export interface DayRange {
  readonly earliest: Day
  readonly latest: Day
}

/** Which number of `3/4/2025` is the month. Seen from the whole column, never from one cell. */
export type DateOrder = 'month-first' | 'day-first'

export type WhenFailure = 'date-unreadable' | 'date-impossible'

/**
 * Reads a date as people write it, at any precision: `2025`, `2/2025`, `Jul 2024`, `2026-11`,
 * `9/23/2021`, `31.12.2024`, `3 July 2024`, `spring 2024`, `March 2024 to May 2024`.
 * `date-impossible` is a date that no calendar has (31.02.2024).
 */
export function parseWhen(text: string, order: DateOrder): Outcome<DayRange, WhenFailure> {
  const trimmed = text.trim().replace(/^(about|around|circa|ca\.?|~)\s*/i, '')
  const single = parseOne(trimmed, order)
  if (single !== null) return single
  const ends = trimmed.split(/\s+(?:to|until|bis|–|—|-)\s+|\s*(?:–|—|\.\.)\s*/i)
  if (ends.length === 2) {
    const from = parseOne(ends[0] ?? '', order)
    const to = parseOne(ends[1] ?? '', order)
    if (from?.ok && to?.ok && from.value.earliest <= to.value.latest)
      return ok({ earliest: from.value.earliest, latest: to.value.latest })
  }
  return fail('date-unreadable', { value: text })
}

/**
 * The order of day and month that a column of cells shows. Dots mean day first; a number over 12
 * decides; `fallback` holds when nothing does.
 */
export function dateOrderOf(cells: readonly string[], fallback: DateOrder): DateOrder {
  let monthFirst = 0
  let dayFirst = 0
  for (const cell of cells) {
    const found = /^\s*(\d{1,2})([./-])(\d{1,2})\2\d{2,4}\s*$/.exec(cell)
    if (!found) continue
    const first = Number(found[1])
    const second = Number(found[3])
    if (found[2] === '.' || (first > 12 && second <= 12)) dayFirst += 1
    else if (second > 12 && first <= 12) monthFirst += 1
  }
  if (monthFirst === dayFirst) return fallback
  return monthFirst > dayFirst ? 'month-first' : 'day-first'
}

/** Months of the northern seasons, as she says them; winter runs into the next year. */
const SEASONS: Readonly<Record<string, readonly [number, number]>> = {
  spring: [3, 5],
  summer: [6, 8],
  autumn: [9, 11],
  fall: [9, 11],
  winter: [12, 14],
}

function parseOne(text: string, order: DateOrder): Outcome<DayRange, WhenFailure> | null {
  const monthYear = /^(\d{1,2})[./-](\d{4})$/.exec(text)
  if (monthYear) return monthRange(text, Number(monthYear[2]), Number(monthYear[1]))
  const numbers = /^(\d{1,4})(?:([./-])(\d{1,2}))?(?:\2(\d{1,4}))?\.?$/.exec(text)
  if (numbers) return fromNumbers(text, [numbers[1], numbers[3], numbers[4]], order)
  const words = text.replace(/[,.]/g, ' ').split(/\s+/).filter(Boolean)
  const season = SEASONS[(words[0] ?? '').toLowerCase()]
  if (season && words.length === 2) return seasonOf(season, Number(words[1]))
  const at = words.findIndex((word) => monthNamed(word) !== null)
  if (at < 0) return null
  const month = monthNamed(words[at] ?? '') ?? 0
  const rest = words.filter((_, i) => i !== at).map((word) => Number(word.replace(/(st|nd|rd|th)$/i, '')))
  if (rest.some((n) => !Number.isInteger(n))) return null
  if (rest.length === 1) return monthRange(text, fullYear(rest[0] ?? 0), month)
  if (rest.length === 2) return oneDay(text, fullYear(rest[1] ?? 0), month, rest[0] ?? 0)
  return null
}

function fromNumbers(
  text: string,
  [a, b, c]: readonly (string | undefined)[],
  order: DateOrder,
): Outcome<DayRange, WhenFailure> | null {
  if (a === undefined) return null
  if (b === undefined) return a.length === 4 ? yearRange(text, Number(a)) : null
  if (c === undefined) {
    if (a.length === 4) return monthRange(text, Number(a), Number(b))
    return null // "11/26" alone is a month only on a printed expiry; see printed-expiry.ts
  }
  if (a.length === 4) return oneDay(text, Number(a), Number(b), Number(c))
  if (a.length > 2 || c.length === 3 || c.length === 1) return null
  const dayFirst = order === 'day-first' || text.includes('.')
  const [date, month] = dayFirst ? [Number(a), Number(b)] : [Number(b), Number(a)]
  const year = fullYear(Number(c))
  // A month over 12 in the column's order is the other order typed once; 31.02. is wrong in both.
  return month > 12 && date <= 12 ? oneDay(text, year, date, month) : oneDay(text, year, month, date)
}

/** Two-digit years: 00..79 are 2000s, 80..99 are 1900s. Assumption: nothing opened is older. */
export function fullYear(year: number): number {
  if (year >= 100) return year
  return year < 80 ? 2000 + year : 1900 + year
}

function oneDay(text: string, year: number, month: number, date: number): Outcome<DayRange, WhenFailure> {
  const day = dayOf(year, month, date)
  return day === null ? fail('date-impossible', { value: text }) : ok({ earliest: day, latest: day })
}

function monthRange(text: string, year: number, month: number): Outcome<DayRange, WhenFailure> {
  const first = dayOf(year, month, 1)
  if (first === null) return fail('date-impossible', { value: text })
  return ok({ earliest: first, latest: lastDayOfMonth(year, month) })
}

function yearRange(text: string, year: number): Outcome<DayRange, WhenFailure> {
  const first = dayOf(year, 1, 1)
  if (first === null) return fail('date-impossible', { value: text })
  return ok({ earliest: first, latest: lastDayOfMonth(year, 12) })
}

function seasonOf([from, to]: readonly [number, number], year: number): Outcome<DayRange, WhenFailure> | null {
  const first = dayOf(year, from, 1)
  if (first === null) return null
  const overflow = to > 12 ? 1 : 0
  return ok({ earliest: first, latest: lastDayOfMonth(year + overflow, to - overflow * 12) })
}

/** The middle day of a range, the earlier of two. */
export function middleOf(range: DayRange): Day {
  const from = fieldsOf(range.earliest)
  const to = fieldsOf(range.latest)
  const middle = new Date(
    (Date.UTC(from.year, from.month - 1, from.date) + Date.UTC(to.year, to.month - 1, to.date)) / 2,
  )
  return dayOf(middle.getUTCFullYear(), middle.getUTCMonth() + 1, middle.getUTCDate()) ?? range.earliest
}
