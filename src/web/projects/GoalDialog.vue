<script setup lang="ts">
import { ref } from 'vue'
import type { Day } from '#core/calendar/day'
import { eyeMeasureOf } from '#core/item/form'
import type { StayView } from '#contract/projects'
import { newId } from '#web/api/client'
import { draftOf, goalBody } from '#web/ui/dialogs/goal-draft'
import GoalFields from '#web/ui/dialogs/GoalFields.vue'
import FormTrouble from '#web/ui/FormTrouble.vue'
import { useForm } from '#web/ui/use-form'
import { shortName } from '#web/ui/words/item-words'

const props = defineProps<{ stay: StayView; projectBy: Day | null; today: Day }>()
const emit = defineEmits<{ close: []; done: [] }>()
const form = useForm()
const pan = props.stay.item.parts.length > 0 || eyeMeasureOf(props.stay.item.form, props.stay.item.opaque) === 'pan'
const goal = ref(draftOf(props.stay.goal, props.projectBy))

async function save(): Promise<void> {
  if (await form.submit('PUT', `/stays/${props.stay.stayId}/goal`, { changeId: newId(), goal: goalBody(goal.value) }))
    emit('done')
}
</script>

<template>
  <v-dialog :model-value="true" :aria-label="`Goal of ${shortName(stay.item)}`" @update:model-value="emit('close')">
    <form class="sheet dialog" @submit.prevent="save">
      <h2>Goal of {{ shortName(stay.item) }}</h2>
      <GoalFields
        v-model="goal"
        :today="today"
        :project-by="projectBy"
        :on="form.on"
        :uses-so-far="stay.item.uses"
        :pan="pan"
      />
      <FormTrouble :refused="form.refused.value" :out-of-reach="form.outOfReach.value" />
      <div class="acts">
        <v-btn variant="text" @click="emit('close')">Cancel</v-btn>
        <v-btn type="submit" color="primary" :loading="form.busy.value">Save</v-btn>
      </div>
    </form>
  </v-dialog>
</template>
