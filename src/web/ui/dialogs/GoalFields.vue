<script setup lang="ts">
import type { Day } from '#core/calendar/day'
import ChoiceRow from '#web/ui/ChoiceRow.vue'
import DayField from '#web/ui/DayField.vue'
import { shortDay } from '#web/ui/words/when-words'
import type { GoalDraft } from './goal-draft'

/** A goal as it is set or changed: kind, number, head start, date. */
const goal = defineModel<GoalDraft>({ required: true })
defineProps<{ today: Day; projectBy: Day | null; on: (field: string) => string[]; usesSoFar: number }>()
</script>

<template>
  <ChoiceRow
    v-model="goal.kind"
    label="Goal"
    :options="['finish', 'uses']"
    :words="{ finish: 'Finish it', uses: 'A number of uses' }"
  />
  <div v-if="goal.kind === 'uses'" class="pair">
    <v-text-field v-model="goal.target" type="number" min="1" label="Uses wanted" :error-messages="on('goal.target')" />
    <v-text-field
      v-model="goal.headStart"
      type="number"
      min="0"
      label="Head start: uses that count already"
      :hint="`${usesSoFar} uses so far in all`"
      persistent-hint
      :error-messages="on('goal.headStart')"
    />
  </div>
  <ChoiceRow
    v-model="goal.by"
    label="By when?"
    :options="projectBy ? ['none', 'project', 'own'] : ['none', 'own']"
    :words="{
      none: 'No date',
      project: projectBy ? `With the project, ${shortDay(projectBy, today)}` : '',
      own: 'A day of its own',
    }"
  />
  <DayField v-if="goal.by === 'own'" v-model="goal.byDay" label="By" :min="today" :error-messages="on('goal.by')" />
</template>

<style scoped>
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}
</style>
