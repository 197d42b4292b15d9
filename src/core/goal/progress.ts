/** The goals a stay can carry in this house. */
export const GOAL_KINDS = ['finish', 'uses'] as const
export type GoalKind = (typeof GOAL_KINDS)[number]

export interface GoalFacts {
  readonly kind: GoalKind
  /** N of an N-use goal; null for *finish*. */
  readonly target: number | null
  readonly headStart: number
  readonly wearsInStay: number
  /** What was left (0..1) when it rolled in and what is left now, by eye; null when never read. */
  readonly leftAtStart: number | null
  readonly leftNow: number | null
  readonly finished: boolean
}

export interface Progress {
  readonly met: boolean
  /** Uses counted towards it: the head start and the wears since it rolled in. */
  readonly uses: number
  /** Uses still needed; null for *finish*. */
  readonly usesLeft: number | null
  /** Share done 0..1 for the rail; null where nothing measures it. */
  readonly done: number | null
}

/**
 * How far a goal is. An N-use goal reads (head start + uses since roll-in) of N. *Finish* reads
 * (now - baseline) / (0 - baseline) by what was seen to be left, and is met only by finishing.
 */
export function progressOf(facts: GoalFacts): Progress {
  const uses = facts.headStart + facts.wearsInStay
  if (facts.kind === 'uses') {
    const target = facts.target ?? 1
    return {
      met: uses >= target,
      uses,
      usesLeft: Math.max(0, target - uses),
      done: Math.min(1, uses / target),
    }
  }
  if (facts.finished) return { met: true, uses, usesLeft: null, done: 1 }
  const { leftAtStart, leftNow } = facts
  if (leftAtStart === null || leftNow === null || leftAtStart <= 0)
    return { met: false, uses, usesLeft: null, done: null }
  const share = (leftAtStart - leftNow) / leftAtStart
  return { met: false, uses, usesLeft: null, done: Math.min(1, Math.max(0, share)) }
}
