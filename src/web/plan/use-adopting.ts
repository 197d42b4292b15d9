import { ref } from 'vue'
import type { ChangeNote } from '#contract/basic'
import { useChanges } from '#web/data/changes'
import { newId } from '#web/data/client'
import type { ShownPlan } from './use-plan'

/** Adopting writes the plan that is shown and nothing else. */
export function useAdopting() {
  const changes = useChanges()
  const adopting = ref(false)

  async function adopt(plan: ShownPlan, replaces: string | null): Promise<boolean> {
    if (adopting.value) return false
    adopting.value = true
    const { made, setup, lines, outcome } = plan
    const toward = new Map(made.things.map((thing) => [thing.itemId, thing.toward]))
    const done = await changes.run<{ change: ChangeNote }>('POST', '/plan', {
      changeId: newId(),
      id: newId(),
      replaces,
      setup,
      months: made.span.months,
      weeks: made.span.weeks,
      done: { of: outcome.of, low: outcome.low, high: outcome.high },
      lines: lines.map((line) => ({
        id: newId(),
        itemId: line.itemId,
        lies: line.lies,
        uses: line.uses,
        needed: line.needed,
        toward: toward.get(line.itemId) ?? 'end',
        finishes: line.finishes,
        low: line.likely.low,
        high: line.likely.high,
      })),
    })
    adopting.value = false
    return done !== null
  }

  async function endPlan(id: string): Promise<void> {
    await changes.run('POST', `/plan/${id}/end`, { changeId: newId() })
  }

  return { adopting, adopt, endPlan }
}
