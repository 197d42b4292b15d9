<script setup lang="ts">
import { computed, nextTick, onBeforeUnmount, ref, useTemplateRef } from 'vue'
import { sampledColour } from '#core/colour/sampled'

/**
 * A swatch tapped off a picture: the mean of a small disc, with the cast of the light taken off where something neutral lies beside it.
 * The picture stays in the browser.
 */
const props = withDefaults(
  defineProps<{
    label: string
    /** The picture gives way once the colour is found: on a phone the answer needs its room. */
    folds?: boolean
  }>(),
  { folds: false },
)
const folded = ref(false)
const emit = defineEmits<{ colour: [colour: string] }>()
/** Enough to see, few enough to be quick. */
const MOST_PIXELS = 900
/** Radius of what is averaged, of the longer side. */
const DISC = 0.022
const STEP = 0.02
const TROUBLES: Readonly<Record<string, string>> = {
  'on-highlight': 'That spot shines, so it shows the lamp more than the colour. Tap beside the highlight.',
  'neutral-unusable':
    'That spot is too bright or too dark to tell the light by. Tap something grey or white that doesn’t shine.',
  'too-few-pixels': 'Too near the edge. Tap further in.',
}
const again = useTemplateRef<{ $el: HTMLElement }>('again')
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
const input = useTemplateRef<HTMLInputElement>('input')
const size = ref<{ width: number; height: number } | null>(null)
const trouble = ref('')
const found = ref<string | null>(null)
const cross = ref({ x: 0.5, y: 0.5 })
const asks = ref<'colour' | 'neutral'>('colour')
const spot = ref<{ x: number; y: number } | null>(null)
const neutral = ref<{ x: number; y: number } | null>(null)
const radius = computed(() =>
  size.value === null ? 0 : Math.max(3, Math.round(Math.max(size.value.width, size.value.height) * DISC)),
)
let bitmap: ImageBitmap | null = null
onBeforeUnmount(() => bitmap?.close())

async function take(event: Event): Promise<void> {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  trouble.value = ''
  folded.value = false
  found.value = null
  spot.value = neutral.value = null
  asks.value = 'colour'
  try {
    bitmap?.close()
    bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' })
  } catch {
    bitmap = null
    size.value = null
    trouble.value = `“${file.name}” is no picture that can be read here. A JPEG or PNG can.`
    return
  }
  const scale = Math.min(1, MOST_PIXELS / Math.max(bitmap.width, bitmap.height))
  size.value = { width: Math.round(bitmap.width * scale), height: Math.round(bitmap.height * scale) }
  await nextTick()
  canvas.value?.getContext('2d')?.drawImage(bitmap, 0, 0, size.value.width, size.value.height)
}

function pixelsAt(at: { x: number; y: number }): Uint8ClampedArray | number[] {
  const context = canvas.value?.getContext('2d')
  if (!context || !size.value) return []
  const [x, y, r] = [Math.round(at.x * size.value.width), Math.round(at.y * size.value.height), radius.value]
  const box = context.getImageData(x - r, y - r, 2 * r + 1, 2 * r + 1)
  const inside: number[] = []
  for (let n = 0; n < box.data.length; n += 4) {
    const [dx, dy] = [((n / 4) % box.width) - r, Math.floor(n / 4 / box.width) - r]
    // What lies outside of the picture is transparent.
    if (dx * dx + dy * dy <= r * r && (box.data[n + 3] ?? 0) > 0) inside.push(...box.data.slice(n, n + 4))
  }
  return inside
}

function tap(at: { x: number; y: number }): void {
  cross.value = at
  if (asks.value === 'neutral') neutral.value = at
  else spot.value = at
  asks.value = 'colour'
  read()
  // What is hidden cannot hold the focus.
  if (folded.value) void nextTick(() => again.value?.$el.focus())
}

function read(): void {
  if (spot.value === null) return
  const sampled = sampledColour(pixelsAt(spot.value), neutral.value === null ? null : pixelsAt(neutral.value))
  trouble.value = sampled.ok ? '' : (TROUBLES[sampled.failure.code] ?? '')
  found.value = sampled.ok ? sampled.value : null
  folded.value = props.folds && sampled.ok
  if (sampled.ok) emit('colour', sampled.value)
}

