<script setup lang="ts">
import { computed, ref } from 'vue'
import { SHEET_FIELDS, type SheetField } from '#core/formats/sheet/columns'
import type { ImportChoices, PreviewAnswer } from '#contract/importing'
import { ask, newId, OutOfReach, Refused } from '#web/api/client'
import FormTrouble from '#web/ui/FormTrouble.vue'
import { useStock } from '#web/ui/stock'
import { useForm } from '#web/ui/use-form'
import ImportGroups from './ImportGroups.vue'
import ImportKinds from './ImportKinds.vue'
import ImportRows from './ImportRows.vue'

/** A sheet is read and shown before anything is stored. */
const stock = useStock()
void stock.load()
const form = useForm()
const fileName = ref('')
const base64 = ref('')
const preview = ref<PreviewAnswer | null>(null)
const NO_CHOICES: ImportChoices = { meanings: null, rows: [], skip: [], tabs: null }
const choices = ref<ImportChoices>({ ...NO_CHOICES })
const pasted = ref('')
const reading = ref(false)
const stored = ref<{ stored: number; backups: number; leftOut: number } | null>(null)
const MOST_BYTES = 20 * 1024 * 1024
/** What a column can mean, where its own name does not say it well enough. */
const FIELD_WORDS: Partial<Record<SheetField, string>> = {
  'shelf-life': 'PAO or expiry',
  pao: 'months after opening',
  acquired: 'came on',
  quantity: 'how many',
  ended: 'finished on',
  swatch: 'swatch (hex)',
}
const fieldItems = [
  { title: 'keep as text', value: null as SheetField | null },
  ...SHEET_FIELDS.map((field) => ({ title: FIELD_WORDS[field] ?? field, value: field as SheetField | null })),
]

async function choose(file: File | undefined): Promise<void> {
  if (!file) return
  form.refused.value = null
  stored.value = null
  fileName.value = file.name
  if (file.size > MOST_BYTES) {
    form.outOfReach.value = `${file.name} is larger than 20 MB. Split the sheet and import the parts. Nothing was stored.`
    return
  }
  base64.value = await base64Of(file, file.name)
  choices.value = { ...NO_CHOICES }
  await refresh()
}

/** Cells copied from a spreadsheet come as text with tabs between them. */
async function takePasted(): Promise<void> {
  stored.value = null
  fileName.value = 'pasted cells'
  base64.value = await base64Of(new Blob([pasted.value]), fileName.value)
  choices.value = { ...NO_CHOICES }
  await refresh()
}

async function refresh(): Promise<void> {
  reading.value = true
  form.outOfReach.value = ''
  form.refused.value = null
  try {
    preview.value = await ask<PreviewAnswer>('/import/preview', {
      fileName: fileName.value,
      base64: base64.value,
      choices: choices.value,
    })
  } catch (error) {
    preview.value = null
    if (error instanceof Refused) form.refused.value = error
    else if (error instanceof OutOfReach) form.outOfReach.value = error.message
    else throw error
  } finally {
    reading.value = false
  }
}

function setTab(name: string, wanted: boolean): void {
  const all = preview.value?.tabs.map((tab) => tab.name) ?? []
  const now = choices.value.tabs ?? all
  // Other tabs bring other columns and rows; what was said of them starts again.
  choices.value = { ...NO_CHOICES, tabs: all.filter((each) => (each === name ? wanted : now.includes(each))) }
  void refresh()
}

function setMeaning(at: number, field: SheetField | null): void {
  const meanings = [...(preview.value?.meanings ?? [])].map((each) => (each === field && field !== null ? null : each))
  meanings[at] = field
  choices.value = { ...choices.value, meanings }
  void refresh()
}

function setRows(
  rows: number[],
  set: { categoryId?: string | null; form?: ImportChoices['rows'][number]['form'] },
): void {
  choices.value = {
    ...choices.value,
    rows: [...choices.value.rows, { rows, categoryId: set.categoryId ?? null, form: set.form ?? null }],
  }
  void refresh()
}

function setSkipped(rows: number[], skipped: boolean): void {
  const kept = choices.value.skip.filter((row) => !rows.includes(row))
  choices.value = { ...choices.value, skip: skipped ? [...kept, ...rows] : kept }
  void refresh()
}

async function store(): Promise<void> {
  const answer = await form.submit<{
    stored: number
    backups: number
    leftOut: number
    change: { id: string; words: string; changed: boolean }
  }>('POST', '/import/run', {
    changeId: newId(),
    importId: newId(),
    fileName: fileName.value,
    base64: base64.value,
    choices: choices.value,
  })
  if (!answer) return
  stored.value = answer
  preview.value = null
}

const willLeaveOut = computed(() => (preview.value ? preview.value.rows.length - preview.value.willStore : 0))

