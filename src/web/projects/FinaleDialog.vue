<script setup lang="ts">
import { computed } from 'vue'
import type { ProjectView } from '#contract/projects'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import { progressWords } from '#web/ui/words/goal-words'
import { shortName } from '#web/ui/words/item-words'
import { reachedWords } from '#web/ui/words/project-words'

/** The end of a project: what was reached, what was not, what was learned. */
const props = defineProps<{ project: ProjectView }>()
const emit = defineEmits<{ close: []; done: [] }>()
/** As it was when the form was opened: what another window stores meanwhile is not written over unseen. */
const { version } = props.project
const draft = useDraft(() => ({ lessons: '' }))
const { typed, on } = draft
const open = computed(() => props.project.stays.filter((stay) => stay.rolledOut === null && !stay.goal.beside))
const unmet = computed(() => open.value.filter((stay) => !stay.goal.met).length)

async function store(): Promise<void> {
  const body = { version, lessons: typed.value.lessons }
  if (await draft.store('POST', `/projects/${props.project.id}/close`, body)) emit('done')
}
</script>

<template>
  <FormDialog
    :title="`Wrap-up of ${project.name}`"
    :draft="draft"
    act="Close the project"
    cancel="Continue"
    @close="emit('close')"
    @store="store"
  >
    <p class="figures">
      {{ reachedWords(project) }}.
      {{ unmet > 0 ? `${unmet} ${unmet === 1 ? 'leaves' : 'leave'} unfinished; what was counted is kept.` : '' }}
    </p>
    <ul v-if="open.length > 0" class="bulleted">
      <li v-for="stay in open" :key="stay.stayId" class="figures">
        <strong>{{ stay.goal.partName ?? shortName(stay.item) }}</strong>:
        {{ stay.goal.met ? 'reached' : progressWords(stay.goal) }}
      </li>
    </ul>
    <v-textarea
      v-model="typed.lessons"
      label="What I learned, and what I’d do differently"
      :error-messages="on('lessons')"
    />
  </FormDialog>
</template>
