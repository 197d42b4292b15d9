<script setup lang="ts">
import type { Day } from '#core/calendar/day'
import type { ProjectView, StayView } from '#contract/projects'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import { callIt, shortName, usesWords } from '#web/ui/words/item-words'

/** Into another project in one step; what was counted goes along as a head start. */
const props = defineProps<{ stay: StayView; projects: readonly ProjectView[]; today: Day }>()
const emit = defineEmits<{ close: []; done: [] }>()
const draft = useDraft(() => ({ projectId: props.projects[0]?.id ?? '' }))
const { typed, on } = draft

async function store(): Promise<void> {
  const body = { stayId: draft.id('stay'), projectId: typed.value.projectId, day: props.today }
  if (await draft.store('POST', `/stays/${props.stay.stayId}/carry-over`, body)) emit('done')
}
</script>

<template>
  <FormDialog
    :title="`Carry over ${shortName(stay.item)}`"
    :label="`Carry over ${callIt(stay.item)}`"
    :draft="draft"
    act="Carry it over"
    @close="emit('close')"
    @store="store"
  >
    <p class="quiet">
      It rolls out here and in there at once, with the same goal<template v-if="stay.goal.usesLeft !== null">
        and its {{ usesWords(stay.goal.uses) }} as a head start</template
      >.
    </p>
    <v-select
      v-model="typed.projectId"
      label="Into"
      :items="projects.map((each) => ({ title: each.name, value: each.id }))"
      :error-messages="on('projectId')"
    />
  </FormDialog>
</template>
