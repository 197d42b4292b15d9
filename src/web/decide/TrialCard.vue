<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Day } from '#core/calendar/day'
import type { Aspect, Felt } from '#core/decide/feelings'
import { counted } from '#core/words/counted'
import type { TrialView } from '#contract/ending'
import { useChanges } from '#web/data/changes'
import { newId } from '#web/data/client'
import { dateWords } from '#web/data/locale'
import FeltTaps from '#web/ui/FeltTaps.vue'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { kindAndMaker, shortName } from '#web/ui/words/item-words'
import { shortDay } from '#web/ui/words/when-words'
import { trialSentences, standingWords } from './trial-words'

/** A running trial with its evidence in sentences, and how each wear felt: facts, none of them a verdict. */
const props = defineProps<{ trial: TrialView; today: Day }>()
defineEmits<{ decide: [] }>()
const changes = useChanges()
const FIRST = 1
const all = ref(false)
const days = computed(() => (all.value ? props.trial.days : props.trial.days.slice(0, FIRST)))

function feel(day: Day, aspect: Aspect, felt: Felt | null): void {
  const body = { changeId: newId(), itemId: props.trial.item.id, day, felt: [{ aspect, felt }], words: null }
  void changes.run('POST', '/feelings', body)
}
</script>

<template>
  <article class="sheet card" :class="{ due: trial.decisionDue }">
    <div class="plate"><ItemGauge :item="trial.item" size="middle" :rail="false" /></div>
    <div class="words">
      <h3>
        <RouterLink :to="`/items/${trial.item.id}`">{{ shortName(trial.item) }}</RouterLink>
        <span class="quiet">{{ kindAndMaker(trial.item) }}</span>
      </h3>
      <p v-if="trial.otherwise" class="quiet">Once more, with another {{ trial.otherwise }}.</p>
      <p v-if="trial.question" class="question">“{{ trial.question }}”</p>
      <p class="standing figures">{{ standingWords(trial, today) }}</p>
      <ul class="bulleted figures">
        <li v-for="sentence in trialSentences(trial, today)" :key="sentence">{{ sentence }}</li>
      </ul>
      <div v-if="trial.photos.length > 0" class="photos">
        <img
          v-for="photo in trial.photos"
          :key="photo.id"
          :src="`/api/photos/${photo.id}`"
          :alt="`${shortName(trial.item)} on ${dateWords(photo.day)}`"
          loading="lazy"
        />
      </div>
      <ol v-if="trial.days.length > 0" class="days">
        <li v-for="wear in days" :key="wear.day">
          <p>
            <strong>{{ shortDay(wear.day, today) }}</strong><span v-if="wear.words"> “{{ wear.words }}”</span>
          </p>
          <p v-if="all && wear.under.length + wear.over.length > 0" class="quiet">
            {{ wear.under.length > 0 ? `over ${wear.under.join(', ')}` : ''
            }}{{ wear.under.length > 0 && wear.over.length > 0 ? '; ' : ''
            }}{{ wear.over.length > 0 ? `with ${wear.over.join(', ')}` : '' }}
          </p>
          <FeltTaps
            :felt="wear.felt"
            :of="`${shortName(trial.item)} on ${shortDay(wear.day, today)}`"
            @feel="(aspect, felt) => feel(wear.day, aspect, felt)"
          />
        </li>
      </ol>
      <button v-if="trial.days.length > days.length" type="button" class="more text-act" @click="all = true">
        {{ counted(trial.days.length - days.length, 'earlier wear') }}, each with what was worn under and over it
      </button>
      <p v-if="trial.before.length > 0" class="quiet before">
        Before:
        {{
          trial.before
            .map((each) => `${each.verdict} (${dateWords(each.day)})${each.reason ? `, “${each.reason}”` : ''}`)
            .join('; ')
        }}. Changing one’s mind is normal.
      </p>
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
  grid-template-columns: 100px minmax(0, 1fr);
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

h3 a:not(.v-btn) {
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
  margin: 4px 0 8px;
  padding-left: 16px;
  font-size: 13.5px;
}

.photos {
  display: flex;
  gap: 6px;
  margin: 4px 0 8px;
}

.photos img {
  width: 72px;
  height: 72px;
  object-fit: cover;
  border-radius: 6px;
}

.days {
  margin: 0 0 8px;
}

.days li {
  padding: 6px 0;
  border-top: 1px solid var(--hair);
}

.days p {
  margin: 0;
  font-size: 13.5px;
}

.more {
  display: block;
  text-align: left;
  font-size: 13.5px;
}

.before {
  margin: 0 0 10px;
  font-size: 13.5px;
}

.phone .card {
  grid-template-columns: minmax(0, 1fr);
}

.phone .plate {
  min-height: 84px;
}
</style>
