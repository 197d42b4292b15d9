<script setup lang="ts">
import { ref } from 'vue'
import type { Day } from '#core/calendar/day'
import type { ItemSummary } from '#contract/item'
import { newId } from '#web/api/client'
import DayField from '#web/ui/DayField.vue'
import FormTrouble from '#web/ui/FormTrouble.vue'
import { useForm } from '#web/ui/use-form'
import { shortName } from '#web/ui/words/item-words'

const props = defineProps<{ item: ItemSummary; today: Day }>()
const emit = defineEmits<{ close: []; done: [] }>()
const SIGNS = ['smell changed', 'colour changed', 'separated', 'grainy', 'drags', 'stings', 'flakes']
const form = useForm()
const day = ref<string>(props.today)
const words = ref('')

async function save(): Promise<void> {
  if (
    await form.submit('POST', `/items/${props.item.id}/sign`, { changeId: newId(), day: day.value, words: words.value })
  )
    emit('done')
}
</script>

<template>
  <v-dialog :model-value="true" :aria-label="`A sign on ${shortName(item)}`" @update:model-value="emit('close')">
    <form class="sheet dialog" @submit.prevent="save">
      <h2>What did you notice on {{ shortName(item) }}?</h2>
      <p class="quiet">A sign counts above any date.</p>
      <p class="caution">
        What stings, itches or swells is stopped at once. At the eye: rinse, and see a professional.
      </p>
      <div class="choices">
        <button
          v-for="sign in SIGNS"
          :key="sign"
          type="button"
          class="choice"
          :aria-pressed="words === sign"
          @click="words = sign"
        >
          {{ sign }}
        </button>
      </div>
      <v-text-field v-model="words" label="In your words" :error-messages="form.on('words')" />
      <DayField v-model="day" label="Noticed on" :max="today" :error-messages="form.on('day')" />
      <FormTrouble :refused="form.refused.value" :out-of-reach="form.outOfReach.value" />
      <div class="acts">
        <v-btn variant="text" @click="emit('close')">Cancel</v-btn>
        <v-btn type="submit" color="primary" :loading="form.busy.value">Record the sign</v-btn>
      </div>
    </form>
  </v-dialog>
</template>
