<script setup lang="ts">
import type { Day } from '#core/calendar/day'
import { PUT_LOCATIONS } from '#core/item/traits'
import type { ListedItem } from '#contract/item'
import ChoiceRow from '#web/ui/form/ChoiceRow.vue'
import DayField from '#web/ui/form/DayField.vue'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import { callIt, shortName } from '#web/ui/words/item-words'
import { locationWords } from '#web/ui/words/location-words'
import type { ActResult } from './item-acts'

/** Somewhere that is not the drawer; with a day it asks to come back. */
const props = defineProps<{ item: ListedItem; today: Day }>()
const emit = defineEmits<{ close: []; done: [result: ActResult] }>()
const draft = useDraft(() => ({
  location: (props.item.location === 'zone' ? 'resting' : props.item.location) as (typeof PUT_LOCATIONS)[number] | null,
  until: '',
}))
const { typed, on } = draft

async function store(): Promise<void> {
  const { location, until } = typed.value
  if (await draft.store('POST', `/items/${props.item.id}/put`, { location, until: until || null })) emit('done', {})
}
</script>

<template>
  <FormDialog
    :title="`Where is ${shortName(item)}?`"
    :label="`Where ${callIt(item)} is`"
    :draft="draft"
    act="Move"
    @close="emit('close')"
    @store="store"
  >
    <p class="quiet">Now it is {{ locationWords(item) }}.</p>
    <ChoiceRow
      v-model="typed.location"
      label="Place"
      :options="PUT_LOCATIONS"
      :words="{
        resting: 'at rest',
        'season box': 'in the season box',
        travel: 'in the travel bag',
        handbag: 'in the handbag',
        'backups box': 'in the backups box',
      }"
    />
    <DayField
      v-model="typed.until"
      label="Until (optional)"
      hint="On that day it’s suggested again."
      :min="today"
      :error-messages="on('until')"
    />
  </FormDialog>
</template>
