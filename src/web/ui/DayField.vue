<script setup lang="ts">
/** A day of the calendar, by the machine's own day picker. Empty = no day. */
const value = defineModel<string>({ required: true })
defineProps<{ label: string; max?: string; min?: string; errorMessages?: string[] }>()
</script>

<template>
  <v-text-field
    v-model="value"
    type="date"
    :label="label"
    :max="max"
    :min="min"
    :error-messages="errorMessages ?? []"
  />
</template>
