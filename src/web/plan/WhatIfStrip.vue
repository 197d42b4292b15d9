<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import type { Day } from '#core/calendar/day'
import type { ListedItem } from '#contract/item'
import type { PlanAnswer } from '#contract/planning'
import { shortName } from '#web/ui/words/item-words'
import { listed } from './plan-words'
import type { PlanOfPage, ShownPlan } from './use-plan'
import { usualWhatIfs, type WhatIf } from './what-ifs'
import WhatIfCard from './WhatIfCard.vue'
import WhatIfDialog from './WhatIfDialog.vue'

/** The plan beside itself with one thing otherwise: one is taken, or dropped. */
const props = defineProps<{
  plan: ShownPlan
  answer: PlanAnswer
  items: ReadonlyMap<string, ListedItem>
  whatIf: PlanOfPage['whatIf']
  today: Day
}>()
const emit = defineEmits<{ take: [over: WhatIf] }>()
const asked = ref<WhatIf[]>([])
const found = shallowRef<ReadonlyMap<string, ShownPlan | null>>(new Map())
const asking = ref(false)

// A plan that was laid anew is asked the same again; at first what bears on it.
watch(
  () => props.plan,
  (plan) => {
    if (plan.parts === null) return
    found.value = new Map()
    if (asked.value.length === 0) asked.value = usualWhatIfs(plan, props.answer)
    for (const each of asked.value) void lay(each, plan)
  },
  { immediate: true },
)

async function lay(each: WhatIf, plan: ShownPlan): Promise<void> {
  const shown = await props.whatIf(each.over)
  if (props.plan === plan) found.value = new Map([...found.value, [each.key, shown]])
}

function add(each: WhatIf): void {
  asking.value = false
  if (asked.value.some(({ key }) => key === each.key)) return
  asked.value = [...asked.value, each]
  void lay(each, props.plan)
}

function drop(key: string): void {
  asked.value = asked.value.filter((each) => each.key !== key)
}

function take(each: WhatIf): void {
  asked.value = []
  emit('take', each)
}

const most = computed(() =>
  Math.max(1, props.plan.outcome.of, ...[...found.value.values()].map((each) => each?.outcome.of ?? 0)),
)
const goals = (plan: ShownPlan): Set<string> =>
  new Set(plan.lines.filter(({ finishes }) => finishes).map(({ itemId }) => itemId))

/** What of this plan's goals the other has not, and the other way round, by name. */
function otherwise(other: ShownPlan | null | undefined): string[] {
  if (!other) return []
  const [mine, theirs] = [goals(props.plan), goals(other)]
  const names = (from: Set<string>, without: Set<string>): string[] =>
    [...from]
      .filter((id) => !without.has(id))
      .flatMap((id) => {
        const item = props.items.get(id)
        return item ? [shortName(item)] : []
      })
  const few = (all: string[]): string =>
    all.length > 4 ? `${listed(all.slice(0, 3))} and ${all.length - 3} more` : listed(all)
  const [lost, won] = [names(mine, theirs), names(theirs, mine)]
  return [
    ...(lost.length > 0 ? [`${few(lost)} ${lost.length === 1 ? 'drops' : 'drop'} out.`] : []),
    ...(won.length > 0 ? [`${few(won)} ${won.length === 1 ? 'gets' : 'get'} there as well.`] : []),
    ...(lost.length + won.length === 0 ? ['The same items get there.'] : []),
  ]
}
</script>

<template>
  <section class="strip d-grid rounded-lg overflow-hidden mt-3" aria-label="What if">
    <div class="lead pa-3">
      <h2 class="lead mb-2">What if</h2>
      <v-btn variant="outlined" color="primary" @click="asking = true">Ask another</v-btn>
    </div>
    <WhatIfCard title="This plan" :outcome="plan.outcome" :most="most" :currency="answer.currency" now />
    <WhatIfCard
      v-for="each in asked"
      :key="each.key"
      :title="each.title"
      :outcome="found.get(each.key)?.outcome ?? null"
      :most="most"
      :currency="answer.currency"
      :otherwise="otherwise(found.get(each.key))"
      :waiting="!found.has(each.key)"
      @take="take(each)"
      @drop="drop(each.key)"
    />
    <WhatIfDialog
      v-if="asking"
      :plan="plan"
      :answer="answer"
      :items="items"
      :today="today"
      @close="asking = false"
      @ask="add"
    />
  </section>
</template>

<style scoped>
.strip {
  grid-template-columns: 130px repeat(auto-fit, minmax(200px, 1fr));
  border: 1px solid var(--line);
  background: var(--raised);
}

.phone .strip {
  grid-template-columns: 1fr;
}

.phone .lead {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
</style>
