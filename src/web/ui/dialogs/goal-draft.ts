import type { Day } from '#core/calendar/day'
import type { GoalView } from '#contract/item'

/** A goal while it is typed. */
export interface GoalDraft {
  kind: 'finish' | 'uses' | null
  target: string
  headStart: string
  by: 'own' | 'project' | 'none' | null
  byDay: string
}

/** Usual targets when rotating; common practice, no source. */
const USUAL_USES = 10

export function freshGoal(projectBy: Day | null): GoalDraft {
  return {
    kind: 'uses',
    target: String(USUAL_USES),
    headStart: '0',
    by: projectBy === null ? 'none' : 'project',
    byDay: '',
  }
}

export function draftOf(goal: GoalView, projectBy: Day | null): GoalDraft {
  const by = goal.by === null ? 'none' : goal.by === projectBy ? 'project' : 'own'
  return {
    kind: goal.kind,
    target: String(goal.target ?? USUAL_USES),
    headStart: String(goal.headStart),
    by,
    byDay: by === 'own' ? String(goal.by) : '',
  }
}

/** The goal as the server takes it; what is left blank goes as it is, for the server to name. */
export function goalBody(draft: GoalDraft) {
  return {
    kind: draft.kind,
    target: draft.kind === 'uses' ? Number(draft.target) : null,
    headStart: draft.kind === 'uses' ? Number(draft.headStart) : 0,
    by: draft.by === 'own' ? { kind: 'own', day: draft.byDay } : { kind: draft.by },
  }
}
