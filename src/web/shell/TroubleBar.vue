<script setup lang="ts">
import { useChanges } from './changes'

const changes = useChanges()
</script>

<template>
  <div v-if="changes.trouble" class="trouble" role="alert">
    <div class="words">
      <strong>{{ changes.trouble.title }}</strong>
      <span>{{ changes.trouble.detail }}</span>
    </div>
    <v-btn v-if="changes.trouble.takeBackAll" color="error" @click="changes.takeBack(changes.trouble.takeBackAll, true)"
      >Take all back</v-btn
    >
    <v-btn v-if="changes.trouble.anyway" variant="outlined" color="primary" @click="changes.trouble.anyway()"
      >Tick it anyway</v-btn
    >
    <v-btn variant="text" @click="changes.trouble = null">Close</v-btn>
  </div>
</template>

<style scoped>
.trouble {
  display: flex;
  gap: 12px;
  align-items: center;
  background: var(--raised);
  border: 1px solid var(--alarm);
  border-left-width: 6px;
  border-radius: 8px;
  padding: 8px 8px 8px 14px;
  margin-bottom: 12px;
}

.words {
  flex: 1;
  display: grid;
  white-space: pre-line;
}

strong {
  color: var(--alarm);
}
</style>
