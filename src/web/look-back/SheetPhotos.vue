<script setup lang="ts">
import type { SpanSheet } from '#contract/look-back'
import { dateWords } from '#web/data/locale'

/** Pictures of before and after, side by side under one name. */
defineProps<{ photos: SpanSheet['photos'] }>()
</script>

<template>
  <section class="photos" aria-label="Pictures">
    <h3>Pictures</h3>
    <ul>
      <li v-for="each in photos" :key="each.itemId">
        <div class="pair">
          <figure v-for="photo in [each.before, each.after].flatMap((one) => one ?? [])" :key="photo.id">
            <img :src="`/api/photos/${photo.id}/small`" :alt="`${each.mark}, ${dateWords(photo.day)}`" />
            <figcaption class="figures">{{ dateWords(photo.day) }}</figcaption>
          </figure>
        </div>
        <strong>{{ each.mark }}</strong>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.photos {
  padding: 12px 18px;
  border-top: 1px solid var(--hair);
}

h3 {
  font-size: 16.5px;
}

ul {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 22px;
  margin: 8px 0 0;
}

li {
  font-size: 13px;
  break-inside: avoid;
}

.pair {
  display: flex;
  gap: 4px;
}

figure {
  margin: 0;
}

img {
  display: block;
  width: 132px;
  height: 132px;
  object-fit: cover;
  border: 1px solid var(--hair);
}

figcaption {
  font-size: 12px;
  color: var(--quiet);
}
</style>
