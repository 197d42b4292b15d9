<script setup lang="ts">
import { ref } from 'vue'
import type { Day } from '#core/calendar/day'
import { PUT_LOCATIONS } from '#core/item/traits'
import type { ItemSummary } from '#contract/item'
import { newId } from '#web/api/client'
import ChoiceRow from '#web/ui/ChoiceRow.vue'
import DayField from '#web/ui/DayField.vue'
import FormTrouble from '#web/ui/FormTrouble.vue'
import { useForm } from '#web/ui/use-form'
import { shortName } from '#web/ui/words/item-words'
import { locationWords } from '#web/ui/words/location-words'

/** Somewhere that is not the drawer; with a day it asks to come back. */
const props = defineProps<{ item: ItemSummary; today: Day }>()
const emit = defineEmits<{ close: []; done: [] }>()
const form = useForm()
const location = ref<string | null>(props.item.location === 'zone' ? 'resting' : props.item.location)
const until = ref('')

async function save(): Promise<void> {
  const body = { changeId: newId(), location: location.value, until: until.value || null }
  if (await form.submit('POST', `/items/${props.item.id}/put`, body)) emit('done')
}
</script>

<template>
  <v-dialog :model-value="true" :aria-label="`Where ${shortName(item)} lies`" @update:model-value="emit('close')">
    <form class="sheet dialog" @submit.prevent="save">
      <h2>Where does {{ shortName(item) }} lie?</h2>
      <p class="quiet">Now it is {{ locationWords(item) }}.</p>
      <ChoiceRow
        v-model="location"
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
        v-model="until"
        label="Until (may stay empty): then it asks to come back"
        :min="today"
        :error-messages="form.on('until')"
      />
      <FormTrouble :refused="form.refused.value" :out-of-reach="form.outOfReach.value" />
      <div class="acts">
        <v-btn variant="text" @click="emit('close')">Cancel</v-btn>
        <v-btn type="submit" color="primary" :loading="form.busy.value">Put it there</v-btn>
      </div>
    </form>
  </v-dialog>
</template>
