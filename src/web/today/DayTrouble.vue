<script setup lang="ts">
import { useChanges } from '#web/data/changes'

/** What went wrong with an act on the day, where she looks: in the line of the face, with what can be done. */
const changes = useChanges()
</script>

<template>
  <div v-if="changes.trouble" class="trouble" role="alert">
    <p>
      <strong>{{ changes.trouble.title }}</strong> {{ changes.trouble.detail }}
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
  display: flex;
  gap: 10px;
  align-items: center;
  padding: 4px 4px 4px 12px;
  background: var(--raised);
  border: 1px solid var(--alarm);
  border-left-width: 6px;
  border-radius: 8px;
}

p {
  flex: 1;
  margin: 0;
  white-space: pre-line;
}

strong {
  color: var(--alarm);
}
</style>
