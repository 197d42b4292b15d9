<script setup lang="ts">
import { computed } from 'vue'
import { useLessons } from '#web/data/reads'

/** What she learned that bears on what is being chosen: of these kinds, or of everything. */
const props = defineProps<{ categoryIds: readonly string[] }>()
const { answer } = useLessons()
/** As many as are read while choosing. */
const MOST = 3
const lessons = computed(() =>
  (answer.value?.kept ?? [])
    .filter(({ categoryId, item, shown }) => {
      const about = categoryId ?? shown?.about ?? ''
      return about === '' ? item === null : props.categoryIds.includes(about)
    })
    .slice(0, MOST),
)
</script>

<template>
  <ul v-if="lessons.length > 0" class="lessons d-grid small ga-1" aria-label="What you learned">
    <li v-for="lesson in lessons" :key="lesson.id">You learned: {{ lesson.words }}</li>
  </ul>
</template>

<style scoped>
.lessons li {
  padding-left: 12px;
  border-left: 3px solid var(--primary);
}
</style>
