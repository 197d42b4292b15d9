<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Day } from '#core/calendar/day'
import { eyeMeasureOf } from '#core/item/form'
import type { ItemSummary } from '#contract/item'
import type { ProjectView } from '#contract/projects'
import { newId } from '#web/api/client'
import FormTrouble from '#web/ui/FormTrouble.vue'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { useForm } from '#web/ui/use-form'
import { shortName } from '#web/ui/words/item-words'
import { freshGoal, goalBody } from './goal-draft'
import GoalFields from './GoalFields.vue'

/** An item, or some shades of it, joins a project with a goal of its own; or it merely goes along. */
const props = defineProps<{ item: ItemSummary; projects: readonly ProjectView[]; today: Day }>()
const emit = defineEmits<{ close: []; done: [] }>()
const form = useForm()
const projectId = ref(props.projects[0]?.id ?? '')
const project = computed(() => props.projects.find((each) => each.id === projectId.value) ?? null)
const goal = ref(freshGoal(project.value?.by ?? null, project.value?.usesEach ?? null))
const beside = ref(false)
const shades = ref<string[]>([])
const pan = computed(() => props.item.parts.length > 0 || eyeMeasureOf(props.item.form, props.item.opaque) === 'pan')

async function save(): Promise<void> {
  const path = `/projects/${projectId.value}`
  const common = { changeId: newId(), day: props.today }
  const own = { ...goalBody(goal.value) }
  const answer =
    shades.value.length > 0
      ? await form.submit('POST', `${path}/roll-in-many`, {
          ...common,
          goal: own,
          stays: shades.value.map((partId) => ({ stayId: newId(), itemId: props.item.id, partId })),
        })
      : await form.submit('POST', `${path}/roll-in`, {
          ...common,
          stayId: newId(),
          itemId: props.item.id,
          beside: beside.value,
          goal: beside.value ? { kind: 'keep using', target: null, headStart: 0, by: { kind: 'none' } } : own,
        })
  if (answer) emit('done')
}

function toggle(id: string): void {
  shades.value = shades.value.includes(id) ? shades.value.filter((each) => each !== id) : [...shades.value, id]
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
      <fieldset v-if="item.parts.length > 0">
        <legend>Which shades? None chosen: the whole of it.</legend>
        <div class="choices">
          <button
            v-for="part in item.parts"
            :key="part.id"
            type="button"
            class="choice"
            :aria-pressed="shades.includes(part.id)"
            @click="toggle(part.id)"
          >
            <span class="dab" :style="{ background: part.colour ?? 'var(--plate)' }"></span>{{ part.name }}
          </button>
        </div>
      </fieldset>
      <v-checkbox v-model="beside" label="It only goes along, without a goal (a mixing partner)" />
      <GoalFields
        v-if="!beside"
        v-model="goal"
        :today="today"
        :project-by="project?.by ?? null"
        :on="form.on"
        :uses-so-far="item.uses"
        :pan="pan"
      />
      <FormTrouble :refused="form.refused.value" :out-of-reach="form.outOfReach.value" />
      <div class="acts">
        <v-btn variant="text" @click="emit('close')">Cancel</v-btn>
        <v-btn type="submit" color="primary" :loading="form.busy.value">{{
          beside ? 'Let it go along' : 'Roll in'
        }}</v-btn>
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

fieldset {
  border: 0;
  padding: 0;
  margin: 0;
}

legend {
  font-weight: 600;
  font-size: 13.5px;
  margin-bottom: 5px;
}

.dab {
  display: inline-block;
  width: 16px;
  height: 16px;
  margin-right: 7px;
  border-radius: 4px;
  vertical-align: -3px;
  border: 1px solid rgb(0 0 0 / 0.35);
}
</style>
