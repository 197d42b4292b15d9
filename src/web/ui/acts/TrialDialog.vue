<script setup lang="ts">
import { addDays, type Day } from '#core/calendar/day'
import type { ListedItem } from '#contract/item'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import { callIt, shortName } from '#web/ui/words/item-words'
import { trialCaution } from '#web/ui/words/trial-caution'
import type { ActResult } from './item-acts'
import { TRIAL_DAYS, TRIAL_WEARS } from './trial-draft'
import TrialFields from './TrialFields.vue'

/** Worn properly a set number of times, then decided on. */
const props = defineProps<{ item: ListedItem; today: Day }>()
const emit = defineEmits<{ close: []; done: [result: ActResult] }>()
const draft = useDraft(() => ({
  wears: TRIAL_WEARS,
  dueOn: addDays(props.today, TRIAL_DAYS) as string,
  question: '',
}))
const { typed } = draft
const over = trialCaution([props.item], props.today)

async function store(): Promise<void> {
  const { wears, dueOn, question } = typed.value
  const body = { trialId: draft.id('trial'), itemId: props.item.id, wearsWanted: Number(wears), dueOn, question }
  if (await draft.store('POST', '/trials', body)) emit('done', {})
}
</script>

<template>
  <FormDialog
    :title="`Put ${shortName(item)} on trial`"
    :label="`Trial of ${callIt(item)}`"
    :draft="draft"
    act="Start the trial"
    @close="emit('close')"
    @store="store"
  >
    <p class="quiet">Wear it in a full look, a few times; then decide.</p>
    <p v-if="over" class="caution">{{ over }}</p>
    <TrialFields v-model="typed" :today="today" :on="draft.on" />
  </FormDialog>
</template>
