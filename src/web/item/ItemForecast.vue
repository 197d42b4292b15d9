<script setup lang="ts">
import { computed } from 'vue'
import type { ItemAnswer } from '#contract/item'
import type { ForecastView } from '#contract/forecast'
import { daysBetween } from '#core/calendar/day'
import { useItemActs } from '#web/ui/acts/item-acts'
import VerdictGlyph from '#web/ui/gauge/VerdictGlyph.vue'
import { askedWords, betweenWords, likeliest } from '#web/ui/words/forecast-words'
import { settledVerdict } from '#web/data/verdicts'
import { verdictSentence, verdictTone, VERDICT_WORDS } from '#web/ui/words/verdict-words'
import { capital } from '#core/words/capital'
import { goodTo, reasonWords, sunWords } from '#web/ui/words/shelf-life-words'
import { fromNow, spanRangeWords } from '#web/ui/words/when-words'

/** Will it make it: when it will be gone, against its last good day and its goal; and the one measurement that would tell more. */
const props = defineProps<{ answer: ItemAnswer; forecast: ForecastView }>()
const acts = useItemActs()
const item = computed(() => props.answer.item)
const over = computed(() => ['past', 'sign seen'].includes(item.value.shelfLife.state))
const likely = computed(() => likeliest(props.forecast.finish, props.answer.today))
const race = computed(() => {
  const good = capital(goodTo(item.value, props.answer.today))
  const { finish, verdict } = props.forecast
  const { actOn } = item.value.shelfLife
  if (over.value || actOn === null) return { words: good, more: '' }
  const { low, high } = finish
  const spare =
    verdict === 'in time' && low !== null && high !== null && high <= actOn
      ? `: ${spanRangeWords(daysBetween(high, actOn), daysBetween(low, actOn))} to spare`
      : `, ${fromNow(actOn, props.answer.today)}`
  return { words: capital(VERDICT_WORDS[verdict]), more: `${good}${spare}.` }
})
const ifUsed = computed(() =>
  item.value.lifecycle === 'unopened' ? 'If you start using it,' : 'If you keep using it,',
)
const ask = computed(() => askedWords(props.forecast))
const goal = computed(() => item.value.goal)
const outlook = computed(() => props.answer.outlooks.find((each) => each.stayId === goal.value?.stayId) ?? null)
const goalVerdict = computed(() => goal.value && (outlook.value?.verdict ?? settledVerdict(goal.value)))
const goalWords = computed(() => {
  if (goal.value === null || goalVerdict.value === null) return ''
  if (outlook.value) return verdictSentence(goal.value, outlook.value, props.answer.today)
  const words = capital(VERDICT_WORDS[goalVerdict.value])
  return words && `${words}.`
})
async function measure(): Promise<void> {
  await acts.begin('read', item.value)
}
</script>

<template>
  <div class="forecast d-grid align-content-start ga-2" role="group" aria-label="Is it finished in time">
    <p v-if="over" class="head">
      <strong :class="item.shelfLife.state.replaceAll(' ', '-')">{{ race.words }}.</strong>
    </p>
    <p v-if="over" class="quiet">{{ reasonWords(item.shelfLife) }}</p>
    <p v-if="!over || !item.eye" :class="{ head: !over }">
      <template v-if="forecast.finish.low === null"
        >{{ ifUsed }} it <strong class="font-weight-bold">won’t be finished within five years</strong>.</template
      >
      <template v-else
        >{{ ifUsed }} you’ll finish it
        <strong class="font-weight-bold">{{ betweenWords(forecast.finish, answer.today) }}</strong><template
          v-if="likely"
          >, most likely <strong class="font-weight-bold">{{ likely }}</strong></template
        >.</template
      >
    </p>
    <p v-if="!over" class="row d-grid align-start ga-3">
      <VerdictGlyph :verdict="forecast.verdict" />
      <span
        ><strong :class="item.shelfLife.state.replaceAll(' ', '-')">{{ race.words }}.</strong> {{ race.more }}
        <span class="quiet">{{ reasonWords(item.shelfLife) }}</span></span
      >
    </p>
    <p v-if="item.eye && over" class="font-weight-semibold">Expired and worn at the eye: stop using it.</p>
    <p v-if="sunWords(item.shelfLife.sun)">{{ sunWords(item.shelfLife.sun) }}</p>
    <p v-if="goal" class="row d-grid align-start ga-3">
      <VerdictGlyph :verdict="goalVerdict ?? 'not known'" />
      <span>
        <template v-if="goalWords"
          ><strong :class="verdictTone(goalVerdict)">{{ goalWords }}</strong>
        </template>
        {{ goal.projectName
        }}<template v-if="goal.target !== null && goal.usesLeft !== null"
          >, {{ goal.uses }} of {{ goal.target }} uses</template
        >.</span
      >
    </p>
    <div v-if="forecast.asked && ask" class="ask">
      <v-btn v-if="forecast.asked.measure !== 'weigh an empty'" variant="outlined" color="primary" @click="measure">{{
        forecast.asked.measure === 'weigh' ? 'Weigh it now' : 'Say how full it is'
      }}</v-btn>
      <span>{{ ask }}</span>
    </div>
  </div>
</template>

<style scoped>
.head {
  font: 500 clamp(19px, 1.9vw, 25px) / 1.25 var(--display);
}

.row {
  grid-template-columns: 42px minmax(0, 1fr);
}

.row svg {
  margin-top: 2px;
}

.ask {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: center;
  border-top: 1px solid var(--hair);
  padding-top: 10px;
}

.ask span {
  flex: 1 1 220px;
}

.past,
.sign-seen {
  color: var(--alarm);
}

.within-90-days,
.attention {
  color: var(--attention);
}

.done {
  color: var(--done);
}
</style>
