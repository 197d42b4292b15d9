<script setup lang="ts">
import { computed, watch } from 'vue'
import { addDays, addMonths, type Day } from '#core/calendar/day'
import { eyeMeasureOf } from '#core/item/form'
import {
  LET_GO_WHY,
  OTHERWISE,
  VERDICTS,
  type Destination,
  type LetGoWhy,
  type Otherwise,
  type Verdict,
} from '#core/decide/verdict'
import type { ListedItem } from '#contract/item'
import { useItem, useProjects } from '#web/data/reads'
import { useStock } from '#web/data/stock'
import ChoiceRow from '#web/ui/form/ChoiceRow.vue'
import DayField from '#web/ui/form/DayField.vue'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import { callIt, shortName } from '#web/ui/words/item-words'
import { destinationCaution } from '#web/ui/words/destination-words'
import { freshGoal, goalBody } from './goal-draft'
import GoalFields from './GoalFields.vue'
import type { ActContext, ActResult } from './item-acts'
import { TRIAL_DAYS, TRIAL_WEARS } from './trial-draft'
import TrialFields from './TrialFields.vue'

/** The decision: a verdict, what it means to carry it out, and why. */
const props = defineProps<{ item: ListedItem; today: Day; context: ActContext }>()
const emit = defineEmits<{ close: []; done: [result: ActResult] }>()
const stock = useStock()
const whole = useItem(() => props.item.id)
const projects = useProjects()
const open = computed(() => projects.answer.value?.projects ?? [])
const destinations = computed(() => (whole.answer.value?.destinations ?? []) as Destination[])
const draft = useDraft(() => ({
  verdict: (props.context.verdict ?? null) as Verdict | null,
  reason: '',
  lesson: '',
  destination: null as Destination | null,
  why: null as LetGoWhy | null,
  toWhom: '',
  until: addMonths(props.today, 3) as string,
  usedAs: null as string | null,
  projectId: null as string | null,
  goal: freshGoal(null),
  otherwise: 'base' as Otherwise | null,
  again: { wears: TRIAL_WEARS, dueOn: addDays(props.today, TRIAL_DAYS) as string, question: '' },
}))
const { typed, on } = draft
const project = computed(() => open.value.find((each) => each.id === typed.value.projectId) ?? null)
// What a project asks of each is where the goal begins; that the projects are asked for again moves nothing.
watch(
  () => typed.value.projectId,
  () => {
    const chosen = project.value
    if (chosen !== null) typed.value = { ...typed.value, goal: freshGoal(chosen.by, chosen.usesEach) }
  },
)
const caution = computed(() =>
  destinations.value.length > 0 ? destinationCaution(props.item, destinations.value) : '',
)
const toSomebody = computed(() =>
  ['give', 'swap', 'donate', 'sell', 'return scheme'].includes(typed.value.destination ?? ''),
)
const ready = computed(() => {
  const { verdict, destination, usedAs, otherwise } = typed.value
  if (verdict === null) return false
  if (verdict === 'let go') return destination !== null
  if (verdict === 'once more, otherwise') return otherwise !== null
  return verdict !== 'use up as something else' || usedAs !== null
})

async function store(): Promise<void> {
  const { verdict, reason, lesson, destination, why, toWhom, until, usedAs, projectId, goal, otherwise, again } =
    typed.value
  if (verdict === null) return
  const going = verdict === 'let go'
  const answer = await draft.store('POST', '/verdicts', {
    verdictId: draft.id('verdict'),
    itemId: props.item.id,
    trialId: props.context.trialId ?? null,
    verdict,
    reason,
    lesson: lesson.trim() === '' ? null : { id: draft.id('lesson'), words: lesson },
    destination: going ? destination : null,
    why: going ? why : null,
    toWhom: going && toSomebody.value ? toWhom : '',
    until: verdict === 'rest until a date' ? until || null : null,
    usedAs: verdict === 'use up as something else' ? usedAs : null,
    into:
      verdict === 'keep and use' && projectId !== null
        ? { projectId, stayId: draft.id('stay'), goal: goalBody(goal) }
        : null,
    again:
      verdict === 'once more, otherwise'
        ? {
            trialId: draft.id('again'),
            otherwise,
            wearsWanted: Number(again.wears),
            dueOn: again.dueOn,
            question: again.question,
          }
        : null,
  })
  if (answer) emit('done', {})
}
</script>

<template>
  <FormDialog
    :title="`Decide on ${shortName(item)}`"
    :label="`Decide on ${callIt(item)}`"
    :draft="draft"
    act="Save"
    :ready="ready"
    @close="emit('close')"
    @store="store"
  >
    <ChoiceRow v-model="typed.verdict" label="Verdict" :options="VERDICTS" />
    <template v-if="typed.verdict === 'let go'">
      <p v-if="caution" class="caution">{{ caution }}</p>
      <ChoiceRow v-model="typed.destination" label="Where does it go?" :options="destinations" />
      <v-text-field
        v-if="toSomebody"
        v-model="typed.toWhom"
        label="To whom? (optional)"
        :error-messages="on('toWhom')"
      />
      <ChoiceRow v-model="typed.why" label="What is it, mostly? (optional)" :options="LET_GO_WHY" again />
    </template>
    <DayField
      v-if="typed.verdict === 'rest until a date'"
      v-model="typed.until"
      label="Rests until"
      :error-messages="on('until')"
    />
    <v-autocomplete
      v-if="typed.verdict === 'use up as something else'"
      v-model="typed.usedAs"
      label="Used up as"
      :items="stock.categories.map((each) => ({ title: each.name, value: each.id }))"
      :error-messages="on('usedAs')"
    />
    <template v-if="typed.verdict === 'keep and use'">
      <v-select
        v-model="typed.projectId"
        label="Into which project? (optional)"
        clearable
        :items="open.map((each) => ({ title: each.name, value: each.id }))"
        :error-messages="on('into.projectId')"
      />
      <GoalFields
        v-if="typed.projectId !== null"
        v-model="typed.goal"
        :today="today"
        :project-by="project?.by ?? null"
        :uses-so-far="item.uses"
        :pan="item.parts.length > 0 || eyeMeasureOf(item.form, item.opaque) === 'pan'"
        :on="(field: string) => on(`into.${field}`)"
      />
    </template>
    <template v-if="typed.verdict === 'once more, otherwise'">
      <ChoiceRow v-model="typed.otherwise" label="With another" :options="OTHERWISE" />
      <TrialFields v-model="typed.again" :today="today" :on="on" within="again." />
    </template>
    <v-textarea v-model="typed.reason" label="Why? (one line is plenty)" rows="2" :error-messages="on('reason')" />
    <v-text-field v-model="typed.lesson" label="A lesson to keep? (optional)" :error-messages="on('lesson')" />
  </FormDialog>
</template>
