<script setup lang="ts">
import { computed, onMounted, ref, useTemplateRef, watch } from 'vue'
import type { ItemAnswer } from '#contract/item'
import { dateWords } from '#web/data/locale'
import { outlineOf } from '#web/ui/pan/pan-draft'
import { usePanWorker } from '#web/ui/pan/use-pan-worker'

/** Two photos of it on the same outline: wiped or faded from one to the other, turned, and matched in colour for the eye alone. */
const props = defineProps<{ answer: ItemAnswer }>()
const SIDE = 512
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
const { ask, progress } = usePanWorker()
const photos = computed(() => [...props.answer.photos].reverse())
const first = ref(photos.value[0]?.id ?? '')
const second = ref(photos.value.at(-1)?.id ?? '')
const share = ref(50)
const way = ref<'wipe' | 'fade'>('wipe')
const degrees = ref(0)
const matched = ref(false)
const trouble = ref('')
let pictures: readonly ImageBitmap[] = []
let gain: [number, number, number] | null = null
const canMatch = ref(false)
const choices = computed(() => photos.value.map((photo) => ({ title: dateWords(photo.day), value: photo.id })))

/** The outline it was measured by; else the whole picture, as near to a square as it comes. */
function outlineFor(id: string) {
  const pan = props.answer.readings.find((reading) => reading.pan?.photoId === id)?.pan
  const photo = photos.value.find((each) => each.id === id)
  const [w, h] = [photo?.width ?? 1, photo?.height ?? 1]
  if (pan) return { outline: outlineOf(pan.shape, pan.handles), powderTaps: pan.powderTaps }
  // Photographed alike, it lies where it lay in another one.
  const alike = props.answer.readings.findLast((reading) => {
    const other = photos.value.find((each) => each.id === reading.pan?.photoId)
    return other !== undefined && other.width === w && other.height === h
  })?.pan
  if (alike) return { outline: outlineOf(alike.shape, alike.handles), powderTaps: [] }
  const r = Math.min(w, h) / 2
  const corners = [
    [w / 2 - r, h / 2 - r],
    [w / 2 + r, h / 2 - r],
    [w / 2 + r, h / 2 + r],
    [w / 2 - r, h / 2 + r],
  ] as const
  return { outline: outlineOf('rect', corners), powderTaps: [] }
}

async function load(): Promise<void> {
  trouble.value = ''
  const photoOf = (id: string, turned: number) => ({ url: `/api/photos/${id}`, degrees: turned, ...outlineFor(id) })
  const answer = await ask({
    ask: 'straighten',
    photos: [photoOf(first.value, degrees.value), photoOf(second.value, 0)],
  })
  if (answer.code !== 'straightened') {
    trouble.value = 'These two pictures can’t be matched.'
    return
  }
  pictures = answer.pictures
  gain = answer.gain
  canMatch.value = gain !== null
  draw()
}
function draw(): void {
  const context = canvas.value?.getContext('2d')
  const [before, after] = pictures
  if (!context || !before || !after) return
  context.globalAlpha = 1
  context.filter = 'none'
  context.drawImage(after, 0, 0)
  const at = (SIDE * share.value) / 100
  context.save()
  if (way.value === 'wipe') {
    context.beginPath()
    context.rect(0, 0, SIDE - at, SIDE)
    context.clip()
  } else context.globalAlpha = 1 - share.value / 100
  context.drawImage(before, 0, 0)
  if (matched.value && gain) {
    // Multiplied in place: only what was just drawn is touched by the clip.
    context.globalCompositeOperation = 'multiply'
    const most = Math.max(...gain, 1)
    context.fillStyle = `rgb(${gain.map((each) => Math.round((255 * each) / most)).join(' ')})`
    context.fillRect(0, 0, SIDE, SIDE)
  }
  context.restore()
  if (way.value === 'wipe') {
    context.fillStyle = '#fff'
    context.fillRect(SIDE - at - 1, 0, 2, SIDE)
  }
}
onMounted(load)
watch([first, second, degrees], () => void load())
watch([share, way, matched], draw)
</script>

<template>
  <div class="before-after d-grid my-2 mx-0 ga-2">
    <div class="pick d-grid ga-2">
      <v-select v-model="first" label="Before" :items="choices" />
      <v-select v-model="second" label="After" :items="choices" />
    </div>
    <canvas
      class="w-100 rounded-lg"
      ref="canvas"
      :width="SIDE"
      :height="SIDE"
      role="img"
      aria-label="One picture over the other"
    />
    <p v-if="progress !== null" class="quiet small" role="status">Straightening.</p>
    <p v-if="trouble" class="alarm small">{{ trouble }}</p>
    <v-slider v-model="share" aria-label="From before to after, %" :min="0" :max="100" :step="1" />
    <div class="row d-flex flex-wrap ga-2">
      <button
        v-for="each in ['wipe', 'fade'] as const"
        :key="each"
        type="button"
        class="choice"
        :aria-pressed="way === each"
        @click="way = each"
      >
        {{ each }}
      </button>
      <button type="button" class="choice" @click="degrees -= 5">turn it left</button>
      <button type="button" class="choice" @click="degrees += 5">turn it right</button>
      <button v-if="canMatch" type="button" class="choice" :aria-pressed="matched" @click="matched = !matched">
        match the colour
      </button>
    </div>
    <p class="quiet small">For looking only: measuring always uses the original colours.</p>
  </div>
</template>

<style scoped>
.before-after {
  max-width: 460px;
}

.pick {
  grid-template-columns: 1fr 1fr;
}

canvas {
  height: auto;
  background: var(--plate);
}
</style>
