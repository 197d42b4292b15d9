<script setup lang="ts">
import { computed } from 'vue'
import { parseDay, type Day } from '#core/calendar/day'
import { weekOf } from '#core/plan/schedule/in-force'
import { counted } from '#core/words/counted'
import { usePlanRead } from '#web/data/reads'
import { useUnits } from '#web/data/units'
import EmptyPlace from '#web/ui/EmptyPlace.vue'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import PlaceHead from '#web/ui/PlaceHead.vue'
import { kindAndMaker, shortName, twinWords } from '#web/ui/words/item-words'
import { monthWords, shortDay } from '#web/ui/words/when-words'
import { weeksIn } from './plan-lanes'
import { rateWords } from './plan-words'

/** This month of the plan in force, to hang inside the cupboard: what lies where, how often, with room for a stroke a use. */
const { answer } = usePlanRead()
const units = useUnits()
const today = computed<Day | null>(() => parseDay(answer.value?.today ?? ''))
const plan = computed(() => answer.value?.inForce ?? null)
const items = computed(() => new Map(answer.value?.items.map((item) => [item.id, item])))
const apart = computed(() => twinWords([...items.value.values()], units.value))
const month = computed(() => {
  if (!plan.value || today.value === null) return null
  const week = weekOf(plan.value, today.value)
  return week === null ? null : (plan.value.weeks[week]?.month ?? null)
})
const zones = computed(() => {
  const [now, at, there] = [plan.value, month.value, answer.value]
  if (!now || at === null || !there) return []
  const zoneOf = new Map(there.kinds.map(({ id, zoneId }) => [id, zoneId]))
  const categoryOf = new Map(there.basis.things.map(({ itemId, categoryId }) => [itemId, categoryId]))
  return there.zones.flatMap(({ id, name }) => {
    const rows = now.lines.flatMap((line) => {
      const item = items.value.get(line.itemId)
      if (!item || line.lies[at] !== true || zoneOf.get(categoryOf.get(item.id) ?? '') !== id) return []
      const uses = now.weeks.reduce((sum, week, n) => sum + (week.month === at ? (line.uses[n] ?? 0) : 0), 0)
      return [
        {
          item,
          uses,
          comes: at > 0 ? line.lies[at - 1] !== true : item.placement === null,
          goes: line.lies[at + 1] === false,
        },
      ]
    })
    return rows.length === 0 ? [] : [{ id, name, rows }]
  })
})
const weeks = computed(() =>
  plan.value && month.value !== null ? plan.value.weeks.filter((week) => week.month === month.value) : [],
)
const span = computed(() => ({ months: plan.value?.months ?? [], weeks: plan.value?.weeks ?? [] }))
const title = computed(() => monthWords(plan.value?.months[month.value ?? 0] ?? '', today.value))

function print(): void {
  window.print()
}
</script>

<template>
  <PlaceHead
    title="Month to print"
    question="What is in the drawer this month, and how often?"
    :primary="zones.length > 0 ? { words: 'Print', act: print } : null"
    :acts="zones.length > 0 ? [{ words: 'Arrange the drawer from it', to: '/drawer/season' }] : []"
  />
  <template v-if="answer && today">
    <EmptyPlace
      v-if="month === null || zones.length === 0"
      title="No plan for this month"
      act="Make a plan"
      to="/projects/plan"
    >
      This shows the month of your current plan: what’s in each zone, how often to use it, what comes in and what
      leaves.
    </EmptyPlace>
    <article v-else class="paper rounded-lg py-4 px-5">
      <h2>{{ title }}</h2>
      <p class="quiet figures my-1">
        {{ counted(weeks.length, 'week') }}, {{ shortDay(weeks[0]?.from ?? today, today) }} to
        {{ shortDay(weeks.at(-1)?.to ?? today, today) }}. One stroke a use; a box for each that is planned.
      </p>
      <section v-for="zone in zones" :key="zone.id" :aria-label="zone.name">
        <h3 class="lead mt-3">{{ zone.name }}</h3>
        <ul>
          <li class="d-grid align-center hair-below ga-2" v-for="row in zone.rows" :key="row.item.id">
            <ItemGauge :item="row.item" size="small" :rail="false" />
            <span>
              <strong>{{ shortName(row.item) }}</strong>
              <small class="quiet d-block fine tight">{{
                [kindAndMaker(row.item), apart.get(row.item.id)].filter(Boolean).join(', ')
              }}</small>
            </span>
            <span class="figures">{{ row.uses > 0 ? rateWords(row.uses, weeksIn(span, month ?? 0)) : 'not yet' }}</span>
            <span class="boxes d-flex flex-wrap ga-1" aria-hidden="true"><i v-for="n in row.uses" :key="n" /></span>
            <small class="d-block fine tight"
              >{{ row.comes ? 'comes in' : '' }}{{ row.comes && row.goes ? ', ' : ''
              }}{{ row.goes ? 'out at the end' : '' }}</small
            >
          </li>
        </ul>
      </section>
    </article>
  </template>
</template>

<style scoped>
.paper {
  max-width: 900px;
  background: var(--raised);
  border: 1px solid var(--line);
}

li {
  grid-template-columns: 44px minmax(120px, 1.2fr) 84px minmax(0, 2fr) 90px;
  min-height: 46px;
  break-inside: avoid;
}

.boxes i {
  width: 14px;
  height: 18px;
  border: 1px solid var(--line);
  border-radius: 2px;
}

.boxes i:nth-child(5n) {
  margin-right: 6px;
}

.phone li {
  grid-template-columns: 44px minmax(0, 1fr) auto;
}

.phone .boxes,
.phone li > small {
  grid-column: 2 / -1;
}

@media print {
  .paper {
    border: 0;
    max-width: none;
    padding: 0;
  }
}
</style>
