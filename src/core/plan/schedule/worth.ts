import { daysBetween, type Day } from '../../calendar/day.js'

/** What speaks for an item in the plan. */
export interface WorthFacts {
  /** 1 to 5, null where the user never said. */
  readonly liking: number | null
  /** What is left of it, in money; null where no price is known. */
  readonly moneyLeft: number | null
  /** What is left of a middling item of the user's, in money. */
  readonly usualMoney: number
  readonly lastGood: Day | null
  readonly inProject: boolean
  /** Its place among what the user put up next, from 1; null = not there. */
  readonly upNext: number | null
  /** The user's own word, 1 to 100. */
  readonly weight: number | null
}

/**
 * Assumptions: each part speaks about as loud as two steps of liking; what the user put up next louder than any of them, the first
 * loudest. `docs/plan.md` prints the formula.
 */
export const WORTH = { base: 25, liking: 8, money: 25, expiry: 25, project: 20, upNext: 50, perPlace: 4 } as const
/** What lasts longer than this is not at stake. Assumption. */
const STAKE_DAYS = 730

/** One part of what an item is worth, to be shown. */
export interface WorthParts {
  readonly base: number
  readonly liking: number
  readonly money: number
  readonly expiry: number
  readonly project: number
  readonly upNext: number
}

export function worthParts(facts: WorthFacts, today: Day): WorthParts {
  const { liking, moneyLeft, usualMoney, lastGood, inProject, upNext } = facts
  const days = lastGood === null ? STAKE_DAYS : Math.max(0, daysBetween(today, lastGood))
  return {
    base: WORTH.base,
    liking: liking === null ? 0 : WORTH.liking * (liking - 3),
    money: moneyLeft === null || usualMoney <= 0 ? 0 : (WORTH.money * moneyLeft) / (moneyLeft + usualMoney),
    expiry: WORTH.expiry * Math.max(0, 1 - days / STAKE_DAYS),
    project: inProject ? WORTH.project : 0,
    upNext: upNext === null ? 0 : Math.max(0, WORTH.upNext - WORTH.perPlace * (upNext - 1)),
  }
}

/**
 * What meeting an item's goal is worth, 1 to 100: the user's own weight, else 25 + 8 (liking - 3) + 25 money / (money + usual money) +
 * 25 (1 - days to the last good day / 730) + 20 if it is in a project +
 * 50 - 4 (place - 1) if it is up next.
 */
export function worthOf(facts: WorthFacts, today: Day): number {
  if (facts.weight !== null) return facts.weight
  const { base, liking, money, expiry, project, upNext } = worthParts(facts, today)
  return Math.min(100, Math.max(1, Math.round(base + liking + money + expiry + project + upNext)))
}
