<script setup lang="ts">
import { computed } from 'vue'
import type { Day } from '#core/calendar/day'
import { parseMass } from '#core/measure/weighing'
import type { ListedItem } from '#contract/item'
import { useHerScale, useUnits } from '#web/data/units'
import { useScale } from '#web/devices/scale'
import ChoiceRow from '#web/ui/form/ChoiceRow.vue'
import DayField from '#web/ui/form/DayField.vue'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import { draftFor } from '#web/ui/reading/read-draft'
import SimulatedScale from '#web/ui/reading/SimulatedScale.vue'
import WeighField from '#web/ui/reading/WeighField.vue'
import { unitOf } from '#web/ui/words/measure-words'

/** What a package of its kind weighs: this one when it was full, an empty one as it was finished, or washed. */
const props = defineProps<{ item: ListedItem; today: Day }>()
const emit = defineEmits<{ close: [] }>()
const units = useUnits()
const herScale = useHerScale()
const scale = useScale()
const STATES = computed(() =>
  props.item.lifecycle === 'finished' ? (['as finished', 'cleaned', 'full'] as const) : (['full', 'cleaned'] as const),
)
const draft = useDraft(() => ({
  ...draftFor(props.item, props.today, unitOf(units.value), herScale.value.step),
  state: STATES.value[0] as 'full' | 'as finished' | 'cleaned',
}))
const { typed, on } = draft
const mass = computed(() => parseMass(typed.value.mass, typed.value.unit))

async function store(): Promise<void> {
  if (!mass.value.ok) return
  const { state, resolution, day } = typed.value
  const answer = await draft.store('POST', `/items/${props.item.id}/package-weights`, {
    id: draft.id('weight'),
    state,
    grams: mass.value.value,
    resolution,
    day,
  })
  if (answer) emit('close')
}
</script>

<template>
  <FormDialog
    title="What its packaging weighs"
    :draft="draft"
    act="Save"
    :ready="mass.ok"
    :width="560"
    @close="emit('close')"
    @store="store"
  >
    <ChoiceRow
      v-model="typed.state"
      label="It was"
      :options="STATES"
      :words="{
        full: 'this one, still full',
        'as finished': 'this one, empty, not washed',
        cleaned: 'an empty one of its type, washed and dry',
      }"
    />
    <WeighField v-model="typed" :error="on('grams')[0] ?? ''" autofocus />
    <SimulatedScale v-if="scale.simulated" :port="scale.simulated" :expected="null" />
    <DayField v-model="typed.day" label="Weighed on" :max="today" :error-messages="on('day')" />
    <p class="quiet">An empty one counts for every shade of the same brand, name, form and size.</p>
  </FormDialog>
</template>
