<script setup lang="ts">
import { computed, ref } from 'vue'
import { useDisplay } from 'vuetify'
import { counted } from '#core/words/counted'
import type { ItemAnswer } from '#contract/item'
import { latePart } from '#web/ui/late-part'
import { dateWords } from '#web/data/locale'
import { useUnits } from '#web/data/units'
import { unitOf } from '#web/ui/words/measure-words'
import { rowsOf } from './life-rows'
import { lifeBands, lifeBody, lifeBracket, lifeSeries, lifeSpan } from './life-series'

/** The chart is the heaviest of the page: the rest of it need not wait. */
const TimeChart = latePart(() => import('#web/ui/chart/TimeChart.vue'))
/** The item's life on one axis of days: worn, looked at, weighed, photographed, what happened, good to. */
const props = defineProps<{ answer: ItemAnswer }>()
const { mobile } = useDisplay()
const units = useUnits()
const unit = computed(() => unitOf(units.value))
const asTable = ref(false)
const series = computed(() => lifeSeries(props.answer, unit.value))
const span = computed(() => lifeSpan(props.answer))
const bands = computed(() => lifeBands(props.answer))
const body = computed(() => lifeBody(props.answer))
const bracket = computed(() => lifeBracket(props.answer))
const rows = computed(() => rowsOf(props.answer, unit.value))
const weighed = computed(() => props.answer.readings.filter((reading) => reading.kind === 'gross').length)
const label = computed(
  () =>
    `Worn on ${counted(props.answer.wearDays.length, 'day')} in the log, looked at ${counted(props.answer.readings.length - weighed.value, 'time')}, weighed ${counted(weighed.value, 'time')}.`,
)
</script>

<template>
  <section class="life" aria-label="Life line">
    <h2>Life line</h2>
    <TimeChart
      :label="label"
      :from="span.from"
      :to="span.to"
      :series="series"
      :marks="span.marks"
      :bands="bands"
      :body="body"
      :bracket="bracket"
      :fill="answer.item.colour ?? answer.item.guess"
      :grams="weighed > 0 && answer.forecast === null"
      :height="mobile ? 220 : 250"
    />
    <p class="key quiet">
      Squares: weighed. Circles: by eye, hollow where doubtful, each with what it may be out by. Hatched: reckoned;
      right of today what is likely ahead, dotted what was said before. Below: strokes worn, the body when it will be
      gone, triangles photos, diamonds what happened to the package.
    </p>
    <v-btn variant="text" class="ml-n4" :aria-expanded="asTable" @click="asTable = !asTable">{{
      asTable ? 'Hide the table' : 'As a table'
    }}</v-btn>
    <div :class="{ 'visually-hidden': !asTable }">
      <table>
        <caption class="visually-hidden">
          The same as a table, the latest first
        </caption>
        <thead>
          <tr>
            <th scope="col">Day</th>
            <th scope="col">What</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(row, n) in rows" :key="n">
            <td class="figures">{{ dateWords(row.day) }}</td>
            <td>{{ row.words }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
.life {
  margin-top: 22px;
}

h2 {
  font-size: 16px;
  margin-bottom: 6px;
}

.key {
  font-size: 12.5px;
  margin: 4px 0 10px;
  max-width: 90ch;
}

table {
  border-collapse: collapse;
  font-size: 13.5px;
}

td,
th {
  text-align: left;
  padding: 4px 16px 4px 0;
  border-bottom: 1px solid var(--hair);
}
</style>
