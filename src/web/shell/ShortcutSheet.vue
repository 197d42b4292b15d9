<script setup lang="ts">
import { SHORTCUTS } from '#web/ui/shortcuts'

const open = defineModel<boolean>({ required: true })
/** What the browser does of itself, and every shortcut that is bound anywhere. */
const rows: readonly (readonly [string, string])[] = [
  ['Tab', 'from zone to zone of the drawer; arrows go from item to item inside'],
  ['Space or Enter', 'tick the item you are on, again to take it back; in a check-in Enter keeps and goes on'],
  ...Object.values(SHORTCUTS).map(({ shown, words }) => [shown, words] as const),
]
</script>

<template>
  <v-dialog v-model="open" aria-label="Shortcuts">
    <div class="sheet pa-5">
      <h2>By keyboard</h2>
      <dl class="d-grid my-4 gr-2 gc-4">
        <template v-for="[key, words] in rows" :key="words">
          <dt>{{ key }}</dt>
          <dd>{{ words }}</dd>
        </template>
      </dl>
      <v-btn color="primary" @click="open = false">Close</v-btn>
    </div>
  </v-dialog>
</template>

<style scoped>
dl {
  grid-template-columns: auto 1fr;
}

dt {
  font: 600 14px var(--display);
}
</style>
