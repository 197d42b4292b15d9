<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Day } from '#core/calendar/day'
import type { LeftOut } from '#core/plan/schedule/left-out'
import { counted } from '#core/words/counted'
import type { ListedItem } from '#contract/item'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { callIt, kindAndMaker, shortName } from '#web/ui/words/item-words'
import { leftOutWords, rescueWords } from './plan-words'

/** What the plan does not get to its goal, each with the one reason that decides. */
const props = defineProps<{
  leftOut: readonly LeftOut[]
  items: ReadonlyMap<string, ListedItem>
  apart: ReadonlyMap<string, string>
  dropped: ReadonlyMap<string, readonly string[] | null>
  notPlanned: {
    readonly others: number
    readonly unopened: number
    readonly setAside: number
    readonly tooTall: number
  }
  /** The last day of the plan. */
  end: Day
  today: Day
}>()
const emit = defineEmits<{ open: [id: string]; want: [id: string]; ask: [id: string] }>()
const FIRST = 8
const all = ref(false)
const past = computed(() => props.leftOut.filter(({ reason }) => reason.code === 'past its date'))
const rows = computed(() =>
  props.leftOut.flatMap((left) => {
    const item = props.items.get(left.itemId)
    if (!item || left.reason.code === 'past its date') return []
    const drops = props.dropped.get(left.itemId)
    const names = drops?.map((id) => {
      const other = props.items.get(id)
      return other ? shortName(other) : 'something'
    })
    const [bold, sum] = leftOutWords(left.reason, props.end, props.today, drops === null ? null : names)
    return [{ left, item, bold, sum, rescue: rescueWords(left.reason, props.today) }]
  }),
)
const shown = computed(() => (all.value ? rows.value : rows.value.slice(0, FIRST)))
const others = computed(() => {
  const { others, unopened, setAside, tooTall } = props.notPlanned
  return [
    ...(others > 0 ? [`${others} that are worth less than these`] : []),
    ...(unopened > 0 ? [`${unopened} unopened`] : []),
    ...(setAside > 0 ? [`${setAside} special`] : []),
    ...(tooTall > 0 ? [`${tooTall} too tall for the drawer`] : []),
  ].join(', ')
})
</script>

<template>
  <section class="left-out rounded-lg py-2 px-3" aria-label="Left out, and why">
    <h2 class="lead">Left out, and why</h2>
    <p v-if="rows.length === 0" class="quiet small tight mt-1">Nothing that can be planned is left out.</p>
    <ul>
      <li class="d-grid align-center hair-below py-2 px-0 ga-2" v-for="row in shown" :key="row.item.id">
        <ItemGauge :item="row.item" size="small" :rail="false" />
        <div>
          <button
            type="button"
            class="name d-block font-weight-semibold text-left touch"
            :aria-label="`${callIt(row.item)}: what you say of it`"
            @click="emit('open', row.item.id)"
          >
            {{ shortName(row.item) }}
          </button>
          <small class="quiet d-block fine tight">{{
            [kindAndMaker(row.item), apart.get(row.item.id)].filter(Boolean).join(', ')
          }}</small>
          <p class="small tight mt-1">
            <strong>{{ row.bold }}</strong> {{ row.sum }}
            {{ row.rescue }}
            <span v-if="row.left.lies" class="quiet"> It’s in the drawer all the same, and is getting used.</span>
          </p>
          <div class="d-flex ga-3">
            <button
              v-if="row.left.reason.code === 'crowded out'"
              type="button"
              class="text-act strong"
              :aria-label="`Always include ${callIt(row.item)}`"
              @click="emit('want', row.item.id)"
            >
              Always include
            </button>
            <button
              v-if="row.left.reason.code === 'she said no'"
              type="button"
              class="text-act strong"
              :aria-label="`Let the plan decide about ${callIt(row.item)} again`"
              @click="emit('ask', row.item.id)"
            >
              Ask again
            </button>
          </div>
        </div>
      </li>
    </ul>
    <button v-if="rows.length > shown.length" type="button" class="text-act strong" @click="all = true">
      All {{ rows.length }} of them
    </button>
    <p v-if="past.length > 0" class="small tight mt-2">
      {{ counted(past.length, 'item') }} {{ past.length === 1 ? 'is' : 'are' }} past
      {{ past.length === 1 ? 'its' : 'their' }} date:
      <RouterLink to="/keep">decide about {{ past.length === 1 ? 'it' : 'them' }}</RouterLink
      >.
    </p>
    <p v-if="others" class="quiet small tight mt-2">Not planned: {{ others }}.</p>
  </section>
</template>

<style scoped>
.left-out {
  border: 1px solid var(--line);
  background: var(--raised);
}

li {
  grid-template-columns: 50px minmax(0, 1fr);
}

.name {
  min-width: 44px;
  margin-bottom: -10px;
}

.name:hover {
  text-decoration: underline;
}
</style>
