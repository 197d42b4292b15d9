<script setup lang="ts">
import { mdiChevronDown } from '@mdi/js'
import { computed, ref } from 'vue'
import type { Day } from '#core/calendar/day'
import type { StayView } from '#contract/projects'
import GoalRail from '#web/ui/gauge/GoalRail.vue'
import { railOf } from '#web/ui/gauge/gauge-model'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { goalLine, paceWords, shortVerdict } from '#web/ui/words/goal-words'
import { verdictTone } from '#web/ui/words/verdict-words'
import { callIt, kindAndMaker, shortName } from '#web/ui/words/item-words'
import { goodTo } from '#web/ui/words/shelf-life-words'

/** An item at work in one line with its rail and one act; opened, the sums and what else can be done. */
const props = defineProps<{ stay: StayView; today: Day }>()
const RAIL_LENGTH = 150
const opened = ref(false)
/** Of a stay that is over, where it stood. */
const verdict = computed(() => props.stay.outlook?.verdict ?? props.stay.goal.standing)
const short = computed(() => shortVerdict(props.stay.goal, verdict.value))
const rail = computed(() => railOf(props.stay.goal))
</script>

<template>
  <div class="row sheet d-grid align-center mb-2 py-2 ps-3 pe-2 gr-1 gc-4">
    <div class="d-grid align-center justify-items-center"><ItemGauge :item="stay.item" size="small" /></div>
    <div class="words">
      <div class="head d-flex flex-wrap align-baseline gr-0 gc-3">
        <RouterLink :to="`/items/${stay.item.id}`">{{
          [stay.goal.partName, shortName(stay.item)].filter(Boolean).join(', ')
        }}</RouterLink>
        <span class="quiet">{{ kindAndMaker(stay.item) }}</span>
      </div>
      <p class="figures">
        {{ goalLine(stay.goal, stay.outlook) }}{{ short && ' · '
        }}<strong v-if="short" :class="verdictTone(verdict)">{{ short }}</strong>
      </p>
    </div>
    <GoalRail v-if="rail" class="rail" :rail="rail" :upright="false" :length="RAIL_LENGTH" size="middle" />
    <div class="acts d-flex flex-wrap justify-end gr-1 gc-2">
      <slot />
      <v-btn
        variant="text"
        size="44"
        :icon="mdiChevronDown"
        :class="{ turned: opened }"
        :aria-label="`Details of ${callIt(stay.item)}`"
        :aria-expanded="opened"
        @click="opened = !opened"
      />
    </div>
    <div v-if="opened" class="opened">
      <p class="figures">{{ paceWords(stay.goal, stay.outlook, today) }}</p>
      <p class="quiet">{{ stay.item.lifecycle === 'finished' ? 'Finished.' : `${goodTo(stay.item, today)}.` }}</p>
      <div class="acts d-flex flex-wrap justify-end gr-1 gc-2"><slot name="more" /></div>
    </div>
  </div>
</template>

<style scoped>
.row {
  grid-template-columns: 64px minmax(0, 1fr) auto auto;
  min-height: 66px;
}

.head a {
  font: 640 17px var(--display);
  color: var(--ink);
}

p {
  margin: 1px 0 0;
  max-width: 75ch;
}

.done {
  color: var(--done);
}

.turned {
  transform: rotate(180deg);
}

.opened {
  grid-column: 2 / -1;
  padding: 4px 0 6px;
}

.opened .acts {
  justify-content: flex-start;
  margin-left: -16px;
}

.phone .row {
  grid-template-columns: 44px minmax(0, 1fr);
  padding: 8px 6px 4px 10px;
}

.phone .rail {
  grid-column: 2;
}

.phone .row > .acts {
  grid-column: 1 / -1;
}
</style>
