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
  <article class="sheet card d-grid pa-3 ga-3" :class="{ due: trial.decisionDue }">
    <div class="plate d-grid rounded-lg align-center justify-items-center align-self-start">
      <ItemGauge :item="trial.item" size="middle" :rail="false" />
    </div>
    <div class="words">
      <h3 class="lead">
        <RouterLink :to="`/items/${trial.item.id}`">{{ shortName(trial.item) }}</RouterLink>
        <span class="quiet">{{ kindAndMaker(trial.item) }}</span>
      </h3>
      <p v-if="trial.otherwise" class="quiet">Once more, with another {{ trial.otherwise }}.</p>
      <p v-if="trial.question" class="font-italic">“{{ trial.question }}”</p>
      <p class="standing figures font-weight-semibold">{{ standingWords(trial, today) }}</p>
      <ul class="bulleted figures small mt-1 mb-2 ps-4">
        <li v-for="sentence in trialSentences(trial, today)" :key="sentence">{{ sentence }}</li>
      </ul>
      <div v-if="trial.photos.length > 0" class="photos d-flex mt-1 mb-2 mx-0 ga-2">
        <img
          v-for="photo in trial.photos"
          :key="photo.id"
          :src="`/api/photos/${photo.id}`"
          :alt="`${shortName(trial.item)} on ${dateWords(photo.day)}`"
          loading="lazy"
        />
      </div>
      <ol v-if="trial.days.length > 0" class="days mb-2">
        <li class="hair-above py-2 px-0" v-for="wear in days" :key="wear.day">
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
      <button
        v-if="trial.days.length > days.length"
        type="button"
        class="more text-act d-block text-left small"
        @click="all = true"
      >
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
  grid-template-columns: 100px minmax(0, 1fr);
}

.card.due {
  border-color: var(--primary);
  box-shadow: inset 5px 0 0 var(--primary);
}

.plate {
  background: var(--plate);
  min-height: 126px;
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

.photos img {
  width: 72px;
  height: 72px;
  object-fit: cover;
  border-radius: 6px;
}

.days p {
  margin: 0;
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
