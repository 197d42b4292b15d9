<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Day } from '#core/calendar/day'
import type { ItemSummary } from '#contract/item'
import type { ProjectView } from '#contract/projects'
import { newId } from '#web/api/client'
import FormTrouble from '#web/ui/FormTrouble.vue'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { useForm } from '#web/ui/use-form'
import { shortName } from '#web/ui/words/item-words'
import { freshGoal, goalBody } from './goal-draft'
import GoalFields from './GoalFields.vue'

/** An item joins a project with a goal of its own. */
const props = defineProps<{ item: ItemSummary; projects: readonly ProjectView[]; today: Day }>()
const emit = defineEmits<{ close: []; done: [] }>()
const form = useForm()
const projectId = ref(props.projects[0]?.id ?? '')
const project = computed(() => props.projects.find((each) => each.id === projectId.value) ?? null)
const goal = ref(freshGoal(project.value?.by ?? null))

async function save(): Promise<void> {
  const body = {
    changeId: newId(),
    stayId: newId(),
    itemId: props.item.id,
    day: props.today,
    goal: goalBody(goal.value),
  }
  if (await form.submit('POST', `/projects/${projectId.value}/roll-in`, body)) emit('done')
}
</script>

<template>
  <v-dialog :model-value="true" :aria-label="`Roll in ${shortName(item)}`" @update:model-value="emit('close')">
    <form class="sheet dialog" @submit.prevent="save">
      <div class="head">
        <ItemGauge :item="item" size="middle" :rail="false" />
        <h2>Roll in {{ shortName(item) }}</h2>
      </div>
      <v-select
        v-if="projects.length > 1"
        v-model="projectId"
        label="Project"
        :items="projects.map((each) => ({ title: each.name, value: each.id }))"
      />
      <GoalFields
        v-model="goal"
        :today="today"
        :project-by="project?.by ?? null"
        :on="form.on"
        :uses-so-far="item.uses"
      />
      <FormTrouble :refused="form.refused.value" :out-of-reach="form.outOfReach.value" />
      <div class="acts">
        <v-btn variant="text" @click="emit('close')">Cancel</v-btn>
        <v-btn type="submit" color="primary" :loading="form.busy.value">Roll in</v-btn>
      </div>
    </form>
  </v-dialog>
</template>

<style scoped>
.head {
  display: flex;
  gap: 16px;
  align-items: center;
}
</style>
