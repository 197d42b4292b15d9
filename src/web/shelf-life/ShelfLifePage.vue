<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { useDisplay } from 'vuetify'
import { dayFormat, moneyWords } from '#web/data/locale'
import { useShelfLife } from '#web/data/reads'
import { useStock } from '#web/data/stock'
import EmptyPlace from '#web/ui/EmptyPlace.vue'
import VerdictGlyph from '#web/ui/gauge/VerdictGlyph.vue'
import PlaceHead from '#web/ui/PlaceHead.vue'
import { VERDICT_WORDS } from '#web/ui/words/forecast-words'
import { counted } from '#core/words/counted'
import { raceAxis } from './race-axis'
import {
  byStake,
  narrowed,
  picked,
  raceSum,
  rowsOf,
  STANDINGS,
  STATES,
  type RaceStanding,
  type RaceState,
  type RaceWish,
} from './race-rows'
import RaceRow from './RaceRow.vue'

const WIDER = [
  { title: 'every category', value: '' },
  { title: 'all at the eye', value: 'eyes' },
  { title: 'all sun protection', value: 'sunscreen' },
]
/** What will spoil before I get to it: when each thing will be gone against its last good day, most at stake first. */
const { answer } = useShelfLife()
const stock = useStock()
const { mobile } = useDisplay()
const wish = ref<RaceWish>({ state: 'in use', standing: null, only: null, zoneId: null, categoryId: null })
const open = ref<string | null>(null)
const reckoned = ref(false)
const axisCell = useTemplateRef<HTMLElement>('axisCell')
const { width: laneWidth } = useElementSize(axisCell)
const monthName = dayFormat({ month: 'short' })
const axis = computed(() => (answer.value ? raceAxis(answer.value.today, monthName) : null))
/** The order of this visit: what is done here does not make the rows jump. */
const order = shallowRef<ReadonlyMap<string, number>>(new Map())
const rows = computed(() => (answer.value ? rowsOf(answer.value.races, stock.items) : []))
watch(
  rows,
  () => {
    const now = answer.value
    if (order.value.size > 0 || now === null || rows.value.length === 0) return
    order.value = new Map([...rows.value].sort(byStake).map(({ item }, n) => [item.id, n]))
    if (narrowed(rows.value, wish.value, now.today).length === 0) wish.value.state = 'all open'
  },
  { immediate: true },
)
const inState = computed(() => (answer.value ? narrowed(rows.value, wish.value, answer.value.today) : []))
const shown = computed(() => {
  const placeOf = ({ item }: (typeof rows.value)[number]): number => order.value.get(item.id) ?? order.value.size
  return picked(inState.value, wish.value).sort((a, b) => placeOf(a) - placeOf(b))
})
const states = computed(() => {
  const { value } = answer
  if (!value) return []
  return (Object.keys(STATES) as RaceState[]).map((state) => ({
    state,
    count: narrowed(rows.value, { ...wish.value, state }, value.today).length,
  }))
})
/** Before anything is ticked it is reckoned with what is usual. */
const pace = computed(() =>
  rows.value.some(({ item }) => item.lastWorn !== null) ? 'this pace' : 'a usual pace, nothing being ticked yet',
)
const inKind = computed(() => picked(inState.value, { ...wish.value, standing: null }))
const chips = computed(() =>
  STANDINGS.map((standing) => ({
    standing,
    words: chipWords(standing),
    count: inKind.value.filter((row) => row.standing === standing).length,
  })).filter(({ count, standing }) => count > 0 || wish.value.standing === standing),
)
const sum = computed(() => raceSum(inKind.value))
const money = (minor: number): string =>
  moneyWords(Math.round(minor / 100) * 100, answer.value?.currency ?? 'EUR').replace(/[.,]00(?=\D*$)/, '')
const unknown = computed(() => stock.items.filter((item) => item.opening.kind === 'unknown').length)
const zones = computed(() => [
  { title: 'every zone', value: null },
  ...stock.zones.map((zone) => ({ title: zone.name, value: zone.id })),
])
const categories = computed(() => {
  const present = new Map(rows.value.map(({ item, race }) => [race.wornAsId, item.wornAs]))
  const named = [...present].map(([value, title]) => ({ title, value }))
  return [...WIDER, ...named.sort((a, b) => a.title.localeCompare(b.title))]
})
/** One choice of what they are: a category, or something that goes across them. */
const kind = computed({
  get: () => wish.value.only ?? wish.value.categoryId ?? '',
  set(value: string) {
    const only = value === 'eyes' || value === 'sunscreen' ? value : null
    wish.value = { ...wish.value, only, categoryId: only === null && value !== '' ? value : null }
  },
})

