<script setup lang="ts">
import { computed, ref } from 'vue'
import { useDisplay } from 'vuetify'
import { addDays, daysBetween, type Day } from '#core/calendar/day'
import { counted } from '#core/words/counted'
import type { ItemAnswer } from '#contract/item'
import { readingWords } from '#web/ui/words/gauge-words'
import { dateWords } from '#web/data/locale'
import { rowsOf } from './life-rows'

/** The item's life on one line: opened, worn, looked at, rolled in and out, good to. */
const props = defineProps<{ answer: ItemAnswer }>()
/** Drawn at the width it is shown at, so that its words keep their size. */
const { mobile } = useDisplay()
const WIDTH = computed(() => (mobile.value ? 360 : 1000))
const asTable = ref(false)
const MARGIN = 14
const item = computed(() => props.answer.item)
const span = computed(() => {
  const { opened, acquired, firstWorn, shelfLife, endedOn } = item.value
  const from =
    [
      opened.kind === 'range' ? opened.earliest : null,
      acquired?.earliest ?? null,
      firstWorn,
      addDays(props.answer.today, -60),
    ]
      .flatMap((day) => day ?? [])
      .sort()[0] ?? props.answer.today
  const to =
    [props.answer.today, endedOn, shelfLife.lastGood?.latest ?? null]
      .flatMap((day) => day ?? [])
      .sort()
      .at(-1) ?? props.answer.today
  const farthest = addDays(props.answer.today, 730)
  return { from, to: addDays(to > farthest ? farthest : to, 12) }
})
const at = (day: Day): number =>
  MARGIN +
  ((WIDTH.value - 2 * MARGIN) * daysBetween(span.value.from, day)) /
    Math.max(1, daysBetween(span.value.from, span.value.to))
const ticks = computed(() => props.answer.wearDays.map((day) => ({ day, x: at(day) })))
const readings = computed(() =>
  props.answer.readings.map((reading) => ({
    ...reading,
    x: at(reading.day),
    words: `${readingWords(reading)}, ${dateWords(reading.day)}`,
  })),
)
const openedSpan = computed(() =>
  item.value.opening.kind === 'range' && item.value.opening.within
    ? {
        x: at(item.value.opening.within.earliest),
        w: Math.max(3, at(item.value.opening.within.latest) - at(item.value.opening.within.earliest)),
      }
    : null,
)
const goodEnd = computed(() =>
  item.value.shelfLife.actOn &&
  item.value.shelfLife.actOn <= span.value.to &&
  item.value.shelfLife.actOn >= span.value.from
    ? at(item.value.shelfLife.actOn)
    : null,
)
const rows = computed(() => rowsOf(props.answer))
const todayAt = computed(() => at(props.answer.today))
</script>

<template>
  <section class="life" aria-label="Life line">
    <h2>Life line</h2>
    <svg
      :viewBox="`0 0 ${WIDTH} 96`"
      role="img"
      :aria-label="`Worn on ${counted(answer.wearDays.length, 'day')} in the log, looked at ${counted(answer.readings.length, 'time')}.`"
    >
      <rect v-if="openedSpan" class="opened" :x="openedSpan.x" y="30" :width="openedSpan.w" height="34" />
      <line class="axis" :x1="MARGIN" :x2="WIDTH - MARGIN" y1="64" y2="64" />
      <line v-for="tick in ticks" :key="tick.day" class="worn" :x1="tick.x" :x2="tick.x" y1="52" y2="64" />
      <circle
        v-for="reading in readings"
        :key="`${reading.day}-${reading.x}`"
        class="reading"
        :cx="reading.x"
        cy="40"
        r="5"
      >
        <title>{{ reading.words }}</title>
      </circle>
      <line class="today" :x1="todayAt" :x2="todayAt" y1="20" y2="72" />
      <line v-if="goodEnd !== null" class="good" :x1="goodEnd" :x2="goodEnd" y1="20" y2="72" />
      <text v-if="openedSpan" :x="openedSpan.x" y="88">opened</text>
      <text :x="todayAt" y="14" :text-anchor="todayAt > WIDTH * 0.9 ? 'end' : 'middle'">today</text>
      <text
        v-if="goodEnd !== null"
        class="end"
        :x="goodEnd"
        y="88"
        :text-anchor="goodEnd > WIDTH * 0.9 ? 'end' : 'middle'"
      >
        last good day
      </text>
    </svg>
    <p class="key quiet">
      Strokes: days worn. Dots: looked at. Pale bar: when it was opened, as closely as it is known.
    </p>
    <v-btn variant="text" class="ml-n4" :aria-expanded="asTable" @click="asTable = !asTable">{{
      asTable ? 'Hide the table' : 'As a table'
    }}</v-btn>
    <table :class="{ 'visually-hidden': !asTable }">
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

svg {
  display: block;
  width: 100%;
  min-height: 90px;
}

.axis {
  stroke: var(--line);
}

.worn {
  stroke: var(--ink);
  stroke-width: 1.4;
}

.opened {
  fill: var(--primary);
  fill-opacity: 0.18;
}

.reading {
  fill: var(--raised);
  stroke: var(--primary);
  stroke-width: 2;
}

.today {
  stroke: var(--primary);
  stroke-width: 2;
}

.good {
  stroke: var(--alarm);
  stroke-width: 2;
  stroke-dasharray: 4 3;
}

text {
  font: 600 12px var(--text);
  fill: var(--quiet);
}

.end {
  fill: var(--alarm);
}

.key {
  font-size: 12.5px;
  margin: 4px 0 10px;
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
