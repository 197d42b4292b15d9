import type { Day } from '../calendar/day.js'

/** An item within words that are kept: its id, and what it was called when they were written, should it be gone. */
const MARKED = /⟦(item|day|yearly):([^|⟧]*)(?:\|([^⟧]*))?⟧/g

/** Names an item within kept words; how it is called is decided when they are shown. */
export function itemMark(item: { readonly id: string; readonly name: string; readonly shade: string }): string {
  return `⟦item:${item.id}|${(item.shade || item.name).replace(/[⟦⟧|]/g, ' ')}⟧`
}

/** Names a day within kept words; its order and its words are those of whoever reads them. */
export function dayMark(day: Day): string {
  return `⟦day:${day}⟧`
}

/** Names a day of every year ("05-31") within kept words. */
export function yearlyMark(monthDay: string): string {
  return `⟦yearly:${monthDay}⟧`
}

/** How marks become words; a kind that is not told stays marked for whoever comes next. */
export interface Telling {
  readonly item?: (id: string, keptName: string) => string
  readonly day?: (day: Day) => string
  readonly yearly?: (monthDay: string) => string
}

/**
 * Kept words with their marks told.
 *
 * @example tellMarks(`${dayMark('2026-11-24' as Day)}: no makeup`, { day: () => 'Tuesday' }) === 'Tuesday: no makeup'
 */
export function tellMarks(words: string, telling: Telling): string {
  return words.replace(MARKED, (mark, kind: string, what: string, kept = '') => {
    if (kind === 'item') return telling.item?.(what, kept) ?? mark
    if (kind === 'yearly') return telling.yearly?.(what) ?? mark
    return telling.day?.(what as Day) ?? mark
  })
}

/** The ids of the items that words name. */
export function itemsIn(words: string): string[] {
  return [...words.matchAll(MARKED)].flatMap(([, kind, id]) => (kind === 'item' && id !== undefined ? [id] : []))
}
