<script setup lang="ts">
import { computed } from 'vue'
import type { Day } from '#core/calendar/day'
import type { PlanSpan } from '#core/plan/schedule/span'
import { shortDay } from '#web/ui/words/when-words'
import type { KeptPlace } from './plan-lanes'

/** A place kept for what will have to be bought, from when its kind has run out. */
const props = defineProps<{
  place: KeptPlace
  kind: { readonly name: string; readonly needSoonest: string | null; readonly needLatest: string | null } | null
  span: PlanSpan
  today: Day
}>()
const months = computed(() => props.span.months.length)
const range = computed(() => {
  const { needSoonest: low, needLatest: high } = props.kind ?? {}
  if (high && high <= props.today) return 'now'
  if (!low) return `about ${shortDay(props.place.day, props.today)}`
  return high
    ? `${shortDay(low as Day, props.today)} to ${shortDay(high as Day, props.today)}`
    : `from ${shortDay(low as Day, props.today)}`
})
</script>

<template>
  <RouterLink
    to="/buying/wish-list"
    class="kept"
    :style="{ left: `${(100 * place.from) / months}%`, width: `${(100 * (months - place.from)) / months}%` }"
  >
    <strong class="small">To buy: {{ kind?.name }}</strong>
    <small class="d-block fine quiet">needed {{ range }}</small>
  </RouterLink>
</template>

<style scoped>
.kept:not(.v-btn) {
  position: absolute;
  top: 0;
  height: 44px;
  box-sizing: border-box;
  padding: 4px 10px;
  border: 1.5px dashed var(--line);
  border-radius: 8px;
  color: var(--ink);
  text-decoration: none;
  line-height: 1.2;
  overflow: hidden;
  white-space: nowrap;
}
</style>
