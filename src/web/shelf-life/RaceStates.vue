<script setup lang="ts">
import type { RaceState } from './race-rows'

/** Which things run: each choice with how many that are. */
defineProps<{ states: readonly { readonly state: RaceState; readonly count: number }[] }>()
const chosen = defineModel<RaceState>({ required: true })
</script>

<template>
  <div class="choices" role="group" aria-label="Which items">
    <button
      v-for="{ state, count } in states"
      :key="state"
      type="button"
      class="choice"
      :aria-pressed="chosen === state"
      @click="chosen = state"
    >
      {{ state }} <span class="figures count quiet ms-2">{{ count }}</span>
    </button>
  </div>
</template>

<style scoped>
.choice {
  padding: 0 12px !important;
}
</style>
