<script setup lang="ts">
import { computed } from 'vue'
import type { Day } from '#core/calendar/day'
import type { StayView } from '#contract/projects'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { paceWords, shortVerdict } from '#web/ui/words/goal-words'
import { verdictTone } from '#web/ui/words/verdict-words'
import { kindAndMaker, shortName } from '#web/ui/words/item-words'
import { goodTo } from '#web/ui/words/shelf-life-words'

/** An item at work: its gauge with its rail, its pace in words. */
const props = defineProps<{ stay: StayView; today: Day }>()
/** Of a stay that is over, where it stood. */
const verdict = computed(() => props.stay.outlook?.verdict ?? props.stay.goal.standing)
const short = computed(() => shortVerdict(props.stay.goal, verdict.value))
</script>

<template>
  <div class="row sheet">
    <div class="drawn"><ItemGauge :item="{ ...stay.item, goal: stay.goal }" size="middle" /></div>
    <div class="words">
      <div class="head">
        <RouterLink :to="`/items/${stay.item.id}`">{{ shortName(stay.item) }}</RouterLink>
        <span class="quiet">{{ kindAndMaker(stay.item) }}</span>
        <span v-if="short" class="standing" :class="verdictTone(verdict)">{{ short }}</span>
      </div>
      <p class="figures">{{ paceWords(stay.goal, stay.outlook, today) }}</p>
      <p class="quiet">{{ stay.item.lifecycle === 'finished' ? 'finished' : goodTo(stay.item, today) }}</p>
    </div>
    <div class="acts"><slot /></div>
  </div>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 178px minmax(0, 1fr) auto;
  gap: 18px;
  align-items: center;
  padding: 8px 14px;
  margin-bottom: 7px;
  min-height: 122px;
}

.drawn {
  display: grid;
  place-items: center;
}

.head {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  align-items: baseline;
}

.head a {
  font: 640 17px var(--display);
  color: var(--ink);
}

p {
  margin: 3px 0 0;
  max-width: 74ch;
}

.standing {
  font-weight: 650;
}

.standing.attention {
  color: var(--attention);
}

.standing.alarm {
  color: var(--alarm);
}

.standing.done {
  color: var(--done);
}

.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  justify-content: flex-end;
  max-width: 372px;
}

.phone .row {
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
}

.phone .drawn {
  place-items: start;
}

.phone .acts {
  justify-content: flex-start;
}
</style>
