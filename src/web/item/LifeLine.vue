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
import { lifeBands, lifeBody, lifeBracket, lifeSeries, lifeSpan, marksApart } from './life-series'

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
/** A mark of the key for each kind that is drawn, the days worn first. */
const key = computed(() => [...new Map(series.value.map((each) => [each.label, each])).values()])
const MARKS = {
  rect: 'M3 3h10v10H3z',
  circle: 'M8 3a5 5 0 1 0 .01 0z',
  line: 'M8 2v12',
  triangle: 'M8 3l6 10H2z',
  rectRot: 'M8 2l6 6-6 6-6-6z',
}
const apart = computed(() => {
  const marks = marksApart(props.answer, series.value)
  if (marks === null) return ''
  const { day, eye, scale, follows } = marks
  const used = follows === null ? 'the estimate is between them' : `the ${follows} is used`
  return `On ${dateWords(day)} your eye said ${Math.round(eye)} %, the scale ${Math.round(scale)} %: ${used}.`
})
const weighed = computed(() => props.answer.readings.filter((reading) => reading.kind === 'gross').length)
const label = computed(
  () =>
    `Worn on ${counted(props.answer.wearDays.length, 'day')}, looked at ${counted(props.answer.readings.length - weighed.value, 'time')}, weighed ${counted(weighed.value, 'time')}.`,
)
</script>

<template>
  <section class="mt-5" aria-label="Life line">
    <h2 class="lead mb-2">Life line</h2>
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
    <p v-if="apart" class="my-1">{{ apart }}</p>
    <ul class="key quiet d-flex flex-wrap fine mt-1 mb-2 gr-1 gc-4" aria-label="Key">
      <li v-for="each in key" :key="each.label">
        <svg viewBox="0 0 16 16" width="14" height="14" aria-hidden="true">
          <path :d="MARKS[each.shape]" :class="{ hollow: each.hollow, teal: each.ink === 'primary' }" />
        </svg>
        {{ each.label }}
      </li>
      <li v-if="answer.forecast">
        <svg viewBox="0 0 16 16" width="14" height="14" aria-hidden="true">
          <path d="M1 15L15 1M1 9L9 1M7 15l8-8" class="hollow" />
        </svg>
        Estimated; after today, what’s likely
      </li>
    </ul>
    <v-btn variant="text" class="ml-n4" :aria-expanded="asTable" @click="asTable = !asTable">{{
      asTable ? 'Hide the table' : 'As a table'
    }}</v-btn>
    <div :class="{ 'visually-hidden': !asTable }">
      <table class="small">
        <caption class="visually-hidden">
          The same as a table, the latest first
        </caption>
        <thead>
          <tr>
            <th class="hair-below py-1 ps-0 pe-4" scope="col">Day</th>
            <th class="hair-below py-1 ps-0 pe-4" scope="col">What</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(row, n) in rows" :key="n">
            <td class="figures text-left hair-below py-1 ps-0 pe-4">{{ dateWords(row.day) }}</td>
            <td class="text-left hair-below py-1 ps-0 pe-4">{{ row.words }}</td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
.key svg {
  vertical-align: -2px;
  fill: currentColor;
  stroke: currentColor;
  stroke-width: 1.4;
}

.key .hollow {
  fill: none;
}

.key .teal {
  color: var(--primary);
  stroke: var(--primary);
}

.key .teal:not(.hollow) {
  fill: var(--primary);
}
</style>
