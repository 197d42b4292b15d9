<script setup lang="ts">
import type { Day } from '#core/calendar/day'
import TallyStrokes from '#web/ui/TallyStrokes.vue'
import { dayMarkWords, type PlanMark } from './plan-marks'

/** What the marks of the plan say. */
defineProps<{ marks: readonly PlanMark[]; today: Day }>()
</script>

<template>
  <dl class="legend small mt-2 py-0 px-3" aria-label="Marks">
    <div class="d-grid align-center">
      <dt><TallyStrokes :count="6" /></dt>
      <dd>uses planned, month by month</dd>
    </div>
    <div class="d-grid align-center">
      <dt><span class="hatch" /></dt>
      <dd>finished: the likely days</dd>
    </div>
    <div class="d-grid align-center">
      <dt><span class="post d-block ms-3" /></dt>
      <dd>use by, or the end of its project</dd>
    </div>
    <div class="d-grid align-center">
      <dt><span class="hollow" /></dt>
      <dd>in the drawer, but short of its goal</dd>
    </div>
    <div class="d-grid align-center" v-for="mark in marks" :key="mark.words">
      <dt><span class="mark d-block ms-3" /></dt>
      <dd>{{ dayMarkWords(mark, today) }}</dd>
    </div>
  </dl>
</template>

<style scoped>
.legend div {
  grid-template-columns: 48px 1fr;
  min-height: 24px;
}

.hatch,
.hollow {
  display: block;
  width: 34px;
  height: 8px;
  border: 1px solid var(--ink);
}

.hatch {
  background: repeating-linear-gradient(-55deg, transparent 0 3px, var(--ink) 3px 4.2px);
}

.hollow {
  height: 16px;
  border: 1.5px solid var(--line);
  border-radius: 4px;
}

.post,
.mark {
  width: 3px;
  height: 16px;
  background: var(--alarm);
}

.mark {
  width: 2px;
  background: var(--primary);
}
</style>
