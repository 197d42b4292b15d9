import { daysBetween, type Day } from '../calendar/day.js'
import type { Season } from '../item/traits.js'

/** What is weighed of an item that could lie in the drawer. */
export interface ReachCandidate {
  readonly itemId: string
  readonly categoryId: string
  readonly zoneId: string
  readonly slots: number
  readonly open: boolean
  readonly spoiled: boolean
  readonly uses: number
  readonly liking: number | null
  /** The day it is to be used by, where that is known. */
  readonly actOn: Day | null
  /** None = all year. */
  readonly seasons: readonly Season[]
}

export const REACH_REASONS = [
  'only one of its kind',
  'spoils soonest',
  'used most',
  'liked',
  'of the season',
  'open',
] as const
export type ReachReason = (typeof REACH_REASONS)[number]

export interface ReachPick {
  readonly itemId: string
  readonly zoneId: string
  readonly reason: ReachReason
}

/** What presses within half a year weighs, the more the nearer. Assumption. */
const PRESSING_DAYS = 180
/** Weights of the facts, each about as much as four times as many uses. Assumptions. */
const WEIGHTS = { open: 2, pressing: 3, season: 1.5, liking: 1 } as const
/** Each further one of a kind has to be this much better than one of another. Assumption. */
const ANOTHER_OF_ITS_KIND = 2.5

/**
 * A drawer to begin with: of each kind the best first, then the best of what is left, zone by zone until its slots are full.
 * What is spoiled or of another season stays out; what is unopened comes in only where nothing of its kind is open. What lies
 * in the drawer already (`there`, by category) counts. The same facts give the same drawer.
 */
export function proposeDrawer(
  candidates: readonly ReachCandidate[],
  free: ReadonlyMap<string, number>,
  context: { readonly season: Season; readonly today: Day; readonly there: ReadonlyMap<string, number> },
): ReachPick[] {
  const openKinds = new Set(candidates.filter((each) => each.open && !each.spoiled).map((each) => each.categoryId))
  const left = candidates
    .filter((each) => !each.spoiled && (each.seasons.length === 0 || each.seasons.includes(context.season)))
    .filter((each) => each.open || !openKinds.has(each.categoryId))
    .map((each) => ({ each, facts: factsOf(each, context) }))
  const alone = new Map<string, number>()
  for (const { each } of left) alone.set(each.categoryId, (alone.get(each.categoryId) ?? 0) + 1)
  const room = new Map(free)
  const lying = new Map(context.there)
  const picks: ReachPick[] = []
  while (left.length > 0) {
    left.sort(
      (a, b) =>
        Number(lying.has(a.each.categoryId)) - Number(lying.has(b.each.categoryId)) ||
        worth(b, lying) - worth(a, lying) ||
        (a.each.itemId < b.each.itemId ? -1 : 1),
    )
    const at = left.findIndex(({ each }) => each.slots <= (room.get(each.zoneId) ?? 0))
    const [found] = at < 0 ? [] : left.splice(at, 1)
    if (found === undefined) break
    const { itemId, zoneId, categoryId, slots } = found.each
    room.set(zoneId, (room.get(zoneId) ?? 0) - slots)
    const isOnly = alone.get(categoryId) === 1 && !context.there.has(categoryId)
    picks.push({ itemId, zoneId, reason: isOnly ? 'only one of its kind' : mainFact(found.facts) })
    lying.set(categoryId, (lying.get(categoryId) ?? 0) + 1)
  }
  return picks
}

type Facts = Readonly<Record<Exclude<ReachReason, 'only one of its kind'>, number>>

function factsOf(each: ReachCandidate, { season, today }: { season: Season; today: Day }): Facts {
  const days = each.actOn === null ? PRESSING_DAYS : Math.max(0, daysBetween(today, each.actOn))
  return {
    'spoils soonest': WEIGHTS.pressing * Math.max(0, 1 - days / PRESSING_DAYS),
    'used most': Math.log2(1 + each.uses) / 2,
    liked: each.liking === null ? 0 : WEIGHTS.liking * (each.liking - 3),
    'of the season': each.seasons.includes(season) ? WEIGHTS.season : 0,
    open: each.open ? WEIGHTS.open : 0,
  }
}

function worth({ each, facts }: { each: ReachCandidate; facts: Facts }, lying: ReadonlyMap<string, number>): number {
  const sum = Object.values(facts).reduce((all, fact) => all + fact, 0)
  return sum - ANOTHER_OF_ITS_KIND * (lying.get(each.categoryId) ?? 0)
}

/** The fact that speaks loudest; being open speaks for everything that is, and is said last. */
function mainFact(facts: Facts): ReachReason {
  const { open, ...others } = facts
  void open
  const [name, weight] = Object.entries(others).reduce((most, next) => (next[1] > most[1] ? next : most))
  return weight > 0.5 ? (name as ReachReason) : 'open'
}
