<script setup lang="ts">
import { computed } from 'vue'
import { hasGrain, opacityOf, paintOf, shareOf, upToOf, type DrawingProps } from './drawing-props'
import MakeupFill from './MakeupFill.vue'
import { vesselShape } from './vessel-shape'

/** What stands and is filled: bottle with pump, dropper or spray, squeeze tube, wand tube. */
const props = defineProps<DrawingProps>()
const shape = computed(() => vesselShape(props.form))
const share = computed(() => shareOf(props))
const upTo = computed(() => upToOf(props))
/** Height of the surface; a filled one is drawn to whole px in the small drawing. */
const surface = computed(() => heightAt(share.value ?? 0))
function heightAt(left: number): number {
  const { top, bottom } = shape.value
  const drawn = props.size === 'small' ? Math.round(left * 24) / 24 : left
  return bottom - (bottom - top) * Math.max(drawn, left > 0 ? 0.02 : 0)
}
</script>

<template>
  <svg :viewBox="`0 0 ${shape.width} 100`" aria-hidden="true">
    <MakeupFill
      :id="uid"
      :colour="colour"
      :guess="guess"
      :finish="finish"
      :plain="size === 'small'"
      :likely="upTo !== null"
    />
    <defs>
      <clipPath :id="`${uid}-inside`"><path :d="shape.inside" /></clipPath>
    </defs>
    <g v-if="backup" transform="translate(4.500 -3)">
      <path class="behind" :d="shape.outline" />
      <path v-for="path in shape.fittings" :key="path" class="behind" :d="path" />
    </g>
    <path v-for="path in shape.fittings" :key="path" class="fitting" :d="path" />
    <path class="glass" :d="shape.outline" />
    <g :clip-path="`url(#${uid}-inside)`">
      <template v-if="share !== null">
        <rect
          x="0"
          :y="surface"
          :width="shape.width"
          :height="100 - surface"
          :fill="paintOf(props)"
          :fill-opacity="opacityOf(finish)"
        />
        <rect
          v-if="hasGrain(props)"
          x="0"
          :y="surface"
          :width="shape.width"
          :height="100 - surface"
          :fill="`url(#${uid}-grain)`"
        />
        <rect
          v-if="upTo !== null"
          x="0"
          :y="heightAt(upTo)"
          :width="shape.width"
          :height="surface - heightAt(upTo)"
          :fill="`url(#${uid}-likely)`"
        />
        <path v-if="shape.stem && size !== 'small'" class="stem" :d="shape.stem" />
        <g v-if="share > 0 && upTo === null">
          <rect class="surface-dark" x="0" :y="surface - 0.2" :width="shape.width" height="1.1" />
          <rect class="surface-light" x="0" :y="surface + 0.9" :width="shape.width" height="0.9" />
        </g>
      </template>
      <path v-if="size !== 'small' && share !== null" class="shine" :d="shape.shine" />
    </g>
    <template v-if="share === null">
      <path class="open" :d="shape.inside" />
      <circle
        v-if="colour ?? guess"
        class="dab"
        :cx="shape.width / 2"
        :cy="(shape.top + shape.bottom) / 2"
        :r="Math.min(7, shape.width * 0.2)"
        :fill="paintOf($props)"
      />
    </template>
    <path class="outline" :d="shape.outline" />
    <path v-if="shape.crimp && size !== 'small'" class="crimp" :d="shape.crimp" />
  </svg>
</template>

<style scoped>
.glass {
  fill: var(--glass);
}

.outline {
  fill: none;
  stroke: var(--gauge-line);
  stroke-width: 1.5;
  stroke-linejoin: round;
  vector-effect: non-scaling-stroke;
}

.fitting {
  fill: var(--body);
  stroke: var(--gauge-line);
  stroke-width: 1;
  stroke-linejoin: round;
  vector-effect: non-scaling-stroke;
}

.stem {
  fill: none;
  stroke: #000;
  stroke-opacity: 0.28;
  stroke-width: 1.4;
}

.surface-dark {
  fill: #000;
  fill-opacity: 0.42;
}

.surface-light {
  fill: #fff;
  fill-opacity: 0.5;
}

.shine {
  fill: #fff;
  fill-opacity: 0.28;
}

.crimp {
  fill: none;
  stroke: var(--gauge-line);
  stroke-opacity: 0.5;
  vector-effect: non-scaling-stroke;
}
</style>