function chipWords(standing: RaceStanding): string {
  if (standing === 'past' || standing === 'not known') return standing
  return VERDICT_WORDS[standing].toLowerCase()
}

function everything(): void {
  wish.value = { state: wish.value.state, standing: null, only: null, zoneId: null, categoryId: null }
}
</script>

<template>
  <PlaceHead
    title="Shelf life"
    question="What will spoil before I get to it?"
    :acts="[{ words: 'Supply', to: '/supply' }]"
  >
    <div v-if="rows.length > 0 && !mobile" class="choices states" role="group" aria-label="Which things">
      <button
        v-for="{ state, count } in states"
        :key="state"
        type="button"
        class="choice"
        :aria-pressed="wish.state === state"
        @click="wish.state = state"
      >
        {{ state }} <span class="figures count">{{ count }}</span>
      </button>
    </div>
  </PlaceHead>
  <template v-if="answer && axis && stock.loaded">
    <EmptyPlace v-if="rows.length === 0" title="Nothing to watch yet" act="Say what you own" to="/collection/lines">
      <template #drawing>
        <svg viewBox="0 0 240 60" width="240" height="60" aria-hidden="true">
          <path d="M4 50h232" class="line" />
          <path d="M60 30C60 18 76 12 96 18L200 28V32L96 42C76 48 60 42 60 30Z" class="rail" />
          <path d="M60 30C60 18 76 12 96 18L200 28V32L96 42C76 48 60 42 60 30ZM150 6V50" class="line" />
        </svg>
      </template>
      Once the collection holds things with an opening or an expiry date, each runs here against its last good day.
    </EmptyPlace>
    <template v-else>
      <div v-if="mobile" class="choices states" role="group" aria-label="Which things">
        <button
          v-for="{ state, count } in states"
          :key="state"
          type="button"
          class="choice"
          :aria-pressed="wish.state === state"
          @click="wish.state = state"
        >
          {{ state }} <span class="figures count">{{ count }}</span>
        </button>
      </div>
      <div class="top">
        <p class="headline" role="status">
          <template v-if="sum.running === 0">Of none of these is the last good day known.</template>
          <template v-else-if="sum.losing === 0"
            >All {{ sum.running }} make it or come close<template v-if="sum.held > 0"
              >; about <strong>{{ money(sum.stake) }}</strong> of the {{ money(sum.held) }} in them is at
              stake</template
            >.</template
          >
          <template v-else
            ><strong>{{ sum.losing }} of {{ sum.running }}</strong> will not make it at {{ pace
            }}<template v-if="sum.held > 0"
              >: about <strong>{{ money(sum.stake) }}</strong> of the {{ money(sum.held) }} in them would
              spoil</template
            >.</template
          >
          <v-btn v-if="sum.held > 0" variant="text" class="so" :aria-expanded="reckoned" @click="reckoned = !reckoned"
            >How so?</v-btn
          >
        </p>
        <v-select v-model="wish.zoneId" class="by" label="Zone" :items="zones" />
        <v-select v-model="kind" class="by" label="Category" :items="categories" />
      </div>
      <p v-if="reckoned" class="quiet reckoned">
        Of each thing its price, or where it has none the usual price of its kind, by the share that is likely left:
        that is what is in it. By the chance that it is not gone on its last good day: that is what would spoil. Added
        up over the
        {{ counted(sum.running, 'thing') }} that run here{{
          sum.unpriced > 0 ? `, but for ${counted(sum.unpriced, 'thing')} without any price` : ''
        }}; what is past its date or not known is left out.
      </p>
      <div class="choices chips" role="group" aria-label="Only what">
        <button
          v-for="chip in chips"
          :key="chip.standing"
          type="button"
          class="choice chip"
          :aria-pressed="wish.standing === chip.standing"
          @click="wish.standing = wish.standing === chip.standing ? null : chip.standing"
        >
          <VerdictGlyph :verdict="chip.standing" />{{ chip.words }}
          <span class="figures count">{{ chip.count }}</span>
        </button>
      </div>

      <svg width="0" height="0" class="defs" aria-hidden="true">
        <pattern id="race-hatch" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0V5" class="stroke" />
        </pattern>
      </svg>
      <section class="race sheet" aria-label="The race">
        <div class="heads quiet">
          <span class="stakes">{{ mobile ? '' : 'left in it; most to lose first' }}</span>
          <div ref="axisCell" class="axis figures" aria-hidden="true">
            <span class="now" :style="{ left: `${axis.today * 100}%` }">today</span>
            <span v-for="each in axis.months" :key="each.at" class="month" :style="{ left: `${each.at * 100}%` }"
              ><b v-if="each.year">{{ each.year }}</b
              >{{ each.words }}</span
            >
            <span class="month" :style="{ left: `${axis.later * 100}%` }">later</span>
          </div>
          <span class="legend">post: last good day; body: when gone; hatched: in time</span>
        </div>
        <p v-if="shown.length === 0" class="none">
          Nothing fits all of that. <v-btn variant="text" @click="everything">Show everything</v-btn>
        </p>
        <v-virtual-scroll v-else class="rows" :items="shown" :item-height="mobile ? 152 : 51" item-key="item.id">
          <template #default="{ item: row }">
            <RaceRow
              :key="row.item.id"
              :row="row"
              :axis="axis"
              :lane-width="laneWidth"
              :today="answer.today"
              :currency="answer.currency"
              :open="open === row.item.id"
              @toggle="open = open === row.item.id ? null : row.item.id"
            />
          </template>
        </v-virtual-scroll>
      </section>
      <div v-if="unknown > 0" class="sheet quiz">
        <p>
          <strong>Not known:</strong> when {{ counted(unknown, 'thing') }} {{ unknown === 1 ? 'was' : 'were' }} opened.
          About is good enough.
        </p>
        <v-btn color="primary" to="/collection/openings">Five-minute quiz</v-btn>
      </div>
    </template>
  </template>
