<script setup lang="ts">
import { ref } from 'vue'
import type { Day } from '#core/calendar/day'
import type { PhotoView } from '#contract/beside-item'
import type { ItemSummary } from '#contract/item'
import { newId, sendPicture } from '#web/api/client'
import { useChanges } from '#web/shell/changes'
import { shortName } from '#web/ui/words/item-words'
import { dateWords } from '#web/ui/words/when-words'

/** Pictures of it, the latest first; shrunk, without the place they were taken at. */
const props = defineProps<{ item: ItemSummary; photos: readonly PhotoView[]; today: Day }>()
const changes = useChanges()
const busy = ref(false)

async function add(event: Event): Promise<void> {
  const field = event.target as HTMLInputElement
  const file = field.files?.[0]
  if (!file) return
  busy.value = true
  try {
    const query = new URLSearchParams({ changeId: newId(), photoId: newId(), day: props.today })
    const answer = await sendPicture(`/items/${props.item.id}/photos?${query.toString()}`, file)
    changes.report(answer.change)
  } catch (error) {
    changes.show(error)
  } finally {
    busy.value = false
    field.value = ''
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
          <img :src="`/api/photos/${photo.id}`" :alt="`${shortName(item)} on ${dateWords(photo.day)}`" loading="lazy" />
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
    <label class="add">
      <span>{{ busy ? 'Shrinking and storing…' : 'Add a picture' }}</span>
      <input type="file" accept="image/*" :disabled="busy" @change="add" />
    </label>
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
  min-height: 32px;
}

.add {
  display: inline-flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
  min-height: 44px;
  font-weight: 600;
}
</style>
