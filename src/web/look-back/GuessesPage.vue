<script setup lang="ts">
import { MONTH_DAYS } from '#core/calendar/lengths'
import { computed } from 'vue'
import { daysBetween } from '#core/calendar/day'
import { counted } from '#core/words/counted'
import { useLookBack } from '#web/data/reads'
import { numberWords } from '#web/data/locale'
import EmptyPlace from '#web/ui/EmptyPlace.vue'
import { factorWords, marksWords, missWords } from '#web/ui/words/look-back-words'
import { spanWords } from '#web/ui/words/when-words'
import PlaceHead from '#web/ui/PlaceHead.vue'
import OutcomeList, { type Outcome } from './OutcomeList.vue'

/** Her guesses and Seligo's against what came of them, and how long things last with her. */
const { answer } = useLookBack()
const guesses = computed<Outcome[]>(() =>
  [...(answer.value?.guesses.each ?? [])].reverse().map(({ itemId, mark, months, days, finished }) => ({
    itemId,
    mark,
    low: months * MONTH_DAYS,
    middle: months * MONTH_DAYS,
    high: months * MONTH_DAYS,
    came: days,
    running: !finished,
    words: `guessed ${counted(months, 'month')}, ${finished ? `took ${spanWords(days)}` : `${spanWords(days)} so far`}`,
  })),
)
const forecasts = computed<Outcome[]>(() =>
  [...(answer.value?.forecasts.each ?? [])]
    .sort((a, b) => (a.finishedOn < b.finishedOn ? 1 : -1))
    .map(({ itemId, mark, madeOn, low, middle, high, finishedOn }) => {
      const at = (day: typeof madeOn): number => daysBetween(madeOn, day)
      const words =
        finishedOn < low
          ? `${spanWords(daysBetween(finishedOn, low))} before the range`
          : finishedOn > high
            ? `${spanWords(daysBetween(high, finishedOn))} after the range`
            : 'within the range'
      return {
        itemId,
        mark,
        low: at(low),
        middle: at(middle),
        high: at(high),
        came: at(finishedOn),
        running: false,
        words: `${words}, after ${spanWords(at(finishedOn))}`,
      }
    }),
)
/** Those that did not hold, and what was off more: how often it was worn, or how much was in it. */
const misses = computed(() =>
  (answer.value?.forecasts.each ?? []).flatMap(({ itemId, mark, miss, low, high, finishedOn }) => {
    if (finishedOn >= low && finishedOn <= high) return []
    const when = finishedOn < low ? 'finished earlier' : 'finished later'
    return [{ itemId, mark, words: miss ? `${when}; ${missWords(miss)}` : `${when}; nothing tells why` }]
  }),
)
const lasted = computed(() => answer.value?.lasted ?? [])
const nothing = computed(() => guesses.value.length === 0 && forecasts.value.length === 0 && lasted.value.length === 0)
/** The words of a category's row, of which one only is shown where there is enough to say. */
const categories = computed(() => {
  const said = answer.value?.guesses
  const names = new Set([
    ...lasted.value.map((each) => each.category),
    ...(said?.categories ?? []).map((each) => each.category),
  ])
  return [...names].sort().map((category) => ({
    category,
    lasted: lasted.value.find((each) => each.category === category) ?? null,
    factor: said?.categories.find((each) => each.category === category)?.factor ?? null,
  }))
})
</script>

<template>
  <PlaceHead question="Who guesses better, and what went wrong?" />
  <template v-if="answer">
    <EmptyPlace v-if="nothing" title="Nothing to look back on yet" act="To the projects" to="/projects">
      <template #drawing>
        <svg viewBox="0 0 240 60" width="240" height="60" aria-hidden="true">
          <path d="M10 30h130M90 14v32" class="line" />
          <circle cx="150" cy="30" r="9" class="rail" />
          <circle cx="150" cy="30" r="9" class="line" />
        </svg>
      </template>
      When an item rolls into a project, say how long you think it will last. Once it’s finished, your guess and
      Seligo’s forecast are here beside what happened.
    </EmptyPlace>
    <template v-else>
      <h2>Your guesses and what happened</h2>
      <p class="sum prose mb-2">{{ factorWords(answer.guesses.all) }}</p>
      <OutcomeList
        v-if="guesses.length > 0"
        label="Your guesses"
        legend="months; stroke: guess; disc: finished"
        :outcomes="guesses"
      />
      <h2>Forecasts and what happened</h2>
      <p class="sum prose mb-2">
        {{ marksWords(answer.forecasts.marks) }}
        <span class="quiet"
          >One forecast an item, the first kept while it was in the drawer or a project; what is still open counts as
          open so far.</span
        >
      </p>
      <OutcomeList
        v-if="forecasts.length > 0"
        label="Forecasts"
        legend="months; bar: range; full disc: held"
        :outcomes="forecasts"
      />
      <section v-if="misses.length > 0" aria-label="Where it was wrong" class="sheet misses mt-2 py-2 px-3">
        <h3>Where it was wrong, and why</h3>
        <p class="small my-1" v-for="each in misses" :key="each.itemId">
          <RouterLink :to="`/items/${each.itemId}`">{{ each.mark }}</RouterLink>: {{ each.words }}.
        </p>
      </section>
      <h2>By type</h2>
      <div class="sheet overflow-x-auto">
        <table class="w-100 small figures">
          <thead>
            <tr>
              <th scope="col">Type</th>
              <th scope="col">From opened to empty</th>
              <th scope="col">Uses in that time</th>
              <th scope="col">Your guesses</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in categories" :key="row.category">
              <th scope="row">{{ row.category }}</th>
              <td>
                {{ row.lasted ? `${spanWords(row.lasted.days)}, by ${counted(row.lasted.finished, 'item')}` : '' }}
              </td>
              <td>{{ row.lasted ? row.lasted.uses : '' }}</td>
              <td>
                {{
                  row.factor
                    ? `times ${numberWords(row.factor.low, 1)} to ${numberWords(row.factor.high, 1)}, by ${row.factor.finished} finished`
                    : ''
                }}
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <p class="quiet small my-2 mx-1">
        Your average, of items whose opening and end are known to the day. How a type’s guesses run is estimated with
        all your guesses until it has enough of its own.
      </p>
    </template>
  </template>
</template>

<style scoped>
h2 {
  margin: 16px 0 2px;
  font-size: 18px;
}

h2:first-of-type {
  margin-top: 0;
}

.misses h3 {
  font-size: 15.5px;
}

th,
td {
  padding: 7px 12px;
  text-align: left;
  border-bottom: 1px solid var(--hair);
  white-space: nowrap;
}

tr:last-child > * {
  border-bottom: none;
}

thead th {
  font: 620 12.5px var(--display);
  color: var(--quiet);
}
</style>
