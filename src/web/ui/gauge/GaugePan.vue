<script setup lang="ts">
import { computed } from 'vue'
import { barePatch } from './bare-patch'
import { hasGrain, paintOf, upToOf, type DrawingProps } from './drawing-props'
import MakeupFill from './MakeupFill.vue'

/** A dish of pressed powder seen from above: dome, dip, ridge, bare metal. */
const props = defineProps<DrawingProps>()
const DISH = 41
const stage = computed(() => (props.content.kind === 'stage' ? props.content.stage : null))
const bare = computed(() => (props.content.kind === 'stage' ? props.content.bare : 0))
const patch = computed(() => (bare.value > 0 ? barePatch(props.seed, bare.value, DISH, 50) : null))
const likely = computed(() => upToOf(props) !== null)
const fine = computed(() => props.size !== 'small')
</script>

<template>
  <svg viewBox="0 0 100 100" aria-hidden="true">
    <MakeupFill :id="uid" :colour="colour" :guess="guess" :finish="finish" :plain="!fine" :likely="likely" />
    <defs>
      <radialGradient :id="`${uid}-dip`">
        <stop offset="0" stop-color="#000" stop-opacity=".3" />
        <stop offset=".55" stop-color="#000" stop-opacity=".13" />
        <stop offset="1" stop-color="#000" stop-opacity="0" />
      </radialGradient>
      <radialGradient :id="`${uid}-dome`" cx=".36" cy=".3" r=".85">
        <stop offset="0" stop-color="#fff" stop-opacity=".34" />
        <stop offset=".6" stop-color="#fff" stop-opacity="0" />
        <stop offset="1" stop-color="#000" stop-opacity=".1" />
      </radialGradient>
      <linearGradient :id="`${uid}-metal`" x1="0" y1="0" x2="1" y2="1">
        <stop offset="0" stop-color="var(--metal-light)" />
        <stop offset=".5" stop-color="var(--metal)" />
        <stop offset="1" stop-color="var(--metal-dark)" />
      </linearGradient>
      <clipPath :id="`${uid}-dish`"><circle cx="50" cy="50" :r="DISH" /></clipPath>
    </defs>
    <circle v-if="backup" class="behind" cx="58" cy="43" r="47" />
    <circle class="rim" cx="50" cy="50" r="47" />
    <template v-if="content.kind === 'unknown'">
      <circle class="open" cx="50" cy="50" :r="DISH" />
      <circle v-if="colour ?? guess" class="dab" cx="50" cy="50" r="13" :fill="paintOf($props)" />
    </template>
    <g v-else :clip-path="`url(#${uid}-dish)`">
      <circle cx="50" cy="50" :r="DISH" :fill="paintOf(props)" />
      <circle v-if="hasGrain(props)" cx="50" cy="50" :r="DISH" :fill="`url(#${uid}-grain)`" />
      <template v-if="fine">
        <template v-if="stage === 'untouched'">
          <circle cx="50" cy="50" :r="DISH" :fill="`url(#${uid}-dome)`" />
          <g class="emboss">
            <circle cx="50" cy="50" r="26" />
            <path d="M50 30v40M30 50h40M36 36l28 28M64 36L36 64" />
          </g>
        </template>
        <circle v-else-if="stage === 'dome gone'" cx="50" cy="50" :r="DISH" :fill="`url(#${uid}-dome)`" opacity=".45" />
        <circle v-if="stage === 'dip' || patch" cx="50" cy="50" :r="patch ? 36 : 27" :fill="`url(#${uid}-dip)`" />
      </template>
      <circle v-else-if="stage === 'dip'" cx="50" cy="50" r="20" fill="#000" fill-opacity=".22" />
      <!-- From above nothing tells how deep it is: hatched all over, being weighed and not seen. -->
      <circle v-if="likely" cx="50" cy="50" :r="DISH" :fill="`url(#${uid}-likely)`" fill-opacity=".6" />
      <g v-if="patch">
        <path class="dark-edge" :d="patch" />
        <path class="light-edge" :d="patch" />
        <path :d="patch" :fill="`url(#${uid}-metal)`" />
      </g>
    </g>
    <circle v-if="content.kind !== 'unknown'" class="wall" cx="50" cy="50" :r="DISH" />
  </svg>
</template>

<style scoped>
.rim {
  fill: var(--glass);
  stroke: var(--gauge-line);
  stroke-width: 1.5;
  vector-effect: non-scaling-stroke;
}

.wall {
  fill: none;
  stroke: var(--gauge-line);
  stroke-opacity: 0.5;
  stroke-width: 1;
  vector-effect: non-scaling-stroke;
}

.emboss * {
  fill: none;
  stroke: #000;
  stroke-opacity: 0.17;
  stroke-width: 2;
}

.dark-edge {
  fill: none;
  stroke: #000;
  stroke-opacity: 0.5;
  stroke-width: 4.5;
}

.light-edge {
  fill: none;
  stroke: #fff;
  stroke-opacity: 0.75;
  stroke-width: 2.2;
}
</style>
