<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { addDays, dayOf, daysInMonth, fieldsOf, weekdayOf, type Day } from '#core/calendar/day'
import type { ItemSummary } from '#contract/item'
import { get, newId } from '#web/api/client'
import FormTrouble from '#web/ui/FormTrouble.vue'
import ItemPicker from '#web/ui/ItemPicker.vue'
import { useStock } from '#web/ui/stock'
import { useForm } from '#web/ui/use-form'
import { shortName, usesWords } from '#web/ui/words/item-words'

/** A paper sheet of strokes typed in for a month at once: a row for each thing, a square for each day. */
const stock = useStock()
const form = useForm()
const month = ref<string>('')
const rows = ref<ItemSummary[]>([])
const ticks = ref<Record<string, Day[]>>({})
const picking = ref(false)
const stored = ref('')

void stock.load().then(() => {
  if (stock.today === null) return
  month.value = addDays(stock.today, -fieldsOf(stock.today).date).slice(0, 7)
  if (rows.value.length === 0) rows.value = stock.items.filter((item) => item.placement !== null)
})
const days = computed<Day[]>(() => {
  const [year = 0, number = 0] = month.value.split('-').map(Number)
  if (!(year > 1900) || !(number >= 1 && number <= 12)) return []
  const all = Array.from({ length: daysInMonth(year, number) }, (_, at) => dayOf(year, number, at + 1))
  return all.filter((day): day is Day => day !== null && (stock.today === null || day <= stock.today))
})
const count = computed(() => Object.values(ticks.value).reduce((sum, each) => sum + each.length, 0))
/** What the log holds of this month already: on the sheet in another ink. */
const there = ref(new Set<string>())

watch(month, () => (ticks.value = {}))
watch(days, look)

async function look(): Promise<void> {
  const [from, to] = [days.value[0], days.value.at(-1)]
  if (from === undefined || to === undefined) return
  const { worn } = await get<{ worn: { itemId: string; day: Day }[] }>(`/worn-days?from=${from}&to=${to}`)
  there.value = new Set(worn.map((each) => `${each.itemId} ${each.day}`))
}

function isThere(itemId: string, day: Day): boolean {
  return there.value.has(`${itemId} ${day}`)
}

function sum(itemId: string): number {
  const before = days.value.filter((day) => isThere(itemId, day)).length
  return before + (ticks.value[itemId] ?? []).length
}

function toggle(itemId: string, day: Day): void {
  if (isThere(itemId, day)) return
  const now = ticks.value[itemId] ?? []
  ticks.value = { ...ticks.value, [itemId]: now.includes(day) ? now.filter((each) => each !== day) : [...now, day] }
}

/** The number of a day as far as it is typed: 1, then 12. */
let typed = ''

/** Arrows walk from square to square as they do on paper; a number goes to that day of the row. */
function move(event: KeyboardEvent, row: number, column: number): void {
  typed = /^\d$/.test(event.key) ? `${typed}${event.key}`.slice(-2) : ''
  if (typed !== '') return document.getElementById(`square-${row}-${Number(typed) - 1}`)?.focus()
  const step = { ArrowRight: [0, 1], ArrowLeft: [0, -1], ArrowDown: [1, 0], ArrowUp: [-1, 0] }[event.key]
  if (!step) return
  event.preventDefault()
  document.getElementById(`square-${row + (step[0] ?? 0)}-${column + (step[1] ?? 0)}`)?.focus()
}

async function save(): Promise<void> {
  const body = {
    changeId: newId(),
    rows: Object.entries(ticks.value)
      .filter(([, own]) => own.length > 0)
      .map(([itemId, own]) => ({ itemId, days: own })),
  }
  const answer = await form.submit<{ added: number; change: { id: string; words: string; changed: boolean } }>(
    'POST',
    '/tally-sheet',
    body,
  )
  if (!answer) return
  stored.value = `${usesWords(answer.added)} stored${answer.added < count.value ? `, ${count.value - answer.added} were there already` : ''}.`
  ticks.value = {}
  await look()
}

function add(item: ItemSummary): void {
  picking.value = false
  if (!rows.value.some((row) => row.id === item.id)) rows.value = [...rows.value, item]
}
</script>

<template>
  <div class="place-head">
    <h1>Type in a sheet</h1>
    <span class="quiet"
      >What does my paper sheet say for a month? Tick the days; what is there already stays. By keyboard: the number of
      a day, then the space bar; arrows walk.</span
    >
    <v-btn variant="outlined" color="primary" @click="picking = true">Add a row</v-btn>
    <v-btn color="primary" :disabled="count === 0" :loading="form.busy.value" @click="save"
      >Store {{ usesWords(count) }}</v-btn
    >
  </div>
  <v-text-field v-model="month" class="month" type="month" label="Month" :max="stock.today?.slice(0, 7)" />
  <p v-if="stored" class="inset stored" role="status">{{ stored }}</p>
  <FormTrouble :refused="form.refused.value" :out-of-reach="form.outOfReach.value" />
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
              :aria-pressed="(ticks[item.id] ?? []).includes(day)"
              :aria-label="`${shortName(item)}, ${day}${isThere(item.id, day) ? ', in the log already' : ''}`"
              @click="toggle(item.id, day)"
              @keydown="move($event, row, column)"
            >
              <svg
                v-if="isThere(item.id, day) || (ticks[item.id] ?? []).includes(day)"
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
  max-width: 240px;
  margin-bottom: 10px;
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
