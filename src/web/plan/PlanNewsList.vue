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
  return of === 0 ? '' : `When you chose it, ${rangeOf(low, high)} of ${of} would reach their goal.`
})
const state = computed(() => {
  const last = props.inForce.weeks.at(-1)?.to
  if (last !== undefined && last < props.today) return 'Its months are over. Below is a new one, from today.'
  if (props.kept) return 'Below is that plan, from today on. No other is much better.'
  return props.inForce.askFresh
    ? 'Below is a new one, from today. Nothing changes until you use it.'
    : 'Below is a better one, from today on.'
})
</script>

<template>
  <section class="news prose mb-2 py-1 px-3" aria-label="Your current plan">
    <p>
      <strong>{{ stopped(`Current plan, since ${shortDay(inForce.adoptedOn, today)}`) }}</strong> {{ adopted }}
      {{ state }}
    </p>
    <ul v-if="sentences.length > 0" class="bulleted mt-1 ps-4">
      <li v-for="words in shown" :key="words">{{ words }}</li>
    </ul>
    <button v-if="sentences.length > shown.length" type="button" class="text-act strong" @click="all = true">
      {{ counted(sentences.length - shown.length, 'more item') }}
    </button>
  </section>
</template>

<style scoped>
.news {
  border-left: 5px solid var(--primary);
}
</style>
