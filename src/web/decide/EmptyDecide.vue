<script setup lang="ts">
import EmptyPlace from '#web/ui/EmptyPlace.vue'

/** What a trial is for, and the first one. */
defineEmits<{ start: [] }>()
</script>

<template>
  <EmptyPlace title="Nothing to decide" act="Put an item on trial" @act="$emit('start')">
    <template #drawing>
      <svg viewBox="0 0 200 110" width="200" height="110" aria-hidden="true">
        <rect x="6" y="26" width="52" height="58" rx="26" class="line" />
        <path d="M84 84V32m12 52V32m12 52V32m12 52V32M80 74l44-32" class="line" />
        <path d="M150 84V58m0-14v-2" class="line" stroke-dasharray="4 5" />
        <circle cx="176" cy="58" r="14" class="line" />
      </svg>
    </template>
    Some items survive every clear-out and are never worn. Put one on trial: wear it a few times, then decide. “I love
    it” and “I use it” are different facts.
  </EmptyPlace>
</template>
