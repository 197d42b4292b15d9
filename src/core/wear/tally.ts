import type { Day } from '../calendar/day.js'

/** Uses of an item over its whole life: those before the log (a number, undated; null = never said) and its wears. */
export function lifetimeUses(usesBeforeLog: number | null, wears: number): number {
  return (usesBeforeLog ?? 0) + wears
}

/**
 * Wears within a stay: from the day it rolled in, inclusive, to the day it rolled out, inclusive.
 * `days` are the days on which the item was worn, each once.
 */
export function wearsDuring(days: readonly Day[], stay: { from: Day; to: Day | null }): number {
  return days.filter((day) => day >= stay.from && (stay.to === null || day <= stay.to)).length
}

/** Wears after a measurement; one taken before that day's use counts that day in. */
export function wearsSince(days: readonly Day[], measured: { day: Day; moment: 'before-use' | 'after-use' }): number {
  return days.filter((day) => (measured.moment === 'before-use' ? day >= measured.day : day > measured.day)).length
}
