<script setup lang="ts">
import { computed, ref } from 'vue'
import { CONTRADICTION_CAUSES, type ContradictionCause } from '#core/measure/reading'
import { counted } from '#core/words/counted'
import type { ItemAnswer } from '#contract/item'
import type { ReadingView } from '#contract/reading'
import { newId } from '#web/data/client'
import { useChanges } from '#web/data/changes'
import { dateWords } from '#web/data/locale'
import { useUnits } from '#web/data/units'
import ChoiceRow from '#web/ui/form/ChoiceRow.vue'
import { anyReadingWords, CAUSE_WORDS, doubtWords, EVENT_WORDS, massWords, unitOf } from '#web/ui/words/measure-words'
import CorrectDialog from './CorrectDialog.vue'
import PackageWeightDialog from './PackageWeightDialog.vue'

/** Every reading and everything that happened, the latest first: corrected, explained, or removed. */
const props = defineProps<{ answer: ItemAnswer }>()
const changes = useChanges()
const units = useUnits()
const unit = computed(() => unitOf(units.value))
const all = ref(false)
const weighing = ref(false)
const correcting = ref<ReadingView | null>(null)
const FEW = 4
const latest = computed(() => [...props.answer.readings].reverse())
const odd = computed(() => latest.value.filter((reading) => reading.doubts.length > 0))
const shown = computed(() =>
  all.value ? latest.value : latest.value.filter((reading, n) => n < FEW || odd.value.includes(reading)),
)
const shade = (id: string | null): string => {
  const part = props.answer.item.parts.find((each) => each.id === id)
  return part ? `${part.name}: ` : ''
}
function explain(reading: ReadingView, cause: ContradictionCause | null): void {
  if (cause !== null)
    void changes.run('POST', `/readings/${reading.id}/cause`, { changeId: newId(), cause, eventId: newId() })
}
const drop = (reading: ReadingView): void =>
  void changes.run('POST', `/readings/${reading.id}/drop`, { changeId: newId() })
const dropEvent = (id: string): void => void changes.run('POST', `/events/${id}/drop`, { changeId: newId() })
const dropWeight = (id: string): void => void changes.run('POST', `/package-weights/${id}/drop`, { changeId: newId() })
const WEIGHT_WORDS = { full: 'full', 'as finished': 'empty, as finished', cleaned: 'empty, cleaned' } as const
</script>

<template>
  <section aria-label="Readings">
    <p v-if="latest.length === 0" class="quiet">No measurements yet.</p>
    <ul v-else>
      <li class="d-grid align-center hair-below gr-0 gc-3" v-for="reading in shown" :key="reading.id">
        <span class="figures day small quiet">{{ dateWords(reading.day) }}</span>
        <span class="words">
          <strong class="figures">{{ shade(reading.partId) }}{{ anyReadingWords(reading, unit) }}</strong>
          <small v-if="reading.mm"> {{ reading.mm }} of {{ reading.ofMm }} mm</small>
          <small v-if="reading.doubtful" class="attention"> doubtful, not counted</small>
          <small v-if="reading.cause"> {{ CAUSE_WORDS[reading.cause] }}</small>
          <small v-if="reading.note"> “{{ reading.note }}”</small>
        </span>
        <span class="acts">
          <v-btn
            variant="text"
            :aria-label="`Correct the reading of ${dateWords(reading.day)}`"
            @click="correcting = reading"
            >Correct</v-btn
          >
          <v-btn variant="text" :aria-label="`Remove the reading of ${dateWords(reading.day)}`" @click="drop(reading)"
            >Remove</v-btn
          >
        </span>
        <div v-if="reading.doubts.length > 0" class="doubt mb-2 pt-1 pb-2 ps-3 pe-0">
          <p class="font-weight-semibold mb-1" v-for="doubt in reading.doubts" :key="doubt.code">
            {{ doubtWords(doubt, unit) }}
          </p>
          <ChoiceRow
            :model-value="reading.cause"
            label="What is the likely cause?"
            :options="CONTRADICTION_CAUSES"
            :words="CAUSE_WORDS"
            @update:model-value="(cause) => explain(reading, cause)"
          />
        </div>
      </li>
    </ul>
    <v-btn v-if="latest.length > shown.length || all" variant="text" class="ml-n4" @click="all = !all">{{
      all ? 'Only the latest' : `All ${counted(latest.length, 'reading')}`
    }}</v-btn>
    <template v-if="answer.packageEvents.length > 0">
      <h3>What happened to the package</h3>
      <ul>
        <li
          class="d-grid align-center hair-below gr-0 gc-3"
          v-for="event in [...answer.packageEvents].reverse()"
          :key="event.id"
        >
          <span class="figures day small quiet">{{ dateWords(event.day) }}</span>
          <span class="words">
            <strong>{{ shade(event.partId) }}{{ EVENT_WORDS[event.kind] }}</strong>
            <small v-if="event.into"> into {{ event.into }}</small>
            <small v-if="event.grams"> {{ massWords(event.grams, 0.1, unit) }} lost</small>
            <small v-if="event.share"> about {{ Math.round(event.share * 100) }} % of what was left lost</small>
            <small v-if="event.words"> “{{ event.words }}”</small>
          </span>
          <span class="acts">
            <v-btn
              v-if="event.kind !== 'gave to a blend' && event.kind !== 'depotted'"
              variant="text"
              :aria-label="`Remove: ${EVENT_WORDS[event.kind]}, ${dateWords(event.day)}`"
              @click="dropEvent(event.id)"
              >Remove</v-btn
            >
          </span>
        </li>
      </ul>
    </template>
    <h3>What packages of its type weigh</h3>
    <template v-if="answer.packageWeights.length > 0">
      <ul>
        <li class="d-grid align-center hair-below gr-0 gc-3" v-for="each in answer.packageWeights" :key="each.id">
          <span class="figures day small quiet">{{ dateWords(each.day) }}</span>
          <span class="words"
            ><strong class="figures">{{ massWords(each.grams, each.resolution ?? 0.1, unit) }}</strong>
            <small> {{ WEIGHT_WORDS[each.state] }}{{ each.itemId === answer.item.id ? ', this one' : '' }}</small></span
          >
          <span class="acts"
            ><v-btn
              variant="text"
              :aria-label="`It was another package: remove ${massWords(each.grams, 0.1, unit)}`"
              @click="dropWeight(each.id)"
              >It was another package</v-btn
            ></span
          >
        </li>
      </ul>
    </template>
    <v-btn variant="text" class="ml-n4" @click="weighing = true">Weigh one full or empty</v-btn>
    <PackageWeightDialog v-if="weighing" :item="answer.item" :today="answer.today" @close="weighing = false" />
    <CorrectDialog
      v-if="correcting"
      :item="answer.item"
      :reading="correcting"
      :today="answer.today"
      @close="correcting = null"
    />
  </section>
</template>

<style scoped>
h3 {
  font: 620 14px var(--display);
  margin: 12px 0 2px;
}

ul {
  margin: 4px 0;
  max-width: 860px;
}

li {
  grid-template-columns: 110px minmax(0, 1fr) auto;
  min-height: 46px;
}

small {
  color: var(--quiet);
  font-size: 13px;
}

.doubt {
  grid-column: 2 / -1;
  border-left: 5px solid var(--attention);
}

.phone li {
  grid-template-columns: minmax(0, 1fr) auto;
  padding: 4px 0;
}

.phone .day {
  grid-column: 1 / -1;
}

.phone .doubt {
  grid-column: 1 / -1;
}
</style>
