<script setup lang="ts">
import { computed } from 'vue'
import type { GaugeRail, GaugeSize } from './gauge-model'

/**
 * The goal as a ruler: filled = done, end bar = target, wedge beside it = where it should be today.
 * Upright it fills from below, lying from the left. It is read, never dragged.
 */
const props = defineProps<{ rail: GaugeRail; upright: boolean; length: number; size: GaugeSize }>()
const breadth = computed(() => (props.size === 'large' ? 20 : 15))
const channel = computed(() => (props.size === 'large' ? 7 : 5))
const inset = 2
const run = computed(() => props.length - inset * 2)
const at = (share: number): number => inset + run.value * share
const doneLength = computed(() => (props.rail.done ?? 0) * run.value)
const steps = computed(() => {
  const { steps: count } = props.rail
  // A step narrower than 3 px is a smear.
  if (count === null || run.value / count < 3) return []
  return Array.from({ length: count - 1 }, (_, n) => at((n + 1) / count))
})
const wedge = computed(() => {
  if (props.rail.notch === null) return null
  const x = at(Math.min(1, props.rail.notch))
  const y = channel.value + 3.5
  return `M${x} ${y}l4.200 6.500h-8.400z`
})
</script>

<template>
  <svg
    class="rail"
    :width="upright ? breadth : length"
    :height="upright ? length : breadth"
    :viewBox="upright ? `0 0 ${breadth} ${length}` : `0 0 ${length} ${breadth}`"
    aria-hidden="true"
  >
    <g :transform="upright ? `translate(0 ${length}) rotate(-90)` : ''">
      <rect
        class="groove"
        :class="{ unmeasured: rail.done === null }"
        :x="inset"
        y="2.5"
        :width="run"
        :height="channel - 1"
      />
      <rect v-if="rail.done !== null" class="done" :x="inset" y="2.5" :width="doneLength" :height="channel - 1" />
      <path v-for="x in steps" :key="x" class="step" :d="`M${x} 2.500v${channel - 1}`" />
      <path class="target" :d="`M${inset + run} 0v${channel + 4}`" />
      <path v-if="wedge" class="wedge" :d="wedge" />
    </g>
  </svg>
</template>

<style scoped>
.rail {
  display: block;
  flex: none;
}

.groove {
  fill: var(--groove);
  stroke: var(--line);
  stroke-width: 1;
}

.groove.unmeasured {
  stroke-dasharray: 2 2;
}

.done {
  fill: var(--ink);
}

.step {
  stroke: var(--line);
  stroke-width: 1;
}

.target {
  stroke: var(--ink);
  stroke-width: 2.4;
}

.wedge {
  fill: var(--primary);
  stroke: var(--raised);
  stroke-width: 0.8;
}
</style>
