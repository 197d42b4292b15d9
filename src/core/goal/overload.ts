import { groupBy } from '../lists/grouping.js'
import type { Day } from '../calendar/day.js'

/** A counted goal with a date, as far as its category is concerned. */
export interface DatedNeed {
  readonly categoryId: string
  /** One day's wear of an item serves all of its shades. */
  readonly itemId: string
  readonly usesLeft: number
  readonly by: Day
  /** Wear days from now to its date. */
  readonly wearDaysLeft: number
}

/** Goals of one category that need more uses by a day than there are wear days until then. */
export interface Overload {
  readonly categoryId: string
  readonly items: number
  readonly needed: number
  readonly wearDays: number
  readonly by: Day
}

/**
 * What cannot be met together although each goal alone could: items of a category share its one use a day. By date, the
 * uses due until then must not exceed the wear days (earliest date first is exact while a category takes one item a day);
 * the first date that fails is told for each category.
 */
export function overloads(needs: readonly DatedNeed[]): Overload[] {
  return [...groupBy(needs, ({ categoryId }) => categoryId)].flatMap(([categoryId, own]) => {
    // An item needs as many days as the neediest of its shades.
    const ofItem = new Map<string, number>()
    const seen: DatedNeed[] = []
    for (const need of own.sort((a, b) => (a.by < b.by ? -1 : a.by > b.by ? 1 : 0))) {
      ofItem.set(need.itemId, Math.max(ofItem.get(need.itemId) ?? 0, need.usesLeft))
      seen.push(need)
      const needed = [...ofItem.values()].reduce((sum, each) => sum + each, 0)
      // In whole days, as each goal alone is looked at.
      const shared = ofItem.size > 1 && seen.every((each) => each.usesLeft <= Math.round(each.wearDaysLeft))
      if (shared && needed > Math.round(need.wearDaysLeft))
        return [{ categoryId, items: ofItem.size, needed, wearDays: need.wearDaysLeft, by: need.by }]
    }
    return []
  })
}
