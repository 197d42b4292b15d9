<script setup lang="ts">
import { computed, ref } from 'vue'
import { kindsFor } from '#core/measure/reading'
import type { PhotoView } from '#contract/beside-item'
import type { ItemAnswer } from '#contract/item'
import { newId } from '#web/data/client'
import { useChanges } from '#web/data/changes'
import { dateWords } from '#web/data/locale'
import FileDrop from '#web/ui/form/FileDrop.vue'
import { usePhoto } from '#web/ui/pan/use-photo'
import { callIt } from '#web/ui/words/item-words'
import BeforeAfter from './BeforeAfter.vue'
import PanDialog from './PanDialog.vue'

/** Pictures of it, the latest first; shrunk, without the place they were taken at. Any two of them can be laid over each other. */
const props = defineProps<{ answer: ItemAnswer }>()
const changes = useChanges()
const { busy, add } = usePhoto()
const item = computed(() => props.answer.item)
const photos = computed(() => props.answer.photos)
const isPan = computed(
  () => item.value.parts.length > 0 || kindsFor(item.value.form, item.value.opaque, false).includes('bare'),
)
const comparing = ref(false)
const reading = ref<PhotoView | null>(null)

function drop(photo: PhotoView): void {
  void changes.run('POST', `/photos/${photo.id}/drop`, { changeId: newId() })
}
</script>

<template>
  <section aria-label="Pictures">
    <div class="d-flex overflow-x-auto py-2 px-0 ga-2">
      <figure class="flex-0-0" v-for="photo in photos" :key="photo.id">
        <a :href="`/api/photos/${photo.id}`" target="_blank" rel="noopener">
          <img
            :src="`/api/photos/${photo.id}/small`"
            :alt="`${callIt(item)} on ${dateWords(photo.day)}`"
            loading="lazy"
          />
        </a>
        <figcaption class="figures d-flex fine align-center ga-2">
          {{ dateWords(photo.day) }}
          <button
            v-if="isPan"
            type="button"
            class="text-act"
            :aria-label="`Read the bare area off the picture of ${dateWords(photo.day)}`"
            @click="reading = photo"
          >
            read it
          </button>
          <button
            type="button"
            class="text-act"
            :aria-label="`Remove the picture of ${dateWords(photo.day)}`"
            @click="drop(photo)"
          >
            remove
          </button>
        </figcaption>
      </figure>
    </div>
    <p v-if="photos.length === 0" class="quiet">
      None yet. From above and in the same light, a photo shows progress you’d never remember.
    </p>
    <v-btn
      v-if="photos.length > 1"
      variant="outlined"
      color="primary"
      :aria-expanded="comparing"
      @click="comparing = !comparing"
      >{{ comparing ? 'Close before and after' : 'Before and after' }}</v-btn
    >
    <BeforeAfter v-if="comparing && photos.length > 1" :answer="answer" />
    <FileDrop
      :key="photos.length"
      :label="busy ? 'Saving…' : 'Drop a picture here, or choose one'"
      accept="image/*"
      button="Choose a picture"
      :disabled="busy"
      @file="(file) => add(item.id, answer.today, file)"
    />
    <PanDialog v-if="reading" :answer="answer" :photo="reading" @close="reading = null" />
  </section>
</template>

<style scoped>
img {
  height: 132px;
  width: auto;
  border-radius: 4px;
  background: var(--plate);
  display: block;
}
</style>
