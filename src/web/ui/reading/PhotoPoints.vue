<script setup lang="ts">
import { computed, ref, useTemplateRef } from 'vue'
import type { Point } from '#core/measure/outline'

/**
 * A photo with points to be set exactly: drawn, tapped or moved with arrows, each with a magnifier, and with buttons for those who
 * do not draw. In pixels of the photo.
 */
const props = withDefaults(
  defineProps<{
    src: string
    width: number
    height: number
    /** What each point is, for hearers and labels. */
    names: readonly string[]
    /** Lines from each point to the next; of a closed outline back to the first too. */
    joined?: boolean
    closed?: boolean
    /** Tapping beside the points: sets none, but tells where. */
    taps?: boolean
    disabled?: boolean
  }>(),
  { joined: false, closed: false, taps: false, disabled: false },
)
const points = defineModel<Point[]>({ required: true })
/** `tap`: by a pointer, after its strokes, or at the cross by key or button. */
const emit = defineEmits<{ tap: [at: Point, atCross: boolean]; stroke: [at: Point, first: boolean]; done: [] }>()
const svg = useTemplateRef<SVGSVGElement>('svg')
/** The point in hand, or where a tap would go. */
const chosen = ref(0)
const cursor = ref<Point>([props.width / 2, props.height / 2])
const dragging = ref(false)
const clamp = (value: number, most: number): number => Math.min(Math.max(value, 0), most)
const loupeAt = computed<Point>(() => (props.taps ? cursor.value : (points.value[chosen.value] ?? cursor.value)))
/** It gives way to the point that it magnifies. */
const loupeLeft = computed(() => loupeAt.value[0] > props.width * 0.6 && loupeAt.value[1] < props.height * 0.45)
/** A point is as large on every screen: radii in px of the photo. */
const unit = computed(() => props.width / 560)
const line = computed(() => {
  const list = props.closed && points.value.length > 0 ? [...points.value, points.value[0] as Point] : points.value
  return list.map(([x, y]) => `${x},${y}`).join(' ')
})

function placeOf(event: PointerEvent): Point {
  // The browser's own matrix: the photo keeps its proportions within its box, with margins where the box has others.
  const toPhoto = svg.value?.getScreenCTM()?.inverse()
  if (!toPhoto) return [0, 0]
  const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(toPhoto)
  return [clamp(x, props.width), clamp(y, props.height)]
}

function move(to: Point): void {
  if (props.taps) {
    cursor.value = to
    return
  }
  points.value = points.value.map((point, n) => (n === chosen.value ? to : point))
}

function nudge(dx: number, dy: number, far = false): void {
  const step = (far ? 10 : 1) * Math.max(1, props.width / 800)
  const [x, y] = loupeAt.value
  move([clamp(x + dx * step, props.width), clamp(y + dy * step, props.height)])
}

const KEYS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}
function press(event: KeyboardEvent): void {
  const by = KEYS[event.key]
  if (by) {
    nudge(by[0], by[1], event.shiftKey)
    event.preventDefault()
  } else if (props.taps && (event.key === ' ' || event.key === 'Enter')) {
    emit('tap', cursor.value, true)
    event.preventDefault()
    event.stopPropagation()
  }
}

function down(event: PointerEvent): void {
  if (props.disabled) return
  const at = placeOf(event)
  svg.value?.setPointerCapture(event.pointerId)
  dragging.value = true
  if (props.taps) {
    cursor.value = at
    emit('stroke', at, true)
    return
  }
  // The nearest point comes along: nobody has to hit it.
  const distances = points.value.map(([x, y]) => Math.hypot(x - at[0], y - at[1]))
  chosen.value = distances.indexOf(Math.min(...distances))
  move(at)
}
function drag(event: PointerEvent): void {
  if (!dragging.value) return
  const at = placeOf(event)
  if (props.taps) emit('stroke', at, false)
  move(at)
}
function up(event: PointerEvent): void {
  if (!dragging.value) return
  dragging.value = false
  if (props.taps) emit('tap', placeOf(event), false)
  emit('done')
}
defineExpose({ cursor })
</script>