</template>

<style scoped>
.states .choice {
  padding: 0 12px !important;
}

.count {
  margin-left: 6px;
  color: var(--quiet);
}

.headline {
  flex: 1 1 auto;
  margin: 0;
  font: 540 18px/1.3 var(--display);
}

.so {
  padding: 0 8px;
}

.reckoned {
  margin: 0 0 8px;
  max-width: 110ch;
  font-size: 14px;
}

.top {
  display: flex;
  gap: 8px 16px;
  align-items: center;
  margin-bottom: 8px;
}

.chips {
  margin-bottom: 8px;
}

.chip {
  display: inline-flex;
  align-items: center;
  gap: 8px;
  padding: 0 10px !important;
  font-size: 13.5px;
}

.chip .count {
  margin-left: 0;
}

.by {
  flex: 0 0 168px;
}

.race {
  --race-columns: 66px 44px minmax(110px, 176px) minmax(0, 1fr) 212px 176px;

  overflow: hidden;
}

.heads {
  display: grid;
  grid-template-columns: var(--race-columns);
  gap: 0 10px;
  align-items: end;
  padding: 3px 14px 2px 10px;
  border-bottom: 1px solid var(--line);
  font-size: 12.5px;
}

.stakes {
  grid-column: span 3;
}

.legend {
  grid-column: span 2;
}

.axis {
  position: relative;
  height: 31px;
}

.axis span {
  position: absolute;
  bottom: 0;
  padding-left: 4px;
  border-left: 1px solid var(--line);
  line-height: 15px;
  font-size: 12px;
}

.axis b {
  display: block;
  color: var(--ink);
}

.axis .now {
  color: var(--primary);
  font-weight: 650;
  padding: 0 4px 0 0 !important;
  border-left: none !important;
  border-right: 2px solid var(--primary);
  transform: translateX(-100%);
}

.rows {
  height: calc(100vh - 308px);
  min-height: 250px;
}

.defs {
  position: absolute;
}

.stroke {
  stroke: var(--ink);
  stroke-width: 1.5;
}

.none {
  padding: 20px;
  margin: 0;
}

.quiz {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 16px;
  align-items: center;
  justify-content: space-between;
  margin-top: 8px;
  padding: 6px 8px 6px 14px;
}

.quiz p {
  margin: 0;
}

.phone .headline {
  font-size: 16px;
}

.phone .top {
  flex-wrap: wrap;
}

.phone .headline {
  flex: 1 1 100%;
}

.phone .chips {
  flex-wrap: nowrap;
  overflow-x: auto;
}

.phone .chip {
  flex: none;
}

.phone .by {
  flex: 1 1 40%;
}

.phone .states {
  margin-bottom: 8px;
}

.phone .heads {
  padding: 3px 8px 2px;
  grid-template-columns: 1fr;
}

.phone .legend,
.phone .stakes {
  display: none;
}

.phone .rows {
  height: calc(100vh - 420px);
}
</style>
