<script setup lang="ts">
import { computed, ref, useTemplateRef } from 'vue'
import type { AskView } from '#contract/look-back'
import type { Day } from '#core/calendar/day'
import { useCopying } from '#web/ui/use-copying'
import { useChanges } from '#web/data/changes'
import { dateWords } from '#web/data/locale'
import { useUnits } from '#web/data/units'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import LateActsMenu from '#web/ui/LateActsMenu.vue'
import { apartWords, kindAndMaker, shortName } from '#web/ui/words/item-words'
import { askAsMarkdown, evidenceOf } from './ask-words'
import { saveAs } from './save-as'
import { pictureOf } from './share-picture'

/** One question with its candidates side by side, the evidence under each, and what was said. */
const props = defineProps<{ ask: AskView; today: Day; currency: string }>()
const emit = defineEmits<{ edit: []; answer: []; drop: [] }>()
const changes = useChanges()
const units = useUnits()
const prices = ref(false)
const paper = useTemplateRef<HTMLElement>('paper')
const apart = computed(() =>
  apartWords(
    props.ask.candidates.map(({ item }) => item),
    units.value,
  ),
)
const copying = useCopying()
const copy = (): Promise<void> =>
  copying(askAsMarkdown(props.ask, props.today, props.currency, prices.value), 'Copied as Markdown.')
async function picture(): Promise<void> {
  if (paper.value === null) return
  try {
    saveAs(await pictureOf(paper.value, 'large'), props.ask.question, 'png')
    changes.say('The picture is in your downloads.')
  } catch {
    changes.say('The browser couldn’t make a picture. Print it, or copy it as text.')
  }
}
const LETTERS = 'ABCDEF'
</script>

<template>
  <div ref="paper" class="outer">
    <article class="sheet ask" :aria-label="ask.question">
      <header>
        <div>
          <h2>{{ ask.question }}</h2>
          <p class="quiet">Asked {{ dateWords(ask.askedOn) }}</p>
        </div>
        <div class="acts no-share">
          <v-checkbox v-model="prices" label="With prices" hide-details density="compact" />
          <v-btn variant="outlined" color="primary" @click="picture">Picture</v-btn>
          <v-btn variant="outlined" color="primary" @click="copy">Copy as Markdown</v-btn>
          <v-btn color="primary" @click="emit('answer')">{{
            ask.answeredOn ? 'Change the answer' : 'Type in the answer'
          }}</v-btn>
          <LateActsMenu
            dots
            :acts="[
              { words: 'Change the question', act: () => emit('edit') },
              { words: 'Remove the question', act: () => emit('drop') },
            ]"
          />
        </div>
      </header>
      <ul class="candidates" :style="{ '--of': ask.candidates.length }">
        <li
          v-for="(each, n) in ask.candidates"
          :key="each.item.id"
          :class="{ chosen: ask.chosenItemId === each.item.id }"
        >
          <div class="gauge-place"><ItemGauge :item="each.item" size="large" :rail="false" /></div>
          <h3>
            <span class="letter">{{ LETTERS[n] }}</span>
            <RouterLink :to="`/items/${each.item.id}`">{{ shortName(each.item) }}</RouterLink>
          </h3>
          <p class="quiet">{{ [kindAndMaker(each.item), apart.get(each.item.id)].filter(Boolean).join(', ') }}</p>
          <ul class="bulleted facts">
            <li v-for="fact in evidenceOf(each, today, currency, prices)" :key="fact">{{ fact }}</li>
          </ul>
          <p v-if="ask.chosenItemId === each.item.id" class="mark">This one, they said.</p>
        </li>
      </ul>
      <footer v-if="ask.answeredOn">
        <p v-if="ask.answer">“{{ ask.answer }}”</p>
        <p class="quiet">Typed in {{ dateWords(ask.answeredOn) }}</p>
      </footer>
    </article>
  </div>
</template>

<style scoped>
.outer {
  margin-bottom: 14px;
}

.ask {
  padding: 12px 18px 14px;
}

header {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 18px;
  align-items: center;
  justify-content: space-between;
}

h2 {
  font-size: 20px;
}

.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}

.candidates {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(190px, 100%), 1fr));
  gap: 14px;
  margin: 10px 0 0;
}

.candidates > li {
  padding: 10px 12px;
  border: 1px solid var(--hair);
  border-radius: 10px;
  min-width: 0;
}

.candidates > .chosen {
  border: 2px solid var(--done);
}

.gauge-place {
  display: grid;
  place-items: center;
  min-height: 178px;
  padding: 10px 0;
  background: var(--inset);
  border-radius: 8px;
}

.gauge-place :deep(.gauge),
.gauge-place :deep(.gauge .body) {
  max-width: 100%;
}

h3 {
  display: flex;
  gap: 8px;
  align-items: center;
  font-size: 16px;
  margin-top: 6px;
}

h3 a {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
  min-width: 44px;
  color: var(--ink);
}

.letter {
  display: inline-grid;
  place-items: center;
  width: 26px;
  height: 26px;
  border: 1.5px solid var(--ink);
  border-radius: 6px;
  font: 680 14px var(--display);
}

.facts {
  margin: 6px 0 0;
  padding-left: 16px;
  font-size: 13.5px;
  line-height: 1.4;
}

.mark {
  color: var(--done);
  font-weight: 650;
}

p {
  margin: 2px 0;
  font-size: 13.5px;
}

footer {
  margin-top: 10px;
  padding-left: 14px;
  border-left: 3px solid var(--primary);
}

@media print {
  .acts {
    display: none;
  }

  .ask {
    border: 0;
    break-after: page;
  }
}
</style>
