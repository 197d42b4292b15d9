<script setup lang="ts">
import type { Day } from '#core/calendar/day'
import { useDevice } from '#web/data/device'
import DayField from '#web/ui/form/DayField.vue'

/** Something she remembers, to tell before from after by; told once, it stands wherever it is asked when a thing was opened. */
defineProps<{ today: Day }>()
const device = useDevice()
</script>

<template>
  <div class="landmark d-grid align-center ga-3">
    <v-text-field v-model="device.landmark.words" label="Something you remember" />
    <DayField v-model="device.landmark.day" label="When it was" :max="today" />
    <p class="quiet">With it the question is only: before, or after?</p>
  </div>
</template>

<style scoped>
.landmark {
  grid-template-columns: minmax(160px, 220px) 210px minmax(0, 1fr);
}

.phone .landmark,
.dialog .landmark {
  grid-template-columns: 1fr 1fr;
}

.phone .landmark p,
.dialog .landmark p {
  grid-column: 1 / -1;
}

.phone .landmark {
  grid-template-columns: 1fr;
}
</style>
