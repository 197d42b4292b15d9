<script setup lang="ts">
import type { SpanSheet } from '#contract/look-back'
import { dateWords } from '#web/data/locale'

/** Pictures of before and after, side by side under one name. */
defineProps<{ photos: SpanSheet['photos'] }>()
</script>

<template>
  <section class="photos hair-above py-3 px-4" aria-label="Pictures">
    <h3>Pictures</h3>
    <ul class="d-flex flex-wrap mt-2 gr-3 gc-5">
      <li v-for="each in photos" :key="each.itemId">
        <div class="pair d-flex ga-1">
          <figure v-for="photo in [each.before, each.after].flatMap((one) => one ?? [])" :key="photo.id">
            <img :src="`/api/photos/${photo.id}/small`" :alt="`${each.mark}, ${dateWords(photo.day)}`" />
            <figcaption class="figures fine quiet">{{ dateWords(photo.day) }}</figcaption>
          </figure>
        </div>
        <strong>{{ each.mark }}</strong>
      </li>
    </ul>
  </section>
</template>

<style scoped>
h3 {
  font-size: 16.5px;
}

li {
  font-size: 13px;
  break-inside: avoid;
}

img {
  display: block;
  width: 132px;
  height: 132px;
  object-fit: cover;
  border: 1px solid var(--hair);
}
</style>
