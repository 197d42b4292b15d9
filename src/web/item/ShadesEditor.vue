<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { newId } from '#web/api/client'
import type { ItemDraft } from './item-draft'

/** The shades of a palette or duo, row by row as they lie. */
const parts = defineModel<ItemDraft['parts']>('parts', { required: true })
const columns = defineModel<string>('columns', { required: true })
defineProps<{ on: (field: string) => string[] }>()

function add(): void {
  parts.value = [
    ...parts.value,
    { id: newId(), name: `Shade ${parts.value.length + 1}`, colour: '#b08a78', finish: null, shape: 'square' },
  ]
}

function remove(id: string): void {
  parts.value = parts.value.filter((part) => part.id !== id)
}
</script>

<template>
  <fieldset>
    <legend>Shades, if it is a palette or a duo</legend>
    <div v-if="parts.length > 0" class="rows">
      <v-text-field v-model="columns" class="columns" type="number" min="1" max="30" label="Pans in a row" />
      <div v-for="(part, n) in parts" :key="part.id" class="shade">
        <input v-model="part.colour" type="color" :aria-label="`Colour of ${part.name}`" />
        <v-text-field
          v-model="part.name"
          :label="`Shade ${n + 1}`"
          density="compact"
          :error-messages="on(`fields.parts.${n}`)"
        />
        <v-btn variant="text" :icon="mdiClose" size="44" :aria-label="`Remove ${part.name}`" @click="remove(part.id)" />
      </div>
    </div>
    <v-btn variant="outlined" color="primary" @click="add">Add a shade</v-btn>
  </fieldset>
</template>

<style scoped>
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
}

legend {
  font-weight: 600;
  font-size: 13.5px;
  margin-bottom: 6px;
}

.rows {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(240px, 1fr));
  gap: 8px 14px;
  margin-bottom: 10px;
}

.columns {
  grid-column: 1 / -1;
  max-width: 160px;
}

.shade {
  display: flex;
  align-items: center;
  gap: 6px;
}

.shade input[type='color'] {
  width: 44px;
  height: 44px;
}
</style>
