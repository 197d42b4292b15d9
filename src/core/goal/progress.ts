/** The goals a stay can carry. */
export const GOAL_KINDS = ['finish', 'uses', 'hit pan', 'expand pan', 'level', 'keep using', 'find a use'] as const
export type GoalKind = (typeof GOAL_KINDS)[number]

/** Goals that are counted in uses. */
export function isCounted(kind: GoalKind): boolean {
  return kind === 'uses' || kind === 'find a use'
}

/** What is left at first pan: where a goal *hit pan* ends (the level the content model gives that stage; assumption). */
const LEFT_AT_FIRST_PAN = 0.43

export interface GoalFacts {
  readonly kind: GoalKind
  /** N uses; the bare share to reach (0..1) of *expand pan*; the share left to reach (0..1) of *level*; else null. */
  readonly target: number | null
  readonly headStart: number
  readonly wearsInStay: number
  /** What was left (0..1) when it rolled in and what is left now, by eye; null when never read. */
  readonly leftAtStart: number | null
  readonly leftNow: number | null
  /** Bare share of the pan then and now, 0..1; null when its stage was never seen. Of a palette, the mean of its shades. */
  readonly bareAtStart: number | null
  readonly bareNow: number | null
  /** Bare metal shows in it, of a palette in any shade. */
  readonly panShows: boolean
  readonly finished: boolean
}

export interface Progress {
  readonly met: boolean
  /** Uses counted towards it: the head start and the wears since it rolled in. */
  readonly uses: number
  /** Uses still needed; null for a goal that is not counted. */
  readonly usesLeft: number | null
  /** Share done 0..1 for the rail; null where nothing measures it. */
  readonly done: number | null
}

/**
 * How far a goal is. A counted goal reads (head start + uses since roll-in) of N. The others read (now - baseline) /
 * (target - baseline) in their own measure; *finish* is met only by finishing, *hit pan* by the first bare spot. *Keep
 * using* is never met. Finishing the item meets what is read off it; uses count as far as they were reached.
 */
export function progressOf(facts: GoalFacts): Progress {
  const uses = facts.headStart + facts.wearsInStay
  const measured = (met: boolean, done: number | null): Progress => ({
    met: met || facts.finished,
    uses,
    usesLeft: null,
    done: met || facts.finished ? 1 : done,
  })
  switch (facts.kind) {
    case 'uses':
    case 'find a use': {
      const target = facts.target ?? 1
      return { met: uses >= target, uses, usesLeft: Math.max(0, target - uses), done: Math.min(1, uses / target) }
    }
    case 'keep using':
      return { met: false, uses, usesLeft: null, done: null }
    case 'hit pan':
      return measured(facts.panShows, share(facts.leftAtStart, facts.leftNow, LEFT_AT_FIRST_PAN))
    case 'expand pan': {
      const target = facts.target ?? 1
      return measured((facts.bareNow ?? 0) >= target, share(facts.bareAtStart, facts.bareNow, target))
    }
    case 'level': {
      const target = facts.target ?? 0
      return measured(
        facts.leftNow !== null && facts.leftNow <= target,
        share(facts.leftAtStart, facts.leftNow, target),
      )
    }
    case 'finish':
      return measured(false, share(facts.leftAtStart, facts.leftNow, 0))
  }
}

/** (now - baseline) / (target - baseline), kept within 0..1; null where one is unknown or baseline and target are the same. */
function share(baseline: number | null, now: number | null, target: number): number | null {
  if (baseline === null || now === null || baseline === target) return null
  return Math.min(1, Math.max(0, (now - baseline) / (target - baseline)))
}
