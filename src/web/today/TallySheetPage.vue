<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { addMonths, dayOf, daysInMonth, fieldsOf, weekdayOf, type Day } from '#core/calendar/day'
import { mdiChevronLeft, mdiChevronRight } from '@mdi/js'
import type { ChangeNote } from '#contract/basic'
import type { ListedItem } from '#contract/item'
import { dateWords, dayFormat } from '#web/data/locale'
import { useRead } from '#web/data/reads'
import { useStock } from '#web/data/stock'
import FormTrouble from '#web/ui/form/FormTrouble.vue'
import { useDraft } from '#web/ui/form/use-draft'
import ItemPicker from '#web/ui/ItemPicker.vue'
import PlaceHead from '#web/ui/PlaceHead.vue'
import { callIt, shortName, usesWords } from '#web/ui/words/item-words'

/** A paper sheet of strokes typed in, month by month: a row for each thing, a square for each day. */
const stock = useStock()
const draft = useDraft(() => ({ ticks: {} as Record<string, Day[]> }))
const { typed } = draft
const monthName = dayFormat({ month: 'long', year: 'numeric' })
/** The first day of the month that lies open. */
const month = ref<Day | null>(null)
const rows = ref<ListedItem[]>([])
const picking = ref(false)
const stored = ref('')

watch(
  () => stock.today,
  (today) => {
    if (today === null || month.value !== null) return
    month.value = addMonths(firstOf(today), -1)
    rows.value = stock.items.filter((item) => item.placement !== null)
  },
  { immediate: true },
)
const days = computed<Day[]>(() => {
  if (month.value === null) return []
  const { year, month: number } = fieldsOf(month.value)
  const all = Array.from({ length: daysInMonth(year, number) }, (_, at) => dayOf(year, number, at + 1))
  return all.filter((day): day is Day => day !== null && (stock.today === null || day <= stock.today))
})
const isLast = computed(() => stock.today === null || month.value === null || month.value >= firstOf(stock.today))
/** Of every month that was typed in, not only of the one that lies open. */
const count = computed(() => Object.values(typed.value.ticks).reduce((sum, each) => sum + each.length, 0))
/** What the log holds of this month already: on the sheet in another ink. */
const log = useRead<{ worn: { itemId: string; day: Day }[] }>(
  () => ['worn-days', days.value[0] ?? '', days.value.at(-1) ?? ''],
  () => (days.value.length === 0 ? null : `/worn-days?from=${days.value[0]}&to=${days.value.at(-1)}`),
)
const there = computed(() => new Set((log.answer.value?.worn ?? []).map((each) => `${each.itemId} ${each.day}`)))

function firstOf(day: Day): Day {
  return `${day.slice(0, 7)}-01` as Day
}

function turn(by: number): void {
  if (month.value !== null) month.value = addMonths(month.value, by)
}

function isThere(itemId: string, day: Day): boolean {
  return there.value.has(`${itemId} ${day}`)
}

function sum(itemId: string): number {
  const before = days.value.filter((day) => isThere(itemId, day)).length
  return before + (typed.value.ticks[itemId] ?? []).filter((day) => days.value.includes(day)).length
}

function toggle(itemId: string, day: Day): void {
  if (isThere(itemId, day)) return
  const now = typed.value.ticks[itemId] ?? []
  const after = now.includes(day) ? now.filter((each) => each !== day) : [...now, day]
  typed.value.ticks = { ...typed.value.ticks, [itemId]: after }
}

/** The number of a day as far as it is typed: 1, then 12. */
let number = ''

/** Arrows walk from square to square as they do on paper; a number goes to that day of the row. */
function move(event: KeyboardEvent, row: number, column: number): void {
  number = /^\d$/.test(event.key) ? `${number}${event.key}`.slice(-2) : ''
  if (number !== '') return document.getElementById(`square-${row}-${Number(number) - 1}`)?.focus()
  const step = { ArrowRight: [0, 1], ArrowLeft: [0, -1], ArrowDown: [1, 0], ArrowUp: [-1, 0] }[event.key]
  if (!step) return
  event.preventDefault()
  document.getElementById(`square-${row + (step[0] ?? 0)}-${column + (step[1] ?? 0)}`)?.focus()
}

async function store(): Promise<void> {
  const asked = count.value
  const answer = await draft.store<{ added: number; change: ChangeNote }>('POST', '/tally-sheet', {
    rows: Object.entries(typed.value.ticks)
      .filter(([, own]) => own.length > 0)
      .map(([itemId, own]) => ({ itemId, days: own })),
  })
  if (!answer) return
  stored.value = `${usesWords(answer.added)} stored${answer.added < asked ? `, ${asked - answer.added} were there already` : ''}.`
  draft.begin({ ticks: {} })
}

