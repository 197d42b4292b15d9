<script setup lang="ts">
import { ref } from 'vue'
import type { Day } from '#core/calendar/day'
import type { PhotoView } from '#contract/beside-item'
import type { ItemSummary } from '#contract/item'
import { newId, sendPicture } from '#web/data/client'
import FileDrop from '#web/ui/form/FileDrop.vue'
import { useChanges } from '#web/data/changes'
import { callIt } from '#web/ui/words/item-words'
import { dateWords } from '#web/data/locale'

/** Pictures of it, the latest first; shrunk, without the place they were taken at. */
const props = defineProps<{ item: ItemSummary; photos: readonly PhotoView[]; today: Day }>()
const changes = useChanges()
const busy = ref(false)
let sending: { file: File; changeId: string; photoId: string } | null = null

async function add(file: File): Promise<void> {
  busy.value = true
  try {
    // A picture that may have arrived is sent again under the same ids: it is one picture.
    if (sending?.file !== file) sending = { file, changeId: newId(), photoId: newId() }
    const { changeId, photoId } = sending
    const query = new URLSearchParams({ changeId, photoId, day: props.today })
    const answer = await sendPicture(`/items/${props.item.id}/photos?${query.toString()}`, file)
    sending = null
    changes.report(answer.change)
  } catch (error) {
    changes.show(error, { again: () => void add(file) })
  } finally {
    busy.value = false
  }
}

function drop(photo: PhotoView): void {
  void changes.run('POST', `/photos/${photo.id}/drop`, { changeId: newId() })
}
</script>

<template>
  <section aria-label="Pictures">
    <h2>Pictures</h2>
    <div class="strip">
      <figure v-for="photo in photos" :key="photo.id">
        <a :href="`/api/photos/${photo.id}`" target="_blank" rel="noopener">
          <img :src="`/api/photos/${photo.id}`" :alt="`${callIt(item)} on ${dateWords(photo.day)}`" loading="lazy" />
        </a>
        <figcaption class="figures">
          {{ dateWords(photo.day) }}
          <button
            type="button"
            class="drop"
            :aria-label="`Remove the picture of ${dateWords(photo.day)}`"
            @click="drop(photo)"
          >
            remove
          </button>
        </figcaption>
      </figure>
    </div>
    <p v-if="photos.length === 0" class="quiet">
      None yet. From above, in the same light, progress shows that no memory keeps.
    </p>
    <FileDrop
      :label="busy ? 'Shrinking and storing…' : 'Drop a picture here, or choose one'"
      accept="image/*"
      :key="photos.length"
      button="Choose a picture"
      :disabled="busy"
      @file="add"
    />
  </section>
</template>

<style scoped>
h2 {
  font-size: 17px;
}

.strip {
  display: flex;
  gap: 10px;
  overflow-x: auto;
  padding: 6px 0;
}

figure {
  margin: 0;
  flex: none;
}

img {
  height: 132px;
  width: auto;
  border-radius: 4px;
  background: var(--plate);
  display: block;
}

figcaption {
  font-size: 12.5px;
  display: flex;
  gap: 8px;
  align-items: center;
}

.drop {
  color: var(--primary);
  text-decoration: underline;
  min-height: 44px;
}
</style>
