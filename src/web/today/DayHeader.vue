<script setup lang="ts">
import { mdiCalendar, mdiChevronLeft, mdiChevronRight } from '@mdi/js'
import { computed, ref } from 'vue'
import { useDisplay } from 'vuetify'
import { addDays, type Day } from '#core/calendar/day'
import { latePart } from '#web/ui/late-part'
import PlaceHead from '#web/ui/PlaceHead.vue'
import { fromNow, longDay } from '#web/ui/words/when-words'

const DayPicker = latePart(() => import('./DayPicker.vue'))

const props = defineProps<{ day: Day; today: Day }>()
const emit = defineEmits<{ go: [day: Day] }>()
const { mobile } = useDisplay()
const picking = ref(false)
const isToday = computed(() => props.day === props.today)
</script>

<template>
  <PlaceHead :title="longDay(day)">
    <template #title>
      <div class="day d-flex align-center ga-2">
        <v-btn
          variant="outlined"
          :icon="mdiChevronLeft"
          size="44"
          aria-label="The day before"
          @click="emit('go', addDays(day, -1))"
        />
        <div>
          <h1>{{ longDay(day) }}</h1>
          <p class="quiet small tight">
            {{ isToday ? 'What are you wearing today?' : `What was worn ${fromNow(day, today)}?` }}
          </p>
        </div>
        <v-btn variant="text" :icon="mdiCalendar" size="44" aria-label="Go to any day" @click="picking = true" />
        <v-btn
          variant="outlined"
          :icon="mdiChevronRight"
          size="44"
          aria-label="The day after"
          :disabled="isToday"
          @click="emit('go', addDays(day, 1))"
        />
      </div>
    </template>
    <v-btn v-if="!isToday && !mobile" variant="text" @click="emit('go', today)">Back to today</v-btn>
    <slot v-if="!mobile" />
  </PlaceHead>
  <div v-if="mobile" class="below d-flex flex-wrap align-center justify-space-between">
    <slot />
    <v-btn v-if="!isToday" variant="text" @click="emit('go', today)">Back to today</v-btn>
  </div>
  <DayPicker v-if="picking" :day="day" :today="today" @close="picking = false" @go="(to) => emit('go', to)" />
</template>

<style scoped>
.phone .day {
  gap: 4px;
  justify-content: space-between;
}

.phone .day h1 {
  font-size: 18px;
  text-align: center;
}

.phone .day p {
  display: none;
}

.below {
  margin-top: -8px;
}
</style>
