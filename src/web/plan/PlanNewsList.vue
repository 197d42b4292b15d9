<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Day } from '#core/calendar/day'
import { counted } from '#core/words/counted'
import type { PlanInForce } from '#contract/planning'
import { shortDay } from '#web/ui/words/when-words'
import { newsWords, rangeOf, stopped } from './plan-words'

/** How the plan in force does, and what happened otherwise. */
const props = defineProps<{
  inForce: PlanInForce
  today: Day
  /** The plan on the page is the one in force. */
  kept: boolean
}>()
const FIRST = 3
const all = ref(false)
const sentences = computed(() => props.inForce.news.map((each) => newsWords(each, each.mark, props.today)))
const shown = computed(() => (all.value ? sentences.value : sentences.value.slice(0, FIRST)))
const adopted = computed(() => {
  const { of, low, high } = props.inForce.done
  return of === 0 ? '' : `Adopted with ${rangeOf(low, high)} of ${of} at the goal.`
})
const state = computed(() => {
  const last = props.inForce.weeks.at(-1)?.to
  if (last !== undefined && last < props.today) return 'Its months are over. Below is a fresh one, from today on.'
  if (props.kept) return 'What is below is that plan, from today on: no other is worth much more.'
  return props.inForce.askFresh
    ? 'Below is a fresh one, from today on. It changes nothing until you adopt it.'
    : 'Below is one that would be worth more, from today on.'
})
</script>

<template>
  <section class="news" aria-label="The plan in force">
    <p>
      <strong>{{ stopped(`In force since ${shortDay(inForce.adoptedOn, today)}`) }}</strong> {{ adopted }} {{ state }}
    </p>
    <ul v-if="sentences.length > 0">
      <li v-for="words in shown" :key="words">{{ words }}</li>
    </ul>
    <button v-if="sentences.length > shown.length" type="button" class="link" @click="all = true">
      {{ counted(sentences.length - shown.length, 'more thing') }}
    </button>
  </section>
</template>

<style scoped>
.news {
  border-left: 5px solid var(--primary);
  padding: 4px 14px;
  margin-bottom: 10px;
  max-width: 92ch;
}

p {
  margin: 0;
}

ul {
  margin: 4px 0 0;
  padding-left: 18px;
}

.link {
  min-height: 44px;
  color: var(--primary);
  font-weight: 600;
  text-decoration: underline;
}
</style>
