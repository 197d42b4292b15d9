<script setup lang="ts">
import type { Day } from '#core/calendar/day'
import type { StayView } from '#contract/projects'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import { callIt, shortName } from '#web/ui/words/item-words'

/** Out of a project before its goal is met. */
const props = defineProps<{ stay: StayView; today: Day }>()
const emit = defineEmits<{ close: []; done: [] }>()
const draft = useDraft(() => ({ words: '' }))
const { typed, on } = draft

async function store(): Promise<void> {
  const body = { day: props.today, reason: 'left unfinished', words: typed.value.words }
  if (await draft.store('POST', `/stays/${props.stay.stayId}/roll-out`, body)) emit('done')
}
</script>

<template>
  <FormDialog
    :title="`Drop ${shortName(stay.item)} from the project`"
    :label="`Drop ${callIt(stay.item)} from the project`"
    :draft="draft"
    act="Roll out"
    @close="emit('close')"
    @store="store"
  >
    <p class="quiet">It rolls out and keeps its count. That’s information, not failure.</p>
    <v-text-field v-model="typed.words" label="Why? (optional)" :error-messages="on('words')" />
  </FormDialog>
</template>
