<script setup lang="ts">
import { ref } from 'vue'
import type { AlsoTo, CopiesAnswer } from '#contract/host'
import { ask, Refused } from '#web/data/client'
import { useChanges } from '#web/data/changes'
import { instantFormat } from '#web/data/locale'

/** A second folder for the copies: a stick, or one that is synced elsewhere. */
const props = defineProps<{ alsoTo: AlsoTo | null }>()
const emit = defineEmits<{ stored: [] }>()
const changes = useChanges()
const folder = ref(props.alsoTo?.folder ?? '')
const busy = ref(false)
const wrong = ref('')
const minute = instantFormat({ day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' })

async function store(path: string | null): Promise<void> {
  busy.value = true
  wrong.value = ''
  try {
    await ask<CopiesAnswer>('/copies/also-to', { folder: path })
    emit('stored')
    if (path === null) folder.value = ''
    changes.say(path === null ? 'Copies stay in one place now.' : 'Copies go there too from now on.')
  } catch (error) {
    if (error instanceof Refused) wrong.value = error.on('folder') ?? error.message
    else changes.show(error)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <form class="sheet settings-part" aria-label="A second folder" @submit.prevent="store(folder)">
    <h2>A second folder</h2>
    <p>
      A disk can break, and its copies with it. Each day’s copy can also go to a stick, or to a folder that is synced
      elsewhere.
    </p>
    <v-text-field
      v-model="folder"
      label="Folder, its whole path"
      maxlength="1000"
      :error-messages="wrong"
      autocomplete="off"
      spellcheck="false"
    />
    <p v-if="alsoTo?.trouble" class="caution" role="alert">
      The last one did not arrive: {{ alsoTo.trouble }}. It’s tried again with the next copy.
    </p>
    <p v-else-if="alsoTo?.lastAt" role="status">
      The last one arrived on {{ minute(alsoTo.lastAt) }}, and is sound there.
    </p>
    <p v-else-if="alsoTo" class="quiet">The next copy of the day goes there.</p>
    <div class="acts d-flex justify-end ga-2">
      <v-btn v-if="alsoTo" variant="text" :disabled="busy" @click="store(null)">No second folder</v-btn>
      <v-btn type="submit" color="primary" :loading="busy" :disabled="folder.trim() === ''">Save</v-btn>
    </div>
  </form>
</template>

<style scoped>
.caution {
  padding: 8px 12px;
  border-left: 4px solid var(--attention);
  background: var(--inset);
}
</style>
