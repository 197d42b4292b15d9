<script setup lang="ts">
import { computed, ref } from 'vue'
import type { PreviewRow, ProblemGroup } from '#contract/importing'

/** What is wrong, by kind of problem and not row by row, each opened and mended where it stands; what else is worth knowing. */
const props = defineProps<{ groups: readonly ProblemGroup[]; rows: readonly PreviewRow[] }>()
const emit = defineEmits<{
  skip: [rows: number[]]
  mend: [row: number, at: number, text: string]
  look: [row: number]
}>()
type Cell = ProblemGroup['cells'][number]
const open = ref<{ row: number; at: number; text: string } | null>(null)
const rowOf = computed(() => new Map(props.rows.map((row) => [row.row, row])))
const tabs = computed(() => new Set(props.rows.map((row) => row.tab)).size)

/** The row as her sheet numbers it, with its tab where there are several. */
function placeOf(cell: Cell): string {
  const tab = tabs.value > 1 && cell.tab !== '' ? `${cell.tab}, ` : ''
  return `${tab}row ${cell.line}${cell.column === '' ? '' : `, ${cell.column}`}`
}

function nameOf(cell: Cell): string {
  const row = rowOf.value.get(cell.row)
  return row ? [row.maker, row.name].filter(Boolean).join(' ') : ''
}

function isOpen(cell: Cell): boolean {
  return open.value !== null && open.value.row === cell.row && open.value.at === cell.at
}

function toggle(cell: Cell): void {
  emit('look', cell.row)
  open.value = isOpen(cell) || cell.at === null ? null : { row: cell.row, at: cell.at, text: cell.value }
}

function readAgain(): void {
  if (!open.value) return
  emit('mend', open.value.row, open.value.at, open.value.text)
  open.value = null
}
</script>

<template>
  <section class="sheet part mb-3 py-3 px-4" aria-label="Before you save">
    <h2>{{ groups.some((group) => group.serious) ? 'What is wrong' : 'Nothing is wrong' }}</h2>
    <details
      class="mt-2 py-1 ps-3 pe-0"
      v-for="group in groups"
      :key="group.code"
      :class="{ serious: group.serious }"
      :open="group.serious && group.cells.length <= 5"
    >
      <summary>
        <strong>{{ group.words }}</strong> <span class="figures">({{ group.cells.length }})</span>
        <span class="quiet">{{ group.what }}</span>
      </summary>
      <ul class="bulleted mt-1 mb-2 ps-4">
        <li v-for="cell in group.cells" :key="`${cell.row}-${cell.column}`">
          <button
            type="button"
            class="cell text-left text-decoration-underline"
            :aria-expanded="cell.at === null ? undefined : isOpen(cell)"
            @click="toggle(cell)"
          >
            <span class="quiet figures">{{ placeOf(cell) }}:</span> {{ cell.value }}
          </button>
          <form v-if="open && isOpen(cell)" class="mend" @submit.prevent="readAgain">
            <v-text-field
              v-model="open.text"
              density="compact"
              autofocus
              :label="`${cell.column} of ${nameOf(cell)}`"
              @keydown.esc.stop="open = null"
            />
            <v-btn type="submit" variant="outlined" color="primary">Read again</v-btn>
          </form>
        </li>
      </ul>
      <v-btn
        v-if="group.code === 'already-there' || group.code === 'alike'"
        variant="outlined"
        color="primary"
        @click="
          emit(
            'skip',
            group.cells.map((cell) => cell.row),
          )
        "
        >Leave these out</v-btn
      >
    </details>
  </section>
</template>

<style scoped>
details {
  border-left: 5px solid var(--hair);
}

details.serious {
  border-color: var(--attention);
}

summary > * {
  margin-right: 5px;
}

summary {
  cursor: pointer;
  min-height: 30px;
}

ul {
  columns: 2 320px;
}

li {
  break-inside: avoid;
}

.cell {
  min-height: 32px;
  text-decoration-color: var(--line);
  text-underline-offset: 3px;
}

.mend {
  display: flex;
  gap: 8px;
  align-items: center;
  /* Room for the label, which rides on the field's outline, within its focus ring. */
  margin: 12px 0 8px;
}

.phone .mend {
  flex-wrap: wrap;
}

.phone .mend > :first-child {
  flex: 1 0 100%;
}

.phone .cell {
  min-height: 44px;
}
</style>
