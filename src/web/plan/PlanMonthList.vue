<script setup lang="ts">
import { computed } from 'vue'
import type { Day } from '#core/calendar/day'
import { counted } from '#core/words/counted'
import type { ListedItem } from '#contract/item'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import TallyStrokes from '#web/ui/TallyStrokes.vue'
import { callIt, shortName } from '#web/ui/words/item-words'
import { shortDay } from '#web/ui/words/when-words'
import { usesByMonth, weeksIn } from './plan-lanes'
import { partWords, rateWords } from './plan-words'
import type { ShownPlan } from './use-plan'

/** One month of the plan as a list: what lies in each zone, how often, what comes in and goes out. */
const props = defineProps<{
  plan: ShownPlan
  month: number
  items: ReadonlyMap<string, ListedItem>
  apart: ReadonlyMap<string, string>
  zones: readonly { readonly id: string; readonly name: string }[]
  moved: ReadonlySet<string>
  today: Day
}>()
defineEmits<{ open: [id: string] }>()
const zoneOf = computed(() => new Map(props.plan.made.problem.categories.map(({ id, zoneId }) => [id, zoneId])))
const categoryOf = computed(() => new Map(props.plan.made.things.map(({ itemId, categoryId }) => [itemId, categoryId])))
const inDrawer = computed(
  () => new Set(props.plan.made.things.filter((each) => each.inDrawer).map(({ itemId }) => itemId)),
)

const shown = computed(() =>
  props.zones.flatMap(({ id, name }) => {
    const own = props.plan.lines.filter(
      (line) => line.lies[props.month] === true && zoneOf.value.get(categoryOf.value.get(line.itemId) ?? '') === id,
    )
    const leave = props.plan.made.things.filter(
      ({ itemId, categoryId }) =>
        zoneOf.value.get(categoryId) === id && lay(itemId, props.month - 1) && !lay(itemId, props.month),
    )
    if (own.length + leave.length === 0) return []
    const rows = own.flatMap((line) => {
      const item = props.items.get(line.itemId)
      if (!item) return []
      const uses = usesByMonth(line, props.plan.made.span)[props.month] ?? 0
      const { low, high } = line.likely
      const later = high === null ? ' or later' : high === low ? '' : ` to ${shortDay(high, props.today)}`
      const done = low === null ? '' : `done ${shortDay(low, props.today)}${later}`
      return [{ item, uses, done, line, comes: !lay(item.id, props.month - 1) }]
    })
    const part = props.plan.parts?.find(({ zoneIds }) => zoneIds.includes(id))
    return [
      { id, name, rows, quality: partWords(part), leave: leave.flatMap(({ itemId }) => props.items.get(itemId) ?? []) },
    ]
  }),
)

/** Whether it lies there in a month; before the first as it is now. */
function lay(itemId: string, month: number): boolean {
  if (month < 0) return inDrawer.value.has(itemId)
  return props.plan.lines.find((line) => line.itemId === itemId)?.lies[month] === true
}
</script>

<template>
  <section v-for="zone in shown" :key="zone.id" class="zone rounded-lg mb-2 pa-2" :aria-label="zone.name">
    <header class="d-flex justify-space-between align-baseline">
      <h3 class="lead">{{ zone.name }}</h3>
      <small class="quiet d-block fine tight">{{ zone.quality }}</small>
    </header>
    <ul>
      <li v-for="row in zone.rows" :key="row.item.id">
        <button
          type="button"
          class="row d-grid align-center w-100 text-left hair-below ga-2"
          @click="$emit('open', row.item.id)"
        >
          <ItemGauge :item="row.item" size="small" :rail="false" />
          <span class="words">
            <strong class="d-block">{{ shortName(row.item) }}</strong>
            <small class="quiet d-block fine tight"
              >{{ [apart.get(row.item.id), row.item.category].filter(Boolean).join(' · ')
              }}{{ row.comes ? ' · comes in' : '' }}{{ moved.has(row.item.id) ? ' · your choice' : '' }}</small
            >
            <small class="d-block fine tight" v-if="row.done">{{ row.done }}</small>
          </span>
          <span class="rate figures small text-right"
            ><span>{{ row.uses > 0 ? rateWords(row.uses, weeksIn(plan.made.span, month)) : 'not yet' }}</span
            ><TallyStrokes class="ms-auto" :count="row.uses"
          /></span>
        </button>
      </li>
    </ul>
    <p v-if="zone.leave.length > 0" class="small mt-2 mb-1">
      {{ counted(zone.leave.length, 'item') }} out: {{ zone.leave.map((item) => callIt(item)).join(', ') }}
    </p>
  </section>
</template>

<style scoped>
.zone {
  background: var(--raised);
  border: 1px solid var(--line);
}

.row {
  grid-template-columns: 48px minmax(0, 1fr) minmax(0, auto);
  min-height: 52px;
}

.rate {
  max-width: 130px;
}
</style>
