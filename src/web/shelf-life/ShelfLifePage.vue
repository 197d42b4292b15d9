<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref, useTemplateRef } from 'vue'
import { useDisplay } from 'vuetify'
import { dayFormat } from '#web/data/locale'
import { useShelfLife } from '#web/data/reads'
import { useStock } from '#web/data/stock'
import EmptyPlace from '#web/ui/EmptyPlace.vue'
import VerdictGlyph from '#web/ui/gauge/VerdictGlyph.vue'
import PlaceHead from '#web/ui/PlaceHead.vue'
import { counted } from '#core/words/counted'
import { raceAxis } from './race-axis'
import { RACE_ORDERS } from './race-rows'
import RaceHeadline from './RaceHeadline.vue'
import RaceRow from './RaceRow.vue'
import RaceStates from './RaceStates.vue'
import { useRaceRows } from './use-race-rows'

/** What will spoil before I get to it: when each thing will be gone against its last good day, most at stake first. */
const { answer } = useShelfLife()
const stock = useStock()
const { mobile } = useDisplay()
const { wish, order, unfolded, folded, rows, shown, states, chips, zones, categories, kind, sum, everything } =
  useRaceRows(answer, stock)
const open = ref<string | null>(null)
const explained = ref(false)
const axisCell = useTemplateRef<HTMLElement>('axisCell')
const { width: laneWidth } = useElementSize(axisCell)
const monthName = dayFormat({ month: 'short' })
const axis = computed(() => (answer.value ? raceAxis(answer.value.today, monthName) : null))
const foldedWords = computed(() => {
  const eyes = folded.value.filter(({ item }) => item.eye).length
  return eyes === 0 ? '.' : `, ${eyes} of them worn at the eye: stop using ${eyes === 1 ? 'that' : 'those'}.`
})
const unknown = computed(() => stock.items.filter((item) => item.opening.kind === 'unknown').length)
</script>