function add(item: ListedItem): void {
  picking.value = false
  if (!rows.value.some((row) => row.id === item.id)) rows.value = [...rows.value, item]
}
</script>

<template>
  <PlaceHead
    title="Type in a sheet"
    question="What does my paper sheet say for a month? Tick the days; what is there already stays."
    :primary="{ words: `Store ${usesWords(count)}`, act: store, disabled: count === 0, busy: draft.busy.value }"
    :acts="[{ words: 'Add a row', act: () => (picking = true) }]"
  />
  <div class="month">
    <v-btn variant="outlined" size="44" :icon="mdiChevronLeft" aria-label="The month before" @click="turn(-1)" />
    <strong class="figures">{{ month ? monthName(month) : '' }}</strong>
    <v-btn
      variant="outlined"
      size="44"
      :icon="mdiChevronRight"
      aria-label="The month after"
      :disabled="isLast"
      @click="turn(1)"
    />
    <span class="quiet">By keyboard: the number of a day, then the space bar; arrows walk.</span>
  </div>
  <p v-if="stored" class="inset stored" role="status">{{ stored }}</p>
  <FormTrouble :refused="draft.refused.value" :out-of-reach="draft.outOfReach.value" />
  <div class="paper sheet">
    <table>
      <thead>
        <tr>
          <th scope="col">Item</th>
          <th v-for="day in days" :key="day" scope="col" class="figures" :class="{ weekend: weekdayOf(day) > 4 }">
            {{ fieldsOf(day).date }}
          </th>
          <th scope="col">Sum</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(item, row) in rows" :key="item.id">
          <th scope="row">{{ shortName(item) }}</th>
          <td v-for="(day, column) in days" :key="day" :class="{ weekend: weekdayOf(day) > 4 }">
            <button
              :id="`square-${row}-${column}`"
              type="button"
              :tabindex="column === 0 ? 0 : -1"
              :aria-pressed="(typed.ticks[item.id] ?? []).includes(day)"
              :aria-label="`${callIt(item)}, ${dateWords(day)}${isThere(item.id, day) ? ', in the log already' : ''}`"
              @click="toggle(item.id, day)"
              @keydown="move($event, row, column)"
            >
              <svg
                v-if="isThere(item.id, day) || (typed.ticks[item.id] ?? []).includes(day)"
                :class="{ before: isThere(item.id, day) }"
                viewBox="0 0 20 24"
                aria-hidden="true"
              >
                <path d="M13 3 7 21" />
              </svg>
            </button>
          </td>
          <td class="sum figures">{{ sum(item.id) }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="rows.length === 0" class="quiet empty">Add the rows of your sheet: one for each thing on it.</p>
  </div>
  <ItemPicker
    v-if="picking"
    v-model="picking"
    title="A row for"
    action="Add"
    :exclude="rows.map((row) => row.id)"
    @pick="add"
  />
</template>

<style scoped>
.month {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 10px;
  margin-bottom: 10px;
}

.month strong {
  min-width: 150px;
  text-align: center;
}

.stored {
  padding: 12px 16px;
}

.paper {
  overflow-x: auto;
  padding: 8px 10px 12px;
}

table {
  border-collapse: collapse;
  font-size: 13.5px;
}

th[scope='row'],
th[scope='col']:first-child {
  position: sticky;
  left: 0;
  background: var(--raised);
  text-align: left;
  padding-right: 12px;
  white-space: nowrap;
  font-weight: 600;
  z-index: 1;
}

th[scope='col'] {
  font-size: 12px;
  font-weight: 600;
  color: var(--quiet);
  min-width: 28px;
}

td {
  padding: 0;
  border-bottom: 1px solid var(--hair);
  border-left: 1px solid var(--hair);
}

/* Weekends are ruled a little darker, as on squared paper. */
.weekend {
  background: var(--inset);
}

td button {
  width: 28px;
  height: 44px;
  display: grid;
  place-items: center;
}

.phone td button {
  width: 44px;
}

td button:hover {
  background: color-mix(in srgb, var(--primary) 12%, transparent);
}

svg {
  width: 18px;
  height: 22px;
}

path {
  stroke: var(--ink);
  stroke-width: 2.6;
  stroke-linecap: round;
}

.before path {
  stroke: var(--line);
}

.sum {
  text-align: right;
  padding: 0 8px;
  font-weight: 600;
}

.empty {
  padding: 10px;
}
</style>
