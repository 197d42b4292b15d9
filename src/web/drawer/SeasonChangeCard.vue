<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Day } from '#core/calendar/day'
import { SEASON_CHANGE_CHOICES, type SeasonChangeChoice } from '#core/plan/season-change-choices'
import type { SeasonChangeCandidate } from '#contract/season-change'
import { dateWords } from '#web/data/locale'
import ChoiceRow from '#web/ui/form/ChoiceRow.vue'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { kindAndMaker, shortName, usesWords } from '#web/ui/words/item-words'
import { goodTo } from '#web/ui/words/shelf-life-words'
import { fromNow } from '#web/ui/words/when-words'
import { CHOICE_WORDS, type SeasonChangeStated } from './season-change-words'

/** One thing while the drawer is laid: what speaks for it, and where it goes. */
const props = defineProps<{ candidate: SeasonChangeCandidate; today: Day }>()
const emit = defineEmits<{ choose: [said: SeasonChangeStated] }>()
const letting = ref(false)
const offered = computed(() => {
  const { item, spoiled, awayUntil } = props.candidate
  const possible = SEASON_CHANGE_CHOICES.filter((choice) => {
    if (choice === (item.placement ? 'comes in' : 'stays')) return false
    return choice !== 'put away' || awayUntil !== null
  })
  // What is over is let go first; the other ways stand behind it.
  return spoiled ? [...possible].sort((a, b) => Number(b === 'let go') - Number(a === 'let go')) : possible
})
const said = computed(() => {
  const { item, why } = props.candidate
  return [
    why,
    item.lastWorn ? `worn ${fromNow(item.lastWorn, props.today)}` : 'not worn yet',
    usesWords(item.uses),
    goodTo(item, props.today),
    item.brushes ? `with ${item.brushes}` : '',
  ]
    .filter(Boolean)
    .join('; ')
})

function words(choice: SeasonChangeChoice): string {
  const { awayUntil } = props.candidate
  return choice === 'put away' && awayUntil !== null
    ? `Put away, back on ${dateWords(awayUntil)}`
    : CHOICE_WORDS[choice]
}

function choose(choice: SeasonChangeChoice): void {
  // The same once more takes it back.
  if (props.candidate.choice === choice) {
    letting.value = false
    emit('choose', { choice: null, until: null, destination: null })
  } else if (choice === 'let go') letting.value = !letting.value
  else emit('choose', { choice, until: choice === 'put away' ? props.candidate.awayUntil : null, destination: null })
}
</script>

<template>
  <section class="sheet one d-grid mt-2 mb-3 mx-0 pa-4 ga-5" :aria-label="shortName(candidate.item)">
    <div class="drawn d-grid align-center justify-items-center rounded-lg">
      <ItemGauge :item="candidate.item" size="large" />
    </div>
    <div class="ask d-grid align-content-center ga-2">
      <h2>{{ shortName(candidate.item) }}</h2>
      <p class="quiet">{{ kindAndMaker(candidate.item) }}</p>
      <p class="figures">{{ said }}</p>
      <p v-if="candidate.spoiled" class="caution">
        It’s over.
        {{
          candidate.item.eye
            ? 'Don’t wear it at the eye any more.'
            : 'Before a trial, or back in the drawer: look and smell first.'
        }}
      </p>
      <div class="choices">
        <button
          v-for="choice in offered"
          :key="choice"
          type="button"
          class="choice"
          :aria-pressed="candidate.choice === choice"
          :aria-expanded="choice === 'let go' ? letting : undefined"
          @click="choose(choice)"
        >
          {{ words(choice) }}
        </button>
      </div>
      <ChoiceRow
        v-if="letting"
        :model-value="candidate.destination"
        label="Where does it go?"
        :options="candidate.destinations"
        @update:model-value="
          (destination) => destination && emit('choose', { choice: 'let go', until: null, destination })
        "
      />
    </div>
  </section>
</template>

<style scoped>
.one {
  grid-template-columns: 250px 1fr;
}

.drawn {
  min-height: 250px;
  background: var(--plate);
}

.phone .one {
  grid-template-columns: 1fr;
}
</style>
