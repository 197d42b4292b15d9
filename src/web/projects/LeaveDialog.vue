<script setup lang="ts">
import { ref } from 'vue'
import type { Day } from '#core/calendar/day'
import type { StayView } from '#contract/projects'
import { newId } from '#web/api/client'
import FormTrouble from '#web/ui/FormTrouble.vue'
import { useForm } from '#web/ui/use-form'
import { shortName } from '#web/ui/words/item-words'

const props = defineProps<{ stay: StayView; today: Day }>()
const emit = defineEmits<{ close: []; done: [] }>()
const form = useForm()
const words = ref('')

async function save(): Promise<void> {
  const body = { changeId: newId(), day: props.today, reason: 'left unfinished', words: words.value }
  if (await form.submit('POST', `/stays/${props.stay.stayId}/roll-out`, body)) emit('done')
}
</script>

<template>
  <v-dialog
    :model-value="true"
    :aria-label="`Leave ${shortName(stay.item)} unfinished`"
    @update:model-value="emit('close')"
  >
    <form class="sheet dialog" @submit.prevent="save">
      <h2>Leave {{ shortName(stay.item) }} unfinished</h2>
      <p class="quiet">It rolls out and keeps what was counted. That is information, not a failure.</p>
      <v-text-field v-model="words" label="Why? (may stay empty)" :error-messages="form.on('words')" />
      <FormTrouble :refused="form.refused.value" :out-of-reach="form.outOfReach.value" />
      <div class="acts">
        <v-btn variant="text" @click="emit('close')">Cancel</v-btn>
        <v-btn type="submit" color="primary" :loading="form.busy.value">Roll it out</v-btn>
      </div>
    </form>
  </v-dialog>
</template>
