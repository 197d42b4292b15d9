<script setup lang="ts">
import type { Day } from '#core/calendar/day'
import type { GoneView } from '#contract/deciding'
import DayField from '#web/ui/form/DayField.vue'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import { callIt } from '#web/ui/words/item-words'

/** When it was handed over and to whom; or that it is missed. */
const props = defineProps<{ gone: GoneView; about: 'hand' | 'regret'; today: Day }>()
const emit = defineEmits<{ close: [] }>()
const hand = props.about === 'hand'
const draft = useDraft(() => ({
  day: ((hand ? props.gone.handedOn : props.gone.regretOn) ?? props.today) as string,
  words: hand ? props.gone.toWhom : props.gone.regretWords,
}))
const { typed, on } = draft

async function store(day: string | null = typed.value.day || null): Promise<void> {
  const { words } = typed.value
  const path = `/verdicts/${props.gone.verdictId}`
  const done = hand
    ? await draft.store('POST', `${path}/handed`, { day, toWhom: words })
    : await draft.store('POST', `${path}/regret`, { day, words })
  if (done) emit('close')
}
</script>

<template>
  <FormDialog
    :title="`${hand ? 'Handed over' : 'Missed'}: ${callIt(gone.item)}`"
    :draft="draft"
    :act="hand ? 'Save' : 'Save'"
    :ready="typed.day !== ''"
    @close="emit('close')"
    @store="store()"
  >
    <p v-if="!hand" class="quiet">Worth a note, so that you don’t let the next one go so fast.</p>
    <DayField
      v-model="typed.day"
      :label="hand ? 'Handed over on' : 'Missed on'"
      :max="today"
      :error-messages="on('day')"
    />
    <v-text-field
      v-model="typed.words"
      :label="hand ? 'To whom? (optional)' : 'What is missed? (optional)'"
      :error-messages="on(hand ? 'toWhom' : 'words')"
    />
    <template v-if="!hand && gone.regretOn" #acts>
      <v-btn variant="text" @click="store(null)">Not missed after all</v-btn>
    </template>
  </FormDialog>
</template>
