<script setup lang="ts">
import { computed, ref } from 'vue'
import type { ProjectView } from '#contract/projects'
import { newId } from '#web/api/client'
import FormTrouble from '#web/ui/FormTrouble.vue'
import { useForm } from '#web/ui/use-form'
import { shortName } from '#web/ui/words/item-words'
import { reachedWords } from '#web/ui/words/project-words'
import { progressWords } from '#web/ui/words/goal-words'

/** The end of a project: what was reached, what was not, what was learned. */
const props = defineProps<{ project: ProjectView }>()
const emit = defineEmits<{ close: []; done: [] }>()
const form = useForm()
const lessons = ref('')
const open = computed(() => props.project.stays.filter((stay) => stay.rolledOut === null && !stay.goal.beside))
const met = computed(() => open.value.filter((stay) => stay.goal.met).length)

async function save(): Promise<void> {
  const body = { changeId: newId(), version: props.project.version, lessons: lessons.value }
  if (await form.submit('POST', `/projects/${props.project.id}/close`, body)) emit('done')
}
</script>

<template>
  <v-dialog :model-value="true" :aria-label="`Finale of ${project.name}`" @update:model-value="emit('close')">
    <form class="sheet dialog" @submit.prevent="save">
      <h2>Finale of {{ project.name }}</h2>
      <p class="figures">
        {{ reachedWords(project) }}.
        {{
          open.length - met > 0
            ? `${open.length - met} ${open.length - met === 1 ? 'leaves' : 'leave'} unfinished; what was counted is kept.`
            : ''
        }}
      </p>
      <ul v-if="open.length > 0">
        <li v-for="stay in open" :key="stay.stayId" class="figures">
          <strong>{{ stay.goal.partName ?? shortName(stay.item) }}</strong>:
          {{ stay.goal.met ? 'reached' : progressWords(stay.goal) }}
        </li>
      </ul>
      <v-textarea
        v-model="lessons"
        label="What I learned, and what I would do differently"
        :error-messages="form.on('lessons')"
      />
      <FormTrouble :refused="form.refused.value" :out-of-reach="form.outOfReach.value" />
      <div class="acts">
        <v-btn variant="text" @click="emit('close')">Go on with it</v-btn>
        <v-btn type="submit" color="primary" :loading="form.busy.value">Close the project</v-btn>
      </div>
    </form>
  </v-dialog>
</template>
