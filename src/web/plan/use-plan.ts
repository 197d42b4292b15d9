import { computed, ref, shallowRef, watch } from 'vue'
import { USUAL_SETUP, type PlanSetup } from '#core/plan/schedule/basis'
import { evaluateSchedule } from '#core/plan/schedule/evaluate'
import { scheduleFrom } from '#core/plan/schedule/in-force'
import { draftPlan, type PartQuality } from '#core/plan/schedule/solve-plan'
import { leftOutOf } from '#core/plan/schedule/left-out'
import { linesOf, outcomeOf, type PlanLine, type PlanOutcome } from '#core/plan/schedule/outcome'
import { problemOf, type MadeProblem } from '#core/plan/schedule/problem-of'
import type { Schedule } from '#core/plan/schedule/problem'
import type { ListedItem } from '#contract/item'
import type { PlanAnswer } from '#contract/planning'
import { usePlanRead } from '#web/data/reads'
import { usePlanWorker } from './use-plan-worker'

/** Seconds for all zones together, at first and when she lets it think longer. */
export const SOON = 3
export const LONGER = 20
/** What each crowded-out thing would push out is asked of the first so many, for so long in all. */
const MOST_ASKED = 12
const ASKED_SECONDS = 3

/** A plan as it is shown: a draft at once, then as it was laid. */
export interface ShownPlan {
  readonly setup: PlanSetup
  readonly made: MadeProblem
  readonly schedule: Schedule
  /** Null while it is a draft. */
  readonly parts: readonly PartQuality[] | null
  /** It is the plan in force, since no other is worth much more. */
  readonly kept: boolean
  readonly lines: readonly PlanLine[]
  readonly outcome: PlanOutcome
}

function shownOf(
  made: MadeProblem,
  setup: PlanSetup,
  found: Pick<ShownPlan, 'schedule' | 'parts' | 'kept'>,
): ShownPlan {
  const lines = linesOf(made, setup, found.schedule)
  return { setup, made, ...found, lines, outcome: outcomeOf(made, setup, lines) }
}

/** Lets the page draw what it has. */
function breath(): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve))
}

/** The plan of the page: made from what the collection says, drafted at once, laid in the worker, and every what-if after it. */
export function usePlan() {
  const { answer, failed } = usePlanRead()
  const setup = ref<PlanSetup>({ ...USUAL_SETUP })
  const plan = shallowRef<ShownPlan | null>(null)
  const worker = usePlanWorker()
  /** What went wrong with the solver; the draft stays. */
  const trouble = ref<'no solver' | 'broken' | null>(null)
  const solving = ref(false)
  const dropped = shallowRef<ReadonlyMap<string, readonly string[] | null>>(new Map())
  const items = computed(() => new Map<string, ListedItem>(answer.value?.items.map((item) => [item.id, item])))
  const leftOut = computed(() =>
    answer.value && plan.value ? leftOutOf(answer.value.basis, plan.value.made, plan.value.schedule) : [],
  )
  let begun = false
  /** Only the last that was asked for is shown. */
  let round = 0
  /** What the plan on the page was made from: an answer that says the same changes nothing. */
  let from = ''

  watch(
    answer,
    (there) => {
      if (!there) return
      // The first time as she adopted it; from then on as she set it up.
      if (!begun && there.inForce) setup.value = { ...USUAL_SETUP, ...there.inForce.setup }
      begun = true
      const now = JSON.stringify([there.basis, there.inForce?.id])
      if (now === from) return
      from = now
      void lay(there, SOON)
    },
    { immediate: true },
  )

  function change(to: Partial<PlanSetup>): void {
    setup.value = { ...setup.value, ...to }
    if (answer.value) void lay(answer.value, SOON)
  }

  async function lay(there: PlanAnswer, seconds: number): Promise<void> {
    cancel()
    const now = { ...setup.value }
    // The page draws between the sums: none of them holds it up for long.
    const mine = (round += 1)
    const made = problemOf(there.basis, now)
    await breath()
    const draft = seconds === SOON ? draftPlan(made.problem) : null
    await breath()
    if (mine !== round) return
    const inForce = there.inForce && scheduleFrom(made, there.inForce)
    // What was laid before stays in sight while it is thought over for longer.
    if (draft !== null) plan.value = shownOf(made, now, { schedule: draft, parts: null, kept: false })
    dropped.value = new Map()
    trouble.value = null
    if (made.problem.items.length === 0) return
    solving.value = true
    const reply = await worker.ask({ ask: 'lay', problem: made.problem, seconds, inForce })
    if (reply === null) return
    solving.value = false
    if (reply.code === 'failed') trouble.value = reply.why
    if (reply.code !== 'laid') return
    const { schedule, parts, kept } = reply.laid
    plan.value = shownOf(made, now, { schedule, parts, kept })
    await askDropped()
  }

  /** One plan with each of what was crowded out, and what it would drop. */
  async function askDropped(): Promise<void> {
    const shown = plan.value
    const itemIds = leftOut.value
      .filter(({ reason }) => reason.code === 'crowded out')
      .slice(0, MOST_ASKED)
      .map(({ itemId }) => itemId)
    if (shown === null || itemIds.length === 0) return
    const { problem } = shown.made
    const reply = await worker.ask({
      ask: 'dropped',
      problem,
      schedule: shown.schedule,
      itemIds,
      seconds: ASKED_SECONDS,
    })
    if (reply?.code === 'dropped' && plan.value === shown) dropped.value = new Map(reply.byItem)
  }

  /** The same with something otherwise, laid behind what is laid already; null when it was given up or cannot be. */
  async function whatIf(over: Partial<PlanSetup>): Promise<ShownPlan | null> {
    const there = answer.value
    if (!there) return null
    const now = { ...setup.value, ...over }
    const made = problemOf(there.basis, now)
    const reply = await worker.ask({ ask: 'lay', problem: made.problem, seconds: SOON, inForce: null })
    if (reply?.code !== 'laid') return null
    const { schedule, parts } = reply.laid
    return shownOf(made, now, { schedule, parts, kept: false })
  }

  function cancel(): void {
    worker.cancel()
    solving.value = false
  }

  /** Every plan that is shown keeps every rule: what the evaluator would say of it, for the story that looks at it. */
  const breaches = computed(() =>
    plan.value === null ? 0 : evaluateSchedule(plan.value.made.problem, plan.value.schedule).breaches.length,
  )

  return {
    answer,
    failed,
    setup,
    change,
    plan,
    items,
    leftOut,
    dropped,
    trouble,
    solving,
    breaches,
    progress: worker.progress,
    cancel,
    thinkLonger: () => answer.value && void lay(answer.value, LONGER),
    again: () => answer.value && void lay(answer.value, SOON),
    whatIf,
  }
}
export type PlanOfPage = ReturnType<typeof usePlan>