<template>
  <div class="photo-points d-grid justify-items-start min-w-0 w-100 ga-2">
    <div class="frame position-relative w-100">
      <svg
        ref="svg"
        :viewBox="`0 0 ${width} ${height}`"
        :style="{ aspectRatio: `${width} / ${height}` }"
        @pointerdown="down"
        @pointermove="drag"
        @pointerup="up"
        @pointercancel="up"
      >
        <image :href="src" :width="width" :height="height" />
        <slot />
        <template v-if="joined && !taps">
          <polyline class="under" :points="line" :stroke-width="4 * unit" />
          <polyline class="over" :points="line" :stroke-width="1.8 * unit" />
        </template>
        <g
          v-for="(point, n) in taps ? [] : points"
          :key="n"
          class="handle"
          :class="{ chosen: n === chosen }"
          tabindex="0"
          role="button"
          :aria-label="`${names[n] ?? `point ${n + 1}`}, at ${Math.round(point[0])}, ${Math.round(point[1])}; arrows move it`"
          @focus="chosen = n"
          @keydown="press"
        >
          <circle class="target" :cx="point[0]" :cy="point[1]" :r="22 * unit" />
          <circle class="ring dark" :cx="point[0]" :cy="point[1]" :r="9 * unit" :stroke-width="5 * unit" />
          <circle class="ring light" :cx="point[0]" :cy="point[1]" :r="9 * unit" :stroke-width="2.4 * unit" />
          <circle class="dot" :cx="point[0]" :cy="point[1]" :r="1.6 * unit" />
        </g>
        <g
          v-if="taps"
          class="cross"
          tabindex="0"
          role="button"
          aria-label="Where to tap; arrows move it, Enter taps"
          @keydown="press"
        >
          <circle class="target" :cx="cursor[0]" :cy="cursor[1]" :r="22 * unit" />
          <path
            class="dark"
            :stroke-width="4 * unit"
            :d="`M${cursor[0] - 14 * unit} ${cursor[1]}h${28 * unit}M${cursor[0]} ${cursor[1] - 14 * unit}v${28 * unit}`"
          />
          <path
            class="light"
            :stroke-width="1.6 * unit"
            :d="`M${cursor[0] - 14 * unit} ${cursor[1]}h${28 * unit}M${cursor[0]} ${cursor[1] - 14 * unit}v${28 * unit}`"
          />
        </g>
      </svg>
      <svg v-if="!disabled" class="loupe" :class="{ left: loupeLeft }" viewBox="-50 -50 100 100" aria-hidden="true">
        <defs>
          <clipPath id="loupe-glass"><circle r="47" /></clipPath>
        </defs>
        <g clip-path="url(#loupe-glass)">
          <rect x="-50" y="-50" width="100" height="100" fill="#888" />
          <g :transform="`scale(${2.4 / unit}) translate(${-loupeAt[0]} ${-loupeAt[1]})`">
            <image :href="src" :width="width" :height="height" />
          </g>
        </g>
        <circle r="47" class="rim" />
        <path class="dark" stroke-width="3" d="M-46 0h36M10 0h36M0 -46v36M0 10v36" />
        <path class="light" stroke-width="1.2" d="M-46 0h36M10 0h36M0 -46v36M0 10v36" />
      </svg>
    </div>
    <div v-if="!taps && points.length > 1" class="d-flex flex-wrap ga-2" role="group" aria-label="Which point">
      <button
        v-for="(_, n) in points"
        :key="n"
        type="button"
        class="choice"
        :aria-pressed="chosen === n"
        @click="chosen = n"
      >
        {{ names[n] ?? n + 1 }}
      </button>
    </div>
    <div v-if="!disabled" class="pad d-flex ga-2" role="group" aria-label="Move the point a little">
      <button type="button" aria-label="left" @click="nudge(-1, 0)">←</button>
      <button type="button" aria-label="up" @click="nudge(0, -1)">↑</button>
      <button type="button" aria-label="down" @click="nudge(0, 1)">↓</button>
      <button type="button" aria-label="right" @click="nudge(1, 0)">→</button>
      <v-btn v-if="taps" variant="outlined" color="primary" @click="emit('tap', cursor, true)">Tap at the cross</v-btn>
    </div>
  </div>
</template>

<style scoped>
.frame > svg:first-child {
  display: block;
  width: 100%;
  max-height: 62vh;
  background: var(--plate);
  border-radius: 8px;
  touch-action: none;
  cursor: crosshair;
}

polyline {
  fill: none;
}

.under,
.dark {
  stroke: #000;
  stroke-opacity: 0.75;
  fill: none;
}

.over,
.light {
  stroke: #fff;
  fill: none;
}

.ring {
  fill: none;
}

.target {
  fill: transparent;
}

.dot {
  fill: #fff;
}

.chosen .light {
  stroke: #ffe08a;
}

.handle:focus-visible,
.cross:focus-visible {
  outline: none;
}

.handle:focus-visible .light,
.cross:focus-visible .light {
  stroke: #ffe08a;
}

.loupe {
  position: absolute;
  right: 10px;
  top: 10px;
  width: clamp(96px, 24%, 150px);
  pointer-events: none;
  filter: drop-shadow(0 1px 4px rgb(0 0 0 / 0.5));
}

.loupe.left {
  right: auto;
  left: 10px;
}

.rim {
  fill: none;
  stroke: #fff;
  stroke-width: 3;
}

.pad button:not(.v-btn) {
  width: 44px;
  height: 44px;
  background: var(--raised);
  border: 1px solid var(--line);
  border-radius: 8px;
  font-size: 18px;
}
</style>
