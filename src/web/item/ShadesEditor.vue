<script setup lang="ts">
import { mdiClose } from '@mdi/js'
import { nextTick, ref, useTemplateRef } from 'vue'
import { FORMS } from '#core/item/form'
import { FINISHES } from '#core/item/traits'
import { newId } from '#web/data/client'
import SwatchField from '#web/ui/form/SwatchField.vue'
import type { ItemDraft } from './item-draft'

/** The shades of a palette, the sides of a duo, the ends of a pencil: each where it really lies. */
const parts = defineModel<ItemDraft['parts']>('parts', { required: true })
const columns = defineModel<string>('columns', { required: true })
const props = defineProps<{ structure: ItemDraft['structure']; on: (field: string) => string[] }>()
const each = ref<string | null>(null)
const set = useTemplateRef<HTMLElement>('set')
const PART_NAME = { single: 'Shade', palette: 'Shade', duo: 'Side', 'dual-ended': 'End', kit: 'Piece' } as const

function add(): void {
  const across = Math.max(1, Number(columns.value) || 4)
  const n = parts.value.length
  parts.value = [
    ...parts.value,
    {
      id: newId(),
      name: `${PART_NAME[props.structure]} ${n + 1}`,
      colour: null,
      finish: null,
      shape: 'square',
      row: Math.floor(n / across) + 1,
      col: (n % across) + 1,
      rowSpan: 1,
      colSpan: 1,
      form: null,
    },
  ]
}

/** From one name to the next; after the last another is added. */
async function next(n: number): Promise<void> {
  if (n === parts.value.length - 1) add()
  await nextTick()
  const field = set.value?.querySelectorAll<HTMLInputElement>('.name input')[n + 1]
  field?.focus()
  field?.select()
}

/** All of them row by row, so many in a row; spans go. */
function layOut(): void {
  const across = Math.max(1, Math.min(30, Number(columns.value) || 4))
  parts.value = parts.value.map((part, n) => ({
    ...part,
    row: Math.floor(n / across) + 1,
    col: (n % across) + 1,
    rowSpan: 1,
    colSpan: 1,
  }))
}

function remove(id: string): void {
  parts.value = parts.value.filter((part) => part.id !== id)
}

function place(index: number, key: 'row' | 'col' | 'rowSpan' | 'colSpan', value: string): void {
  parts.value = parts.value.map((part, n) =>
    n === index ? { ...part, [key]: Math.max(1, Math.min(30, Number(value) || 1)) } : part,
  )
}
</script>

<template>
  <fieldset class="d-grid rounded-lg justify-items-start pt-2 pb-3 px-3 ga-2" ref="set">
    <legend class="font-weight-semibold small py-0 px-2">{{ PART_NAME[structure] }}s, as they are placed</legend>
    <div v-if="parts.length > 0" class="d-flex align-center ga-2">
      <v-text-field v-model="columns" class="columns" inputmode="numeric" label="In a row" />
      <v-btn variant="text" @click="layOut">Arrange in rows</v-btn>
    </div>
    <div v-for="(part, n) in parts" :key="part.id" class="shade d-grid w-100 align-center ga-2">
      <SwatchField v-model="part.colour" :label="`Colour of ${part.name}`" small />
      <v-text-field
        v-model="part.name"
        :label="`${PART_NAME[structure]} ${n + 1}`"
        class="name"
        density="compact"
        :error-messages="on(`fields.parts.${n}`)"
        @keydown.enter.prevent="next(n)"
      />
      <v-select v-model="part.finish" class="finish" density="compact" label="Finish" clearable :items="FINISHES" />
      <v-btn variant="text" :aria-expanded="each === part.id" @click="each = each === part.id ? null : part.id"
        >Where</v-btn
      >
      <v-btn variant="text" :icon="mdiClose" size="44" :aria-label="`Remove ${part.name}`" @click="remove(part.id)" />
      <div v-if="each === part.id" class="where d-grid across ga-2">
        <v-text-field
          v-for="[key, label] in [
            ['row', 'Row'],
            ['col', 'Column'],
            ['rowSpan', 'Rows high'],
            ['colSpan', 'Columns wide'],
          ] as const"
          :key="key"
          inputmode="numeric"
          density="compact"
          :label="label"
          :model-value="part[key]"
          @update:model-value="(value: string) => place(n, key, value)"
        />
        <v-select v-model="part.shape" density="compact" label="Shape" :items="['square', 'round']" />
        <v-select
          v-if="structure === 'dual-ended'"
          v-model="part.form"
          density="compact"
          label="Form"
          clearable
          :items="FORMS"
        />
      </div>
    </div>
    <v-btn variant="outlined" color="primary" @click="add">Add a {{ PART_NAME[structure].toLowerCase() }}</v-btn>
  </fieldset>
</template>

<style scoped>
fieldset {
  border: 1px solid var(--hair);
}

.columns {
  width: 120px;
}

.shade {
  grid-template-columns: 48px minmax(120px, 1fr) minmax(110px, 170px) auto auto;
}

.where {
  grid-template-columns: repeat(auto-fill, minmax(110px, 1fr));
  padding: 4px 0 10px 56px;
}

.phone .shade {
  grid-template-columns: 48px minmax(0, 1fr) auto;
}

.phone .finish {
  display: none;
}
</style>
