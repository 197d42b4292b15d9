<script setup lang="ts">
import { nextTick, onBeforeUnmount } from 'vue'
import { useOpenDrafts } from './open-drafts'

/** Asked before anything typed is left: once, whatever way out was taken. */
const drafts = useOpenDrafts()
const typing = document.activeElement

// She goes on where she was typing; what is left has taken its field with it.
onBeforeUnmount(() => {
  void nextTick(() => {
    if (typing instanceof HTMLElement && typing.isConnected) typing.focus()
  })
})
</script>

<template>
  <v-dialog
    :model-value="drafts.asking !== null"
    max-width="460"
    aria-label="Discard what you typed?"
    @update:model-value="drafts.asking?.(false)"
  >
    <div class="sheet dialog">
      <h2>What you typed isn’t saved yet</h2>
      <p>Continue, or discard it.</p>
      <div class="acts">
        <v-btn variant="text" @click="drafts.asking?.(true)">Discard</v-btn>
        <v-btn color="primary" autofocus @click="drafts.asking?.(false)">Continue</v-btn>
      </div>
    </div>
  </v-dialog>
</template>
