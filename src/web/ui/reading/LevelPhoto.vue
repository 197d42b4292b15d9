<script setup lang="ts">
import { computed, onBeforeUnmount, ref } from 'vue'
import { LEVEL_GIVE_OR_TAKE, levelOfHandles } from '#core/measure/level-handles'
import type { Point } from '#core/measure/outline'
import FileDrop from '#web/ui/form/FileDrop.vue'
import PhotoPoints from './PhotoPoints.vue'

/** A level read off a photo: three points, at the level of a full one, at the bottom, and at the level now. Nothing is stored but the level. */
const emit = defineEmits<{ read: [percent: number] }>()
const open = ref(false)
const url = ref<string | null>(null)
const size = ref({ width: 1, height: 1 })
const points = ref<Point[]>([])
const trouble = ref('')
const NAMES = ['full', 'bottom', 'now']
const level = computed(() => {
  const [top, bottom, now] = points.value
  if (!top || !bottom || !now) return null
  const found = levelOfHandles({ top, bottom, level: now })
  return found.ok ? found.value : null
})

async function take(file: File): Promise<void> {
  trouble.value = ''
  try {
    const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' })
    const { width, height } = bitmap
    const scale = Math.min(1, 1600 / Math.max(width, height))
    const canvas = document.createElement('canvas')
    canvas.width = Math.round(width * scale)
    canvas.height = Math.round(height * scale)
    canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height)
    bitmap.close()
    size.value = { width: canvas.width, height: canvas.height }
    url.value = canvas.toDataURL('image/jpeg', 0.85)
    points.value = [
      [canvas.width / 2, canvas.height * 0.2],
      [canvas.width / 2, canvas.height * 0.85],
      [canvas.width / 2, canvas.height * 0.5],
    ]
  } catch {
    trouble.value = 'That file is no picture this browser can read. Choose a JPEG, PNG or WebP.'
  }
}
onBeforeUnmount(() => (url.value = null))
</script>

<template>
  <div class="d-grid justify-items-start ga-2">
    <button type="button" class="text-act strong" :aria-expanded="open" @click="open = !open">
      Read it off a photo
    </button>
    <template v-if="open">
      <FileDrop
        v-if="url === null"
        label="A photo of it standing upright"
        accept="image/*"
        button="Choose a photo"
        @file="take"
      />
      <template v-else>
        <PhotoPoints v-model="points" :src="url" :width="size.width" :height="size.height" :names="NAMES" joined />
        <p class="figures">
          <strong v-if="level !== null">{{ Math.round(level * 100) }} %</strong>
          <template v-else>The points are too close together.</template>
          <span class="quiet">
            give or take {{ Math.round(LEVEL_GIVE_OR_TAKE * 100) }}; the same edge of the liquid for all three.</span
          >
        </p>
        <v-btn
          variant="outlined"
          color="primary"
          :disabled="level === null"
          @click="level !== null && emit('read', Math.round(level * 100))"
          >Save</v-btn
        >
      </template>
      <p v-if="trouble" class="alarm">{{ trouble }}</p>
    </template>
  </div>
</template>
