<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useChanges } from '#web/data/changes'

/**
 * What was done, with the way back; what went wrong, with what can be done. It has a strip of its own that nothing else uses, a
 * time limit, and a way to close it; what it said stays in the journal. Today has a line of its own for both.
 */
/** Time to read it, notice the mistake and reach it; trouble stays for longer. Assumption. */
const SHOWN_MS = 20_000
const TROUBLE_MS = 120_000
const changes = useChanges()
/** The change whose notice was closed or has had its time. */
const read = ref<string | null>(null)
const trouble = computed(() => changes.trouble)
const done = computed(() => (changes.last !== null && changes.last.id !== read.value ? changes.last : null))
const open = computed(() => trouble.value !== null || done.value !== null)
const key = computed(() => trouble.value?.detail ?? done.value?.id ?? '')

watch(
  () => changes.last?.id,
  () => (read.value = null),
)

function close(): void {
  if (trouble.value !== null) changes.trouble = null
  else read.value = done.value?.id ?? null
}
</script>

<template>
  <v-snackbar
    v-if="open"
    :key="key"
    :model-value="true"
    :timeout="trouble ? TROUBLE_MS : SHOWN_MS"
    attach="#notices"
    content-class="notice"
    :class="{ trouble }"
    @update:model-value="close"
  >
    <div :role="trouble ? 'alert' : undefined" class="words">
      <template v-if="trouble"
        ><strong>{{ trouble.title }}</strong> {{ trouble.detail }}</template
      >
      <template v-else-if="done">{{ done.words }}</template>
    </div>
    <template #actions>
      <v-btn v-if="trouble?.remedy" class="take-back" @click="trouble.remedy.act()">{{ trouble.remedy.words }}</v-btn>
      <v-btn v-else-if="done && !trouble" class="take-back" @click="changes.takeBackLast()">Undo</v-btn>
      <v-btn variant="text" @click="close">Close</v-btn>
    </template>
  </v-snackbar>
</template>

<style>
/* Within its strip, where Vuetify would lay it over the page. */
#notices .v-snackbar {
  position: static;
  display: block;
  margin: 0;
  padding: 0;
  transform: none;
}

#notices .v-snackbar__wrapper {
  position: relative;
  inset: auto;
  flex-direction: column;
  align-items: stretch;
  width: 100%;
  min-width: 0;
  max-width: none;
  margin: 0;
  border-radius: 10px;
  background: var(--ink);
  color: var(--tray);
  box-shadow: none;
}

#notices .trouble .v-snackbar__wrapper {
  border-left: 6px solid var(--attention);
}

#notices .v-snackbar__content {
  padding: 10px 12px 4px;
  font-size: 13.5px;
  overflow-wrap: anywhere;
}

#notices .v-snackbar__actions {
  flex-wrap: wrap;
  align-self: stretch;
  justify-content: space-between;
  margin: 0;
  padding: 0 6px 6px;
}

#notices .v-btn {
  padding: 0 8px;
  color: var(--tray);
}

#notices .take-back {
  background: var(--tray);
  color: var(--ink);
}

.phone #notices .v-snackbar__wrapper {
  flex-flow: row nowrap;
  align-items: center;
  border-radius: 0 0 12px 12px;
}

.phone #notices .v-snackbar__content {
  padding: 8px 12px;
}

.phone #notices .v-snackbar__actions {
  flex-wrap: nowrap;
  padding: 4px 6px;
}
</style>
