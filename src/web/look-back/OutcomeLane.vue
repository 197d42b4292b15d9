<script setup lang="ts">
import { computed } from 'vue'

/** What was said against what came: the bar or the post is what was said, the disc when it was finished, the arrow that it still runs. */
const props = defineProps<{
  /** Days along the whole lane. */
  most: number
  width: number
  low: number
  middle: number
  high: number
  /** Days until it was finished, or that it has lasted. */
  came: number
  running: boolean
}>()
const HEIGHT = 26
const at = (days: number): number => Math.min(1, Math.max(0, days / props.most)) * (props.width - 16) + 4
const range = computed(() => ({ from: at(props.low), to: at(props.high), post: at(props.middle) }))
const inside = computed(() => props.came >= props.low && props.came <= props.high)
</script>

<template>
  <svg :viewBox="`0 0 ${width} ${HEIGHT}`" :width="width" :height="HEIGHT" aria-hidden="true">
    <defs>
      <pattern id="said-hatch" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <path d="M0 0V5" class="stroke" />
      </pattern>
    </defs>
    <path :d="`M4 13H${at(came)}`" class="life" :class="{ running }" />
    <template v-if="high > low">
      <rect :x="range.from" y="5" :width="Math.max(3, range.to - range.from)" height="16" class="said" />
      <rect :x="range.from" y="5" :width="Math.max(3, range.to - range.from)" height="16" fill="url(#said-hatch)" />
    </template>
    <path :d="`M${range.post} 2V24`" class="post" />
    <path v-if="running" :d="`M${at(came) - 1} 13h9m-6 -5 6 5-6 5`" class="arrow" />
    <circle v-else :cx="at(came)" cy="13" r="5.5" class="came" :class="{ inside }" />
  </svg>
</template>

<style scoped>
.life {
  stroke: var(--line);
  stroke-width: 3;
}

.life.running {
  stroke-dasharray: 4 3;
}

.said {
  fill: var(--line);
  fill-opacity: 0.28;
  stroke: var(--ink);
  stroke-width: 1.2;
}

.stroke {
  stroke: var(--ink);
  stroke-width: 1;
  opacity: 0.5;
}

.post {
  stroke: var(--ink);
  stroke-width: 3;
}

.arrow {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.8;
}

.came {
  fill: var(--raised);
  stroke: var(--ink);
  stroke-width: 2;
}

.came.inside {
  fill: var(--ink);
}
</style>
