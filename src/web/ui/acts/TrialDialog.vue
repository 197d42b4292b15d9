<script setup lang="ts">
import { addDays, type Day } from '#core/calendar/day'
import type { ListedItem } from '#contract/item'
import DayField from '#web/ui/form/DayField.vue'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import { stateWords } from '#web/ui/words/gauge-words'
import { callIt, shortName } from '#web/ui/words/item-words'
import { goodTo } from '#web/ui/words/shelf-life-words'
import type { ActResult } from './item-acts'

/** Worn properly a set number of times, then decided on. */
const props = defineProps<{ item: ListedItem; today: Day }>()
const emit = defineEmits<{ close: []; done: [result: ActResult] }>()
/** Enough to know, few enough to do; a month to do it in. Common practice, no source. */
const WEARS = 5
const DAYS = 30
const draft = useDraft(() => ({ wears: WEARS, dueOn: addDays(props.today, DAYS) as string, question: '' }))
const { typed, on } = draft
const over = ['past', 'sign seen'].includes(props.item.shelfLife.state)

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
    <p class="quiet">Wear it properly, in a full face, a set number of times; then decide.</p>
    <p v-if="over" class="caution">
      It is {{ stateWords(item)
      }}<template v-if="item.shelfLife.state === 'past'"> ({{ goodTo(item, today) }})</template>.
      {{
        item.eye
          ? 'At the eye it is not worn any more, on trial or not.'
          : 'Look and smell first; stop at the first sign that it is over.'
      }}
    </p>
    <v-number-input v-model="typed.wears" :min="1" :max="365" label="Wears" :error-messages="on('wearsWanted')" />
    <DayField v-model="typed.dueOn" label="Decision due on" :min="addDays(today, 1)" :error-messages="on('dueOn')" />
    <v-text-field
      v-model="typed.question"
      label="What do you want to know? (may stay empty)"
      :error-messages="on('question')"
    />
  </FormDialog>
</template>
