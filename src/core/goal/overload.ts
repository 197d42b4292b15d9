import type { Day } from '../calendar/day.js'

/** A counted goal with a date, as far as its category is concerned. */
export interface DatedNeed {
  readonly categoryId: string
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
  const byCategory = new Map<string, DatedNeed[]>()
  for (const need of needs) byCategory.set(need.categoryId, [...(byCategory.get(need.categoryId) ?? []), need])
  return [...byCategory].flatMap(([categoryId, own]) => {
    let needed = 0
    let items = 0
    for (const need of own.sort((a, b) => (a.by < b.by ? -1 : a.by > b.by ? 1 : 0))) {
      needed += need.usesLeft
      items += 1
      const shared = items > 1 && own.slice(0, items).every((each) => each.usesLeft <= each.wearDaysLeft)
      if (shared && needed > need.wearDaysLeft)
        return [{ categoryId, items, needed, wearDays: need.wearDaysLeft, by: need.by }]
    }
    return []
  })
}