function askNeutral(): void {
  asks.value = 'neutral'
  folded.value = false
}

function withoutNeutral(): void {
  neutral.value = null
  asks.value = 'colour'
  read()
}

/** By a pointer where it points, by a key at the cross. */
function onTap(event: MouseEvent): void {
  const box = canvas.value?.getBoundingClientRect()
  if (event.detail === 0 || !box) return tap(cross.value)
  tap({ x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height })
}

const KEYS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-STEP, 0],
  ArrowRight: [STEP, 0],
  ArrowUp: [0, -STEP],
  ArrowDown: [0, STEP],
}
function onKey(event: KeyboardEvent): void {
  const move = KEYS[event.key]
  if (!move) return
  event.preventDefault()
  const within = (value: number): number => Math.min(1, Math.max(0, value))
  cross.value = { x: within(cross.value.x + move[0]), y: within(cross.value.y + move[1]) }
}
</script>

<template>
  <div class="d-grid ga-2">
    <input
      ref="input"
      type="file"
      accept="image/*"
      class="visually-hidden"
      tabindex="-1"
      aria-hidden="true"
      @change="take"
    />
    <div class="choices">
      <span
        v-if="folded && found"
        class="dab"
        role="img"
        :aria-label="`the colour found, ${found}`"
        :style="{ background: found }"
      ></span>
      <v-btn v-if="folded" ref="again" variant="outlined" color="primary" @click="folded = false">Tap again</v-btn>
      <v-btn :variant="folded ? 'text' : 'outlined'" color="primary" @click="input?.click()">{{
        size ? 'Another picture' : props.label
      }}</v-btn>
      <template v-if="found !== null && !folded">
        <v-btn v-if="neutral === null && asks === 'colour'" variant="text" @click="askNeutral"
          >Something grey is in it</v-btn
        >
        <v-btn v-else variant="text" @click="withoutNeutral">Without the grey</v-btn>
      </template>
    </div>
    <p v-if="trouble" class="caution small" role="alert">{{ trouble }}</p>
    <div v-if="size" v-show="!folded" class="picture">
      <!-- The arrows move the cross, Enter taps it. -->
      <button
        type="button"
        class="ground position-relative max-w-100"
        :aria-label="`${asks === 'neutral' ? 'Tap something grey or white' : 'Tap the colour'}: arrows move the cross, Enter taps it`"
        @keydown="onKey"
        @click="onTap"
      >
        <canvas class="d-block max-w-100 rounded-lg" ref="canvas" :width="size.width" :height="size.height" />
        <svg class="position-absolute w-100 h-100" :viewBox="`0 0 ${size.width} ${size.height}`" aria-hidden="true">
          <circle v-if="spot" :cx="spot.x * size.width" :cy="spot.y * size.height" :r="radius" class="ring" />
          <circle
            v-if="neutral"
            :cx="neutral.x * size.width"
            :cy="neutral.y * size.height"
            :r="radius"
            class="ring neutral"
          />
          <path :d="`M${cross.x * size.width - 12} ${cross.y * size.height}h24m-12-12v24`" class="cross" />
        </svg>
      </button>
      <p role="status" class="told d-flex small align-center ga-2">
        <span v-if="found" class="dab" :style="{ background: found }"></span>
        {{
          asks === 'neutral' && neutral === null
            ? 'Tap something grey or white beside it.'
            : found
              ? `${found}${neutral ? ', with the cast of the light taken off' : ''}`
              : 'Tap the colour.'
        }}
      </p>
    </div>
  </div>
</template>

<style scoped>
.ground {
  width: max-content;
  touch-action: manipulation;
  cursor: crosshair;
}

canvas {
  max-height: 240px;
}

svg {
  inset: 0;
}

.ring {
  fill: none;
  stroke: #fff;
  stroke-width: 5;
  paint-order: stroke;
  filter: drop-shadow(0 0 2px #000);
}

.ring.neutral {
  stroke-dasharray: 8 6;
}

.cross {
  fill: none;
  stroke: #fff;
  stroke-width: 2;
  filter: drop-shadow(0 0 1px #000);
}

.told {
  min-height: 32px;
}

.dab {
  width: 44px;
  min-height: 28px;
  border: 1px solid var(--line);
  border-radius: 6px;
}
</style>
