<script setup lang="ts">
import { computed } from 'vue'
import type { PlanSetup } from '#core/plan/schedule/basis'
import type { PlanAnswer } from '#contract/planning'
import { useProjects } from '#web/data/reads'
import ChoiceRow from '#web/ui/form/ChoiceRow.vue'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import { ruleSentences } from '#web/ui/words/project-words'

/** How the plan is asked for: how far, how carefully, for what. */
const props = defineProps<{ setup: PlanSetup; answer: PlanAnswer }>()
const emit = defineEmits<{ close: []; set: [over: Partial<PlanSetup>] }>()
const MONTHS = [3, 6, 9, 12] as const
const projects = useProjects()
const draft = useDraft(() => ({
  months: props.setup.months as number | null,
  careful: props.setup.careful,
  focus: props.setup.focus,
  projectId: props.setup.projectId,
}))
const { typed } = draft
const choices = computed(() => [
  { title: 'The whole drawer', value: null },
  ...props.answer.projects.map(({ id, name }) => ({ title: name, value: id })),
])
/** What a plan cannot keep by itself is told. */
const told = computed(() => {
  const project = projects.answer.value?.projects.find(({ id }) => id === typed.value.projectId)
  return project ? [...ruleSentences(project), project.rules].filter(Boolean).join(' ') : ''
})

function set(): void {
  const { months, careful, focus, projectId } = typed.value
  emit('set', { months: months ?? props.setup.months, careful, focus, projectId })
}
</script>

<template>
  <FormDialog title="Plan settings" :draft="draft" act="Save" @close="emit('close')" @store="set">
    <ChoiceRow
      v-model="typed.months"
      label="How far"
      :options="MONTHS"
      :words="{ 3: '3 months', 6: '6 months', 9: '9 months', 12: 'a year' }"
    />
    <v-select v-model="typed.projectId" label="For" :items="choices" />
    <p v-if="told" class="quiet">
      Its date, its most items, what may join and which types rest are kept. Its rules in words: {{ told }}
    </p>
    <v-checkbox v-model="typed.focus" label="Focus: one of a type at a time" />
    <v-checkbox v-model="typed.careful" label="Cautious: plan for more uses, enough 9 times in 10" />
  </FormDialog>
</template>