async function base64Of(file: Blob, name: string): Promise<string> {
  const url = await new Promise<string>((resolve, reject) => {
    const reader = new FileReader()
    reader.onload = () => resolve(String(reader.result))
    reader.onerror = () => reject(new OutOfReach(`${name} cannot be read.`))
    reader.readAsDataURL(file)
  })
  return url.slice(url.indexOf(',') + 1)
}
</script>

<template>
  <div class="place-head">
    <h1>Import a sheet</h1>
    <span class="quiet">What does my sheet say, and what is wrong in it? Nothing is stored before you say so.</span>
  </div>
  <section class="sheet choose">
    <label class="file">
      <span>Choose a file: CSV, TSV or a workbook (.xlsx)</span>
      <input
        type="file"
        accept=".csv,.tsv,.txt,.xlsx,text/csv"
        @change="choose(($event.target as HTMLInputElement).files?.[0])"
      />
    </label>
    <details class="paste">
      <summary>Or paste cells copied from a spreadsheet</summary>
      <v-textarea v-model="pasted" label="Cells" rows="4" spellcheck="false" />
      <v-btn variant="outlined" color="primary" :disabled="pasted.trim() === ''" @click="takePasted"
        >Read what is pasted</v-btn
      >
    </details>
    <p class="quiet">
      Headers may stand in any order and language, under title lines or none; section lines such as “LIPSTICKS” are
      understood. Columns that are not recognised are kept as text with each item.
    </p>
    <FormTrouble :refused="form.refused.value" :out-of-reach="form.outOfReach.value" />
  </section>
  <p v-if="stored" class="inset stored" role="status">
    {{ stored.stored }} items are stored{{ stored.backups > 0 ? ` and ${stored.backups} backups` : ''
    }}{{ stored.leftOut > 0 ? `, ${stored.leftOut} rows were left out` : '' }}. One “take back” takes them all out
    again.
    <RouterLink to="/collection">Look at the collection</RouterLink>
  </p>
  <template v-if="preview">
    <section class="sheet part" aria-label="Columns">
      <h2>{{ preview.rows.length }} rows, {{ preview.headers.length }} columns</h2>
      <div v-if="preview.tabs.length > 1" class="choices tabs" role="group" aria-label="Tabs to read">
        <button
          v-for="tab in preview.tabs"
          :key="tab.name"
          type="button"
          class="choice"
          :aria-pressed="choices.tabs === null || choices.tabs.includes(tab.name)"
          @click="setTab(tab.name, choices.tabs !== null && !choices.tabs.includes(tab.name))"
        >
          {{ tab.name }} <span class="figures">{{ tab.rows }}</span>
        </button>
      </div>
      <p class="quiet">
        Prices in {{ preview.currency }}, dates {{ preview.dateOrder === 'month-first' ? 'month first' : 'day first' }}.
      </p>
      <div class="columns">
        <v-select
          v-for="(header, at) in preview.headers"
          :key="at"
          :model-value="preview.meanings[at] ?? null"
          :label="header || `column ${at + 1}`"
          density="compact"
          :items="fieldItems"
          @update:model-value="(field) => setMeaning(at, field)"
        />
      </div>
    </section>
    <ImportGroups :groups="preview.groups" @skip="(rows) => setSkipped(rows, true)" />
    <ImportKinds :rows="preview.rows" :categories="stock.categories" @set="setRows" />
    <ImportRows
      :rows="preview.rows"
      :categories="stock.categories"
      :currency="preview.currency"
      @set="setRows"
      @skip="setSkipped"
    />
    <div class="store">
      <span class="figures"
        >{{ preview.willStore }} items will be stored{{
          preview.willStoreBackups > 0 ? `, ${preview.willStoreBackups} backups beside them` : ''
        }}{{ willLeaveOut > 0 ? `, ${willLeaveOut} stay out` : '' }}.</span
      >
      <v-btn variant="text" @click="preview = null">Cancel</v-btn>
      <v-btn color="primary" :loading="form.busy.value || reading" :disabled="preview.willStore === 0" @click="store"
        >Store {{ preview.willStore }} items</v-btn
      >
    </div>
  </template>
</template>

<style scoped>
.choose,
.part {
  padding: 16px 18px;
  margin-bottom: 12px;
}

.file {
  display: inline-flex;
  flex-wrap: wrap;
  gap: 14px;
  align-items: center;
  font-weight: 600;
}

.file input {
  font-weight: 400;
}

.paste summary {
  min-height: 44px;
  display: flex;
  align-items: center;
  cursor: pointer;
}

.tabs {
  margin: 8px 0;
}

.columns {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(160px, 1fr));
  gap: 10px;
}

.stored {
  padding: 18px;
}

.store {
  position: sticky;
  bottom: 0;
  display: flex;
  align-items: center;
  justify-content: flex-end;
  gap: 10px;
  padding: 10px 14px;
  background: var(--raised);
  border: 1px solid var(--line);
  border-radius: 10px;
  z-index: 4;
}

@media (max-width: 760px) {
  .store {
    bottom: 60px;
    flex-wrap: wrap;
  }
}
</style>
