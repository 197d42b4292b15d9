<script setup lang="ts">
import { MONTH_DAYS } from '#core/calendar/lengths'
import { useElementSize } from '@vueuse/core'
import { computed, ref, useTemplateRef } from 'vue'
import OutcomeLane from './OutcomeLane.vue'

/** One outcome: what was said of a thing, and what came of it, in days from when it was said. */
export interface Outcome {
  readonly itemId: string
  readonly mark: string
  readonly low: number
  readonly middle: number
  readonly high: number
  readonly came: number
  readonly running: boolean
  readonly words: string
}
/** Outcomes one below the other on one axis of months. */
const props = defineProps<{ label: string; legend: string; outcomes: readonly Outcome[] }>()
const SHOWN = 8
const STEPS = [1, 2, 3, 6, 12, 24] as const
const MOST_TICKS = 7
const all = ref(false)
const axis = useTemplateRef<HTMLElement>('axis')
const { width } = useElementSize(axis)
const shown = computed(() => (all.value ? props.outcomes : props.outcomes.slice(0, SHOWN)))
/** One very long one would press all others flat: its lane ends at the edge, its words tell. */
const most = computed(() => {
  const ends = props.outcomes.map(({ came, middle }) => Math.max(came, middle)).sort((a, b) => a - b)
  return Math.max(90, (ends[Math.floor(0.9 * (ends.length - 1))] ?? 0) * 1.15)
})
const ticks = computed(() => {
  const months = most.value / MONTH_DAYS
  const step = STEPS.find((each) => months / each <= MOST_TICKS) ?? 24
  return Array.from({ length: Math.floor(months / step) + 1 }, (_, n) => n * step)
})
const place = (months: number): string => `${((months * MONTH_DAYS) / most.value) * (width.value - 16) + 4}px`
</script>

<template>
  <section class="sheet outcomes" :aria-label="label">
    <div class="row heads quiet d-grid align-center hair-below small py-0 px-3 gr-0 gc-3">
      <span>{{ legend }}</span>
      <div ref="axis" class="axis figures" aria-hidden="true">
        <span v-for="months in ticks" :key="months" :style="{ left: place(months) }">{{
          months === 0 ? 'said' : months
        }}</span>
      </div>
      <span class="told"></span>
    </div>
    <div
      v-for="each in shown"
      :key="`${each.itemId} ${each.middle} ${each.came}`"
      class="row d-grid align-center hair-below small py-0 px-3 gr-0 gc-3"
    >
      <RouterLink :to="`/items/${each.itemId}`">{{ each.mark }}</RouterLink>
      <OutcomeLane v-bind="each" :most="most" :width="width" />
      <span class="told figures">{{ each.words }}</span>
    </div>
    <v-btn v-if="outcomes.length > shown.length" variant="text" @click="all = true"
      >Show all {{ outcomes.length }}</v-btn
    >
  </section>
</template>

<style scoped>
.row {
  grid-template-columns: 220px minmax(0, 1fr) 250px;
  min-height: 38px;
}

.row:last-child {
  border-bottom: none;
}

.row a {
  color: var(--ink);
  font-weight: 600;
  text-decoration: none;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.row a:hover {
  text-decoration: underline;
}

.heads {
  min-height: 26px;
  font-size: 12.5px;
}

.axis {
  position: relative;
  height: 16px;
}

.axis span {
  position: absolute;
  padding-left: 4px;
  border-left: 1px solid var(--line);
  line-height: 16px;
  white-space: nowrap;
  font-size: 12px;
}

.phone .row {
  grid-template-columns: 1fr;
  padding: 6px 12px;
}

.phone .row a {
  display: flex;
  align-items: center;
  min-height: 44px;
}
</style>
