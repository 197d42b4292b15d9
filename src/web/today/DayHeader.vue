<script setup lang="ts">
import { computed } from 'vue'
import { addDays, parseDay, type Day } from '#core/calendar/day'
import { fromNow, longDay } from '#web/ui/words/when-words'
import { mdiChevronLeft, mdiChevronRight } from '@mdi/js'

const props = defineProps<{ day: Day; today: Day }>()
const emit = defineEmits<{ go: [day: Day] }>()
const isToday = computed(() => props.day === props.today)

function pick(event: Event): void {
  const day = parseDay((event.target as HTMLInputElement).value)
  if (day !== null && day <= props.today) emit('go', day)
}
</script>

<template>
  <header>
    <v-btn
      variant="outlined"
      :icon="mdiChevronLeft"
      size="44"
      aria-label="The day before"
      @click="emit('go', addDays(day, -1))"
    />
    <div class="title">
      <h1>
        {{ longDay(day) }}
        <label class="any">
          <span class="visually-hidden">Go to any day</span>
          <input type="date" :value="day" :max="today" @change="pick" />
        </label>
      </h1>
      <p class="quiet question">
        {{ isToday ? 'What do I put on, and is it ticked off?' : `What was worn ${fromNow(day, today)}?` }}
      </p>
    </div>
    <v-btn
      variant="outlined"
      :icon="mdiChevronRight"
      size="44"
      aria-label="The day after"
      :disabled="isToday"
      @click="emit('go', addDays(day, 1))"
    />
    <v-btn v-if="!isToday" variant="text" @click="emit('go', today)">Back to today</v-btn>
    <span class="grow"></span>
    <slot />
    <RouterLink class="lay" to="/drawer">Lay the drawer</RouterLink>
  </header>
</template>

<style scoped>
header {
  display: flex;
  align-items: center;
  gap: 10px;
}

h1 {
  font-size: 23px;
  position: relative;
  display: flex;
  align-items: center;
  gap: 6px;
}

.title {
  display: grid;
}

.grow {
  flex: 1;
}

p {
  margin: -8px 0 0;
  font-size: 12.5px;
  line-height: 1.2;
}

.lay {
  font-weight: 600;
  min-height: 44px;
  display: flex;
  align-items: center;
}

.any input {
  width: 34px;
  height: 44px;
  color: transparent;
  border-radius: 8px;
  cursor: pointer;
}

.any input::-webkit-calendar-picker-indicator {
  opacity: 0.75;
  cursor: pointer;
  margin: 0;
}

@media (max-width: 760px) {
  header {
    flex-wrap: wrap;
    gap: 6px;
  }

  .title {
    flex: 1;
  }

  .grow {
    display: none;
  }

  h1 {
    font-size: 18px;
    justify-content: center;
  }

  p {
    display: none;
  }

  .lay {
    display: none;
  }
}
</style>
