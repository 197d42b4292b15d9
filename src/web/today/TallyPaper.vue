<script setup lang="ts">
import { computed } from 'vue'
import { fieldsOf, weekdayOf, type Day } from '#core/calendar/day'
import type { ListedItem } from '#contract/item'
import { dateWords } from '#web/data/locale'
import { apartWords, callIt, shortName } from '#web/ui/words/item-words'

/** The paper of a month: a row for each thing, a square for each day; what the log holds already stands in another ink. */
const props = defineProps<{
  rows: readonly ListedItem[]
  days: readonly Day[]
  ticks: Readonly<Record<string, readonly Day[]>>
  /** What was ticked before and is to be removed. */
  unticked: Readonly<Record<string, readonly Day[]>>
  /** "item day" of what the log holds. */
  there: ReadonlySet<string>
}>()
/** What tells two rows of one name apart. */
const apart = computed(() => apartWords(props.rows))
const emit = defineEmits<{ toggle: [itemId: string, day: Day] }>()

function isThere(itemId: string, day: Day): boolean {
  return props.there.has(`${itemId} ${day}`)
}

function isUnticked(itemId: string, day: Day): boolean {
  return (props.unticked[itemId] ?? []).includes(day)
}

function isTicked(itemId: string, day: Day): boolean {
  return (props.ticks[itemId] ?? []).includes(day)
}

function sum(itemId: string): number {
  return props.days.filter((day) => (isThere(itemId, day) && !isUnticked(itemId, day)) || isTicked(itemId, day)).length
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
</script>

<template>
  <div class="paper sheet overflow-x-auto pt-2 pb-3 px-2">
    <table class="small">
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
          <th scope="row">
            {{ shortName(item) }} <span class="quiet fine font-weight-regular">{{ apart.get(item.id) }}</span>
          </th>
          <td class="hair-below pa-0" v-for="(day, column) in days" :key="day" :class="{ weekend: weekdayOf(day) > 4 }">
            <button
              class="d-grid align-center justify-items-center"
              :id="`square-${row}-${column}`"
              type="button"
              :tabindex="column === 0 ? 0 : -1"
              :aria-pressed="isTicked(item.id, day) || (isThere(item.id, day) && !isUnticked(item.id, day))"
              :aria-label="`${callIt(item)}, ${dateWords(day)}${isUnticked(item.id, day) ? ', to be removed' : isThere(item.id, day) ? ', ticked already' : ''}`"
              @click="emit('toggle', item.id, day)"
              @keydown="move($event, row, column)"
            >
              <svg
                v-if="isThere(item.id, day) || isTicked(item.id, day)"
                :class="{ before: isThere(item.id, day) }"
                viewBox="0 0 20 24"
                aria-hidden="true"
              >
                <path d="M13 3 7 21" />
                <path v-if="isUnticked(item.id, day)" d="M2 12H18" class="removed" />
              </svg>
            </button>
          </td>
          <td class="sum figures hair-below text-right font-weight-semibold py-0 px-2">{{ sum(item.id) }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="rows.length === 0" class="quiet pa-2">Add a row for each item on your paper.</p>
  </div>
</template>

<style scoped>
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
  border-left: 1px solid var(--hair);
}

/* Weekends are ruled a little darker, as on squared paper. */
.weekend {
  background: var(--inset);
}

td button {
  width: 28px;
  height: 44px;
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

.removed {
  stroke: var(--alarm);
}
</style>
