import { fail, ok, type Outcome } from '../failure.js'
import { dayOf, lastDayOfMonth, type Day } from '../calendar/day.js'
import { fullYear, parseWhen, type DateOrder } from '../calendar/when.js'

export type ExpiryFailure = 'expiry-unreadable' | 'date-impossible'
export type PaoFailure = 'pao-unreadable' | 'pao-zero' | 'pao-absurd'

/** The longest period after opening that is taken at its word, in months. Assumption. */
export const LONGEST_PAO_MONTHS = 120

/**
 * Reads the printed expiry: `11/26`, `1/2027`, `2026-11`, `30.11.2026`, `261100`, `Nov 2026`.
 * A month alone is good to its last day (Regulation (EC) No 1223/2009, Annex VII, from memory);
 * six digits are YYMMDD with day 00 = last of the month (GS1 General Specifications, AI 17, from memory).
 */
export function parseExpiry(text: string, order: DateOrder): Outcome<Day, ExpiryFailure> {
  const trimmed = text.trim().replace(/^(exp\.?|best before|use by|bb)[:\s]*/i, '')
  const code = /^(\d{2})(\d{2})(\d{2})$/.exec(trimmed)
  if (code) {
    const [year, month, date] = [2000 + Number(code[1]), Number(code[2]), Number(code[3])]
    if (month < 1 || month > 12) return fail('expiry-unreadable', { value: text })
    const day = date === 0 ? lastDayOfMonth(year, month) : dayOf(year, month, date)
    return day === null ? fail('date-impossible', { value: text }) : ok(day)
  }
  const monthYear = /^(\d{1,2})[./-](\d{2})$/.exec(trimmed)
  if (monthYear) {
    const month = Number(monthYear[1])
    if (month < 1 || month > 12) return fail('date-impossible', { value: text })
    return ok(lastDayOfMonth(fullYear(Number(monthYear[2])), month))
  }
  const when = parseWhen(trimmed, order)
  if (when.ok) return ok(when.value.latest)
  return when.failure.code === 'date-impossible'
    ? fail('date-impossible', { value: text })
    : fail('expiry-unreadable', { value: text })
}

/** Reads a period after opening in months: `12M`, `12 m`, `24 months`, `1 year`, `18`. */
export function parsePao(text: string): Outcome<number, PaoFailure> {
  const found = /^(\d+)\s*(m|mo|mos|mth|mths|months?|monate?|mois|y|yr|years?|jahre?)?\.?$/i.exec(text.trim())
  if (!found) return fail('pao-unreadable', { value: text })
  const unit = (found[2] ?? 'm').toLowerCase()
  const months = Number(found[1]) * (unit.startsWith('y') || unit.startsWith('j') ? 12 : 1)
  if (months === 0) return fail('pao-zero', { value: text })
  if (months > LONGEST_PAO_MONTHS) return fail('pao-absurd', { value: text, largest: LONGEST_PAO_MONTHS })
  return ok(months)
}
