import type { Day } from '../calendar/day.js'
import type { Season } from '../item/traits.js'
import { commonReasons, scored, suits, type ChoiceFacts, type CommonReason, type Weights } from './reasons.js'

/** What is weighed of an item that could be in the drawer. */
export interface DrawerCandidate extends ChoiceFacts {
  readonly categoryId: string
  readonly zoneId: string
  readonly slots: number
  readonly open: boolean
  readonly spoiled: boolean
  readonly liking: number | null
}

export type DrawerReason = CommonReason | { readonly code: 'only-one' | 'open' }

export interface DrawerPick {
  readonly itemId: string
  readonly zoneId: string
  readonly reason: DrawerReason
}

/** What the common reasons weigh here, and being open. Assumptions. */
const WEIGHTS: Weights = { expires: [0, 30], 'most-used': [0, 40], liked: [10, 20], 'for-the-season': [15, 15] }
const OPEN = 20
/** Taken off for each step below the middle of the ratings. */
const DISLIKED = 10
const MIDDLE_RATING = 3
/** Each further one of a kind has to be this much better than one of another. Assumption. */
const ANOTHER_OF_ITS_KIND = 25

/**
 * A drawer to begin with: of each kind the best first, then the best of what is left, zone by zone until its slots are full.
 * What is spoiled or of another season stays out; what is unopened comes in only where nothing of its kind is open. What lies
 * in the drawer already (`there`, by category) counts. The same facts give the same drawer.
 */
export function proposeDrawer(
  candidates: readonly DrawerCandidate[],
  free: ReadonlyMap<string, number>,
  context: { readonly season: Season; readonly today: Day; readonly there: ReadonlyMap<string, number> },
): DrawerPick[] {
  const openKinds = new Set(candidates.filter((each) => each.open && !each.spoiled).map((each) => each.categoryId))
  const left = candidates
    .filter((each) => !each.spoiled && suits(each.seasons, context.season))
    .filter((each) => each.open || !openKinds.has(each.categoryId))
    .map((each) => ({ each, ...rankOf(each, context) }))
  const alone = new Map<string, number>()
  for (const { each } of left) alone.set(each.categoryId, (alone.get(each.categoryId) ?? 0) + 1)
  const room = new Map(free)
  const there = new Map(context.there)
  const picks: DrawerPick[] = []
  const worth = ({ each, score }: (typeof left)[number]): number =>
    score - ANOTHER_OF_ITS_KIND * (there.get(each.categoryId) ?? 0)
  while (left.length > 0) {
    left.sort(
      (a, b) =>
        Number(there.has(a.each.categoryId)) - Number(there.has(b.each.categoryId)) ||
        worth(b) - worth(a) ||
        (a.each.itemId < b.each.itemId ? -1 : 1),
    )
    const at = left.findIndex(({ each }) => each.slots <= (room.get(each.zoneId) ?? 0))
    const [found] = at < 0 ? [] : left.splice(at, 1)
    if (found === undefined) break
    const { itemId, zoneId, categoryId, slots } = found.each
    room.set(zoneId, (room.get(zoneId) ?? 0) - slots)
    const isOnly = alone.get(categoryId) === 1 && !context.there.has(categoryId)
    picks.push({ itemId, zoneId, reason: isOnly ? { code: 'only-one' } : found.reason })
    there.set(categoryId, (there.get(categoryId) ?? 0) + 1)
  }
  return picks
}

/** How much speaks for it, and the reason that speaks loudest; being open speaks for all that is, and is said last. */
function rankOf(
  each: DrawerCandidate,
  { today, season }: { season: Season; today: Day },
): { readonly score: number; readonly reason: DrawerReason } {
  const found = scored(commonReasons(each, { today, season, beside: new Set(), unwornFrom: Infinity }, WEIGHTS))
  const disliked = DISLIKED * Math.max(0, MIDDLE_RATING - (each.liking ?? MIDDLE_RATING))
  return {
    score: (found?.score ?? 0) + (each.open ? OPEN : 0) - disliked,
    reason: found?.reasons[0] ?? { code: 'open' },
  }
}
