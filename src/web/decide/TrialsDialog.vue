<script setup lang="ts">
import { addDays, type Day } from '#core/calendar/day'
import type { ListedItem } from '#contract/item'
import TrialFields from '#web/ui/acts/TrialFields.vue'
import { TRIAL_DAYS, TRIAL_WEARS } from '#web/ui/acts/trial-draft'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import { callIt } from '#web/ui/words/item-words'
import { trialCaution } from '#web/ui/words/trial-caution'

/** Several things in one look, worn so often and decided on one by one. */
const props = defineProps<{ items: readonly ListedItem[]; today: Day }>()
const emit = defineEmits<{ close: [] }>()
const draft = useDraft(() => ({
  wears: TRIAL_WEARS,
  dueOn: addDays(props.today, TRIAL_DAYS) as string,
  question: '',
}))

const caution = trialCaution(props.items, props.today)

async function store(): Promise<void> {
  const { wears, dueOn, question } = draft.typed.value
  const trials = props.items.map((item) => ({ trialId: draft.id(`trial ${item.id}`), itemId: item.id }))
  const body = { setId: draft.id('set'), trials, wearsWanted: Number(wears), dueOn, question }
  if (await draft.store('POST', '/trials/together', body)) emit('close')
}
</script>

<template>
  <FormDialog
    :title="items.length === 1 ? `Put ${callIt(items[0]!)} on trial` : `${items.length} items on trial in one look`"
    :draft="draft"
    act="Start the trial"
    @close="emit('close')"
    @store="store"
  >
    <ul v-if="items.length > 1" class="bulleted names ps-4">
      <li v-for="item in items" :key="item.id">{{ callIt(item) }}</li>
    </ul>
    <p class="quiet">Seligo remembers what you wore under and over each of them.</p>
    <p v-if="caution" class="caution">{{ caution }}</p>
    <TrialFields v-model="draft.typed.value" :today="today" :on="draft.on" />
  </FormDialog>
</template>
