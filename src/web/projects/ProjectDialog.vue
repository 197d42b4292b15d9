<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Day } from '#core/calendar/day'
import { PROJECT_SHAPES, REPLACING, THEMES } from '#core/goal/project-rules'
import type { ProjectView } from '#contract/projects'
import { newId } from '#web/api/client'
import ChoiceRow from '#web/ui/ChoiceRow.vue'
import DayField from '#web/ui/DayField.vue'
import FormTrouble from '#web/ui/FormTrouble.vue'
import { useStock } from '#web/ui/stock'
import { useForm } from '#web/ui/use-form'
import { fullName } from '#web/ui/words/item-words'
import { REPLACING_WORDS, SHAPE_NAMES, SHAPE_WHY } from '#web/ui/words/project-words'
import { draftOfProject, projectBody, usualRules } from './project-draft'

/** A project of any school: its shape first, its rules below; what is left open is no rule. */
const props = defineProps<{ project: ProjectView | null; today: Day }>()
const emit = defineEmits<{ close: []; done: [id: string] }>()
const form = useForm()
const stock = useStock()
void stock.load()
const draft = ref(draftOfProject(props.project, props.today))
const more = ref(props.project !== null)
const palettes = computed(() => stock.items.filter((item) => item.parts.length > 0))
watch(
  () => draft.value.shape,
  (shape) => (draft.value = { ...draft.value, ...usualRules(shape) }),
)

async function save(): Promise<void> {
  const body = { changeId: newId(), ...projectBody(draft.value) }
  const id = props.project?.id ?? newId()
  const answer = props.project
    ? await form.submit('PUT', `/projects/${id}`, { ...body, version: props.project.version })
    : await form.submit('POST', '/projects', { ...body, id })
  if (answer) emit('done', id)
}
</script>

<template>
  <v-dialog :model-value="true" max-width="680" aria-label="Project" @update:model-value="emit('close')">
    <form class="sheet dialog" @submit.prevent="save">
      <h2>{{ project ? 'Change the project' : 'Start a project' }}</h2>
      <ChoiceRow v-model="draft.shape" label="Shape" :options="PROJECT_SHAPES" :words="SHAPE_NAMES" />
      <p class="quiet">{{ SHAPE_WHY[draft.shape] }}</p>
      <v-text-field v-model="draft.name" autofocus label="Name" :error-messages="form.on('name')" />
      <div class="two">
        <DayField v-model="draft.startedOn" label="Started on" :max="today" :error-messages="form.on('startedOn')" />
        <DayField v-model="draft.by" label="Until (may stay empty)" :error-messages="form.on('by')" />
      </div>
      <template v-if="draft.shape === 'sweep'">
        <v-autocomplete
          v-model="draft.categoryId"
          label="Category"
          auto-select-first
          :items="stock.categories.map((each) => ({ title: each.name, value: each.id }))"
          :error-messages="form.on('categoryId')"
        />
        <div class="two">
          <v-text-field
            v-model="draft.usesEach"
            type="number"
            min="1"
            label="Uses for each"
            :error-messages="form.on('usesEach')"
          />
          <v-text-field
            v-model="draft.atOnce"
            type="number"
            min="1"
            label="How many at a time (empty: side by side)"
            :error-messages="form.on('atOnce')"
          />
        </div>
      </template>
      <v-select
        v-else-if="draft.shape === 'palette'"
        v-model="draft.paletteId"
        label="Palette"
        :items="palettes.map((item) => ({ title: `${fullName(item)}, ${item.maker}`, value: item.id }))"
        :error-messages="form.on('paletteId')"
      />
      <div v-else class="two">
        <v-text-field
          v-model="draft.mostItems"
          type="number"
          min="1"
          label="At most (may stay empty)"
          :error-messages="form.on('mostItems')"
        />
        <v-text-field
          v-model="draft.atLeast"
          type="number"
          min="1"
          label="Enough when this many are reached"
          :error-messages="form.on('atLeast')"
        />
      </div>
      <v-btn variant="text" :aria-expanded="more" @click="more = !more">{{
        more ? 'Fewer rules' : 'More rules'
      }}</v-btn>
      <template v-if="more">
        <ChoiceRow
          v-model="draft.replacing"
          label="What rolls out is replaced"
          :options="REPLACING"
          :words="REPLACING_WORDS"
        />
        <div class="two">
          <v-text-field
            v-model="draft.breakDays"
            type="number"
            min="1"
            label="Days a category rests after one is reached"
            :error-messages="form.on('breakDays')"
          />
          <v-text-field
            v-model="draft.wanted"
            type="number"
            min="1"
            label="How many to reach in all"
            :error-messages="form.on('finishesWanted')"
          />
        </div>
        <v-select v-model="draft.theme" label="Only" clearable :items="THEMES" />
        <v-checkbox v-model="draft.leavingAllowed" label="Things may leave unfinished" />
        <v-textarea v-model="draft.rules" label="Other rules, in my own sentences" :error-messages="form.on('rules')" />
      </template>
      <FormTrouble :refused="form.refused.value" :out-of-reach="form.outOfReach.value" />
      <div class="acts">
        <v-btn variant="text" @click="emit('close')">Cancel</v-btn>
        <v-btn type="submit" color="primary" :loading="form.busy.value">Save</v-btn>
      </div>
    </form>
  </v-dialog>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}

p {
  margin: -4px 0 2px;
}

@media (max-width: 600px) {
  .two {
    grid-template-columns: 1fr;
  }
}
</style>
