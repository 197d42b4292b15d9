import { daysBetween, type Day } from '../calendar/day.js'
import type { Season } from '../item/traits.js'
import {
  byScore,
  commonReasons,
  NEGLECTED_DAYS,
  scored,
  suits,
  type ChoiceFacts,
  type CommonReason,
  type Scored,
  type Weights,
} from '../plan/reasons.js'

/** What becomes of each item when a while of shopping the stash is over. */
export const PICK_ENDINGS = ['goes back', 'stays', 'goes on trial'] as const
export type PickEnding = (typeof PICK_ENDINGS)[number]

/** A neglected item that could come in the drawer for a while. */
export interface PickCandidate extends ChoiceFacts {
  /** What it is worn as: one of a type is enough. */
  readonly kind: string
  readonly liking: number | null
  /** Items it fights with. */
  readonly fights: readonly string[]
}

export interface Pick {
  readonly itemId: string
  readonly reasons: readonly CommonReason[]
}

/** Between three and six: fewer is no choice, more is a second drawer. */
export const LEAST_PICKED = 3
export const MOST_PICKED = 6
/** What is good for less than a week is too late; what is rated less than this is not missed. Assumptions. */
const TOO_LATE_DAYS = 7
const DISLIKED_UNDER = 3
/** What the common reasons weigh here. Assumptions. */
const WEIGHTS: Weights = {
  liked: [35, 60],
  unworn: [10, 40],
  expires: [0, 40],
  'for-the-season': [20, 20],
  'goes-with': [20, 20],
}

/**
 * A few neglected items the user likes, one of a type, that fight neither with each other nor with what is in the drawer: liked
 * first, then long unworn, of the season, to be worn before they expire, and what goes together. The same facts, the same few.
 */
export function proposePicks(
  candidates: readonly PickCandidate[],
  many: number,
  { today, season, inDrawer }: { readonly today: Day; readonly season: Season; readonly inDrawer: ReadonlySet<string> },
): Pick[] {
  const open = candidates
    .filter(({ lastWorn }) => !lastWorn || daysBetween(lastWorn, today) >= NEGLECTED_DAYS)
    .filter(({ liking }) => liking === null || liking >= DISLIKED_UNDER)
    .filter(({ seasons }) => suits(seasons, season))
    .filter(({ shelfLife: { daysLeft } }) => daysLeft === null || daysLeft >= TOO_LATE_DAYS)
  const chosen: PickCandidate[] = []
  const beside = new Set(inDrawer)
  const rank = (each: PickCandidate): Scored<CommonReason> =>
    scored(commonReasons(each, { today, season, beside, unwornFrom: 0 }, WEIGHTS)) ?? { score: 0, reasons: [] }
  while (chosen.length < Math.min(many, MOST_PICKED)) {
    const [best] = open
      .filter((each) => !chosen.some((one) => one.itemId === each.itemId || one.kind === each.kind))
      .filter((each) => !each.fights.some((id) => beside.has(id)))
      .map((each) => ({ each, itemId: each.itemId, score: rank(each).score }))
      .sort(byScore)
    if (best === undefined) break
    chosen.push(best.each)
    beside.add(best.itemId)
  }
  return chosen.map((each) => ({ itemId: each.itemId, reasons: rank(each).reasons }))
}
