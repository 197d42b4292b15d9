import { parseDay, type Day } from '#core/calendar/day'
import type { DateOrder } from '#core/calendar/when'
import { tellMarks } from '#core/words/told'

/** Whose order of days and whose signs in numbers hold: the browser's, for every word and every field alike. */
export const HER_LOCALE = typeof navigator === 'undefined' ? 'en-GB' : navigator.language

/** What stands before the decimals of a number. */
export const DECIMAL_SIGN =
  new Intl.NumberFormat(HER_LOCALE).formatToParts(1.5).find(({ type }) => type === 'decimal')?.value ?? '.'

/** A way to write days. Made when first needed: the first of its kind costs the browser some fifty milliseconds. */
export function dayFormat(options: Intl.DateTimeFormatOptions): (day: Day) => string {
  let made: Intl.DateTimeFormat | null = null
  return (day) =>
    (made ??= new Intl.DateTimeFormat(HER_LOCALE, { ...options, timeZone: 'UTC' })).format(new Date(`${day}T12:00:00Z`))
}

/** A way to write instants, by the machine's own clock. */
export function instantFormat(options: Intl.DateTimeFormatOptions): (instant: string) => string {
  let made: Intl.DateTimeFormat | null = null
  return (instant) => (made ??= new Intl.DateTimeFormat(HER_LOCALE, options)).format(new Date(instant))
}

const dated = dayFormat({ day: 'numeric', month: 'short', year: 'numeric' })
const yearly = dayFormat({ day: 'numeric', month: 'short' })

/** "24 Nov 2026", in her order. */
export function dateWords(day: Day): string {
  return dated(day)
}

/** A day of every year, "05-31": "31 May". */
export function yearlyWords(monthDay: string): string {
  return yearly(`2000-${monthDay}` as Day)
}

/** Kept words with the days in them as she writes days. */
export function tellDays(words: string): string {
  return tellMarks(words, {
    day: (day) => (parseDay(day) === null ? day : dateWords(day)),
    yearly: (monthDay) => (parseDay(`2000-${monthDay}`) === null ? monthDay : yearlyWords(monthDay)),
  })
}

/** A number as she writes numbers. */
export function numberWords(value: number, digits: number): string {
  return Number(value.toFixed(digits)).toLocaleString(HER_LOCALE, { maximumFractionDigits: digits })
}

const moneyFormats = new Map<string, { exact: Intl.NumberFormat; short: Intl.NumberFormat; unit: number }>()

/** How a currency is written; made once, since a long list writes many amounts. */
function moneyFormat(currency: string): { exact: Intl.NumberFormat; short: Intl.NumberFormat; unit: number } {
  const made = moneyFormats.get(currency)
  if (made) return made
  const exact = new Intl.NumberFormat(HER_LOCALE, { style: 'currency', currency })
  const short = new Intl.NumberFormat(HER_LOCALE, { style: 'currency', currency, maximumFractionDigits: 0 })
  const format = { exact, short, unit: 10 ** (exact.resolvedOptions().maximumFractionDigits ?? 2) }
  moneyFormats.set(currency, format)
  return format
}

/** An amount of money, from its smallest unit. */
export function moneyWords(minor: number, currency: string): string {
  const { exact, unit } = moneyFormat(currency)
  return exact.format(minor / unit)
}

/** The same of an estimate: cents would promise more than is known. */
export function moneyShort(minor: number, currency: string): string {
  const { short, unit } = moneyFormat(currency)
  return short.format(Math.round(minor / unit))
}

/** Month first where her locale writes dates that way: for days typed as digits. */
export function herOrder(): DateOrder {
  const parts = new Intl.DateTimeFormat(HER_LOCALE).formatToParts(new Date(2000, 11, 31))
  const at = (type: string): number => parts.findIndex((part) => part.type === type)
  return at('month') < at('day') && parts[0]?.type !== 'year' ? 'month-first' : 'day-first'
}
