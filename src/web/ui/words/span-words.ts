import type { Day } from '#core/calendar/day'
import { kindOf, type LookSpan } from '#core/look-back/span'
import { dateWords } from '#web/data/locale'
import { monthWords } from './when-words'

/** "October 2026", "2026", or its two days. */
export function spanTitle({ from, to }: LookSpan): string {
  const kind = kindOf({ from, to })
  if (kind === 'month') return monthWords(from.slice(0, 7), '1970-01-01' as Day)
  if (kind === 'year') return from.slice(0, 4)
  return from === to ? dateWords(from) : `${dateWords(from)} to ${dateWords(to)}`
}
