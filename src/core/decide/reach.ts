import type { Day } from '../calendar/day.js'
import type { Hemisphere } from '../calendar/hemisphere.js'
import { seasonOn, type Season } from '../item/traits.js'

/** A stay in the drawer, both days included; null = it lies there still. */
export interface InReach {
  readonly itemId: string
  /** What it is worn as: its like are those of the same. */
  readonly kind: string
  /** Worn in these only; none = in all. */
  readonly seasons: readonly Season[]
  readonly from: Day
  readonly to: Day | null
}

export interface Reach {
  /** Wear days on which it lay in the drawer in its season. */
  readonly chances: number
  /** Those on which it was worn. */
  readonly reached: number
  /** The days each of its like would have had if every look's turn had gone round evenly. */
  readonly equalShare: number
}

/**
 * How often each item was reached for out of its chances, those that have ended since too: wear days (in order) on which it lay in the
 * drawer and in its season. The
 * equal share divides the days on which any of its like in reach was worn by how many of them lay there.
 */
export function reachOf(
  wearDays: readonly Day[],
  stays: readonly InReach[],
  wornOn: ReadonlyMap<string, ReadonlySet<Day>>,
  hemisphere: Hemisphere = 'north',
): Map<string, Reach> {
  const found = new Map<string, { chances: number; reached: number; equalShare: number }>()
  const byKind = new Map<string, InReach[]>()
  for (const stay of stays) {
    const own = byKind.get(stay.kind)
    if (own) own.push(stay)
    else byKind.set(stay.kind, [stay])
  }
  const seasons = wearDays.map((day) => seasonOn(day, hemisphere))
  for (const own of byKind.values())
    wearDays.forEach((day, n) => {
      const season = seasons[n] as Season
      const there: string[] = []
      for (const { itemId, seasons: only, from, to } of own) {
        if (from > day || (to !== null && to < day) || there.includes(itemId)) continue
        if (only.length === 0 || only.includes(season)) there.push(itemId)
      }
      if (there.length === 0) return
      const worn = there.filter((id) => wornOn.get(id)?.has(day) === true)
      for (const id of there) {
        const known = found.get(id) ?? { chances: 0, reached: 0, equalShare: 0 }
        known.chances += 1
        if (worn.includes(id)) known.reached += 1
        known.equalShare += worn.length / there.length
        found.set(id, known)
      }
    })
  return found
}
