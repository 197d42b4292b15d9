<script setup lang="ts">
import { computed } from 'vue'
import type { Day } from '#core/calendar/day'
import { counted } from '#core/words/counted'
import type { TrialView } from '#contract/ending'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { kindAndMaker, shortName, usesWords } from '#web/ui/words/item-words'
import { goodTo } from '#web/ui/words/shelf-life-words'
import { fromNow, shortDay } from '#web/ui/words/when-words'

/** A running trial with its evidence in sentences: facts, none of them a verdict. */
const props = defineProps<{ trial: TrialView; today: Day }>()
defineEmits<{ decide: [] }>()

const standing = computed(() => {
  const { standing: state, wearsLeft, dueOn } = props.trial
  if (state === 'worn enough') return 'Worn as often as you wanted. Decide when you like.'
  if (state === 'time is up')
    return `The day has come, with ${counted(wearsLeft, 'wear')} to go. Decide, or give it longer.`
  return `${counted(wearsLeft, 'wear')} to go, until ${shortDay(dueOn, props.today)} (${fromNow(dueOn, props.today)}).`
})
const evidence = computed(() => {
  const { item, wears, chances, companions, wearsWanted } = props.trial
  return [
    `Worn ${wears} of ${wearsWanted} times since it went on trial.`,
    chances > 0 ? `Within reach on ${chances} wear days meanwhile.` : '',
    companions.length > 0 ? `Worn with ${companions.map((each) => each.words).join(', ')}.` : '',
    `${usesWords(item.uses)} in its whole life.`,
    `Shelf life: ${goodTo(item, props.today)}.`,
  ].filter(Boolean)
})
</script>

<template>
  <article class="sheet card" :class="{ due: trial.decisionDue }">
    <div class="plate"><ItemGauge :item="trial.item" size="middle" :rail="false" /></div>
    <div class="words">
      <h3>
        <RouterLink :to="`/items/${trial.item.id}`">{{ shortName(trial.item) }}</RouterLink>
        <span class="quiet">{{ kindAndMaker(trial.item) }}</span>
      </h3>
      <p v-if="trial.question" class="question">“{{ trial.question }}”</p>
      <p class="standing figures">{{ standing }}</p>
      <ul class="figures">
        <li v-for="sentence in evidence" :key="sentence">{{ sentence }}</li>
      </ul>
      <v-btn
        :color="trial.decisionDue ? 'primary' : undefined"
        :variant="trial.decisionDue ? 'flat' : 'outlined'"
        @click="$emit('decide')"
        >Decide</v-btn
      >
    </div>
  </article>
</template>

<style scoped>
.card {
  display: grid;
  grid-template-columns: 110px 1fr;
  gap: 14px;
  padding: 12px;
}

.card.due {
  border-color: var(--primary);
  box-shadow: inset 5px 0 0 var(--primary);
}

.plate {
  background: var(--plate);
  border-radius: 8px;
  display: grid;
  place-items: center;
  min-height: 126px;
  align-self: start;
}

h3 {
  font-size: 17px;
}

h3 a {
  color: var(--ink);
}

h3 .quiet {
  margin-left: 8px;
  font: 400 13px var(--text);
}

p {
  margin: 3px 0;
}

.question {
  font-style: italic;
}

.standing {
  font-weight: 600;
}

ul {
  margin: 4px 0 10px;
  padding-left: 16px;
  font-size: 13.5px;
}
</style>
