import { addDays, daysBetween, fieldsOf, lastDayOfMonth, type Day } from '../calendar/day.js'

/** A stretch of days that is looked back on, both ends included. */
export interface LookSpan {
  readonly from: Day
  readonly to: Day
}

export type SpanKind = 'month' | 'year' | 'own'

/** The calendar month of a day. */
export function monthOf(day: Day): LookSpan {
  const { year, month } = fieldsOf(day)
  return { from: `${day.slice(0, 8)}01` as Day, to: lastDayOfMonth(year, month) }
}

/** The calendar year of a day. */
export function yearOf(day: Day): LookSpan {
  const { year } = fieldsOf(day)
  return { from: `${day.slice(0, 4)}-01-01` as Day, to: lastDayOfMonth(year, 12) }
}

/** Whether a span is a whole calendar month, a whole calendar year, or one of the user's own. */
export function kindOf({ from, to }: LookSpan): SpanKind {
  if (from.slice(8) !== '01') return 'own'
  const month = monthOf(from)
  if (month.to === to) return 'month'
  const year = yearOf(from)
  return year.from === from && year.to === to ? 'year' : 'own'
}

/** The span before it, as long: of a month the month before, of a year the year before, else as many days. */
export function before({ from, to }: LookSpan): LookSpan {
  const last = addDays(from, -1)
  const kind = kindOf({ from, to })
  if (kind === 'month') return monthOf(last)
  if (kind === 'year') return yearOf(last)
  return { from: addDays(last, -daysBetween(from, to)), to: last }
}

/** Every calendar month that a span touches, cut at its ends. */
export function monthsWithin({ from, to }: LookSpan): LookSpan[] {
  const found: LookSpan[] = []
  for (let first = from; first <= to;) {
    const { to: last } = monthOf(first)
    const end = last < to ? last : to
    found.push({ from: first, to: end })
    first = addDays(end, 1)
  }
  return found
}
