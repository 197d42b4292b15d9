<script setup lang="ts">
import { computed, watch } from 'vue'
import type { Day } from '#core/calendar/day'
import { isCounted, type GoalKind } from '#core/goal/progress'
import NumberField from '#web/ui/form/NumberField.vue'
import { usesWords } from '#web/ui/words/item-words'
import ChoiceRow from '#web/ui/form/ChoiceRow.vue'
import DayField from '#web/ui/form/DayField.vue'
import { shortDay } from '#web/ui/words/when-words'
import { usualTarget, type GoalDraft } from './goal-draft'

/** A goal as it is set or changed: kind, number, head start, date. */
const goal = defineModel<GoalDraft>({ required: true })
const props = defineProps<{
  today: Day
  projectBy: Day | null
  on: (field: string) => string[]
  usesSoFar: number
  /** It is a pan: bare metal can show. */
  pan: boolean
}>()

const kinds = computed<GoalKind[]>(() =>
  props.pan
    ? ['finish', 'uses', 'hit pan', 'expand pan', 'keep using', 'find a use']
    : ['finish', 'uses', 'level', 'keep using', 'find a use'],
)
const counted = computed(() => goal.value.kind !== null && isCounted(goal.value.kind))
const WORDS: Readonly<Record<GoalKind, string>> = {
  finish: 'Finish it',
  uses: 'A number of uses',
  'hit pan': 'Hit pan',
  'expand pan': 'Expand the pan',
  level: 'Reach a level',
  'keep using': 'Just keep using it',
  'find a use': 'Find a way to use it',
}
watch(
  () => goal.value.kind,
  (kind, before) => {
    if (kind !== null && kind !== before) goal.value = { ...goal.value, target: usualTarget(kind) }
  },
)
</script>

<template>
  <ChoiceRow v-model="goal.kind" label="Goal" :options="kinds" :words="WORDS" />
  <div v-if="counted" class="side-by-side">
    <NumberField text v-model="goal.target" :min="1" label="Uses wanted" :error-messages="on('goal.target')" />
    <NumberField
      text
      v-model="goal.headStart"
      :min="0"
      label="Head start: uses that count already"
      :hint="`${usesWords(usesSoFar)} so far in all`"
      persistent-hint
      :error-messages="on('goal.headStart')"
    />
  </div>
  <NumberField
    text
    v-else-if="goal.kind === 'expand pan' || goal.kind === 'level'"
    v-model="goal.target"
    :min="1"
    :max="99"
    :label="goal.kind === 'level' ? 'Down to how much left, %' : 'Until how much of the pan is bare, %'"
    :error-messages="on('goal.target')"
  />
  <ChoiceRow
    v-if="goal.kind !== 'keep using'"
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
