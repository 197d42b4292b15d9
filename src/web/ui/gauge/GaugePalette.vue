<script setup lang="ts">
import { computed } from 'vue'
import type { ListedPart } from '#contract/item'
import { barePatch } from './bare-patch'
import { hasGrain, paintOf, type PaletteProps } from './drawing-props'
import { contentOfPart } from './gauge-model'
import MakeupFill from './MakeupFill.vue'

/** A palette: its pans where they really lie, each with its own progress; a corner mark on those worn. */
const props = defineProps<PaletteProps>()
const PAN = 30
const GAP = 4
const EDGE = 7
const columns = computed(() => Math.max(1, ...props.parts.map((part) => part.col + part.colSpan - 1)))
const rows = computed(() => Math.max(1, ...props.parts.map((part) => part.row + part.rowSpan - 1)))
const width = computed(() => columns.value * (PAN + GAP) - GAP + EDGE * 2)
const height = computed(() => rows.value * (PAN + GAP) - GAP + EDGE * 2)

interface Pan {
  readonly part: ListedPart
  readonly x: number
  readonly y: number
  readonly w: number
  readonly h: number
  readonly content: ReturnType<typeof contentOfPart>
  readonly patch: string | null
}

const pans = computed<Pan[]>(() =>
  props.parts.map((part) => {
    const content = contentOfPart(part)
    const w = part.colSpan * (PAN + GAP) - GAP
    const h = part.rowSpan * (PAN + GAP) - GAP
    const radius = Math.min(w, h) / 2
    const bare = content.kind === 'stage' ? content.bare : 0
    return {
      part,
      x: EDGE + (part.col - 1) * (PAN + GAP),
      y: EDGE + (part.row - 1) * (PAN + GAP),
      w,
      h,
      content,
      patch: bare > 0 ? barePatch(part.id, bare, radius, radius) : null,
    }
  }),
)
const isWorn = (id: string): boolean => props.wornParts.includes(id)
</script>

<template>
  <svg :viewBox="`0 0 ${width} ${height}`" aria-hidden="true">
    <rect v-if="backup" class="behind" x="5" y="-4" :width="width - 2" :height="height - 2" rx="7" />
    <rect class="case" x="1" y="1" :width="width - 2" :height="height - 2" rx="7" />
    <g v-for="pan in pans" :key="pan.part.id" :transform="`translate(${pan.x} ${pan.y})`">
      <MakeupFill
        :id="`${uid}-${pan.part.id}`"
        :colour="pan.part.colour"
        :guess="pan.part.guess"
        :finish="pan.part.finish"
        :plain="size === 'small'"
      />
      <defs>
        <clipPath :id="`${uid}-${pan.part.id}-clip`">
          <rect :width="pan.w" :height="pan.h" :rx="pan.part.shape === 'round' ? pan.w / 2 : 3" />
        </clipPath>
      </defs>
      <g :clip-path="`url(#${uid}-${pan.part.id}-clip)`">
        <rect v-if="pan.content.kind === 'taken out'" class="well" :width="pan.w" :height="pan.h" />
        <template v-else-if="pan.content.kind === 'unknown'">
          <rect class="hollow" :width="pan.w" :height="pan.h" />
          <rect
            :x="pan.w * 0.2"
            :y="pan.h * 0.2"
            :width="pan.w * 0.6"
            :height="pan.h * 0.6"
            :rx="pan.part.shape === 'round' ? pan.w : 3"
            :fill="paintOf({ uid: `${uid}-${pan.part.id}`, colour: pan.part.colour })"
          />
        </template>
        <template v-else>
          <rect
            :width="pan.w"
            :height="pan.h"
            :fill="paintOf({ uid: `${uid}-${pan.part.id}`, colour: pan.part.colour })"
          />
          <rect
            v-if="hasGrain({ size, finish: pan.part.finish })"
            :width="pan.w"
            :height="pan.h"
            :fill="`url(#${uid}-${pan.part.id}-grain)`"
          />
          <circle
            v-if="pan.content.kind === 'stage' && pan.content.stage === 'dip'"
            :cx="pan.w / 2"
            :cy="pan.h / 2"
            :r="pan.h * 0.3"
            fill="#000"
            fill-opacity=".2"
          />
          <g
            v-if="pan.patch"
            :transform="`translate(${(pan.w - Math.min(pan.w, pan.h)) / 2} ${(pan.h - Math.min(pan.w, pan.h)) / 2})`"
          >
            <path class="bare" :d="pan.patch" />
          </g>
        </template>
      </g>
      <rect class="rim" :width="pan.w" :height="pan.h" :rx="pan.part.shape === 'round' ? pan.w / 2 : 3" />
      <g v-if="isWorn(pan.part.id) && size !== 'small'" :transform="`translate(${pan.w - 9} ${pan.h - 9})`">
        <circle class="worn" cx="4.5" cy="4.5" r="5.5" />
        <path class="tick" d="M2 4.7l1.8 1.9 3.3-4" />
      </g>
    </g>
  </svg>
</template>

<style scoped>
.case {
  fill: var(--body);
  stroke: var(--gauge-line);
  stroke-width: 1;
  vector-effect: non-scaling-stroke;
}

.hollow {
  fill: var(--glass);
}

.well {
  fill: #000;
  fill-opacity: 0.42;
}

.rim {
  fill: none;
  stroke: #000;
  stroke-opacity: 0.45;
  vector-effect: non-scaling-stroke;
}

.bare {
  fill: #cdd2d7;
  stroke: #fff;
  stroke-width: 1;
  paint-order: stroke;
  filter: drop-shadow(0 0 0.7px rgb(0 0 0 / 0.9));
}

.worn {
  fill: var(--primary);
  stroke: var(--on-primary);
  stroke-width: 1;
}

.tick {
  fill: none;
  stroke: var(--on-primary);
  stroke-width: 1.5;
  stroke-linecap: round;
  stroke-linejoin: round;
}
</style>
