import type { GoalKind } from './progress.js'

export interface PushFacts {
  readonly itemId: string
  readonly finishedOn: string | null
  readonly goal: {
    readonly kind: GoalKind
    readonly met: boolean
    readonly done: number | null
    readonly by: string | null
    readonly beside: boolean
    readonly standing: string
  } | null
}

/**
 * The one to push until the next time: furthest along of those that can still be reached, those with a date before those without.
 * Null where none has a goal that is open.
 */
export function pushOf(lines: readonly PushFacts[]): string | null {
  const open = lines.filter(
    ({ goal, finishedOn }) =>
      goal !== null &&
      finishedOn === null &&
      !goal.beside &&
      !goal.met &&
      goal.done !== null &&
      goal.kind !== 'keep using' &&
      goal.standing !== 'out of reach' &&
      goal.standing !== 'missed',
  )
  const [first] = open.sort(
    (a, b) =>
      Number(b.goal?.by !== null) - Number(a.goal?.by !== null) ||
      (b.goal?.done ?? 0) - (a.goal?.done ?? 0) ||
      (a.itemId < b.itemId ? -1 : 1),
  )
  return first?.itemId ?? null
}
