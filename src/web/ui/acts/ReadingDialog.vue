<script setup lang="ts">
import { computed, watch } from 'vue'
import type { Day } from '#core/calendar/day'
import type { ListedItem } from '#contract/item'
import { dateWords } from '#web/data/locale'
import { useScale } from '#web/devices/scale'
import { useItem } from '#web/data/reads'
import { useHerScale, useUnits } from '#web/data/units'
import ChoiceRow from '#web/ui/form/ChoiceRow.vue'
import DayField from '#web/ui/form/DayField.vue'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import LookFields from '#web/ui/reading/LookFields.vue'
import { draftFor, drawnWith, kindsOf, readOf } from '#web/ui/reading/read-draft'
import SimulatedScale from '#web/ui/reading/SimulatedScale.vue'
import WeighField from '#web/ui/reading/WeighField.vue'
import { callIt, shortName } from '#web/ui/words/item-words'
import { anyReadingWords, KIND_WORDS, unitOf } from '#web/ui/words/measure-words'
import type { ActContext, ActResult } from './item-acts'

/** How much is left, on the scale or by eye, with its day; the last reading stands beside the new one. */
const props = defineProps<{ item: ListedItem; today: Day; context: ActContext }>()
const emit = defineEmits<{ close: []; done: [result: ActResult] }>()
const scale = useScale()
const whole = useItem(() => props.item.id)
const units = useUnits()
const herScale = useHerScale()
const unit = computed(() => unitOf(units.value))
const draft = useDraft(() => draftFor(props.item, props.today, unit.value, herScale.value.step, props.context.partId))
const { typed, on } = draft
const kinds = computed(() =>
  kindsOf(props.item, typed.value.partId).filter((kind) => kind !== 'bare' || typed.value.partId === null),
)
const choices = computed(() => [
  { title: 'the whole of it', value: null },
  ...props.item.parts.map(({ id, name }) => ({ title: name, value: id })),
])
watch(
  () => typed.value.partId,
  (partId) => {
    typed.value.stage = props.item.parts.find((part) => part.id === partId)?.reading?.stage ?? null
    const possible = kindsOf(props.item, partId)
    if (!possible.includes(typed.value.kind)) typed.value.kind = possible[0] ?? 'gross'
  },
)
const readings = computed(() =>
  (whole.answer.value?.readings ?? []).filter((each) => each.partId === typed.value.partId),
)
const last = computed(() =>
  readings.value.findLast((each) => (each.kind === 'gross') === (typed.value.kind === 'gross') && !each.doubtful),
)
const expected = computed(() => {
  const before = readings.value.findLast((each) => each.kind === 'gross')
  return before?.value ?? null
})
const read = computed(() => readOf(typed.value))
const lastWords = computed(() =>
  last.value === undefined
    ? 'Never read before.'
    : `Last: ${anyReadingWords(last.value, unit.value)}, ${dateWords(last.value.day)}.`,
)

async function store(): Promise<void> {
  if (!read.value.ok) return
  const answer = await draft.store('POST', `/items/${props.item.id}/readings`, {
    id: draft.id('reading'),
    partId: typed.value.partId,
    reading: read.value.body,
  })
  if (answer) emit('done', {})
}
</script>

<template>
  <FormDialog
    :title="`How much is left of ${shortName(item)}?`"
    :label="`How much is left of ${callIt(item)}`"
    :draft="draft"
    act="Save"
    :ready="read.ok"
    :width="640"
    @close="emit('close')"
    @store="store"
  >
    <v-select v-if="item.parts.length > 0" v-model="typed.partId" label="Shade" :items="choices" />
    <ChoiceRow v-if="kinds.length > 1" v-model="typed.kind" label="Read by" :options="kinds" :words="KIND_WORDS" />
    <div class="d-flex flex-wrap align-start ga-5">
      <ItemGauge :item="drawnWith(item, typed)" size="large" :rail="false" />
      <div class="fields d-grid min-w-0 ga-2">
        <p class="quiet">{{ lastWords }}</p>
        <WeighField v-if="typed.kind === 'gross'" v-model="typed" :error="on('reading.grams')[0] ?? ''" autofocus />
        <SimulatedScale v-if="typed.kind === 'gross' && scale.simulated" :port="scale.simulated" :expected="expected" />
        <LookFields v-if="typed.kind !== 'gross'" v-model="typed" :on="on" />
        <p v-if="!read.ok && read.words" class="alarm">{{ read.words }}</p>
        <DayField
          v-model="typed.day"
          label="Seen on"
          :max="today"
          :error-messages="[...on('reading.day'), ...on('day')]"
        />
        <v-checkbox v-model="typed.doubtful" label="I don’t quite trust it: keep it, but don’t count it" />
        <v-text-field v-model="typed.note" label="A note (optional)" :error-messages="on('reading.note')" />
      </div>
    </div>
  </FormDialog>
</template>

<style scoped>
.fields {
  flex: 1 1 260px;
}
</style>
