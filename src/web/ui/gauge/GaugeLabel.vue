<script setup lang="ts">
import { computed } from 'vue'
import type { GaugeSize } from './gauge-model'
import { tallyStrokes } from './tally-strokes'

/** A package that shows nothing: a plain label with the tally on it. */
const props = defineProps<{ size: GaugeSize; colour: string | null; guessed: boolean; uses: number; backup: boolean }>()
/** Strokes beyond this no longer fit the label; the number alone says it then. */
const MOST = 20
/** Words are drawn where they are large enough to read. */
const unit = computed(() => (props.uses === 0 ? 'no tally' : props.uses > MOST ? 'uses' : ''))
const strokes = computed(() => (props.uses <= MOST ? tallyStrokes(props.uses) : []))
</script>

<template>
  <svg viewBox="0 0 50 100" aria-hidden="true">
    <path
      v-if="backup"
      class="behind"
      transform="translate(5 -3)"
      d="M17 19V4q0-3 3-3h10q3 0 3 3v15q12 1 12 14v59q0 6-6 6H11q-6 0-6-6V33q0-12 12-13z"
    />
    <path class="cap" d="M17 4q0-3 3-3h10q3 0 3 3v15H17z" />
    <path class="body" d="M5 33q0-12 12-13h16q12 1 12 13v59q0 6-6 6H11q-6 0-6-6z" />
    <template v-if="size !== 'small'">
      <rect class="paper" x="9" y="37" width="32" height="48" rx="2" />
      <rect
        x="9"
        y="37"
        width="32"
        height="6"
        rx="1"
        :fill="colour ?? 'var(--plate)'"
        :fill-opacity="guessed ? 0.5 : 1"
      />
      <g v-if="strokes.length > 0" class="strokes">
        <path v-for="(stroke, n) in strokes" :key="n" :d="stroke" />
      </g>
      <text v-if="uses > MOST" class="count" x="25" y="66">{{ uses }}</text>
      <text v-if="size === 'large' && unit" class="unit" x="25" y="80">{{ unit }}</text>
    </template>
    <template v-else>
      <rect class="paper" x="10" y="40" width="30" height="40" rx="2" />
      <rect x="10" y="40" width="30" height="12" :fill="colour ?? 'var(--plate)'" :fill-opacity="guessed ? 0.5 : 1" />
    </template>
    <path class="edge" d="M5 33q0-12 12-13h16q12 1 12 13v59q0 6-6 6H11q-6 0-6-6z" />
  </svg>
</template>

<style scoped>
.cap {
  fill: var(--body);
  stroke: var(--gauge-line);
  stroke-width: 1;
  vector-effect: non-scaling-stroke;
}

.body {
  fill: var(--metal);
}

.edge {
  fill: none;
  stroke: var(--gauge-line);
  stroke-width: 1.5;
  vector-effect: non-scaling-stroke;
}

.paper {
  fill: #fdfdfb;
  stroke: #22262b;
  stroke-opacity: 0.35;
  vector-effect: non-scaling-stroke;
}

.strokes path {
  fill: none;
  stroke: #22262b;
  stroke-width: 1.3;
  stroke-linecap: round;
}

.count {
  font: 700 15px var(--display);
  text-anchor: middle;
  fill: #22262b;
}

.unit {
  font: 500 6.2px var(--text);
  text-anchor: middle;
  fill: #4a525b;
}
</style>
