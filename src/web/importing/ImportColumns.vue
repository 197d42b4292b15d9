<script setup lang="ts">
import { SHEET_FIELDS, type SheetField } from '#core/formats/sheet/header-words-data'
import { counted } from '#core/words/counted'
import type { PreviewAnswer } from '#contract/importing'

/** What the columns of a sheet mean, and which of its tabs are read. */
defineProps<{ preview: PreviewAnswer; tabs: readonly string[] | null }>()
const emit = defineEmits<{ tab: [name: string, wanted: boolean]; meaning: [at: number, field: SheetField | null] }>()
/** What a column can mean, where its own name does not say it well enough. */
const FIELD_WORDS: Partial<Record<SheetField, string>> = {
  maker: 'brand',
  category: 'type',
  'shelf-life': 'PAO or expiry',
  pao: 'PAO, months',
  acquired: 'bought',
  quantity: 'how many',
  left: 'how much is left',
  ended: 'finished on',
  swatch: 'swatch (hex)',
}
const fieldItems = [
  { title: 'keep as text', value: null as SheetField | null },
  ...SHEET_FIELDS.map((field) => ({ title: FIELD_WORDS[field] ?? field, value: field as SheetField | null })),
]
</script>

<template>
  <section class="sheet part mb-3 pa-4" aria-label="Columns">
    <h2>{{ counted(preview.rows.length, 'row') }}, {{ counted(preview.headers.length, 'column') }}</h2>
    <div v-if="preview.tabs.length > 1" class="choices tabs my-2 mx-0" role="group" aria-label="Tabs to read">
      <button
        v-for="tab in preview.tabs"
        :key="tab.name"
        type="button"
        class="choice"
        :aria-pressed="tabs === null || tabs.includes(tab.name)"
        @click="emit('tab', tab.name, tabs !== null && !tabs.includes(tab.name))"
      >
        {{ tab.name }} <span class="figures">{{ tab.rows }}</span>
      </button>
    </div>
    <p class="quiet">
      Prices in {{ preview.currency }}, dates {{ preview.dateOrder === 'month-first' ? 'month first' : 'day first' }}.
    </p>
    <div class="columns d-grid ga-2">
      <v-select
        v-for="(header, at) in preview.headers"
        :key="at"
        :model-value="preview.meanings[at] ?? null"
        :label="header || `column ${at + 1}`"
        density="compact"
        :items="fieldItems"
        @update:model-value="(field: SheetField | null) => emit('meaning', at, field)"
      />
    </div>
  </section>
</template>

<style scoped>
.columns {
  grid-template-columns: repeat(auto-fill, minmax(160px, 1fr));
}
</style>
