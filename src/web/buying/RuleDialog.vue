<script setup lang="ts">
import { computed } from 'vue'
import { addMonths, type Day } from '#core/calendar/day'
import { useStock } from '#web/data/stock'
import ChoiceRow from '#web/ui/form/ChoiceRow.vue'
import DayField from '#web/ui/form/DayField.vue'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'

/** A limit she sets herself: none at all, or so many, with what she plans as exceptions. */
const props = defineProps<{ today: Day }>()
const emit = defineEmits<{ close: [] }>()
const stock = useStock()
const MONTHS = 3
const draft = useDraft(() => ({
  kind: 'no-buy' as 'no-buy' | 'low-buy' | null,
  most: '3',
  from: props.today as string,
  to: addMonths(props.today, MONTHS) as string,
  categoryId: null as string | null,
  spares: true,
  excepted: [] as string[],
  words: '',
}))
const { typed, on } = draft
const kinds = computed(() => stock.categories.map((each) => ({ title: each.name, value: each.id })))

async function store(): Promise<void> {
  const { kind, most, from, to, categoryId, spares, excepted, words } = typed.value
  const done = await draft.store('POST', '/buying-rules', {
    id: draft.id('rule'),
    from,
    to,
    most: kind === 'no-buy' ? 0 : most.trim() === '' ? null : Number(most),
    categoryId,
    sparesReplacements: spares,
    exceptions: excepted.map((id) => ({ id: draft.id(`exception ${id}`), categoryId: id, most: 1, words: '' })),
    words,
  })
  if (done) emit('close')
}
</script>

<template>
  <FormDialog
    title="A no-buy or low-buy"
    :draft="draft"
    act="Save"
    :ready="typed.kind !== null && typed.from !== '' && typed.to !== ''"
    @close="emit('close')"
    @store="store"
  >
    <ChoiceRow
      v-model="typed.kind"
      label="I buy"
      :options="['no-buy', 'low-buy']"
      :words="{ 'no-buy': 'nothing', 'low-buy': 'only so many' }"
    />
    <v-text-field
      v-if="typed.kind === 'low-buy'"
      v-model="typed.most"
      inputmode="numeric"
      label="How many"
      :error-messages="on('most')"
    />
    <div class="side-by-side">
      <DayField v-model="typed.from" label="From" :error-messages="on('from')" />
      <DayField v-model="typed.to" label="To" :error-messages="on('to')" />
    </div>
    <v-autocomplete
      v-model="typed.categoryId"
      clearable
      label="Of one type only? (else of everything)"
      :items="kinds"
      :error-messages="on('categoryId')"
    />
    <v-checkbox v-model="typed.spares" label="Replacing what I finish doesn’t count" />
    <v-autocomplete
      v-model="typed.excepted"
      multiple
      chips
      closable-chips
      label="Planned exceptions, one of each type"
      :items="kinds"
      :error-messages="on('exceptions')"
    />
    <v-text-field v-model="typed.words" label="Why? (optional)" :error-messages="on('words')" />
  </FormDialog>
</template>
