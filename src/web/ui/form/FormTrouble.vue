<script setup lang="ts">
import type { Refused } from '#web/data/client'

/** What a form could not store, said once above its buttons. */
defineProps<{ refused: Refused | null; outOfReach: string }>()
</script>

<template>
  <p v-if="refused && refused.problem.code !== 'stale'" class="trouble alarm font-weight-semibold" role="alert">
    {{ refused.problem.title }} {{ refused.problem.detail }}
  </p>
  <p v-else-if="outOfReach" class="trouble alarm font-weight-semibold" role="alert">{{ outOfReach }}</p>
</template>

<style scoped>
.trouble {
  white-space: pre-line;
}
</style>
