import type { Day } from '#core/calendar/day'
import { isCounted, type GoalKind } from '#core/goal/progress'
import type { GoalView } from '#contract/item'

/** A goal while it is typed. */
export interface GoalDraft {
  kind: GoalKind | null
  /** Uses, or percents for *expand pan* and *level*. */
  target: string
  headStart: string
  by: 'own' | 'project' | 'none' | null
  byDay: string
}

/** Usual targets when rotating; common practice, no source. */
const USUAL_USES = 10
const USUAL_TARGET: Readonly<Record<GoalKind, string>> = {
  finish: '',
  uses: String(USUAL_USES),
  'hit pan': '',
  'expand pan': '50',
  level: '50',
  'keep using': '',
  'find a use': '3',
}

export function freshGoal(projectBy: Day | null, uses: number | null = null): GoalDraft {
  return {
    kind: 'uses',
    target: String(uses ?? USUAL_USES),
    headStart: '0',
    by: projectBy === null ? 'none' : 'project',
    byDay: '',
  }
}

export function usualTarget(kind: GoalKind): string {
  return USUAL_TARGET[kind]
}

export function isShare(kind: GoalKind | null): boolean {
  return kind === 'expand pan' || kind === 'level'
}

export function draftOf(goal: GoalView, projectBy: Day | null): GoalDraft {
  const by = goal.by === null ? 'none' : goal.by === projectBy ? 'project' : 'own'
  const target =
    goal.target === null
      ? usualTarget(goal.kind)
      : String(isShare(goal.kind) ? Math.round(goal.target * 100) : goal.target)
  return {
    kind: goal.kind,
    target,
    headStart: String(goal.headStart),
    by,
    byDay: by === 'own' ? String(goal.by) : '',
  }
}

/** The goal as the server takes it; what is left blank goes as it is, for the server to name. */
export function goalBody(draft: GoalDraft) {
  const counted = draft.kind !== null && isCounted(draft.kind)
  return {
    kind: draft.kind,
    target: counted ? Number(draft.target) : isShare(draft.kind) ? Number(draft.target) / 100 : null,
    headStart: counted ? Number(draft.headStart) : 0,
    by: draft.by === 'own' ? { kind: 'own', day: draft.byDay } : { kind: draft.by },
  }
}
