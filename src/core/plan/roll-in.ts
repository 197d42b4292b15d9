import { daysBetween, type Day } from '../calendar/day.js'
import { isInDate, type ShelfLife } from '../shelf-life/last-good-day.js'

/** An item that could join a project. */
export interface RollInFacts {
  readonly itemId: string
  readonly categoryId: string
  readonly shelfLife: ShelfLife
  /** The latest day it can have been opened on; null when that is not known. */
  readonly openedSince: Day | null
  readonly left: number | null
  readonly liking: number | null
  readonly lastWorn: Day | null
  /** Open items of its category, itself included. */
  readonly openInCategory: number
  readonly inDrawer: boolean
}

export type RollInReason =
  | { readonly code: 'spoils-soon'; readonly day: Day }
  | { readonly code: 'nearly-done'; readonly left: number }
  | { readonly code: 'liked-but-neglected'; readonly days: number }
  | { readonly code: 'open-long'; readonly days: number }
  | { readonly code: 'crowded'; readonly count: number }

export interface RollInCandidate {
  readonly itemId: string
  readonly sameCategory: boolean
  readonly reason: RollInReason
}

/** A list that can be read at a glance. Assumption. */
export const SHORT_LIST = 5
const SPOILS_WITHIN_DAYS = 240
const NEGLECTED_DAYS = 60
const LIKED_FROM = 4
const OPEN_LONG_DAYS = 540
const CROWDED_FROM = 4

/**
 * A short list of what could take the place of an item that rolled out: like for like first, then
 * one of each remaining reason, then by how pressing the reason is. Past or spoiled items never
 * appear. Deterministic: ties go to the id.
 */
export function rollInShortList(
  facts: readonly RollInFacts[],
  replacing: { categoryId: string } | null,
  today: Day,
): RollInCandidate[] {
  const scored = facts
    .map((item) => ({ item, found: reasonOf(item, today) }))
    .filter((row): row is { item: RollInFacts; found: Scored } => row.found !== null)
    .map(({ item, found }) => ({
      itemId: item.itemId,
      sameCategory: replacing !== null && item.categoryId === replacing.categoryId,
      reason: found.reason,
      score: found.score,
    }))
    .sort((a, b) => b.score - a.score || (a.itemId < b.itemId ? -1 : 1))
  const like = scored.filter((row) => row.sameCategory).slice(0, 3)
  const chosen = [...like]
  // Variety before strength: a person choosing wants different reasons, not five of one.
  for (const fresh of [true, false])
    for (const row of scored) {
      if (chosen.length >= SHORT_LIST) break
      if (chosen.includes(row)) continue
      if (fresh && chosen.some((other) => other.reason.code === row.reason.code)) continue
      chosen.push(row)
    }
  return chosen.map(({ itemId, sameCategory, reason }) => ({ itemId, sameCategory, reason }))
}

interface Scored {
  readonly reason: RollInReason
  readonly score: number
}

/** The most pressing reason; scores order reasons of different kinds and are an assumption. */
function reasonOf(item: RollInFacts, today: Day): Scored | null {
  if (!isInDate(item.shelfLife)) return null
  const { actOn, daysLeft } = item.shelfLife
  const found: Scored[] = []
  if (actOn !== null && daysLeft !== null && daysLeft <= SPOILS_WITHIN_DAYS)
    found.push({ reason: { code: 'spoils-soon', day: actOn }, score: 100 - daysLeft / 4 })
  if (item.left !== null && item.left <= 0.3)
    found.push({ reason: { code: 'nearly-done', left: item.left }, score: 80 - item.left * 100 })
  const idle = item.lastWorn === null ? null : daysBetween(item.lastWorn, today)
  if ((item.liking ?? 0) >= LIKED_FROM && idle !== null && idle >= NEGLECTED_DAYS && !item.inDrawer)
    found.push({ reason: { code: 'liked-but-neglected', days: idle }, score: 45 + Math.min(20, idle / 30) })
  const openDays = item.openedSince === null ? 0 : daysBetween(item.openedSince, today)
  if (openDays >= OPEN_LONG_DAYS)
    found.push({ reason: { code: 'open-long', days: openDays }, score: 40 + Math.min(15, openDays / 120) })
  if (item.openInCategory >= CROWDED_FROM)
    found.push({ reason: { code: 'crowded', count: item.openInCategory }, score: 20 + item.openInCategory })
  return found.sort((a, b) => b.score - a.score)[0] ?? null
}
