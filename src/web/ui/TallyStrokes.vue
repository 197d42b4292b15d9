<script setup lang="ts">
import { computed } from 'vue'

/** Uses as tally strokes, gates of five; what no longer fits is said in figures elsewhere. */
const props = defineProps<{ count: number }>()
const MOST = 30
const GATE = 26
const gates = computed(() => Math.ceil(Math.min(props.count, MOST) / 5))
const strokes = computed(() =>
  Array.from({ length: Math.min(props.count, MOST) }, (_, n) => {
    const x = Math.floor(n / 5) * GATE + 2
    const within = n % 5
    return within === 4 ? `M${x - 2} 15L${x + 17} 4` : `M${x + within * 5} 2l${within % 2 === 0 ? 0.6 : -0.6} 16`
  }),
)
</script>

<template>
  <svg
    v-if="count > 0"
    class="d-block max-w-100"
    :viewBox="`-1 0 ${gates * GATE} 20`"
    :width="gates * GATE"
    height="20"
    aria-hidden="true"
  >
    <path v-for="(stroke, n) in strokes" :key="n" :d="stroke" />
  </svg>
</template>

<style scoped>
path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.8;
  stroke-linecap: round;
}
</style>
