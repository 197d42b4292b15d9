<script setup lang="ts">
import { addDays, type Day } from '#core/calendar/day'
import DayField from '#web/ui/form/DayField.vue'
import type { TrialDraft } from './trial-draft'

/** How often it is worn, until when, and what she wants to know. */
defineProps<{ today: Day; on: (field: string) => string[]; within?: string }>()
const typed = defineModel<TrialDraft>({ required: true })
</script>

<template>
  <v-number-input
    v-model="typed.wears"
    :min="1"
    :max="365"
    label="Wears"
    :error-messages="on(`${within ?? ''}wearsWanted`)"
  />
  <DayField
    v-model="typed.dueOn"
    label="Decision due on"
    :min="addDays(today, 1)"
    :error-messages="on(`${within ?? ''}dueOn`)"
  />
  <v-text-field
    v-model="typed.question"
    label="What do you want to know? (optional)"
    :error-messages="on(`${within ?? ''}question`)"
  />
</template>
