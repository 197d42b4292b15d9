<script setup lang="ts">
import type { Day } from '#core/calendar/day'
import type { BUY_AGAIN } from '#core/decide/review-choices'
import type { ChangeNote } from '#contract/basic'
import type { ListedItem } from '#contract/item'
import NumberField from '#web/ui/form/NumberField.vue'
import DayField from '#web/ui/form/DayField.vue'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import { callIt, shortName, usesWords } from '#web/ui/words/item-words'
import { openedWords } from '#web/ui/words/when-words'
import { computed } from 'vue'
import { parseMass } from '#core/measure/weighing'
import { useItem } from '#web/data/reads'
import { useHerScale, useUnits } from '#web/data/units'
import { massTrouble, massWords, unitOf } from '#web/ui/words/measure-words'
import type { ActContext, ActResult } from './item-acts'
import { emptyReview, reviewBody } from './review-draft'
import ReviewFields from './ReviewFields.vue'

/** An empty, with what she thought while she still remembers. */
const props = defineProps<{ item: ListedItem; today: Day; context: ActContext }>()
const emit = defineEmits<{ close: []; done: [result: ActResult] }>()
const draft = useDraft(() => ({
  partId: props.context.partId ?? null,
  day: props.today as string,
  ...emptyReview(),
  wouldBuyAgain: (props.item.backups > 0 ? 'have a backup' : null) as (typeof BUY_AGAIN)[number] | null,
  lesson: '',
  mass: '',
  cleaned: false,
}))
const { typed, on } = draft

const units = useUnits()
const herScale = useHerScale()
const unit = computed(() => unitOf(units.value))
const whole = useItem(() => props.item.id)
/** An empty of its kind is asked for once: from then on it is known. */
const known = computed(() => whole.answer.value?.packageWeights.findLast((each) => each.state !== 'full') ?? null)
const mass = computed(() => (typed.value.mass.trim() === '' ? null : parseMass(typed.value.mass, unit.value)))
const massError = computed(() => (mass.value && !mass.value.ok ? [massTrouble(mass.value.failure.code)] : []))

/** Shades that are not empty yet; with the last of them all of it is. */
const shades = computed(() => props.item.parts.filter((part) => part.finishedOn === null && part.depottedOn === null))
const shade = computed(() =>
  shades.value.length > 1 ? (shades.value.find((part) => part.id === typed.value.partId) ?? null) : null,
)

async function store(): Promise<void> {
  const { cleaned, day, lesson } = typed.value
  if (shade.value) {
    if (await draft.store('POST', `/parts/${shade.value.id}/finish`, { day })) emit('done', {})
    return
  }
  const weighed = mass.value
  const answer = await draft.store<{ backups: number; change: ChangeNote }>('POST', `/items/${props.item.id}/finish`, {
    reviewId: draft.id('review'),
    day,
    ...reviewBody(typed.value),
    lesson: lesson.trim() === '' ? null : { id: draft.id('lesson'), words: lesson },
    empty: weighed?.ok
      ? {
          id: draft.id('empty'),
          state: cleaned ? 'cleaned' : 'as finished',
          grams: weighed.value,
          resolution: herScale.value.step,
        }
      : null,
  })
  if (answer) emit('done', { backups: answer.backups })
}
</script>

<template>
  <FormDialog
    :title="shade ? `${shade.name} of ${shortName(item)} is empty` : `${shortName(item)} is empty`"
    :label="`Finish ${callIt(item)}`"
    :draft="draft"
    act="Finished"
    :ready="shade !== null || (typed.wouldBuyAgain !== null && massError.length === 0)"
    @close="emit('close')"
    @store="store"
  >
    <v-select
      v-if="shades.length > 1"
      v-model="typed.partId"
      label="What is empty"
      :items="[{ title: 'all of it', value: null }, ...shades.map((part) => ({ title: part.name, value: part.id }))]"
    />
    <p v-if="shade" class="quiet">
      {{ usesWords(shade.uses) }} of {{ shade.name }} ticked. The others carry on; with the last of them all of it is
      empty.
    </p>
    <p v-else class="quiet">{{ usesWords(item.uses) }} in all, {{ openedWords(item) }}. It keeps its history.</p>
    <p v-if="item.form === 'tube' || item.form === 'wand'" class="caution">
      Cutting a tube open for the last of it: the edge is sharp.
    </p>
    <DayField v-model="typed.day" label="Finished on" :max="today" :error-messages="on('day')" />
    <template v-if="!shade">
      <ReviewFields v-model="typed" :on="on" />
      <v-text-field v-model="typed.lesson" label="A lesson to keep? (optional)" :error-messages="on('lesson')" />
      <p v-if="known" class="quiet">
        An empty one of its type weighs {{ massWords(known.grams, known.resolution ?? 0.1, unit) }}; nothing more to
        weigh.
      </p>
      <template v-else>
        <NumberField
          text
          v-model="typed.mass"
          :label="`What the empty package weighs, ${unit} (optional)`"
          hint="Asked once: it tells what is left in the next one of its type."
          persistent-hint
          :error-messages="[...massError, ...on('empty')]"
        />
        <v-checkbox v-if="typed.mass.trim() !== ''" v-model="typed.cleaned" label="Washed and dry" />
      </template>
    </template>
  </FormDialog>
</template>
