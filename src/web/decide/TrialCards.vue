<script setup lang="ts">
import type { Day } from '#core/calendar/day'
import type { TrialView } from '#contract/ending'
import { useItemActs } from '#web/ui/acts/item-acts'
import TrialCard from './TrialCard.vue'

/** Trials side by side, each of which can be decided. */
defineProps<{ trials: readonly TrialView[]; today: Day }>()
const acts = useItemActs()
</script>

<template>
  <div class="trials d-grid ga-3">
    <TrialCard
      v-for="trial in trials"
      :key="trial.id"
      :trial="trial"
      :today="today"
      @decide="acts.begin('decide', trial.item, { trialId: trial.id })"
    />
  </div>
</template>

<style scoped>
.trials {
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 400px), 1fr));
}
</style>
