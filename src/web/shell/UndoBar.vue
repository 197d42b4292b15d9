<script setup lang="ts">
import { useChanges } from './changes'

const changes = useChanges()
</script>

<template>
  <div v-if="changes.last" class="undo">
    <span>{{ changes.last.words }}</span>
    <v-btn class="take-back" @click="changes.takeBackLast()">Take back</v-btn>
  </div>
</template>

<style scoped>
.undo {
  position: fixed;
  right: 20px;
  bottom: 18px;
  z-index: 5;
  display: flex;
  align-items: center;
  gap: 14px;
  max-width: min(640px, calc(100vw - 24px));
  background: var(--raised);
  border: 1px solid var(--line);
  border-radius: 10px;
  padding: 6px 6px 6px 16px;
  box-shadow: 0 4px 14px var(--shade);
}

@media (max-width: 760px) {
  .undo {
    right: 12px;
    left: 12px;
    bottom: calc(62px + env(safe-area-inset-bottom));
    justify-content: space-between;
  }
}
</style>
