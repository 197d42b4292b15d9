<script setup lang="ts">
import { computed, ref } from 'vue'
import { counted } from '#core/words/counted'
import { dateWords } from '#web/data/locale'
import { useCheckIns } from '#web/data/reads'
import { useUnits } from '#web/data/units'
import EmptyPlace from '#web/ui/EmptyPlace.vue'
import PlaceHead from '#web/ui/PlaceHead.vue'
import { massWords, unitOf } from '#web/ui/words/measure-words'
import StartDialog from './StartDialog.vue'

/** Check-ins: the one under way, a new one, and every sheet there was. */
const { answer } = useCheckIns()
const units = useUnits()
const unit = computed(() => unitOf(units.value))
const starting = ref(false)
const open = computed(() => (answer.value?.checkIns ?? []).filter((each) => each.closedOn === null))
const closed = computed(() => (answer.value?.checkIns ?? []).filter((each) => each.closedOn !== null))
</script>

<template>
  <PlaceHead
    question="What changed since last time?"
    :primary="open.length === 0 ? { words: 'Begin a check-in', act: () => (starting = true) } : null"
    :acts="open.length > 0 ? [{ words: 'Begin another', act: () => (starting = true) }] : []"
  />
  <template v-if="answer">
    <EmptyPlace
      v-if="answer.checkIns.length === 0"
      title="Once a month, with a scale, a pen and good light"
      act="Begin a check-in"
      @act="starting = true"
    >
      Seligo takes you through your project item by item: what it weighs, how full it is, how much pan is showing. It
      does the sums and makes the monthly update. A kitchen scale helps; your eye will do.
    </EmptyPlace>
    <ul v-if="open.length > 0" class="d-grid ga-2">
      <li
        v-for="each in open"
        :key="each.id"
        class="row sheet d-flex flex-wrap align-center justify-space-between py-3 px-4 gr-2 gc-4"
      >
        <div>
          <h2>{{ each.name }}</h2>
          <p class="quiet mt-1">
            {{ each.done }} of {{ counted(each.items, 'item') }} looked at, begun {{ dateWords(each.startedOn) }}
          </p>
        </div>
        <v-btn color="primary" :to="`/projects/check-in/${each.id}`">Continue</v-btn>
      </li>
    </ul>
    <section v-if="closed.length > 0" aria-label="Monthly updates">
      <h2 class="mt-5 mb-2">Monthly updates</h2>
      <ul class="two-columns d-grid ga-2">
        <li
          v-for="each in closed"
          :key="each.id"
          class="row sheet d-flex flex-wrap align-center justify-space-between py-3 px-4 gr-2 gc-4"
        >
          <div>
            <RouterLink :to="`/projects/check-in/${each.id}/update`">{{ each.name }}</RouterLink>
            <p class="quiet figures mt-1">
              {{ dateWords(each.closedOn ?? each.startedOn)
              }}<template v-if="each.totals">
                · {{ each.totals.looked }} of {{ each.totals.asked }} looked at · {{ counted(each.totals.uses, 'use') }}
                <template v-if="each.totals.weighed > 0">
                  · {{ massWords(each.totals.grams, 0.1, unit) }} used of {{ each.totals.weighed }} weighed</template
                >
              </template>
            </p>
          </div>
        </li>
      </ul>
    </section>
    <StartDialog v-if="starting" :choices="answer.choices" :today="answer.today" @close="starting = false" />
  </template>
</template>

<style scoped>
h2 {
  font-size: 18px;
}

.row a:not(.v-btn) {
  font: 640 17px var(--display);
  color: var(--ink);
}
</style>
