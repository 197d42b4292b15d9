import { fail, ok, type Outcome } from '../failure.js'
import { addDays, addMonths, daysInMonth, dayOf, fieldsOf, lastDayOfMonth, type Day } from './day.js'
import { monthNamed } from './month-names.js'
import { isFiller, seasonNamed, thirdNamed } from './vague-words.js'

/** A time known as closely as the user knows it: a day, a month, a year or a range. Both ends included. */
export interface DayRange {
  readonly earliest: Day
  readonly latest: Day
}

/** Which number of `3/4/2025` is the month. Seen from the whole column, never from one cell. */
export type DateOrder = 'month-first' | 'day-first'

export type WhenFailure = 'date-unreadable' | 'date-impossible'
type Read = Outcome<DayRange, WhenFailure>

/**
 * Reads a date as people write it, at any precision: `2025`, `2/2025`, `Jul 2024`, `Mar '24`, `2026-11`, `9/23/2021`,
 * `31.12.2024`, `3 July 2024`, `12-Mar-24`, `spring 2024`, `early 2024`, `Q2 2024`, `March 2024 to May 2024`. With
 * `today`, also what is said from today: `yesterday`, `last year`, `3 months ago`.
 * `date-impossible` is a date that no calendar has (31.02.2024).
 */
export function parseWhen(text: string, order: DateOrder, today?: Day): Read {
  const trimmed = text
    .trim()
    .replace(/[T ]\d{1,2}:\d{2}(:\d{2}(\.\d+)?)?Z?$/, '')
    .replace(/^[~≈]\s*|\s*\?+$/g, '')
  const fromToday = today === undefined ? null : relative(trimmed.toLowerCase(), today)
  if (fromToday !== null) return ok(fromToday)
  const single = parseOne(trimmed, order)
  if (single !== null) return single
  const ends = trimmed.split(
    /\s+(?:to|until|bis|till|or|oder|–|—|-)\s+|\s*(?:–|—|\.\.)\s*|(?<=^\d{4})\s*[-/]\s*(?=\d{4}$)/i,
  )
  if (ends.length === 2) {
    const to = parseOne(ends[1] ?? '', order)
    // "March to May 2024": the first end borrows the year of the second.
    const from =
      parseOne(ends[0] ?? '', order) ??
      (to?.ok ? parseOne(`${ends[0] ?? ''} ${fieldsOf(to.value.earliest).year}`, order) : null)
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

function parseOne(text: string, order: DateOrder): Read | null {
  const monthYear = /^(\d{1,2})[./-](\d{4})$/.exec(text)
  if (monthYear) return monthRange(text, Number(monthYear[2]), Number(monthYear[1]))
  // "03/24": only where the second number cannot be a day of March.
  const shortYear = /^(\d{1,2})[./-](\d{2})$/.exec(text)
  if (shortYear && Number(shortYear[2]) > 12) {
    const month = Number(shortYear[1])
    if (month >= 1 && month <= 12) return monthRange(text, fullYear(Number(shortYear[2])), month)
  }
  const compact = /^((?:19|20)\d{2})(\d{2})(\d{2})$/.exec(text)
  if (compact) return oneDay(text, Number(compact[1]), Number(compact[2]), Number(compact[3]))
  const numbers = /^(\d{1,4})(?:([./-])(\d{1,2}))?(?:\2(\d{1,4}))?\.?$/.exec(text)
  if (numbers) return fromNumbers(text, [numbers[1], numbers[3], numbers[4]], order)
  return fromWords(text)
}

function fromNumbers(text: string, [a, b, c]: readonly (string | undefined)[], order: DateOrder): Read | null {
  if (a === undefined) return null
  if (b === undefined) return a.length === 4 ? yearRange(text, Number(a)) : null
  if (c === undefined) {
    if (a.length === 4) return monthRange(text, Number(a), Number(b))
    return null // "11/26" with a small second number is a month only on a printed expiry; see printed-expiry.ts
  }
  if (a.length === 4) return oneDay(text, Number(a), Number(b), Number(c))
  if (a.length > 2 || c.length === 3 || c.length === 1) return null
  const dayFirst = order === 'day-first' || text.includes('.')
  const [date, month] = dayFirst ? [Number(a), Number(b)] : [Number(b), Number(a)]
  const year = fullYear(Number(c))
  // A month over 12 in the column's order is the other order typed once; 31.02. is wrong in both.
  return month > 12 && date <= 12 ? oneDay(text, year, date, month) : oneDay(text, year, month, date)
}

/** Dates with a word in them: a month, a season, a quarter, a third of a year. */
function fromWords(text: string): Read | null {
  const words = text
    .replace(/[’'](?=\d)/g, '')
    .replace(/[,.]/g, ' ')
    .split(/[\s\-/]+/)
    .filter((word) => word !== '' && (!isFiller(word) || thirdNamed(word) !== null))
  const quarter = /^q([1-4])$/i.exec(words[0] ?? '') ?? /^q([1-4])$/i.exec(words[1] ?? '')
  if (quarter && words.length === 2) {
    const year = Number(words.find((word) => /^\d{4}$/.test(word)))
    const first = Number(quarter[1]) * 3 - 2
    return monthsOf(year, first, first + 2)
  }
  const third = thirdNamed(words[0] ?? '')
  if (third !== null) return thirdOf(text, third, words.slice(1))
  const season = seasonNamed(words[0] ?? '')
  if (season) {
    const years = words.slice(1).map(Number)
    const [year, next] = years
    if (year === undefined || years.some((each) => !Number.isInteger(each)) || years.length > 2) return null
    // "winter 2023/24" names both its years.
    if (next !== undefined && fullYear(next) !== fullYear(year) + 1) return null
    return monthsOf(fullYear(year), season[0], season[1])
  }
  const at = words.findIndex((word) => monthNamed(word) !== null)
  if (at < 0)
    return words.length === 1 && words[0] !== text && /^\d{4}$/.test(words[0] ?? '')
      ? yearRange(text, Number(words[0]))
      : null
  const month = monthNamed(words[at] ?? '') ?? 0
  const rest = words.filter((_, i) => i !== at).map((word) => Number(word.replace(/(st|nd|rd|th)$/i, '')))
  if (rest.some((n) => !Number.isInteger(n))) return null
  const [first = 0, second = 0] = rest
  if (rest.length === 1) return monthRange(text, fullYear(first), month)
  if (rest.length === 2)
    return first > 31 ? oneDay(text, first, month, second) : oneDay(text, fullYear(second), month, first)
  return null
}

/** "early 2024" is its first four months, "late March 2024" the days from the 21st. */
function thirdOf(text: string, third: 0 | 1 | 2, words: readonly string[]): Read | null {
  if (words.length === 1 && /^\d{4}$/.test(words[0] ?? ''))
    return monthsOf(Number(words[0]), third * 4 + 1, third * 4 + 4)
  if (words.length !== 2) return null
  const month = monthNamed(words[0] ?? '')
  const year = fullYear(Number(words[1]))
  if (month === null || !Number.isInteger(year)) return null
  const from = dayOf(year, month, third * 10 + 1)
  const to = dayOf(year, month, third === 2 ? daysInMonth(year, month) : third * 10 + 10)
  return from === null || to === null ? fail('date-impossible', { value: text }) : ok({ earliest: from, latest: to })
}

/** What is said from today; null for anything else. A month ago is that month, since nobody means the day. */
function relative(text: string, today: Day): DayRange | null {
  const { year, month } = fieldsOf(today)
  const monthAt = (ago: number): DayRange => {
    const first = fieldsOf(addMonths(today, -ago))
    return { earliest: dayOf(first.year, first.month, 1) ?? today, latest: lastDayOfMonth(first.year, first.month) }
  }
  const day = (ago: number): DayRange => ({ earliest: addDays(today, -ago), latest: addDays(today, -ago) })
  if (text === 'today') return day(0)
  if (text === 'yesterday') return day(1)
  if (text === 'last month') return monthAt(1)
  if (text === 'this month') return { earliest: dayOf(year, month, 1) ?? today, latest: today }
  if (text === 'last year') return { earliest: dayOf(year - 1, 1, 1) ?? today, latest: lastDayOfMonth(year - 1, 12) }
  if (text === 'this year') return { earliest: dayOf(year, 1, 1) ?? today, latest: today }
  const ago = /^(?:about |around )?(a|an|\d{1,3}) (day|week|month|year)s? ago$/.exec(text)
  if (!ago) return null
  const n = ago[1] === 'a' || ago[1] === 'an' ? 1 : Number(ago[1])
  if (ago[2] === 'day') return day(n)
  if (ago[2] === 'week') return { earliest: addDays(today, -n * 7 - 3), latest: addDays(today, -n * 7 + 3) }
  if (ago[2] === 'month') return monthAt(n)
  return {
    earliest: addMonths(today, -n * 12 - 6),
    latest: addMonths(today, -n * 12 + 6) > today ? today : addMonths(today, -n * 12 + 6),
  }
}

/** Two-digit years: 00..79 are 2000s, 80..99 are 1900s. Assumption: nothing opened is older. */
export function fullYear(year: number): number {
  if (year >= 100) return year
  return year < 80 ? 2000 + year : 1900 + year
}

function oneDay(text: string, year: number, month: number, date: number): Read {
  const day = dayOf(year, month, date)
  return day === null ? fail('date-impossible', { value: text }) : ok({ earliest: day, latest: day })
}

function monthRange(text: string, year: number, month: number): Read {
  const first = dayOf(year, month, 1)
  if (first === null) return fail('date-impossible', { value: text })
  return ok({ earliest: first, latest: lastDayOfMonth(year, month) })
}

function yearRange(text: string, year: number): Read {
  const first = dayOf(year, 1, 1)
  if (first === null) return fail('date-impossible', { value: text })
  return ok({ earliest: first, latest: lastDayOfMonth(year, 12) })
}

/** From the first day of one month of a year to the last of another; months past 12 run into the next year. */
function monthsOf(year: number, from: number, to: number): Read | null {
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
