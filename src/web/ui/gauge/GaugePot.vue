<script setup lang="ts">
import { computed } from 'vue'
import { hasGrain, opacityOf, paintOf, shareOf, upToOf, type DrawingProps } from './drawing-props'
import MakeupFill from './MakeupFill.vue'

/** A pot or jar seen from above: how deep one has dug shows as shading from the middle. */
const props = defineProps<DrawingProps>()
const WALL = 38
const share = computed(() => shareOf(props))
const upTo = computed(() => upToOf(props))
/** The well widens as the pot empties; below a quarter its floor shows. */
const well = computed(() => (share.value === null ? 0 : WALL * Math.sqrt(1 - share.value) * 0.98))
const floor = computed(() =>
  share.value === null || share.value > 0.25 ? 0 : WALL * Math.sqrt((0.25 - share.value) / 0.25) * 0.85,
)
</script>

<template>
  <svg viewBox="0 0 100 100" aria-hidden="true">
    <MakeupFill
      :id="uid"
      :colour="colour"
      :guess="guess"
      :finish="finish"
      :plain="size === 'small'"
      :likely="upTo !== null"
    />
    <defs>
      <radialGradient :id="`${uid}-well`">
        <stop offset="0" stop-color="#000" stop-opacity=".42" />
        <stop offset=".72" stop-color="#000" stop-opacity=".2" />
        <stop offset="1" stop-color="#000" stop-opacity=".05" />
      </radialGradient>
    </defs>
    <circle v-if="backup" class="behind" cx="58" cy="43" r="47" />
    <circle class="glass" cx="50" cy="50" r="47" />
    <circle class="thread" cx="50" cy="50" r="43" />
    <template v-if="share === null">
      <circle class="open" cx="50" cy="50" :r="WALL" />
      <circle v-if="colour ?? guess" class="dab" cx="50" cy="50" r="12" :fill="paintOf($props)" />
    </template>
    <template v-else>
      <circle cx="50" cy="50" :r="WALL" :fill="paintOf(props)" :fill-opacity="opacityOf(finish)" />
      <circle v-if="hasGrain(props)" cx="50" cy="50" :r="WALL" :fill="`url(#${uid}-grain)`" />
      <circle
        v-if="well > 1"
        cx="50"
        cy="50"
        :r="well"
        :fill="size === 'small' ? '#000' : `url(#${uid}-well)`"
        :fill-opacity="size === 'small' ? 0.25 : 1"
      />
      <circle v-if="upTo !== null" cx="50" cy="50" :r="well" :fill="`url(#${uid}-likely)`" fill-opacity=".55" />
      <circle v-if="well > 1 && size !== 'small'" class="lip" cx="50" cy="50" :r="well" />
      <circle v-if="floor > 1" class="floor" cx="50" cy="50" :r="floor" />
      <path v-if="size !== 'small'" class="shine" d="M22 38a31 31 0 0 1 20-17" />
      <circle class="wall" cx="50" cy="50" :r="WALL" />
    </template>
  </svg>
</template>

<style scoped>
.glass {
  fill: var(--glass);
  stroke: var(--gauge-line);
  stroke-width: 1.5;
  vector-effect: non-scaling-stroke;
}

.thread,
.wall {
  fill: none;
  stroke: var(--gauge-line);
  stroke-opacity: 0.3;
  vector-effect: non-scaling-stroke;
}

.lip {
  fill: none;
  stroke: #fff;
  stroke-opacity: 0.3;
  stroke-width: 1.5;
}

.floor {
  fill: var(--metal-light);
  stroke: #000;
  stroke-opacity: 0.35;
}

.shine {
  fill: none;
  stroke: #fff;
  stroke-opacity: 0.6;
  stroke-width: 3;
  stroke-linecap: round;
}
</style>
