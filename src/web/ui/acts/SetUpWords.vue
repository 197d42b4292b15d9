<script setup lang="ts">
import { computed, shallowRef, watch } from 'vue'
import { refDebounced } from '@vueuse/core'
import type { Day } from '#core/calendar/day'
import { parseDay } from '#core/calendar/day'
import type { SetUpAnswer } from '#contract/forecast'
import type { Verdict } from '#core/forecast/verdict'
import { isCounted } from '#core/goal/progress'
import { useSetUp } from '#web/data/reads'
import VerdictGlyph from '#web/ui/gauge/VerdictGlyph.vue'
import { outlookWords } from '#web/ui/words/forecast-words'
import { addsUpWords } from '#web/ui/words/set-up-words'
import { isShare, type GoalDraft } from './goal-draft'

/** Before she commits: whether it adds up, and how likely it is made. */
const props = defineProps<{
  itemIds: readonly string[]
  goal: GoalDraft
  projectId: string
  projectBy: Day | null
  today: Day
}>()
const WAIT_MS = 250
const WONT: ReadonlySet<Verdict> = new Set(['not in time', 'out of reach', 'missed', 'expired', 'gone off'])
const by = computed<Day | null>(() => {
  const { goal, projectBy } = props
  if (goal.by === 'project') return projectBy
  return goal.by === 'own' ? parseDay(goal.byDay) : null
})
/** Nothing is asked while the goal is not a goal yet. */
const path = computed<string | null>(() => {
  const { goal, itemIds, projectId } = props
  if (itemIds.length === 0 || goal.kind === null || goal.kind === 'keep using') return null
  const target = isShare(goal.kind) ? Number(goal.target) / 100 : isCounted(goal.kind) ? Number(goal.target) : null
  if (target !== null && !(target > 0)) return null
  const headStart = isCounted(goal.kind) ? Number(goal.headStart) : 0
  if (!Number.isInteger(headStart) || headStart < 0) return null
  const query = new URLSearchParams({
    items: itemIds.join(','),
    kind: goal.kind,
    headStart: String(headStart),
    ...(target === null ? {} : { target: String(target) }),
    ...(by.value === null ? {} : { by: by.value }),
    ...(projectId === '' ? {} : { project: projectId }),
  })
  return `/set-up?${query.toString()}`
})
const asked = useSetUp(refDebounced(path, WAIT_MS))
/** The last answer stands until the next has come: nothing below it jumps. */
const answer = shallowRef<SetUpAnswer | null>(null)
watch(asked.answer, (now) => (answer.value = now ?? answer.value), { immediate: true })
const single = computed(() => (props.itemIds.length === 1 ? (answer.value?.outlooks[0] ?? null) : null))
const unlikely = computed(() => (answer.value?.outlooks ?? []).filter(({ verdict }) => WONT.has(verdict)).length)
</script>

<template>
  <div
    v-if="path !== null && answer"
    class="set-up d-grid rounded-lg small py-2 px-3 ga-2"
    role="status"
    aria-label="Does it add up"
  >
    <p v-for="kind in answer.kinds" :key="kind.category" class="figures" :class="{ over: !kind.fits }">
      {{ addsUpWords(kind, answer.by ?? today, today, unlikely > 0) }}
    </p>
    <p v-if="single" class="chance d-grid align-start ga-2">
      <VerdictGlyph v-if="single.chance !== null" :verdict="single.verdict" />
      <span>{{ outlookWords(single, today) }}</span>
    </p>
    <p v-else-if="answer.by !== null && answer.outlooks.length > 1">
      {{
        unlikely === 0
          ? 'At your pace, all of them can be done.'
          : `At your pace ${unlikely} of ${answer.outlooks.length} won’t be finished in time.`
      }}
    </p>
  </div>
</template>

<style scoped>
.set-up {
  background: var(--inset);
}

.over {
  color: var(--attention);
  font-weight: 600;
}

.chance {
  grid-template-columns: auto minmax(0, 1fr);
}
</style>