<template>
  <PlaceHead question="What should I use first?">
    <RaceStates v-if="rows.length > 0 && !mobile" v-model="wish.state" :states="states" />
  </PlaceHead>
  <template v-if="answer && axis && stock.loaded">
    <EmptyPlace v-if="rows.length === 0" title="Nothing to use first yet" act="Add what you own" to="/collection/lines">
      <template #drawing>
        <svg viewBox="0 0 240 60" width="240" height="60" aria-hidden="true">
          <path d="M4 50h232" class="line" />
          <path d="M60 30C60 18 76 12 96 18L200 28V32L96 42C76 48 60 42 60 30Z" class="rail" />
          <path d="M60 30C60 18 76 12 96 18L200 28V32L96 42C76 48 60 42 60 30ZM150 6V50" class="line" />
        </svg>
      </template>
      Once you have items with an opening or expiry date, each is shown here against its use-by date.
    </EmptyPlace>
    <template v-else>
      <RaceStates v-if="mobile" v-model="wish.state" class="states" :states="states" />
      <div class="top d-flex align-center mb-2 gr-2 gc-4">
        <RaceHeadline v-model:shown="explained" :sum="sum" :pace-known="answer.paceKnown" :currency="answer.currency" />
        <v-select v-model="wish.zoneId" class="by" label="Zone" :items="zones" />
        <v-select v-model="kind" class="by" label="Type" :items="categories" />
      </div>
      <p v-if="explained" class="quiet prose small mb-2">
        The price of each item, or where it has none the usual price of its type, times the share that is left now; and
        times the share that is expected to be left at its use-by date at your pace. Added up over
        {{
          sum.losing > 0
            ? `the ${counted(sum.losing, 'item')} that ${sum.losing === 1 ? 'is' : 'are'} not in time`
            : `the ${counted(sum.running, 'item')} in date`
        }}{{ sum.unpriced > 0 ? `, but for ${counted(sum.unpriced, 'item')} without any price` : '' }}; what is expired
        or has no use-by date is left out.
      </p>
      <div class="choices chips mb-2" role="group" aria-label="Show only">
        <button
          v-for="chip in chips"
          :key="chip.standing"
          type="button"
          class="choice chip"
          :aria-pressed="wish.standing === chip.standing"
          @click="wish.standing = wish.standing === chip.standing ? null : chip.standing"
        >
          <VerdictGlyph :verdict="chip.standing === 'past' ? 'expired' : chip.standing" />{{ chip.words }}
          <span class="figures count quiet ms-0">{{ chip.count }}</span>
        </button>
      </div>

      <svg width="0" height="0" class="position-absolute" aria-hidden="true">
        <pattern id="race-hatch" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0V5" class="stroke" />
        </pattern>
      </svg>
      <p class="key quiet d-flex flex-wrap align-center small mb-2 gr-1 gc-2">
        <svg viewBox="0 0 14 20" width="14" height="20" aria-hidden="true"><path d="M7 0V20" class="post" /></svg>use by
        <svg viewBox="0 0 44 20" width="44" height="20" aria-hidden="true">
          <path d="M2 10L14 3 30 5 42 10 30 15 14 17Z" class="body made" />
          <path d="M2 10L14 3 30 5 42 10 30 15 14 17Z" fill="url(#race-hatch)" class="edge" /></svg
        >likely to be finished, in time
        <svg viewBox="0 0 44 20" width="44" height="20" aria-hidden="true">
          <path d="M2 10L14 3 30 5 42 10 30 15 14 17Z" class="body edge" /></svg
        >too late
        <svg viewBox="0 0 30 20" width="30" height="20" aria-hidden="true">
          <path d="M0 10H24m-7 -6 7 6-7 6" class="edge" /></svg
        >not within five years
      </p>
      <section class="race sheet" aria-label="Use first">
        <div class="heads quiet d-grid align-end fine py-1 ps-2 pe-3 gr-0 gc-2">
          <span class="stakes">{{ mobile ? '' : 'would expire' }}</span>
          <div ref="axisCell" class="axis figures" aria-hidden="true">
            <span class="now position-absolute fine ps-1" :style="{ left: `${axis.today * 100}%` }">today</span>
            <span
              v-for="each in axis.months"
              :key="each.at"
              class="month position-absolute fine ps-1"
              :style="{ left: `${each.at * 100}%` }"
              ><b class="d-block ink" v-if="each.year">{{ each.year }}</b
              >{{ each.words }}</span
            >
            <span class="month position-absolute fine ps-1" :style="{ left: `${axis.later * 100}%` }">later</span>
          </div>
          <div class="choices order" role="group" aria-label="Order">
            <button
              v-for="each in RACE_ORDERS"
              :key="each"
              type="button"
              class="choice"
              :aria-pressed="order === each"
              @click="order = each"
            >
              by {{ each }}
            </button>
          </div>
        </div>
        <p v-if="folded.length > 0" class="hair-below py-2 px-3">
          <strong>{{ counted(folded.length, 'item') }} expired</strong>{{ foldedWords }}
          <v-btn variant="text" @click="unfolded = true">Show them</v-btn>
        </p>
        <p v-if="shown.length === 0 && folded.length === 0" class="none pa-5">
          Nothing matches all of that. <v-btn variant="text" @click="everything">Show everything</v-btn>
        </p>
        <v-virtual-scroll v-else class="rows" :items="shown" :item-height="mobile ? 176 : 62" item-key="item.id">
          <template #default="{ item: row }">
            <RaceRow
              :key="row.item.id"
              :row="row"
              :axis="axis"
              :lane-width="laneWidth"
              :today="answer.today"
              :currency="answer.currency"
              :pace-known="answer.paceKnown"
              :open="open === row.item.id"
              @toggle="open = open === row.item.id ? null : row.item.id"
            />
          </template>
        </v-virtual-scroll>
      </section>
      <div
        v-if="unknown > 0"
        class="sheet d-flex flex-wrap align-center justify-space-between mt-2 py-2 ps-3 pe-2 gr-2 gc-4"
      >
        <p>
          <strong>Not known:</strong> when {{ counted(unknown, 'item') }} {{ unknown === 1 ? 'was' : 'were' }} opened.
          About is good enough.
        </p>
        <v-btn color="primary" to="/collection/openings">Say when</v-btn>
      </div>
    </template>
  </template>
</template>

<style scoped>
.chip {
  display: inline-flex;
  align-items: center;
  gap: 8px;
  padding: 0 10px !important;
  font-size: 13.5px;
}

.by {
  flex: 0 0 168px;
}

.race {
  --race-columns: 66px 44px minmax(110px, 176px) minmax(0, 1fr) 212px 176px;

  overflow: hidden;
}

.heads {
  grid-template-columns: var(--race-columns);
  border-bottom: 1px solid var(--line);
}

.stakes {
  grid-column: span 3;
}

.order {
  grid-column: span 2;
  justify-content: flex-end;
}

.order .choice {
  min-height: 32px;
  padding: 0 10px !important;
  font-size: 13px;
}

.key svg:not(:first-child) {
  margin-left: 10px;
}

.post {
  stroke: var(--ink);
  stroke-width: 3;
}

.body {
  fill: var(--raised);
}

.made {
  fill: var(--line);
  opacity: 0.55;
}

.edge {
  stroke: var(--ink);
  stroke-width: 1.4;
}

path.edge:not(.body, [fill]) {
  fill: none;
}

.axis {
  position: relative;
  height: 31px;
}

.axis span {
  bottom: 0;
  border-left: 1px solid var(--line);
  line-height: 15px;
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

.stroke {
  stroke: var(--ink);
  stroke-width: 1.5;
}

.phone .top {
  flex-wrap: wrap;
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

.phone .axis .now {
  /* Its stroke says it: there is no room for the word. */
  font-size: 0;
}

.phone .order .choice {
  min-height: 44px;
}

.phone .heads {
  padding: 3px 8px 2px;
  grid-template-columns: 1fr;
}

.phone .stakes {
  display: none;
}

.phone .rows {
  height: calc(100vh - 420px);
}
</style>
