<script setup lang="ts">
import type { Day } from '#core/calendar/day'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { dateOfDay, dayOfDate } from '#web/ui/form/picked-day'

/** Any day up to today, by the calendar. */
defineProps<{ day: Day; today: Day }>()
const emit = defineEmits<{ close: []; go: [day: Day] }>()

function pick(date: unknown): void {
  if (!(date instanceof Date)) return
  emit('close')
  emit('go', dayOfDate(date))
}
</script>

<template>
  <FormDialog title="Which day?" :draft="null" :width="400" @close="emit('close')">
    <v-date-picker
      :model-value="dateOfDay(day)"
      :max="dateOfDay(today)"
      hide-header
      show-adjacent-months
      :first-day-of-week="1"
      @update:model-value="pick"
    />
  </FormDialog>
</template>
