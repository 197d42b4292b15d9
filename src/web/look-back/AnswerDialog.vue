<script setup lang="ts">
import type { AskView } from '#contract/look-back'
import ChoiceRow from '#web/ui/form/ChoiceRow.vue'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import { shortName } from '#web/ui/words/item-words'

/** What friends said, in their words, and the one they chose. */
const props = defineProps<{ ask: AskView }>()
const emit = defineEmits<{ close: [] }>()
const draft = useDraft(() => ({ answer: props.ask.answer, chosenItemId: props.ask.chosenItemId }))
const { typed, on } = draft
/** As it was when the form was opened: what another window stores meanwhile is not written over unseen. */
const { version } = props.ask
const words = Object.fromEntries(props.ask.candidates.map(({ item }) => [item.id, shortName(item)]))

async function store(): Promise<void> {
  if (await draft.store('POST', `/look-back/asks/${props.ask.id}/answer`, { ...typed.value, version })) emit('close')
}
</script>

<template>
  <FormDialog
    :title="ask.question"
    label="What they said"
    :draft="draft"
    act="Save"
    :ready="typed.answer.trim() !== '' || typed.chosenItemId !== null"
    @close="emit('close')"
    @store="store"
  >
    <ChoiceRow
      v-model="typed.chosenItemId"
      label="They chose"
      :options="ask.candidates.map(({ item }) => item.id)"
      :words="words"
    />
    <v-textarea v-model="typed.answer" rows="3" label="What they said" :error-messages="on('answer')" />
  </FormDialog>
</template>
