<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import type { SheetField } from '#core/formats/sheet/header-words-data'
import { counted, plural } from '#core/words/counted'
import type { ImportChoices } from '#contract/importing'
import type { ChangeNote } from '#contract/basic'
import FileDrop from '#web/ui/form/FileDrop.vue'
import FormTrouble from '#web/ui/form/FormTrouble.vue'
import { useChanges } from '#web/data/changes'
import { useStock } from '#web/data/stock'
import { useOpenDrafts } from '#web/ui/form/open-drafts'
import { useDraft } from '#web/ui/form/use-draft'
import PlaceHead from '#web/ui/PlaceHead.vue'
import ImportColumns from './ImportColumns.vue'
import ImportGroups from './ImportGroups.vue'
import ImportKinds from './ImportKinds.vue'
import ImportRows from './ImportRows.vue'
import { NO_CHOICES, usePreview, type Shown } from './use-preview'

/** A sheet is read and shown before anything is stored. */
const stock = useStock()
const draft = useDraft(() => ({ pasted: '' }))
const { typed } = draft
const { shown, choices, reading, refused, outOfReach, read, again, choose: rechoose, close } = usePreview()
// A sheet with what was chosen and mended in it is typed work too.
useOpenDrafts().watchOver(() => shown.value !== null)
const preview = computed(() => shown.value?.answer ?? null)
const stored = shallowRef<(Stored & { from: Shown }) | null>(null)
/** The row that a problem was opened at. */
const lookedAt = ref<number | null>(null)
interface Stored {
  readonly stored: number
  readonly backups: number
  readonly leftOut: number
  readonly change: ChangeNote
}
const changes = useChanges()
const MOST_BYTES = 20 * 1024 * 1024
async function choose(file: File): Promise<void> {
  refused.value = null
  stored.value = null
  if (file.size > MOST_BYTES) {
    outOfReach.value = `${file.name} is larger than 20 MB. Split the sheet and import the parts. Nothing was saved.`
    return
  }
  await read(file.name, await base64Of(file, file.name))
}

/** Cells copied from a spreadsheet come as text with tabs between them. */
async function takePasted(): Promise<void> {
  stored.value = null
  await read('pasted cells', await base64Of(new Blob([typed.value.pasted]), 'pasted cells'))
}

function setTab(name: string, wanted: boolean): void {
  const all = preview.value?.tabs.map((tab) => tab.name) ?? []
  const now = choices.value.tabs ?? all
  // Other tabs bring other columns and rows; what was said of them starts again.
  void rechoose({ ...NO_CHOICES, tabs: all.filter((each) => (each === name ? wanted : now.includes(each))) })
}

function setMeaning(at: number, field: SheetField | null): void {
  const meanings = [...(preview.value?.meanings ?? [])].map((each) => (each === field && field !== null ? null : each))
  meanings[at] = field
  void rechoose({ meanings })
}

function setRows(
  rows: number[],
  set: { categoryId?: string | null; form?: ImportChoices['rows'][number]['form'] },
): void {
  void rechoose({
    rows: [...choices.value.rows, { rows, categoryId: set.categoryId ?? null, form: set.form ?? null }],
  })
}

function setSkipped(rows: number[], skipped: boolean): void {
  const kept = choices.value.skip.filter((row) => !rows.includes(row))
  void rechoose({ skip: skipped ? [...kept, ...rows] : kept })
}

/** A cell typed again is read again at once, with the rest of the sheet. */
function mend(row: number, at: number, text: string): void {
  const others = choices.value.mended.filter((each) => each.row !== row || each.at !== at)
  void rechoose({ mended: [...others, { row, at, text }] })
}

async function store(): Promise<void> {
  if (!shown.value) return
  const { answer: _, ...body } = shown.value
  const answer = await draft.store<Stored>('POST', '/import/run', body)
  if (!answer) return
  stored.value = { ...answer, from: shown.value }
  draft.begin({ pasted: '' })
  close()
}
// Taken back, it lies here again as it was mended.
watch(
  () => changes.takenBack,
  (id) => {
    if (stored.value?.change.id !== id) return
    void again(stored.value.from)
    stored.value = null
  },
)

