<script setup lang="ts">
import { computed } from 'vue'
import { parseDay, type Day } from '#core/calendar/day'
import { dayOfDate, dateOfDay } from './picked-day'

/** An exact day of the calendar, typed in her order or picked. Empty = no day. */
const value = defineModel<string>({ required: true })
defineProps<{ label: string; max?: string; min?: string; errorMessages?: string[]; hint?: string }>()
const picked = computed({
  get: () => {
    const day = parseDay(value.value)
    return day === null ? null : dateOfDay(day)
  },
  set: (date: unknown) => (value.value = date instanceof Date ? dayOfDate(date) : ''),
})
/**
 * The menu belongs to the field within, which has a role and a name; on the frame around it, which has neither, what is said of
 * the menu would be said of nothing.
 */
const QUIET_FRAME = {
  activatorProps: {
    'aria-haspopup': undefined,
    'aria-expanded': undefined,
    'aria-controls': undefined,
    'aria-owns': undefined,
  },
}
const bound = (day: string | undefined): Date | undefined => (day ? dateOfDay(day as Day) : undefined)
</script>

<template>
  <v-date-input
    v-model="picked"
    :label="label"
    :max="bound(max)"
    :min="bound(min)"
    :hint="hint"
    :persistent-hint="hint !== undefined"
    clearable
    :menu-props="QUIET_FRAME"
    :error-messages="errorMessages ?? []"
  />
</template>
