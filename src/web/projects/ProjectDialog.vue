<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Day } from '#core/calendar/day'
import { PROJECT_SHAPES, REPLACING, THEMES } from '#core/goal/project-rules'
import type { ProjectView } from '#contract/projects'
import { useStock } from '#web/data/stock'
import LessonsHere from '#web/ui/acts/LessonsHere.vue'
import ChoiceRow from '#web/ui/form/ChoiceRow.vue'
import DayField from '#web/ui/form/DayField.vue'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import { callIt } from '#web/ui/words/item-words'
import { REPLACING_WORDS, SHAPE_NAMES, SHAPE_WHY } from '#web/ui/words/project-words'
import { draftOfProject, PROJECT_FIELDS, projectBody, usualRules } from './project-draft'

/** A project of any school: its shape first, its rules below; what is left open is no rule. */
const props = defineProps<{ project: ProjectView | null; today: Day }>()
const emit = defineEmits<{ close: []; done: [id: string] }>()
const stock = useStock()
const draft = useDraft(() => draftOfProject(props.project, props.today), {
  names: PROJECT_FIELDS,
  theirs: (current) => draftOfProject(current as ProjectView, props.today),
})
const { typed, on } = draft
/** Of the project as it was when the form was opened. */
const version = props.project?.version ?? 0
const more = ref(props.project !== null)
const palettes = computed(() => stock.items.filter((item) => item.parts.length > 0))
watch(
  () => typed.value.shape,
  (shape) => (typed.value = { ...typed.value, ...usualRules(shape) }),
)

async function store(): Promise<void> {
  const id = props.project?.id ?? draft.id('project')
  const body = projectBody(typed.value)
  const done = props.project
    ? await draft.store('PUT', `/projects/${id}`, { ...body, version })
    : await draft.store('POST', '/projects', { ...body, id })
  if (done) emit('done', id)
}
</script>

<template>
  <FormDialog
    :title="project ? 'Change the project' : 'Start a project'"
    label="Project"
    :draft="draft"
    act="Save"
    :width="680"
    @close="emit('close')"
    @store="store"
  >
    <ChoiceRow v-model="typed.shape" label="Shape" :options="PROJECT_SHAPES" :words="SHAPE_NAMES" />
    <p class="quiet">{{ SHAPE_WHY[typed.shape] }}</p>
    <LessonsHere
      v-if="!project"
      :category-ids="typed.shape === 'sweep' && typed.categoryId ? [typed.categoryId] : []"
    />
    <v-text-field v-model="typed.name" autofocus label="Name" :error-messages="on('name')" />
    <div class="two side-by-side">
      <DayField v-model="typed.startedOn" label="Started on" :max="today" :error-messages="on('startedOn')" />
      <DayField v-model="typed.by" label="Until (optional)" :error-messages="on('by')" />
    </div>
    <template v-if="typed.shape === 'sweep'">
      <v-autocomplete
        v-model="typed.categoryId"
        label="Type"
        auto-select-first
        :items="stock.categories.map((each) => ({ title: each.name, value: each.id }))"
        :error-messages="on('categoryId')"
      />
      <div class="two side-by-side">
        <v-text-field
          v-model="typed.usesEach"
          inputmode="numeric"
          label="Uses for each"
          :error-messages="on('usesEach')"
        />
        <v-text-field
          v-model="typed.atOnce"
          inputmode="numeric"
          label="How many at a time (empty: all)"
          :error-messages="on('atOnce')"
        />
      </div>
    </template>
    <v-autocomplete
      v-else-if="typed.shape === 'palette'"
      v-model="typed.paletteId"
      label="Palette"
      :items="palettes.map((item) => ({ title: callIt(item), value: item.id }))"
      :error-messages="on('paletteId')"
    />
    <div v-else class="two side-by-side">
      <v-text-field
        v-model="typed.mostItems"
        inputmode="numeric"
        label="At most (optional)"
        :error-messages="on('mostItems')"
      />
      <v-text-field
        v-model="typed.atLeast"
        inputmode="numeric"
        label="Enough when this many are reached"
        :error-messages="on('atLeast')"
      />
    </div>
    <v-btn variant="text" :aria-expanded="more" @click="more = !more">{{ more ? 'Fewer rules' : 'More rules' }}</v-btn>
    <template v-if="more">
      <ChoiceRow
        v-model="typed.replacing"
        label="What rolls out is replaced"
        :options="REPLACING"
        :words="REPLACING_WORDS"
      />
      <div class="two side-by-side">
        <v-text-field
          v-model="typed.breakDays"
          inputmode="numeric"
          label="Days a type rests after one reaches its goal"
          :error-messages="on('breakDays')"
        />
        <v-text-field
          v-model="typed.wanted"
          inputmode="numeric"
          label="How many to reach in all"
          :error-messages="on('finishesWanted')"
        />
      </div>
      <v-select v-model="typed.theme" label="Only" clearable :items="THEMES" />
      <v-checkbox v-model="typed.leavingAllowed" label="Items may leave unfinished" />
      <v-textarea v-model="typed.rules" label="Other rules, in my own sentences" :error-messages="on('rules')" />
    </template>
  </FormDialog>
</template>

<style scoped>
p {
  margin: -4px 0 2px;
}

.phone .two {
  grid-template-columns: 1fr;
}
</style>