const willLeaveOut = computed(() => (preview.value ? preview.value.rows.length - preview.value.willStore : 0))

async function base64Of(file: Blob, name: string): Promise<string> {
  const url = await new Promise<string>((resolve, reject) => {
    const reader = new FileReader()
    reader.onload = () => resolve(String(reader.result))
    reader.onerror = () => reject(reader.error ?? new Error(`${name} can’t be read.`))
    reader.readAsDataURL(file)
  })
  return url.slice(url.indexOf(',') + 1)
}
</script>

<template>
  <PlaceHead
    title="Import a sheet"
    question="What does my sheet say, and what is wrong in it? Nothing is saved before you say so."
    :acts="[{ words: 'Type lines instead', to: '/collection/lines' }]"
  />
  <section class="sheet mb-3 pa-4">
    <FileDrop
      label="Drop a sheet here, or choose one: CSV, TSV or a workbook (.xlsx)"
      accept=".csv,.tsv,.txt,.xlsx,text/csv"
      @file="choose"
    />
    <details class="paste">
      <summary class="d-flex touch align-center">Or paste cells copied from a spreadsheet</summary>
      <v-textarea v-model="typed.pasted" label="Cells" rows="4" spellcheck="false" />
      <v-btn variant="outlined" color="primary" :disabled="typed.pasted.trim() === ''" @click="takePasted"
        >Read what is pasted</v-btn
      >
    </details>
    <p class="quiet">
      Headers can be in any order and language. Section lines such as “LIPSTICKS” are understood. Columns that aren’t
      recognised are kept as text with each item.
    </p>
    <FormTrouble :refused="refused ?? draft.refused.value" :out-of-reach="outOfReach || draft.outOfReach.value" />
  </section>
  <p v-if="stored" class="inset stored pa-4" role="status">
    {{ counted(stored.stored, 'item') }} {{ plural(stored.stored, 'is') }} saved{{
      stored.backups > 0 ? ` and ${counted(stored.backups, 'backup')}` : ''
    }}{{ stored.leftOut > 0 ? `, ${counted(stored.leftOut, 'row')} left out` : '' }}. One “undo” takes them all out
    again.
    <RouterLink to="/collection">Look at the collection</RouterLink>
  </p>
  <template v-if="preview">
    <ImportColumns :preview="preview" :tabs="choices.tabs" @tab="setTab" @meaning="setMeaning" />
    <ImportGroups
      :groups="preview.groups"
      :rows="preview.rows"
      @skip="(rows) => setSkipped(rows, true)"
      @mend="mend"
      @look="(row) => (lookedAt = row)"
    />
    <ImportKinds :rows="preview.rows" :categories="stock.categories" @set="setRows" />
    <ImportRows
      :rows="preview.rows"
      :categories="stock.categories"
      :currency="preview.currency"
      :looked-at="lookedAt"
      @set="setRows"
      @skip="setSkipped"
    />
    <div class="store d-flex position-sticky align-center justify-end rounded-lg py-2 px-3 ga-2">
      <span class="figures"
        >{{ counted(preview.willStore, 'item') }} will be saved{{
          preview.willStoreBackups > 0 ? `, ${counted(preview.willStoreBackups, 'backup')} beside them` : ''
        }}{{ willLeaveOut > 0 ? `, ${willLeaveOut} stay out` : '' }}.</span
      >
      <v-btn variant="text" @click="close">Cancel</v-btn>
      <v-btn color="primary" :loading="draft.busy.value || reading" :disabled="preview.willStore === 0" @click="store"
        >Save {{ counted(preview.willStore, 'item') }}</v-btn
      >
    </div>
  </template>
</template>

<style scoped>
.paste summary {
  cursor: pointer;
}

.store {
  bottom: 0;
  background: var(--raised);
  border: 1px solid var(--line);
  z-index: 4;
}

.phone .store {
  bottom: 60px;
  flex-wrap: wrap;
}
</style>
