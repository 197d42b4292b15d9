<script setup lang="ts">
import { computed } from 'vue'
import type { SpanSheet } from '#contract/look-back'
import { moneyShort, dateWords } from '#web/data/locale'
import SheetShelves from '#web/ui/SheetShelves.vue'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { massWords } from '#web/ui/words/measure-words'
import { useStages } from '#web/ui/use-stages'
import LookStrip from './LookStrip.vue'
import FinishedRow from './FinishedRow.vue'
import SectionBlock from './SectionBlock.vue'
import SheetCharts from './SheetCharts.vue'
import SheetPhotos from './SheetPhotos.vue'
import WornStrokes from './WornStrokes.vue'
import { sectionsOf, titleOf, type SectionId, type SheetOptions } from './sheet-sections'

/** A span on one sheet, as the screen shows it, as it is printed, and as it is shared. */
const props = defineProps<{ sheet: SpanSheet; name: string; options: SheetOptions }>()
const items = computed(() => new Map(props.sheet.items.map((item) => [item.id, item])))
const sections = computed(() => sectionsOf(props.sheet, props.options))
const of = (id: SectionId) => computed(() => sections.value.find((section) => section.id === id) ?? null)
const [sums, words, project, push, finishes] = [of('sums'), of('words'), of('project'), of('push'), of('finishes')]
const most = of('most')
/** What is told by its words and its table alone, in the order in which it is read. */
const plain = computed(() =>
  sections.value.filter(({ id }) => !['sums', 'words', 'project', 'push', 'finishes', 'most', 'kinds'].includes(id)),
)
const kinds = of('kinds')
const figures = computed(() => {
  const { days, totals, finishes: done, currency } = props.sheet
  return [
    { figure: String(days.wear), words: `wear days of ${days.all}` },
    { figure: String(totals.uses), words: totals.uses === 1 ? 'use' : 'uses' },
    { figure: String(done.length), words: 'finished' },
    ...(totals.grams
      ? [
          {
            figure: massWords(totals.grams.grams, totals.grams.giveOrTake, props.options.unit),
            words: 'used, by weight',
          },
        ]
      : []),
    ...(props.options.prices && totals.spent.of > 0
      ? [{ figure: moneyShort(totals.spent.minor, currency), words: 'used up, about' }]
      : []),
  ]
})
/** As many as stand side by side on a laptop's screen. */
const ON_A_SHELF = 9
const shelves = computed(() => {
  const { lines } = props.sheet
  const count = Math.ceil(lines.length / ON_A_SHELF)
  const each = Math.ceil(lines.length / Math.max(1, count))
  return Array.from({ length: count }, (_, n) => lines.slice(n * each, (n + 1) * each))
})
const pushed = computed(() =>
  [...new Set(props.sheet.pushes.map(({ itemId }) => itemId))].flatMap((id) => items.value.get(id) ?? []),
)
/** The charts stand first; the rest, many gauges, is laid out when they have been shown. */
const stage = useStages(4)
const whole = computed(() => props.sheet.kind === 'month' || stage.value > 3)
const NO_CORRECTIONS = new Map<string, string>()
</script>

<template>
  <article class="paper sheet overflow-hidden" :aria-label="titleOf(sheet, name)" :aria-busy="!whole">
    <header class="top d-flex flex-wrap align-end justify-space-between pt-3 pb-2 px-4">
      <div>
        <h2>{{ titleOf(sheet, name) }}</h2>
        <p class="quiet figures small prose my-1">
          {{ dateWords(sheet.from) }} to {{ dateWords(sheet.to) }}{{ sheet.running ? ', not over yet' : '' }}
        </p>
      </div>
      <ul class="figures-row d-flex flex-wrap gr-1 gc-6" aria-hidden="true">
        <li class="d-grid" v-for="each in figures" :key="each.words">
          <strong class="figures">{{ each.figure }}</strong><span class="fine quiet">{{ each.words }}</span>
        </li>
      </ul>
    </header>
    <div class="pt-0 pb-3 px-4">
      <p class="small prose my-1" v-if="sums">{{ sums.sentences.join(' ') }}</p>
      <blockquote class="prose mt-2 mb-1 mx-0 py-1 ps-3 pe-0" v-if="words">{{ words.sentences[0] }}</blockquote>
    </div>
    <SheetCharts v-if="sheet.kind !== 'month'" :sheet="sheet" />
    <template v-if="whole">
      <section v-if="project" class="project hair-above" :aria-label="project.title">
        <h3 class="pt-3 pb-0 px-4">{{ project.title }}</h3>
        <p class="small prose my-1 py-0 px-4" v-for="sentence in project.sentences" :key="sentence">{{ sentence }}</p>
        <SheetShelves
          v-for="lines in shelves"
          :key="lines[0]?.itemId ?? ''"
          :sheet="{ from: sheet.from, to: sheet.to < sheet.today ? sheet.to : sheet.today, items: sheet.lines }"
          :lines="lines"
          :items="sheet.items"
          :unit="options.unit"
          :corrected="NO_CORRECTIONS"
        />
      </section>
      <SheetPhotos v-if="options.photos && sheet.photos.length > 0" :photos="sheet.photos" />
      <div class="columns">
        <SectionBlock v-if="push" :section="push" drawn>
          <div class="d-flex pt-2 ga-4">
            <ItemGauge v-for="item in pushed" :key="item.id" :item="item" size="middle" />
          </div>
        </SectionBlock>
        <SectionBlock v-if="finishes" :section="finishes" drawn>
          <FinishedRow :finishes="sheet.finishes" :items="items" :until="sheet.to" />
        </SectionBlock>
        <SectionBlock v-if="most" :section="most" drawn>
          <WornStrokes :lines="sheet.most" :items="items" />
        </SectionBlock>
        <section v-if="sheet.look" class="look hair-above py-3 px-0" aria-label="The look most often on">
          <h3>The look most often on</h3>
          <p class="small prose my-1">On {{ sheet.look.days }} days, just so.</p>
          <LookStrip :item-ids="sheet.look.itemIds" :items="items" />
        </section>
        <SectionBlock v-for="section in plain" :key="section.id" :section="section" />
      </div>
      <div v-if="kinds" class="kinds pt-0 pb-3 px-4"><SectionBlock :section="kinds" /></div>
    </template>
  </article>
</template>

<style scoped>
.top {
  gap: 6px 28px;
}

h2 {
  font-size: 24px;
}

h3 {
  font-size: 16.5px;
}

.figures-row strong {
  font: 660 26px/1.05 var(--display);
}

blockquote {
  border-left: 3px solid var(--primary);
  font: 480 16.5px/1.45 var(--display);
  white-space: pre-line;
}

.project > :deep(.shelves) {
  margin-top: 8px;
}

.columns {
  columns: 2 380px;
  column-gap: 34px;
  padding: 0 18px 14px;
}

.columns > :first-child {
  border-top-color: transparent;
}

.look {
  break-inside: avoid;
}

.phone .columns {
  columns: 1;
}

@media print {
  .paper {
    border: 0;
    overflow: visible;
  }

  .columns {
    columns: 2;
  }

  .project > :deep(.shelves) {
    break-inside: avoid;
  }
}
</style>
