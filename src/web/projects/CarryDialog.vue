<script setup lang="ts">
import { ref } from 'vue'
import type { Day } from '#core/calendar/day'
import type { ProjectView, StayView } from '#contract/projects'
import { newId } from '#web/api/client'
import FormTrouble from '#web/ui/FormTrouble.vue'
import { useForm } from '#web/ui/use-form'
import { shortName, usesWords } from '#web/ui/words/item-words'

/** Into another project in one step; what was counted goes along as a head start. */
const props = defineProps<{ stay: StayView; projects: readonly ProjectView[]; today: Day }>()
const emit = defineEmits<{ close: []; done: [] }>()
const form = useForm()
const projectId = ref(props.projects[0]?.id ?? '')

async function save(): Promise<void> {
  const body = { changeId: newId(), stayId: newId(), projectId: projectId.value, day: props.today }
  if (await form.submit('POST', `/stays/${props.stay.stayId}/carry-over`, body)) emit('done')
}
</script>

<template>
  <v-dialog :model-value="true" :aria-label="`Carry over ${shortName(stay.item)}`" @update:model-value="emit('close')">
    <form class="sheet dialog" @submit.prevent="save">
      <h2>Carry over {{ shortName(stay.item) }}</h2>
      <p class="quiet">
        It rolls out here and in there at once, with the same goal<template v-if="stay.goal.usesLeft !== null">
          and its {{ usesWords(stay.goal.uses) }} as a head start</template
        >.
      </p>
      <v-select
        v-model="projectId"
        label="Into"
        :items="projects.map((each) => ({ title: each.name, value: each.id }))"
        :error-messages="form.on('projectId')"
      />
      <FormTrouble :refused="form.refused.value" :out-of-reach="form.outOfReach.value" />
      <div class="acts">
        <v-btn variant="text" @click="emit('close')">Cancel</v-btn>
        <v-btn type="submit" color="primary" :loading="form.busy.value">Carry it over</v-btn>
      </div>
    </form>
  </v-dialog>
</template>
