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
  <div ref="paper" class="mb-3">
    <article class="sheet ask" :aria-label="ask.question">
      <header class="d-flex flex-wrap align-center justify-space-between gr-2 gc-4">
        <div>
          <h2>{{ ask.question }}</h2>
          <p class="quiet small my-1">Asked {{ dateWords(ask.askedOn) }}</p>
        </div>
        <div class="acts no-share d-flex flex-wrap align-center ga-2">
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
      <ul class="candidates d-grid mt-2 ga-3" :style="{ '--of': ask.candidates.length }">
        <li
          v-for="(each, n) in ask.candidates"
          :key="each.item.id"
          :class="{ chosen: ask.chosenItemId === each.item.id }"
        >
          <div class="gauge-place d-grid align-center justify-items-center rounded-lg py-2 px-0">
            <ItemGauge :item="each.item" size="large" :rail="false" />
          </div>
          <h3 class="d-flex align-center lead mt-2 ga-2">
            <span class="letter align-center justify-items-center rounded-lg">{{ LETTERS[n] }}</span>
            <RouterLink :to="`/items/${each.item.id}`">{{ shortName(each.item) }}</RouterLink>
          </h3>
          <p class="quiet small my-1">
            {{ [kindAndMaker(each.item), apart.get(each.item.id)].filter(Boolean).join(', ') }}
          </p>
          <ul class="bulleted facts small mt-2 ps-4">
            <li v-for="fact in evidenceOf(each, today, currency, prices)" :key="fact">{{ fact }}</li>
          </ul>
          <p v-if="ask.chosenItemId === each.item.id" class="mark small my-1">This one, they said.</p>
        </li>
      </ul>
      <footer class="mt-2 ps-3" v-if="ask.answeredOn">
        <p class="small my-1" v-if="ask.answer">“{{ ask.answer }}”</p>
        <p class="quiet small my-1">Typed in {{ dateWords(ask.answeredOn) }}</p>
      </footer>
    </article>
  </div>
</template>

<style scoped>
.ask {
  padding: 12px 18px 14px;
}

h2 {
  font-size: 20px;
}

.candidates {
  grid-template-columns: repeat(auto-fit, minmax(min(190px, 100%), 1fr));
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
  min-height: 178px;
  background: var(--inset);
}

.gauge-place :deep(.gauge),
.gauge-place :deep(.gauge .body) {
  max-width: 100%;
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
  width: 26px;
  height: 26px;
  border: 1.5px solid var(--ink);
  font: 680 14px var(--display);
}

.facts {
  line-height: 1.4;
}

.mark {
  color: var(--done);
  font-weight: 650;
}

footer {
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
