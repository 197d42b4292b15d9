<script setup lang="ts">
import { computed } from 'vue'
import { hasGrain, paintOf, shareOf, upToOf, type DrawingProps } from './drawing-props'
import MakeupFill from './MakeupFill.vue'

/** What has a length: wooden and twist-up pencils, bullets, sticks. What is gone is dotted. */
const props = defineProps<DrawingProps>()
const share = computed(() => shareOf(props))
const upTo = computed(() => upToOf(props))
const isPencil = computed(() => props.form === 'wooden pencil' || props.form === 'twist-up pencil')
const width = computed(() => (isPencil.value ? 18 : 30))
const drawn = computed(() => (props.size === 'small' ? Math.round((share.value ?? 1) * 20) / 20 : (share.value ?? 1)))

/** Wood or barrel from 96 up; the whole tip region is 12 high. */
const PENCIL_LOW = 90
const PENCIL_HIGH = 4
const pencilAt = (left: number): number => PENCIL_LOW - 14 - (PENCIL_LOW - 14 - PENCIL_HIGH) * left
const pencilTop = computed(() => pencilAt(drawn.value))
const pencil = (top: number): string => `M4 96V${top + 16}L9 ${top}l5 ${16}V96q0 2-2 2H6q-2 0-2-2z`
const lead = (top: number): string => `M6.700 ${top + 7.4}L9 ${top}l2.300 7.400z`

/** The bullet rises from the collar at 58; its tip is cut aslant. */
const COLLAR = 58
const bulletAt = (left: number): number => COLLAR - 3 - 47 * left
const bulletTop = computed(() => bulletAt(drawn.value))
const bullet = (top: number): string =>
  `M9 ${COLLAR}V${Math.min(COLLAR - 1, top + 9)}Q9 ${top + 6} 12 ${top + 4}L19 ${top}q2-1 2 2V${COLLAR}z`
const stick = (top: number): string => `M8 ${COLLAR}V${Math.min(COLLAR - 1, top + 5)}q0-5 7-5t7 5V${COLLAR}z`
const shapeOf = (top: number): string => (props.form === 'stick' ? stick(top) : bullet(top))
</script>

<template>
  <svg :viewBox="`0 0 ${width} 100`" aria-hidden="true">
    <MakeupFill
      :id="uid"
      :colour="colour"
      :guess="guess"
      :finish="finish"
      :plain="size === 'small'"
      :likely="upTo !== null"
    />
    <path
      v-if="backup"
      class="behind"
      transform="translate(4 -3)"
      :d="isPencil ? pencil(PENCIL_HIGH) : 'M5 67h3v-9h14v9h3v27q0 4-4 4H9q-4 0-4-4z'"
    />
    <template v-if="isPencil">
      <path v-if="share === null || share < 0.97" class="gone" :d="pencil(PENCIL_HIGH)" />
      <template v-if="share === null">
        <circle v-if="colour ?? guess" class="dab" cx="9" cy="60" r="4.4" :fill="paintOf($props)" />
      </template>
      <template v-else>
        <path v-if="upTo !== null" class="edge" :d="pencil(pencilAt(upTo))" :fill="`url(#${uid}-likely)`" />
        <path class="wood" :d="pencil(pencilTop)" />
        <path v-if="form === 'wooden pencil'" class="cut" :d="`M4 ${pencilTop + 16}q2.500 3 5 0t5 0`" />
        <path class="lead" :d="lead(pencilTop)" :fill="paintOf(props)" />
        <rect x="4" y="86" width="10" height="7" :fill="paintOf(props)" />
        <path v-if="size !== 'small'" class="shine" :d="`M6 ${Math.min(84, pencilTop + 20)}V85`" />
        <path class="edge" :d="pencil(pencilTop)" />
      </template>
    </template>
    <template v-else>
      <path v-if="share === null || share < 0.97" class="gone" :d="shapeOf(8)" />
      <circle v-if="share === null && (colour ?? guess)" class="dab" cx="15" cy="34" r="5" :fill="paintOf($props)" />
      <template v-if="share !== null && share > 0">
        <path v-if="upTo !== null" :d="shapeOf(bulletAt(upTo))" :fill="`url(#${uid}-likely)`" />
        <path :d="shapeOf(bulletTop)" :fill="paintOf(props)" />
        <path v-if="hasGrain(props)" :d="shapeOf(bulletTop)" :fill="`url(#${uid}-grain)`" />
        <path
          v-if="form === 'bullet' && size !== 'small'"
          class="facet"
          :d="`M12 ${bulletTop + 4}L19 ${bulletTop}q2-1 2 2v2.500l-8.500 5z`"
        />
        <path class="edge" :d="shapeOf(bulletTop)" />
      </template>
      <path class="collar" d="M8 58h14v9H8z" />
      <path class="base" d="M5 67h20v27q0 4-4 4H9q-4 0-4-4z" />
      <path v-if="size !== 'small'" class="gleam" d="M8.500 70v24" />
    </template>
  </svg>
</template>

<style scoped>
.gone {
  fill: none;
  stroke: var(--line);
  stroke-width: 1.2;
  stroke-dasharray: 1.5 3;
  stroke-linecap: round;
  vector-effect: non-scaling-stroke;
}

.wood {
  fill: var(--glass);
}

.cut {
  fill: none;
  stroke: var(--gauge-line);
  stroke-opacity: 0.6;
  vector-effect: non-scaling-stroke;
}

.lead {
  stroke: var(--gauge-line);
  stroke-width: 0.8;
  vector-effect: non-scaling-stroke;
}

.edge {
  fill: none;
  stroke: var(--gauge-line);
  stroke-width: 1.5;
  stroke-linejoin: round;
  vector-effect: non-scaling-stroke;
}

.shine {
  stroke: var(--gauge-line);
  stroke-opacity: 0.14;
  stroke-width: 2;
}

.facet {
  fill: #fff;
  fill-opacity: 0.3;
}

.collar {
  fill: var(--metal);
  stroke: var(--gauge-line);
  stroke-width: 1;
  vector-effect: non-scaling-stroke;
}

.base {
  fill: var(--body);
  stroke: var(--gauge-line);
  stroke-width: 1;
  vector-effect: non-scaling-stroke;
}

.gleam {
  stroke: #fff;
  stroke-opacity: 0.25;
  stroke-width: 1.6;
}
</style>
