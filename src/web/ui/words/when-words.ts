import { type Day, addDays, daysBetween, fieldsOf } from '#core/calendar/day'
import type { DayRange } from '#core/calendar/when'
import type { ListedItem } from '#contract/item'
import { counted } from '#core/words/counted'
import { dateWords, dayFormat } from '#web/data/locale'

const long = dayFormat({ weekday: 'long', day: 'numeric', month: 'long' })
const shortly = dayFormat({ day: 'numeric', month: 'short' })
const monthly = dayFormat({ month: 'short', year: 'numeric' })
const monthShort = dayFormat({ month: 'short' })
const monthLong = dayFormat({ month: 'long' })
const monthAndYear = dayFormat({ month: 'long', year: 'numeric' })
const weekday = dayFormat({ weekday: 'long' })

/** "Tuesday 24 November". */
export function longDay(day: Day): string {
  return long(day)
}

/** "24 Nov", or with the year when it is not this one. */
export function shortDay(day: Day, today: Day): string {
  return fieldsOf(day).year === fieldsOf(today).year ? shortly(day) : dateWords(day)
}

/** "December"; of another year "January 2027". A month is written as `2026-12`. */
export function monthWords(month: string, today: Day | null = null): string {
  const day = `${month}-15` as Day
  return today === null || month.slice(0, 4) === today.slice(0, 4) ? monthLong(day) : monthAndYear(day)
}

/** "December", or "Dec", of whatever year. */
export function monthNameWords(month: string, short = false): string {
  return (short ? monthShort : monthLong)(`${month}-15` as Day)
}

/** "once", "twice", "5 times". */
export function timesWords(count: number): string {
  return count === 1 ? 'once' : count === 2 ? 'twice' : `${count} times`
}

export function weekdayName(day: Day): string {
  return weekday(day)
}

/** A range as closely as it is known: a day, a month, a year, or both ends. */
export function rangeWords(range: DayRange): string {
  if (range.earliest === range.latest) return dateWords(range.earliest)
  const [from, to] = [fieldsOf(range.earliest), fieldsOf(range.latest)]
  const wholeMonths = from.date === 1 && addOne(range.latest)
  if (wholeMonths && from.year === to.year && from.month === 1 && to.month === 12) return String(from.year)
  if (wholeMonths && from.year === to.year && from.month === to.month) return monthly(range.earliest)
  return `between ${dateWords(range.earliest)} and ${dateWords(range.latest)}`
}

/** A stretch of days, all of which are meant: "from 26 Oct to 15 Nov". */
export function stretchWords({ earliest, latest }: DayRange, today: Day | null = null): string {
  const words = (day: Day): string => (today === null ? dateWords(day) : shortDay(day, today))
  return earliest === latest ? `on ${words(earliest)}` : `from ${words(earliest)} to ${words(latest)}`
}

/** Whether a day is the last of its month. */
function addOne(day: Day): boolean {
  return fieldsOf(addDays(day, 1)).date === 1
}

/** "today", "in 12 days", "3 weeks ago", "in about 5 months". */
export function fromNow(day: Day, today: Day): string {
  const days = daysBetween(today, day)
  if (days === 0) return 'today'
  const span = spanWords(Math.abs(days))
  return days > 0 ? `in ${span}` : `${span} ago`
}

/** A number of days as people say it. */
export function spanWords(days: number): string {
  if (days < 21) return counted(days, 'day')
  if (days < 70) return `${Math.round(days / 7)} weeks`
  if (days < 700) return `${Math.round(days / 30.44)} months`
  const years = days / 365.25
  return `${years < 5 ? (Math.round(years * 2) / 2).toString().replace('.5', '½') : Math.round(years)} years`
}

/** A span of which only the bounds are known: "13 to 14 months". */
export function spanRangeWords(least: number, most: number): string {
  const [from, to] = [spanWords(least), spanWords(most)]
  if (from === to) return to
  const unit = to.slice(to.indexOf(' '))
  return `${from.endsWith(unit) ? from.slice(0, -unit.length) : from} to ${to}`
}

/** When it was opened, as it is to be read from what was said and what was done. */
export function openedWords({ opening }: Pick<ListedItem, 'opening'>): string {
  if (opening.kind === 'unopened') return 'unopened'
  if (opening.kind === 'unknown' || opening.within === null)
    return opening.notAfter === null
      ? 'opened, date unknown'
      : `opened ${dateWords(opening.notAfter)} or before, date unknown`
  return `opened ${rangeWords(opening.within)}`
}
