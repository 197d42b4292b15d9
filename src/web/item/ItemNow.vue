<script setup lang="ts">
import { computed } from 'vue'
import type { ItemAnswer } from '#contract/item'
import { dateWords } from '#web/data/locale'
import { useUnits } from '#web/data/units'
import { leftWords } from '#web/ui/words/gauge-words'
import { paceWords, shortStanding } from '#web/ui/words/goal-words'
import { usesWords } from '#web/ui/words/item-words'
import { contentWords, massFigure, massWords, unitOf } from '#web/ui/words/measure-words'
import { goodTo, reasonWords, sunWords } from '#web/ui/words/shelf-life-words'
import { fromNow } from '#web/ui/words/when-words'

/** What matters now, in one glance: what is left, how it goes, and how long it is good; a sentence under each. */
const props = defineProps<{ answer: ItemAnswer }>()
const item = computed(() => props.answer.item)
const goal = computed(() => item.value.goal)
const units = useUnits()
const unit = computed(() => unitOf(units.value))
/** By weighings: what is left in grams, as a likely span. */
const weighed = computed(() => {
  const { content } = props.answer
  if (!content || content.from.weighings === 0) return ''
  const { low, high } = content.grams
  return `${massFigure(low, 0.1, unit.value)} to ${massWords(high, 0.1, unit.value)} left`
})
const left = computed(() => {
  if (item.value.parts.length > 0) return 'Each shade by itself stands below.'
  const { reading } = item.value
  const { sinceReading } = props.answer
  if (reading === null) return 'Read it once by eye, and it is drawn.'
  const since = sinceReading === null ? '' : `, ${usesWords(sinceReading.uses)} since`
  return `Seen ${dateWords(reading.day)}${since}.`
})
const leftReason = computed(() =>
  [
    item.value.reading === null && weighed.value ? '' : left.value,
    weighed.value && item.value.reading !== null ? `By weight ${weighed.value}.` : '',
    props.answer.content && weighed.value ? contentWords(props.answer.content, unit.value) : '',
  ]
    .filter(Boolean)
    .join(' '),
)
const pace = computed(() => {
  if (goal.value) return shortStanding(goal.value) || `${goal.value.uses} of ${usesWords(goal.value.target ?? 0)}`
  return usesWords(item.value.uses)
})
const paceReason = computed(() => {
  if (goal.value) return `${goal.value.projectName}: ${paceWords(goal.value, props.answer.today)}`
  const { lastWorn } = item.value
  return lastWorn === null
    ? 'Not worn in the log.'
    : `Last worn ${fromNow(lastWorn, props.answer.today)}; in no project.`
})
const over = computed(() => ['past', 'sign seen'].includes(item.value.shelfLife.state))
</script>

<template>
  <div class="now" role="group" aria-label="What matters now">
    <div class="figure">
      <h2>Left</h2>
      <strong class="figures">{{ weighed && item.reading === null ? weighed : leftWords(item) }}</strong>
      <p>{{ leftReason }}</p>
      <p v-if="answer.content?.disagreement" class="caution">
        Scale and label disagree: full less empty is {{ massWords(answer.content.disagreement.byScale, 0.1, unit) }},
        the label leaves {{ massWords(answer.content.disagreement.byLabel, 0.1, unit) }} to reach. Another package, or
        another size? Until you say, the scale counts.
      </p>
    </div>
    <div class="figure">
      <h2>{{ goal ? 'Goal' : 'Uses' }}</h2>
      <strong class="figures" :class="goal?.standing.replaceAll(' ', '-')">{{ pace }}</strong>
      <p class="figures">{{ paceReason }}</p>
    </div>
    <div class="figure">
      <h2>Last good day</h2>
      <strong class="figures" :class="item.shelfLife.state.replaceAll(' ', '-')"
        >{{ goodTo(item, answer.today)
        }}<template v-if="item.shelfLife.actOn && !over"
          >, {{ fromNow(item.shelfLife.actOn, answer.today) }}</template
        ></strong
      >
      <p>{{ reasonWords(item) }}</p>
      <p v-if="item.eye && over" class="caution">Past its date and worn at the eye: stop using it.</p>
      <p v-if="sunWords(item)" class="caution">{{ sunWords(item) }}</p>
    </div>
  </div>
</template>

<style scoped>
.now {
  display: grid;
  gap: 2px;
  align-content: start;
}

.figure {
  display: grid;
  grid-template-columns: 110px minmax(0, 1fr);
  gap: 0 14px;
  align-items: baseline;
  padding: 10px 0;
  border-top: 1px solid var(--hair);
}

.figure:first-child {
  border-top: 0;
}

h2 {
  font: 620 13px var(--display);
  color: var(--quiet);
}

strong {
  font: 640 19px/1.2 var(--display);
}

p {
  grid-column: 2;
  margin: 3px 0 0;
  max-width: 70ch;
}

.past,
.sign-seen {
  color: var(--alarm);
}

.within-90-days,
.behind,
.out-of-reach {
  color: var(--attention);
}

.met {
  color: var(--done);
}

.phone .figure {
  grid-template-columns: 1fr;
}

.phone .figure p {
  grid-column: 1;
}
</style>
