<script setup lang="ts">
import { ref } from 'vue'
import type { Day } from '#core/calendar/day'
import { eyeMeasureOf } from '#core/item/form'
import type { GoalView } from '#contract/item'
import type { StayView } from '#contract/projects'
import { draftOf, goalBody } from '#web/ui/acts/goal-draft'
import GoalFields from '#web/ui/acts/GoalFields.vue'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import { callIt, shortName } from '#web/ui/words/item-words'

/** Another goal for what is in a project already. */
const props = defineProps<{ stay: StayView; projectBy: Day | null; today: Day }>()
const emit = defineEmits<{ close: []; done: [] }>()
const pan = props.stay.item.parts.length > 0 || eyeMeasureOf(props.stay.item.form, props.stay.item.opaque) === 'pan'
const draft = useDraft(() => ({ goal: draftOf(props.stay.goal, props.projectBy) }), {
  theirs: (current) => ({ goal: draftOf((current as { goal: GoalView }).goal, props.projectBy) }),
})
const { typed, on } = draft
/** Of the goal that is edited: what another window stores meanwhile is not written over unseen. */
const version = ref(props.stay.version)

async function store(): Promise<void> {
  if (
    await draft.store('PUT', `/stays/${props.stay.stayId}/goal`, {
      version: version.value,
      goal: goalBody(typed.value.goal),
    })
  )
    emit('done')
}
</script>

<template>
  <FormDialog
    :title="`Goal of ${shortName(stay.item)}`"
    :label="`Goal of ${callIt(stay.item)}`"
    :draft="draft"
    act="Save"
    @close="emit('close')"
    @store="store"
  >
    <GoalFields
      v-model="typed.goal"
      :today="today"
      :project-by="projectBy"
      :on="on"
      :uses-so-far="stay.item.uses"
      :pan="pan"
    />
  </FormDialog>
</template>
