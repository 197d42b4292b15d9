<script setup lang="ts">
import { computed, ref } from 'vue'
import { latePart } from '#web/ui/late-part'
import type { Day } from '#core/calendar/day'
import type { DayView } from '#contract/today'

/** How the day is, in a line; told in a sheet of its own. It changes what is suggested. */
const DaySheet = latePart(() => import('./DaySheet.vue'))

const props = defineProps<{ conditions: DayView; occasions: readonly string[]; day: Day; isToday: boolean }>()
const emit = defineEmits<{ set: [day: Day, set: Partial<DayView>, was: DayView] }>()
/** The day of which it is told: the one on which the sheet was opened, whatever day has begun since. */
const open = ref<Day | null>(null)
const said = computed(() => {
  const { skin, clothes, minutes: time, occasion, hands, weather } = props.conditions
  return [
    skin === null ? '' : `skin ${skin}`,
    clothes === null ? '' : `clothes ${clothes}`,
    time === null ? '' : `${time} minutes`,
    occasion ?? '',
    hands === 'sore' ? 'hands sore' : '',
    weather ?? '',
  ].filter(Boolean)
})
</script>

<template>
  <button type="button" class="said touch small text-right" @click="open = day">
    <template v-if="said.length > 0"
      ><span class="quiet">{{ isToday ? 'Today' : 'That day' }}:</span>
      <span v-for="part in said" :key="part" class="part font-weight-semibold ms-2">{{ part }}</span></template
    >
    <span v-else class="part font-weight-semibold ms-2">How is the day?</span>
    <span v-if="conditions.note" class="quiet">, with a note</span>
  </button>
  <DaySheet
    v-if="open"
    :conditions="conditions"
    :occasions="occasions"
    @close="open = null"
    @set="(set, was) => open && emit('set', open, set, was)"
  />
</template>

<style scoped>
.part {
  border-bottom: 2px solid var(--primary);
}

.phone .said {
  text-align: left;
}
</style>
