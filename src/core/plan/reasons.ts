import { daysBetween, type Day } from '../calendar/day.js'
import type { Season } from '../item/traits.js'
import type { ShelfLife } from '../shelf-life/last-good-day.js'
import type { UpNext } from './up-next.js'

/** What speaks for an item wherever some are proposed: to reach for, to roll in, from the stash, for a starter drawer. */
export type CommonReason =
  | { readonly code: 'expires'; readonly day: Day; readonly daysLeft: number }
  | { readonly code: 'little-left'; readonly left: number }
  | { readonly code: 'unworn'; readonly days: number; readonly everWorn: boolean; readonly inDrawer: boolean }
  | { readonly code: 'liked'; readonly liking: number }
  | { readonly code: 'for-the-season'; readonly season: Season }
  | { readonly code: 'goes-with'; readonly withItemId: string }
  | { readonly code: 'most-used'; readonly uses: number }
  | { readonly code: 'open-long'; readonly days: number }
  | { readonly code: 'crowded'; readonly count: number }
  | { readonly code: 'up-next'; readonly place: number; readonly words: string }

/** A reason with what it weighs; weights order reasons and are never shown. */
export interface Weighed<Reason> {
  readonly reason: Reason
  readonly weight: number
}

/** What of an item the common reasons are made from; what a list does not ask about is left out. */
export interface ChoiceFacts {
  readonly itemId: string
  readonly shelfLife: Pick<ShelfLife, 'actOn' | 'daysLeft'>
  readonly seasons: readonly Season[]
  /** Share of the content left by the last reading; null when never read. */
  readonly left?: number | null
  readonly liking?: number | null
  readonly lastWorn?: Day | null
  /** Since when it could have been worn. */
  readonly since?: Day | null
  readonly inDrawer: boolean
  /** Items it goes well with. */
  readonly works?: readonly string[]
  readonly uses?: number
  /** The latest day it can have been opened on; null when that is not known. */
  readonly openedSince?: Day | null
  /** Open items of its type, itself included. */
  readonly openOfType?: number
  /** Where it stands among the user's next ten. */
  readonly upNext?: UpNext | null
}

export interface ChoiceContext {
  readonly today: Day
  readonly season: Season
  /** Items that are worn, in the drawer, or chosen already. */
  readonly beside: ReadonlySet<string>
  /** Days unworn from which on it counts. */
  readonly unwornFrom: number
}

/** What a reason weighs in one list: at its threshold, and at its most. What is not named counts nothing there. */
export type Weights = Readonly<Partial<Record<CommonReason['code'], readonly [number, number]>>>

/** A use-by date presses from here on, the more the nearer. Assumption. */
export const PRESSING_DAYS = 180
/** Unworn for this long outside the drawer, it is neglected. Assumption. */
export const NEGLECTED_DAYS = 60
export const LIKED_FROM = 4
/** The most that a rating can be. */
const LOVED = 5
const LITTLE_LEFT = 0.25
const OPEN_LONG_DAYS = 540
const CROWDED_FROM = 4
/** The user's own order goes before all that is weighed, and each place before the next. */
const UP_NEXT = { first: 100_000, step: 250 } as const
/** Where a reason weighs its most. Assumptions. */
const MOST = { unwornDays: 180, uses: 255, openDays: 2000, open: 15 } as const

/** The common reasons that hold for an item, each with its weight in this list. */
export function commonReasons(facts: ChoiceFacts, context: ChoiceContext, weights: Weights): Weighed<CommonReason>[] {
  const { today, season, beside, unwornFrom } = context
  const found: Weighed<CommonReason>[] = []
  const add = (reason: CommonReason, strength: number): void => {
    const range = weights[reason.code]
    if (range === undefined) return
    const [least, most] = range
    found.push({ reason, weight: least + (most - least) * Math.min(1, Math.max(0, strength)) })
  }
  const { actOn, daysLeft } = facts.shelfLife
  if (actOn !== null && daysLeft !== null && daysLeft <= PRESSING_DAYS)
    add({ code: 'expires', day: actOn, daysLeft }, 1 - daysLeft / PRESSING_DAYS)
  const { left = null, liking = null, openedSince = null, uses = 0, openOfType = 0 } = facts
  if (left !== null && left <= LITTLE_LEFT) add({ code: 'little-left', left }, 1 - left / LITTLE_LEFT)
  const from = facts.lastWorn ?? facts.since ?? null
  const unworn = from === null ? 0 : daysBetween(from, today)
  if (unworn >= unwornFrom) {
    const everWorn = (facts.lastWorn ?? null) !== null
    add({ code: 'unworn', days: unworn, everWorn, inDrawer: facts.inDrawer }, unworn / MOST.unwornDays)
  }
  if (liking !== null && liking >= LIKED_FROM)
    add({ code: 'liked', liking }, (liking - LIKED_FROM) / (LOVED - LIKED_FROM))
  if (facts.seasons.includes(season)) add({ code: 'for-the-season', season }, 1)
  const partner = [...(facts.works ?? [])].sort().find((id) => beside.has(id))
  if (partner !== undefined) add({ code: 'goes-with', withItemId: partner }, 1)
  if (uses > 0) add({ code: 'most-used', uses }, Math.log2(1 + uses) / Math.log2(1 + MOST.uses))
  const open = openedSince === null ? 0 : daysBetween(openedSince, today)
  if (open >= OPEN_LONG_DAYS)
    add({ code: 'open-long', days: open }, (open - OPEN_LONG_DAYS) / (MOST.openDays - OPEN_LONG_DAYS))
  if (openOfType >= CROWDED_FROM)
    add({ code: 'crowded', count: openOfType }, (openOfType - CROWDED_FROM) / (MOST.open - CROWDED_FROM))
  if (facts.upNext) {
    const { place, words } = facts.upNext
    found.push({ reason: { code: 'up-next', place, words }, weight: UP_NEXT.first - UP_NEXT.step * (place - 1) })
  }
  return found
}

export interface Scored<Reason> {
  readonly score: number
  /** Most weighty first. */
  readonly reasons: readonly Reason[]
}

/** The heaviest reason counts whole, the others by half, a third and so on; null where nothing speaks for it. */
export function scored<Reason>(found: readonly Weighed<Reason>[]): Scored<Reason> | null {
  if (found.length === 0) return null
  const sorted = [...found].sort((a, b) => b.weight - a.weight)
  return {
    score: sorted.reduce((sum, { weight }, at) => sum + weight / (at + 1), 0),
    reasons: sorted.map(({ reason }) => reason),
  }
}

/** The better one first; ties go to the id, so that the same items always come in the same order. */
export function byScore(
  a: { readonly itemId: string; readonly score: number },
  b: { readonly itemId: string; readonly score: number },
): number {
  return b.score - a.score || (a.itemId < b.itemId ? -1 : a.itemId > b.itemId ? 1 : 0)
}

/** Whether it is said to suit a season, or none in particular. */
export function suits(seasons: readonly Season[], season: Season): boolean {
  return seasons.length === 0 || seasons.includes(season)
}
