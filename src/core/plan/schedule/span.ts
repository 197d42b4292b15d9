import { addDays, daysBetween, earlier, fieldsOf, lastDayOfMonth, weekdayOf, type Day } from '../../calendar/day.js'

/** A month of the plan, as `2026-12`. */
export type PlanMonth = string & { readonly __brand: 'PlanMonth' }

export interface PlanWeek {
  readonly from: Day
  readonly to: Day
  /** Number of its month. */
  readonly month: number
}

/** The days a plan is for: weeks from Monday to Sunday, the first from today on, each in the month that most of it lies in. */
export interface PlanSpan {
  readonly months: readonly PlanMonth[]
  readonly weeks: readonly PlanWeek[]
}

/** A rest of a month shorter than this is planned with the next one. Assumption. */
const LEAST_DAYS = 10
/** Longest a plan can be. */
export const MOST_MONTHS = 12
export const USUAL_MONTHS = 6

export function monthOfDay(day: Day): PlanMonth {
  return day.slice(0, 7) as PlanMonth
}

/** The month of a week is that of its Thursday: most of its days. */
export function monthOfWeek(from: Day): PlanMonth {
  return monthOfDay(addDays(from, 3 - weekdayOf(from)))
}

/** So many months from a day on. */
export function planSpan(first: Day, months: number): PlanSpan {
  const { year, month } = fieldsOf(first)
  const early = daysBetween(first, lastDayOfMonth(year, month)) < LEAST_DAYS
  const start = year * 12 + month - 1 + Number(early)
  const names = Array.from({ length: months }, (_, n) => {
    const at = start + n
    return `${Math.floor(at / 12)}-${String((at % 12) + 1).padStart(2, '0')}` as PlanMonth
  })
  const last = names.at(-1) ?? monthOfDay(first)
  const weeks: PlanWeek[] = []
  let from = first
  for (;;) {
    const to = addDays(from, 6 - weekdayOf(from))
    const own = monthOfWeek(from)
    if (own > last) break
    weeks.push({ from, to, month: Math.max(0, names.indexOf(own)) })
    from = addDays(to, 1)
  }
  return { months: names, weeks }
}

/** The last day of a span. */
export function endOf(span: PlanSpan): Day {
  return span.weeks.at(-1)?.to ?? ('1970-01-01' as Day)
}

/** The number of the month a day belongs to; null after the last. */
export function monthAt(span: PlanSpan, day: Day): number | null {
  const week = span.weeks.find(({ to }) => day <= to)
  return week?.month ?? null
}

/** The days of a week that lie between two days; null where none does. */
export function within(
  week: PlanWeek,
  from: Day | null,
  to: Day | null,
): { readonly from: Day; readonly to: Day } | null {
  const first = from !== null && from > week.from ? from : week.from
  const last = to === null ? week.to : earlier(week.to, to)
  return first > last ? null : { from: first, to: last }
}
