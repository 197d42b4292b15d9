import type { Season } from '../item/traits.js'

/** What the user put up next, as it stands in their order. */
export interface UpNext {
  readonly itemId: string
  /** Its number in the list, from 1. */
  readonly place: number
  /** The season it is meant for; null = any. */
  readonly season: Season | null
  readonly words: string
}

/** As many of the list as Today, the drawer and the plan put first. */
export const NEXT_TEN = 10

/** The first ten of the list that are meant for this season or for any, by item. */
export function nextTen(list: readonly UpNext[], season: Season): ReadonlyMap<string, UpNext> {
  return new Map(
    list
      .filter((each) => each.season === null || each.season === season)
      .slice(0, NEXT_TEN)
      .map((each) => [each.itemId, each]),
  )
}

/** Where something moved to stands: in the middle between those around it. `places` are those of the others, ascending. */
export function placeBefore(places: readonly number[], at: number): number {
  const [before, after] = [places[at - 1], places[at]]
  if (before === undefined) return (after ?? 1) - 1
  return after === undefined ? before + 1 : (before + after) / 2
}
