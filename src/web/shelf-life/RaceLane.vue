<script setup lang="ts">
import { computed } from 'vue'
import { addDays, type Day } from '#core/calendar/day'
import { CURVE_DAYS } from '#core/forecast/curve-days'
import { bodyOf } from '#web/ui/chart/finish-body'
import type { RaceAxis } from './race-axis'
import type { RaceRow } from './race-rows'

/** The lane of one thing, hatched with the pattern `race-hatch` of its page: the post is its last good day, the body when it will be gone; hatched in time, hollow too late. */
const props = defineProps<{ row: RaceRow; axis: RaceAxis; width: number; today: Day }>()
const HEIGHT = 30
const MIDDLE = 15
const REACH = 11
const at = (day: Day): number => props.axis.place(day) * props.width
const range = computed(() => props.row.item.shelfLife.lastGood)
const post = computed(() => {
  const { lastGood, actOn, state } = props.row.item.shelfLife
  if (actOn === null || lastGood === null) return null
  const [from, to] = [at(lastGood.earliest), at(lastGood.latest)]
  return { at: Math.max(2, at(actOn)), from: Math.max(2, from), to, spread: state !== 'sign seen' && to - from > 5 }
})
/** Less likely than one in ten within five years: only an arrow says which way it goes. */
const never = computed(() => props.row.race.finish.low === null)
const parts = computed(() => {
  const { last, curve } = props.row.race
  if (never.value) return []
  const days = bodyOf([{ days: 0, chance: 0 }, ...curve.map((chance, n) => ({ days: CURVE_DAYS[n] ?? 0, chance }))])
  return days.map(({ from, to, thick }) => ({ from: at(addDays(last, from)), to: at(addDays(last, to)), thick }))
})
const outline = computed(() => {
  const [first, last] = [parts.value[0], parts.value.at(-1)]
  if (!first || !last) return ''
  const edge = (sign: 1 | -1): string[] =>
    parts.value.map(
      ({ from, to, thick }) =>
        `${((from + to) / 2).toFixed(1)} ${(MIDDLE + sign * Math.max(1.2, REACH * thick)).toFixed(1)}`,
    )
  return `M${first.from.toFixed(1)} ${MIDDLE}L${edge(-1).join('L')}L${last.to.toFixed(1)} ${MIDDLE}L${edge(1).reverse().join('L')}Z`
})
const past = computed(() => props.row.standing === 'past')
const grid = computed(() =>
  props.axis.months.map((each) => `M${(each.at * props.width).toFixed(1)} 0V${HEIGHT}`).join(''),
)
</script>

<template>
  <div class="lane position-relative pt-1">
    <svg class="d-block" :viewBox="`0 0 ${width} ${HEIGHT}`" :width="width" :height="HEIGHT" aria-hidden="true">
      <path :d="grid" class="grid" />
      <rect v-if="post" :x="post.at" y="2" :width="Math.max(0, width - post.at)" :height="HEIGHT - 4" class="late" />
      <template v-if="outline && !past">
        <path :d="outline" class="body" />
        <svg class="d-block" v-if="post" :width="post.at" :height="HEIGHT" overflow="hidden">
          <path :d="outline" class="made" />
          <path :d="outline" fill="url(#race-hatch)" />
        </svg>
        <path :d="outline" class="edge" />
      </template>
      <path v-if="never && !past" :d="`M${width - 30} ${MIDDLE}H${width - 6}m-7 -6 7 6-7 6`" class="edge" />
      <template v-if="post">
        <template v-if="post.spread && range">
          <rect :x="post.from" y="2" :width="post.to - post.from" :height="HEIGHT - 4" class="maybe" />
          <path
            :d="`M${post.from + 5} 2H${post.from}V${HEIGHT - 2}H${post.from + 5}M${post.to - 5} 2H${post.to}V${HEIGHT - 2}H${post.to - 5}`"
            class="bracket"
          />
        </template>
        <path :d="`M${post.at} 0V${HEIGHT}`" class="post" />
      </template>
      <path :d="`M${axis.today * width} 0V${HEIGHT}`" class="today" />
    </svg>
  </div>
</template>

<style scoped>
.lane {
  contain: strict;
  height: 33px;
}

.grid {
  stroke: var(--hair);
}

.today {
  stroke: var(--primary);
  stroke-width: 2;
}

.late {
  fill: var(--line);
  opacity: 0.28;
}

.body {
  fill: var(--raised);
}

.made {
  fill: var(--line);
  opacity: 0.55;
}

.edge {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.4;
  stroke-linejoin: round;
}

.maybe {
  fill: var(--line);
  opacity: 0.22;
}

.bracket {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}

.post {
  stroke: var(--ink);
  stroke-width: 3;
}
</style>
