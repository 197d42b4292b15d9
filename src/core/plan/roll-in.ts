import type { Day } from '../calendar/day.js'
import type { Season } from '../item/traits.js'
import { isInDate, type ShelfLife } from '../shelf-life/last-good-day.js'
import {
  byScore,
  commonReasons,
  LIKED_FROM,
  NEGLECTED_DAYS,
  scored,
  type ChoiceFacts,
  type CommonReason,
  type Weights,
} from './reasons.js'

/** An item that could join a project. */
export interface RollInFacts extends ChoiceFacts {
  readonly categoryId: string
  readonly shelfLife: ShelfLife
}

export interface RollInCandidate {
  readonly itemId: string
  readonly sameCategory: boolean
  /** At most two, the more pressing one first. */
  readonly reasons: readonly CommonReason[]
}

/** A list that can be read at a glance. Assumption. */
export const SHORT_LIST = 5
/** What the common reasons weigh here. Assumptions. */
const WEIGHTS: Weights = {
  expires: [40, 100],
  'little-left': [55, 80],
  unworn: [45, 65],
  liked: [25, 30],
  'open-long': [40, 55],
  crowded: [20, 35],
}

/**
 * A short list of what could take the place of an item that rolled out: like for like first, then
 * one of each remaining reason, then by how pressing the reason is. Past or spoiled items never
 * appear. Deterministic: ties go to the id.
 */
export function rollInShortList(
  facts: readonly RollInFacts[],
  replacing: { categoryId: string } | null,
  today: Day,
  season: Season,
): RollInCandidate[] {
  const context = { today, season, beside: new Set<string>(), unwornFrom: NEGLECTED_DAYS }
  const rows = facts
    .flatMap((item) => {
      if (!isInDate(item.shelfLife)) return []
      // What is worn, or was never much liked, is no reason by itself.
      const missed = (item.liking ?? 0) >= LIKED_FROM && !item.inDrawer && (item.lastWorn ?? null) !== null
      const asked = missed ? item : { ...item, liking: null, lastWorn: null, since: null }
      const found = scored(withoutLikedAlone(commonReasons(asked, context, WEIGHTS)))
      const sameCategory = replacing !== null && item.categoryId === replacing.categoryId
      return found
        ? [{ itemId: item.itemId, sameCategory, score: found.score, reasons: found.reasons.slice(0, 2) }]
        : []
    })
    .sort(byScore)
  const chosen = rows.filter((row) => row.sameCategory).slice(0, 3)
  // Variety before strength: a person choosing wants different reasons, not five of one.
  for (const fresh of [true, false])
    for (const row of rows) {
      if (chosen.length >= SHORT_LIST) break
      if (chosen.includes(row)) continue
      if (fresh && chosen.some((other) => other.reasons[0]?.code === row.reasons[0]?.code)) continue
      chosen.push(row)
    }
  return chosen.map(({ itemId, sameCategory, reasons }) => ({ itemId, sameCategory, reasons }))
}

/** Liking speaks for what was not worn for long; of what was worn lately it says nothing. */
function withoutLikedAlone<T extends { readonly reason: CommonReason }>(found: readonly T[]): T[] {
  const isUnworn = found.some(({ reason }) => reason.code === 'unworn')
  return found.filter(({ reason }) => reason.code !== 'liked' || isUnworn)
}
