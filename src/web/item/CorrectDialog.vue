<script setup lang="ts">
import { computed } from 'vue'
import type { Day } from '#core/calendar/day'
import type { ListedItem } from '#contract/item'
import type { ReadingView } from '#contract/reading'
import { dateWords } from '#web/data/locale'
import { useUnits } from '#web/data/units'
import DayField from '#web/ui/form/DayField.vue'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import LookFields from '#web/ui/reading/LookFields.vue'
import { draftFor, readOf } from '#web/ui/reading/read-draft'
import WeighField from '#web/ui/reading/WeighField.vue'
import { massFigure, unitOf } from '#web/ui/words/measure-words'

/** A reading put right: what it said before stays in the journal. */
const props = defineProps<{ item: ListedItem; reading: ReadingView; today: Day }>()
const emit = defineEmits<{ close: [] }>()
const units = useUnits()
/** As it was when the form was opened: what another window stores meanwhile is not written over unseen. */
const { version } = props.reading
const draft = useDraft(() => {
  const { reading } = props
  const unit = unitOf(units.value)
  const resolution = reading.resolution ?? 0.1
  return {
    ...draftFor(props.item, reading.day, unit, resolution),
    kind: reading.kind,
    partId: reading.partId,
    mass: reading.kind === 'gross' ? massFigure(reading.value ?? 0, resolution, unit) : '',
    massHow: reading.how,
    percent: reading.kind === 'gross' || reading.value === null ? null : Math.round(reading.value * 1000) / 10,
    percentHow: reading.how,
    mm: reading.mm === null ? '' : String(reading.mm),
    ofMm: reading.ofMm === null ? '' : String(reading.ofMm),
    stage: reading.stage,
    word: reading.word,
    doubtful: reading.doubtful,
    note: reading.note,
  }
})
const { typed, on } = draft
const untouched = JSON.stringify([
  typed.value.mass,
  typed.value.unit,
  typed.value.percent,
  typed.value.mm,
  typed.value.ofMm,
])
/** A figure that was not touched stays exactly as it was: what is shown of it is rounded. */
const read = computed(() => {
  const made = readOf(typed.value)
  const { value } = props.reading
  const now = JSON.stringify([
    typed.value.mass,
    typed.value.unit,
    typed.value.percent,
    typed.value.mm,
    typed.value.ofMm,
  ])
  if (!made.ok || value === null || now !== untouched) return made
  return {
    ok: true as const,
    body: { ...made.body, ...(props.reading.kind === 'gross' ? { grams: value } : { value }) },
  }
})
async function store(): Promise<void> {
  if (!read.value.ok) return
  const answer = await draft.store('PUT', `/readings/${props.reading.id}`, {
    version,
    reading: read.value.body,
  })
  if (answer) emit('close')
}
</script>

<template>
  <FormDialog
    :title="`Correct the reading of ${dateWords(reading.day)}`"
    :draft="draft"
    act="Save"
    :ready="read.ok"
    @close="emit('close')"
    @store="store"
  >
    <WeighField v-if="typed.kind === 'gross'" v-model="typed" :error="on('reading.grams')[0] ?? ''" autofocus />
    <LookFields v-else v-model="typed" :on="on" />
    <DayField v-model="typed.day" label="Seen on" :max="today" :error-messages="[...on('reading.day'), ...on('day')]" />
    <v-checkbox v-model="typed.doubtful" label="I don’t quite trust it: keep it, but don’t count it" />
    <v-text-field v-model="typed.note" label="A note (optional)" :error-messages="on('reading.note')" />
    <p v-if="reading.pan && typed.percent !== Math.round((reading.value ?? 0) * 1000) / 10" class="quiet">
      Your figure replaces what was read off the photo.
    </p>
  </FormDialog>
</template>
