<script setup lang="ts">
import { ref } from 'vue'
import type { Day } from '#core/calendar/day'
import type { ProjectView } from '#contract/projects'
import { newId } from '#web/api/client'
import DayField from '#web/ui/DayField.vue'
import FormTrouble from '#web/ui/FormTrouble.vue'
import { useForm } from '#web/ui/use-form'

const props = defineProps<{ project: ProjectView | null; today: Day }>()
const emit = defineEmits<{ close: []; done: [] }>()
const form = useForm()
const name = ref(props.project?.name ?? '')
const startedOn = ref<string>(props.project?.startedOn ?? props.today)
const by = ref<string>(props.project?.by ?? '')
const wanted = ref(
  props.project?.finishesWanted === null || props.project === null ? '' : String(props.project.finishesWanted),
)
const rules = ref(props.project?.rules ?? '')

async function save(): Promise<void> {
  const body = {
    changeId: newId(),
    name: name.value,
    startedOn: startedOn.value,
    by: by.value || null,
    finishesWanted: wanted.value === '' ? null : Number(wanted.value),
    rules: rules.value,
  }
  const answer = props.project
    ? await form.submit('PUT', `/projects/${props.project.id}`, { ...body, version: props.project.version })
    : await form.submit('POST', '/projects', { ...body, id: newId() })
  if (answer) emit('done')
}
</script>

<template>
  <v-dialog :model-value="true" aria-label="Project" @update:model-value="emit('close')">
    <form class="sheet dialog" @submit.prevent="save">
      <h2>{{ project ? 'Change the project' : 'Start a rolling project' }}</h2>
      <p v-if="!project" class="quiet">Rolling: what is done rolls out, something else rolls in.</p>
      <v-text-field v-model="name" autofocus label="Name" :error-messages="form.on('name')" />
      <DayField v-model="startedOn" label="Started on" :max="today" :error-messages="form.on('startedOn')" />
      <DayField v-model="by" label="Until (may stay empty)" :error-messages="form.on('by')" />
      <v-text-field
        v-model="wanted"
        type="number"
        min="1"
        label="How many to reach (may stay empty)"
        :error-messages="form.on('finishesWanted')"
      />
      <v-textarea v-model="rules" label="My rules, in sentences" :error-messages="form.on('rules')" />
      <FormTrouble :refused="form.refused.value" :out-of-reach="form.outOfReach.value" />
      <div class="acts">
        <v-btn variant="text" @click="emit('close')">Cancel</v-btn>
        <v-btn type="submit" color="primary" :loading="form.busy.value">Save</v-btn>
      </div>
    </form>
  </v-dialog>
</template>
