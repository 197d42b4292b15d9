<script setup lang="ts">
import { computed, watch } from 'vue'
import type { Day } from '#core/calendar/day'
import { eyeMeasureOf } from '#core/item/form'
import type { ListedItem } from '#contract/item'
import NumberField from '#web/ui/form/NumberField.vue'
import { useLookBack, useProjects } from '#web/data/reads'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { truerWords } from '#web/ui/words/look-back-words'
import { callIt, shortName } from '#web/ui/words/item-words'
import { freshGoal, goalBody } from './goal-draft'
import GoalFields from './GoalFields.vue'
import type { ActContext, ActResult } from './item-acts'
import LessonsHere from './LessonsHere.vue'
import SetUpWords from './SetUpWords.vue'
import ShadeChoice from './ShadeChoice.vue'

/** An item, or some shades of it, joins a project with a goal of its own; or it merely goes along. */
const props = defineProps<{ item: ListedItem; today: Day; context: ActContext }>()
const emit = defineEmits<{ close: []; done: [result: ActResult] }>()
const { answer } = useProjects()
const lookBack = useLookBack()
const projects = computed(() => answer.value?.projects ?? [])
const draft = useDraft(() => ({
  projectId: props.context.projectId ?? '',
  goal: freshGoal(null),
  beside: false,
  shades: [] as string[],
  months: '',
}))
const { typed, on } = draft
const project = computed(() => projects.value.find((each) => each.id === typed.value.projectId) ?? null)
/** What such a guess of hers has come to so far, once that may be said. */
const guessHint = computed(() => {
  const factor = lookBack.answer.value?.guesses.all ?? null
  const months = Number(typed.value.months.replace(',', '.'))
  return factor?.runsShort === true && months > 0 ? truerWords(factor, months) : 'Kept, to compare with what happens.'
})
const pan = computed(() => props.item.parts.length > 0 || eyeMeasureOf(props.item.form, props.item.opaque) === 'pan')

/** The goal that was offered last: what she changed of it is hers, however late the projects come. */
let offered = freshGoal(null)
function offer(next: Partial<typeof typed.value>): void {
  if (draft.isTyped.value) typed.value = { ...typed.value, ...next }
  else draft.begin({ ...typed.value, ...next })
}

/** What a project asks of each is where the goal begins; that somebody ticks meanwhile, or the projects are asked for again, moves nothing. */
watch(
  () => project.value && JSON.stringify([project.value.id, project.value.by, project.value.usesEach]),
  () => {
    const chosen = project.value
    if (chosen === null) return
    const next = freshGoal(chosen.by, chosen.usesEach)
    const { goal } = typed.value
    const kept = Object.entries(goal).filter(([field, value]) => value !== offered[field as keyof typeof offered])
    offered = next
    offer({ projectId: chosen.id, goal: { ...next, ...Object.fromEntries(kept) } })
  },
  { immediate: true },
)
watch(
  projects,
  ([first]) => {
    if (first !== undefined && project.value === null) offer({ projectId: first.id })
  },
  { immediate: true },
)

async function store(): Promise<void> {
  const { projectId, goal, beside, shades, months } = typed.value
  const path = `/projects/${projectId}`
  const common = { day: props.today, goal: goalBody(goal) }
  const itemId = props.item.id
  const done =
    shades.length > 0
      ? await draft.store('POST', `${path}/roll-in-many`, {
          ...common,
          stays: shades.map((partId) => ({ stayId: draft.id(partId), itemId, partId })),
        })
      : await draft.store('POST', `${path}/roll-in`, {
          ...common,
          stayId: draft.id('stay'),
          itemId,
          beside,
          ...(months.trim() === ''
            ? {}
            : { guess: { id: draft.id('guess'), months: Number(months.replace(',', '.')) } }),
          ...(beside ? { goal: { kind: 'keep using', target: null, headStart: 0, by: { kind: 'none' } } } : {}),
        })
  if (done) emit('done', {})
}
</script>

<template>
  <FormDialog
    :title="`Roll in ${shortName(item)}`"
    :label="`Roll in ${callIt(item)}`"
    :draft="draft"
    :act="answer && projects.length === 0 ? undefined : typed.beside ? 'Add without a goal' : 'Roll in'"
    :ready="project !== null"
    @close="emit('close')"
    @store="store"
  >
    <template #head>
      <div class="head d-flex align-center ga-4">
        <ItemGauge :item="item" size="middle" :rail="false" />
        <h2 tabindex="-1">Roll in {{ shortName(item) }}</h2>
      </div>
    </template>
    <p v-if="answer && projects.length === 0">
      You have no project yet. <RouterLink to="/projects" @click="emit('close')">Start one</RouterLink>, then roll it
      in.
    </p>
    <template v-else>
      <v-select
        v-if="projects.length > 1"
        v-model="typed.projectId"
        label="Project"
        :items="projects.map((each) => ({ title: each.name, value: each.id }))"
      />
      <ShadeChoice
        v-if="item.parts.length > 0"
        v-model="typed.shades"
        label="Which shades? None chosen: the whole of it."
        :parts="item.parts"
      />
      <v-checkbox v-model="typed.beside" label="No goal: it only goes along (a mixing partner)" />
      <GoalFields
        v-if="!typed.beside"
        v-model="typed.goal"
        :today="today"
        :project-by="project?.by ?? null"
        :on="on"
        :uses-so-far="item.uses"
        :pan="pan"
      />
      <SetUpWords
        v-if="!typed.beside && typed.shades.length === 0"
        :item-ids="[item.id]"
        :goal="typed.goal"
        :project-id="typed.projectId"
        :project-by="project?.by ?? null"
        :today="today"
      />
      <LessonsHere :category-ids="[item.categoryId]" />
      <NumberField
        text
        v-if="typed.shades.length === 0"
        v-model="typed.months"
        label="How long will it last, you think? (optional)"
        suffix="months"
        :hint="guessHint"
        persistent-hint
        :error-messages="on('guess.months')"
      />
    </template>
  </FormDialog>
</template>
