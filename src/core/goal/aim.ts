import { isCounted, type GoalKind } from './progress.js'

/** What to reach by the next check-in. */
export type Aim =
  | { readonly code: 'uses'; readonly count: number }
  /** Share of the goal done, 0..1. */
  | { readonly code: 'done'; readonly share: number }
  | { readonly code: 'roll out' }

export interface AimFacts {
  readonly kind: GoalKind
  readonly met: boolean
  readonly usesLeft: number | null
  readonly done: number | null
  /** Wear days until its date; null without one. */
  readonly wearDaysLeft: number | null
  /** Uses since the last check-in. */
  readonly usesLately: number
  /** Wear days until the next check-in. */
  readonly wearDaysNext: number
}

/**
 * What to aim for until the next check-in: of what is left, the share that the next stretch has of the wear days to its date;
 * without a date as many uses as lately. Null where nothing is asked of it.
 */
export function aimOf(facts: AimFacts): Aim | null {
  const { kind, met, usesLeft, done, wearDaysLeft, usesLately, wearDaysNext } = facts
  if (met) return { code: 'roll out' }
  const part = wearDaysLeft === null ? null : wearDaysLeft <= 0 ? 1 : Math.min(1, wearDaysNext / wearDaysLeft)
  if (isCounted(kind)) {
    if (usesLeft === null) return null
    const count = part === null ? usesLately : Math.ceil(usesLeft * part)
    // At most one a day: no aim is out of reach by itself.
    return { code: 'uses', count: Math.min(usesLeft, Math.max(1, Math.min(count, Math.floor(wearDaysNext)))) }
  }
  if (kind === 'keep using') return { code: 'uses', count: Math.max(1, usesLately) }
  return done === null || part === null ? null : { code: 'done', share: done + (1 - done) * part }
}
