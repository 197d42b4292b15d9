<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { FORMS, type Form } from '#core/item/form'
import { counted } from '#core/words/counted'
import type { PreviewRow } from '#contract/importing'
import type { CategoryView } from '#contract/item'
import { useUnits } from '#web/data/units'
import { contentWords, usesWords } from '#web/ui/words/item-words'
import { rangeWords } from '#web/ui/words/when-words'
import { dateWords, moneyWords } from '#web/data/locale'

/** Every row as it will be stored; chosen ones can be set together or left out. */
const props = defineProps<{
  rows: readonly PreviewRow[]
  categories: readonly CategoryView[]
  currency: string
  /** The row to bring into sight. */
  lookedAt: number | null
}>()
const emit = defineEmits<{
  set: [rows: number[], set: { categoryId?: string; form?: Form }]
  skip: [rows: number[], skipped: boolean]
}>()
const chosen = ref<number[]>([])
const list = ref<{ scrollToIndex: (index: number) => void } | null>(null)
watch(
  () => props.lookedAt,
  (row) => {
    const index = props.rows.findIndex((each) => each.row === row)
    if (index >= 0) list.value?.scrollToIndex(Math.max(0, index - 1))
  },
)
const units = useUnits()
const names = computed(() => new Map(props.categories.map((each) => [each.id, each.name])))

function toggle(row: number): void {
  chosen.value = chosen.value.includes(row) ? chosen.value.filter((each) => each !== row) : [...chosen.value, row]
}

function openedWords(row: PreviewRow): string {
  if (row.opened) return `opened ${rangeWords(row.opened)}`
  if (row.ended) return row.ended === 'finished' ? 'finished: history' : 'gone: history'
  return row.openedAs === 'unopened' ? 'unopened' : 'opening unknown'
}

function lifeWords(row: PreviewRow): string {
  return [
    row.paoMonths === null ? '' : `${row.paoMonths} months`,
    row.expiry === null ? '' : `expiry ${dateWords(row.expiry)}`,
  ]
    .filter(Boolean)
    .join(', ')
}
</script>

<template>
  <section class="sheet part mb-3 py-3 px-4" aria-label="Rows">
    <div class="head d-flex flex-wrap align-center ga-2">
      <h2 class="flex-1-1-0">As it will be saved</h2>
      <template v-if="chosen.length > 0">
        <span class="figures">{{ chosen.length }} chosen</span>
        <v-autocomplete
          class="set"
          density="compact"
          label="Type"
          :items="categories.map((each) => ({ title: each.name, value: each.id }))"
          @update:model-value="(value: string | null) => value && emit('set', chosen, { categoryId: value })"
        />
        <v-select
          class="set"
          density="compact"
          label="Form"
          :items="FORMS"
          @update:model-value="(value: Form | null) => value && emit('set', chosen, { form: value })"
        />
        <v-btn variant="outlined" color="primary" @click="emit('skip', chosen, true)">Leave out</v-btn>
        <v-btn variant="text" @click="chosen = []">Choose none</v-btn>
      </template>
      <v-btn v-else variant="text" @click="chosen = rows.map((row) => row.row)">Choose all</v-btn>
    </div>
    <v-virtual-scroll ref="list" class="list" :items="rows as PreviewRow[]" :item-height="52" item-key="row">
      <template #default="{ item: row }">
        <div class="row" :class="{ out: row.skipped || row.categoryId === null, looked: row.row === lookedAt }">
          <label class="check d-grid align-center justify-items-center"
            ><input
              type="checkbox"
              :checked="chosen.includes(row.row)"
              :aria-label="`Choose row ${row.line}`"
              @change="toggle(row.row)"
          /></label>
          <span class="number quiet figures">{{ row.line }}</span>
          <span class="cell d-grid min-w-0 tight"
            ><strong>{{ row.name }}</strong
            ><span class="quiet fine">{{ [row.maker, row.shade].filter(Boolean).join(', ') }}</span></span
          >
          <span class="cell d-grid min-w-0 tight"
            >{{ row.categoryId ? names.get(row.categoryId) : 'no type'
            }}<span class="quiet fine">{{ row.form }}</span></span
          >
          <span class="cell d-grid min-w-0 tight"
            >{{ contentWords(row.content, units)
            }}<span class="quiet fine">{{
              row.priceMinor !== null ? moneyWords(row.priceMinor, currency) : row.gift ? 'gift' : (row.priceSaid ?? '')
            }}</span></span
          >
          <span class="cell d-grid min-w-0 tight"
            >{{ openedWords(row) }}<span class="quiet fine">{{ lifeWords(row) }}</span></span
          >
          <span class="cell figures d-grid min-w-0 tight"
            >{{ row.uses === null ? '' : usesWords(row.uses) }}
            <span v-if="row.backups > 0" class="quiet fine">{{ counted(row.backups, 'backup') }}</span><button
              v-if="row.skipped"
              type="button"
              class="text-primary text-decoration-underline"
              @click="emit('skip', [row.row], false)"
            >
              take in
            </button></span
          >
        </div>
      </template>
    </v-virtual-scroll>
  </section>
</template>

<style scoped>
.head {
  min-height: 46px;
}

.set {
  max-width: 190px;
}

.list {
  height: 420px;
}

.row {
  display: grid;
  grid-template-columns: 44px 34px minmax(0, 2fr) minmax(0, 1fr) minmax(0, 0.8fr) minmax(0, 1.5fr) minmax(0, 0.7fr);
  gap: 10px;
  align-items: center;
  height: 52px;
  border-bottom: 1px solid var(--hair);
  font-size: 13.5px;
}

.row.looked {
  background: var(--inset);
}

.row.out {
  opacity: 0.62;
}

.check {
  height: 44px;
}

.check input {
  width: 20px;
  height: 20px;
  accent-color: var(--primary);
}

.cell > * {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.phone .row {
  grid-template-columns: 40px minmax(0, 1.6fr) minmax(0, 1fr);
}

.phone .row > :nth-child(2),
.phone .row > :nth-child(n + 5) {
  display: none;
}
</style>
