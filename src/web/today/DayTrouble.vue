<script setup lang="ts">
import { useChanges } from '#web/data/changes'

/** What went wrong with an act on the day, where she looks: in the line of the look, with what can be done. */
const changes = useChanges()
</script>

<template>
  <div v-if="changes.trouble" class="trouble d-flex align-center rounded-lg py-1 ps-3 pe-1 ga-2" role="alert">
    <p class="flex-1-1-0">
      <strong class="alarm">{{ changes.trouble.title }}</strong> {{ changes.trouble.detail }}
    </p>
    <v-btn v-if="changes.trouble.remedy" class="take-back" @click="changes.trouble.remedy.act()">{{
      changes.trouble.remedy.words
    }}</v-btn>
    <v-btn variant="text" @click="changes.trouble = null">Close</v-btn>
  </div>
</template>

<style scoped>
.trouble {
  flex: 1 0 100%;
  background: var(--raised);
  border: 1px solid var(--alarm);
  border-left-width: 6px;
}

p {
  white-space: pre-line;
}
</style>
