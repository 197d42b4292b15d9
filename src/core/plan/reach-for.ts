import { daysBetween, type Day } from '../calendar/day.js'
import type { ShelfLife } from '../shelf-life/last-good-day.js'

/** What a suggestion may say about one item in the drawer. */
export interface WithinReach {
  readonly itemId: string
  /** Position of its step in the order of a face. */
  readonly faceOrder: number
  readonly shelfLife: ShelfLife
  /** Uses left to its nearest goal; null without one. */
  readonly usesLeft: number | null
  /** Share of the content left by the last reading; null when never read. */
  readonly left: number | null
  readonly lastWorn: Day | null
  /** When it was put in the drawer. */
  readonly placedOn: Day
  readonly wornToday: boolean
}

export type Suggestion =
  | {
      readonly itemId: string
      readonly faceOrder: number
      readonly reason: 'spoils-soonest'
      readonly day: Day
      readonly daysLeft: number
    }
  | {
      readonly itemId: string
      readonly faceOrder: number
      readonly reason: 'nearly-done'
      readonly usesLeft: number | null
      readonly left: number | null
    }
  | {
      readonly itemId: string
      readonly faceOrder: number
      readonly reason: 'unworn-longest'
      readonly days: number
      readonly everWorn: boolean
    }

/** Sooner than this is worth a word. Assumption. */
const SPOILS_WITHIN_DAYS = 180
/** "Nearly done": few uses to go, or little left. Assumption. */
const FEW_USES = 8
const LITTLE_LEFT = 0.25
/** Less is not neglect. Assumption. */
const UNWORN_DAYS = 7

/**
 * A first list of what to reach for: at most one item for each of three plain reasons, in the
 * order of a face, none twice, none already worn today, nothing past its date, with a lapsed
 * filter or with a sign of spoiling. Ties go to the order of a face, then to the id, so that the
 * same drawer always gives the same list.
 */
export function reachFor(drawer: readonly WithinReach[], today: Day): Suggestion[] {
  const free = drawer.filter((item) => !item.wornToday && isFit(item))
  const taken = new Set<string>()
  const found: Suggestion[] = []
  const take = (suggestion: Suggestion | null): void => {
    if (suggestion === null) return
    taken.add(suggestion.itemId)
    found.push(suggestion)
  }
  const rest = (): WithinReach[] => free.filter((item) => !taken.has(item.itemId))
  take(spoilsSoonest(rest()))
  take(nearlyDone(rest()))
  take(unwornLongest(rest(), today))
  return found.sort((a, b) => a.faceOrder - b.faceOrder || compareText(a.itemId, b.itemId))
}

function isFit(item: WithinReach): boolean {
  const { state, sun } = item.shelfLife
  return state !== 'past' && state !== 'sign seen' && sun?.lapsed !== true
}

function spoilsSoonest(items: readonly WithinReach[]): Suggestion | null {
  const first = best(items, (item) => {
    const days = item.shelfLife.daysLeft
    return days === null || days > SPOILS_WITHIN_DAYS ? null : days
  })
  if (first === null) return null
  const { actOn, daysLeft } = first.shelfLife
  if (actOn === null || daysLeft === null) return null
  return { itemId: first.itemId, faceOrder: first.faceOrder, reason: 'spoils-soonest', day: actOn, daysLeft }
}

function nearlyDone(items: readonly WithinReach[]): Suggestion | null {
  const first = best(items, (item) => {
    if (item.usesLeft !== null && item.usesLeft > 0 && item.usesLeft <= FEW_USES) return item.usesLeft
    // A share is compared with uses as if a whole item were a few dozen uses; only the order matters.
    return item.left !== null && item.left <= LITTLE_LEFT ? item.left * 32 : null
  })
  if (first === null) return null
  const byUses = first.usesLeft !== null && first.usesLeft > 0 && first.usesLeft <= FEW_USES
  return {
    itemId: first.itemId,
    faceOrder: first.faceOrder,
    reason: 'nearly-done',
    usesLeft: byUses ? first.usesLeft : null,
    left: byUses ? null : first.left,
  }
}

function unwornLongest(items: readonly WithinReach[], today: Day): Suggestion | null {
  const unworn = (item: WithinReach): number => daysBetween(item.lastWorn ?? item.placedOn, today)
  const first = best(items, (item) => (unworn(item) >= UNWORN_DAYS ? -unworn(item) : null))
  if (first === null) return null
  return {
    itemId: first.itemId,
    faceOrder: first.faceOrder,
    reason: 'unworn-longest',
    days: unworn(first),
    everWorn: first.lastWorn !== null,
  }
}

/** The item with the smallest score; those scored null are left out. */
function best(items: readonly WithinReach[], score: (item: WithinReach) => number | null): WithinReach | null {
  let winner: { item: WithinReach; score: number } | null = null
  for (const item of items) {
    const value = score(item)
    if (value === null) continue
    if (winner === null || value < winner.score || (value === winner.score && comesBefore(item, winner.item)))
      winner = { item, score: value }
  }
  return winner?.item ?? null
}

function comesBefore(a: WithinReach, b: WithinReach): boolean {
  return a.faceOrder < b.faceOrder || (a.faceOrder === b.faceOrder && compareText(a.itemId, b.itemId) < 0)
}

function compareText(a: string, b: string): number {
  return a < b ? -1 : a > b ? 1 : 0
}
