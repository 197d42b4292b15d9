<script setup lang="ts">
import { computed, reactive, ref, useTemplateRef } from 'vue'
import { useDisplay } from 'vuetify'
import { before, kindOf } from '#core/look-back/span'
import { addDays, daysBetween } from '#core/calendar/day'
import { Refused } from '#web/data/client'
import { useSpanSheet } from '#web/data/reads'
import { useUnits } from '#web/data/units'
import EmptyPlace from '#web/ui/EmptyPlace.vue'
import { unitOf } from '#web/ui/words/measure-words'
import CompareTable from './CompareTable.vue'
import PlaceHead from '#web/ui/PlaceHead.vue'
import NextYear from './NextYear.vue'
import ShareDialog from './ShareDialog.vue'
import SheetPaper from './SheetPaper.vue'
import SpanBar from './SpanBar.vue'
import SpanWordsDialog from './SpanWordsDialog.vue'
import { titleOf } from './sheet-sections'
import { useSpan, type Mode } from './use-span'

/** A month, a year or any span on one sheet; she adds what she felt, and shares it. */
const props = defineProps<{ mode: Mode }>()
const { span, other, beside, compareWith, project, name, kept, goTo, ask } = useSpan(() => props.mode)
const { answer: sheet, failed } = useSpanSheet(span, project)
const { answer: otherSheet } = useSpanSheet(other)
const units = useUnits()
const shown = reactive({ prices: true, photos: false })
const options = computed(() => ({ ...shown, unit: unitOf(units.value) }))
const refused = computed(() => (failed.value instanceof Refused ? failed.value.problem.detail : ''))
const writing = ref(false)
const sharing = ref(false)
const paper = useTemplateRef<HTMLElement>('paper')
const nothing = computed(() => sheet.value !== null && sheet.value.logSince === null && sheet.value.cameIn.length === 0)
/** As far back as there is anything to tell. */
const next = computed(() => {
  if (span.value === null || kept.value === null) return null
  const { from, to } = span.value
  if (kindOf(span.value) === 'own') return null
  const first = addDays(to, 1)
  return first > kept.value.today ? null : { from: first, to: addDays(first, daysBetween(from, to)) }
})
/** Pages of Look back that have no tab. */
const DOORS = [
  { words: 'Any period', to: '/look-back/span' },
  { words: 'Ask friends', to: '/look-back/asks' },
  { words: 'Lessons', to: '/look-back/lessons' },
]
const { mobile } = useDisplay()
const acts = computed(() => [
  ...(sheet.value && !nothing.value
    ? [
        { words: sheet.value.words ? 'Change how it felt' : 'Say how it felt', act: () => void (writing.value = true) },
        ...(mobile.value ? beside.value : []),
      ]
    : []),
  ...DOORS,
])
const question = computed(() =>
  props.mode === 'month'
    ? 'How did the month go?'
    : props.mode === 'year'
      ? 'How did the year go, and what comes next?'
      : 'How did it go, from one day to another?',
)
</script>

<template>
  <PlaceHead
    :title="mode === 'span' ? 'Any period' : ''"
    :question="question"
    :primary="sheet && !nothing ? { words: 'Share or print', act: () => (sharing = true) } : null"
    :acts="acts"
  />
  <SpanBar
    v-if="span && kept"
    :mode="mode"
    :span="span"
    :beside="beside"
    :kept="kept"
    :previous="before(span)"
    :next="next"
    @go="goTo"
    @ask="ask"
    @compare="compareWith"
  />
  <p v-if="refused" class="trouble" role="alert">{{ refused }}</p>
  <template v-else-if="sheet">
    <EmptyPlace v-if="nothing" title="Nothing to look back on yet" act="To today" to="/">
      Tick what you wear, and the month is here: what you wore, what you finished, what it came to. You add how it felt.
    </EmptyPlace>
    <template v-else>
      <CompareTable v-if="otherSheet" :one="sheet" :other="otherSheet" :options="options" />
      <div ref="paper"><SheetPaper :sheet="sheet" :name="name" :options="options" /></div>
      <NextYear v-if="mode === 'year'" :sheet="sheet" />
    </template>
    <SpanWordsDialog v-if="writing" :sheet="sheet" @close="writing = false" />
    <ShareDialog
      v-if="sharing"
      v-model:prices="shown.prices"
      v-model:photos="shown.photos"
      :sheet="sheet"
      :title="titleOf(sheet, name)"
      :options="options"
      :paper="paper"
      @close="sharing = false"
    />
  </template>
</template>

<style scoped>
.trouble {
  padding: 12px 16px;
  border-left: 4px solid var(--attention);
  background: var(--raised);
}
</style>
