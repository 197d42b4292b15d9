import { computed } from 'vue'
import type { Verdict } from '#core/forecast/verdict'
import type { GoalView } from '#contract/item'
import { useVerdictsRead } from './reads'

/** What is settled without a forecast; null where one is needed and not there yet. */
export function settledVerdict(goal: GoalView): Verdict | null {
  if (goal.met) return 'met'
  return goal.standing === 'ended' || goal.kind === 'keep using' || goal.beside ? goal.standing : null
}

/** The one verdict on each open goal, for rows that know only the goal; null until it is there. */
export function useVerdicts() {
  const { answer } = useVerdictsRead()
  const known = computed(() => new Map((answer.value?.goals ?? []).map((each) => [each.stayId, each.verdict])))
  return (goal: GoalView | null): Verdict | null =>
    goal === null ? null : (settledVerdict(goal) ?? known.value.get(goal.stayId) ?? null)
}
