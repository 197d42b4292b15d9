<script setup lang="ts">
import { ref } from 'vue'
import { addDays, type Day } from '#core/calendar/day'
import type { ItemSummary } from '#contract/item'
import { newId } from '#web/api/client'
import DayField from '#web/ui/DayField.vue'
import FormTrouble from '#web/ui/FormTrouble.vue'
import { useForm } from '#web/ui/use-form'
import { shortName } from '#web/ui/words/item-words'

const props = defineProps<{ item: ItemSummary; today: Day }>()
const emit = defineEmits<{ close: []; done: [] }>()
/** Enough to know, few enough to do; a month to do it in. Common practice, no source. */
const WEARS = 5
const DAYS = 30
const form = useForm()
const wears = ref(WEARS)
const dueOn = ref<string>(addDays(props.today, DAYS))
const question = ref('')

async function save(): Promise<void> {
  const body = {
    changeId: newId(),
    trialId: newId(),
    itemId: props.item.id,
    wearsWanted: Number(wears.value),
    dueOn: dueOn.value,
    question: question.value,
  }
  if (await form.submit('POST', '/trials', body)) emit('done')
}
</script>

<template>
  <v-dialog :model-value="true" :aria-label="`Trial of ${shortName(item)}`" @update:model-value="emit('close')">
    <form class="sheet dialog" @submit.prevent="save">
      <h2>Put {{ shortName(item) }} on trial</h2>
      <p class="quiet">Wear it properly, in a full face, a set number of times; then decide.</p>
      <v-text-field
        v-model="wears"
        type="number"
        min="1"
        max="365"
        label="Wears"
        :error-messages="form.on('wearsWanted')"
      />
      <DayField v-model="dueOn" label="Decision due on" :min="addDays(today, 1)" :error-messages="form.on('dueOn')" />
      <v-text-field
        v-model="question"
        label="What do you want to know? (may stay empty)"
        :error-messages="form.on('question')"
      />
      <FormTrouble :refused="form.refused.value" :out-of-reach="form.outOfReach.value" />
      <div class="acts">
        <v-btn variant="text" @click="emit('close')">Cancel</v-btn>
        <v-btn type="submit" color="primary" :loading="form.busy.value">Start the trial</v-btn>
      </div>
    </form>
  </v-dialog>
</template>
