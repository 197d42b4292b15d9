import { MONTH_DAYS } from '../calendar/lengths.js'
/** A category of which several lie in reach. */
export interface InReach {
  readonly categoryId: string
  readonly category: string
  readonly items: number
}

/** A category with more in reach than wear days can feed. */
export interface Rivalry extends InReach {
  /** Uses each would get in a month if they shared evenly. */
  readonly usesEach: number
}

/** An item that shares gets about six uses in a good month; below that nothing moves. Common practice, no source. */
const FED_FROM = 5
const WEEKS_A_MONTH = MONTH_DAYS / 7

/**
 * Categories in which the items in reach starve each other: a category is worn once a wear day, so `perWeek` wear days
 * shared by n items give each perWeek x 4.35 / n uses a month. The worst first.
 */
export function rivalries(inReach: readonly InReach[], perWeek: number): Rivalry[] {
  return inReach
    .map((each) => ({ ...each, usesEach: (perWeek * WEEKS_A_MONTH) / each.items }))
    .filter((each) => each.items > 1 && each.usesEach < FED_FROM)
    .sort((a, b) => a.usesEach - b.usesEach || (a.categoryId < b.categoryId ? -1 : 1))
}
