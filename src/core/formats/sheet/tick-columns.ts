import type { Day } from '../../calendar/day.js'
import { monthNamed } from '../../calendar/month-names.js'
import { parseWhen, type DateOrder } from '../../calendar/when.js'
import { tickOf } from './cell-words.js'

/** A column of ticks: of one day, or of uses that are only counted (1, 2, 3 …, January, week 3). */
export interface TickColumn {
  readonly at: number
  readonly day: Day | null
}

/**
 * The columns, among those without another meaning, that hold tally ticks: a header that is a date, a running number, a
 * month or a week over cells that are ticks, small counts or blank. Two at least, since one column of crosses can mean
 * anything.
 */
export function tickColumnsOf(
  headers: readonly string[],
  free: (at: number) => boolean,
  rows: readonly (readonly string[])[],
  order: DateOrder,
): TickColumn[] {
  const found = headers.flatMap((header, at): TickColumn[] => {
    if (!free(at) || !rows.every((cells) => ticksIn(cells[at] ?? '') !== null)) return []
    const when = /\d/.test(header) ? parseWhen(header, order) : null
    if (when?.ok && when.value.earliest === when.value.latest) return [{ at, day: when.value.earliest }]
    const counted =
      /^(?:use|wear|day|week|wk|kw|#|no\.?|nr\.?)?\s*\d{1,3}$/i.test(header.trim()) ||
      when?.ok === true ||
      monthNamed(header) !== null
    return counted ? [{ at, day: null }] : []
  })
  return found.length >= 2 ? found : []
}

/** Uses that one cell of a tick column stands for: a tick is one, a small number itself, blank none; null for other words. */
export function ticksIn(cell: string): number | null {
  const trimmed = cell.trim()
  if (trimmed === '' || /^[-–—]$/.test(trimmed)) return 0
  if (/^\d{1,3}$/.test(trimmed)) return Number(trimmed)
  const strokes = strokesIn(trimmed)
  if (strokes !== null) return strokes
  const tick = tickOf(trimmed)
  return tick === null ? null : Number(tick)
}

/** Tally strokes as typed: "|||| ||", "IIII", "++++", "xxxxx"; null for anything else. */
export function strokesIn(cell: string): number | null {
  const bare = cell.replace(/\s/g, '')
  return bare.length > 0 && /^(?:[|/\\]+|I{2,}|l{3,}|\+{2,}|x{2,}|X{2,}|•+|✓{2,}|✔{2,})$/u.test(bare)
    ? bare.length
    : null
}
