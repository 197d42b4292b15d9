<script setup lang="ts">
import { computed } from 'vue'
import type { Day } from '#core/calendar/day'
import { parseMass } from '#core/measure/weighing'
import { startsSeries, type PackageEvent } from '#core/measure/package-events'
import type { ListedItem } from '#contract/item'
import NumberField from '#web/ui/form/NumberField.vue'
import { useContainers } from '#web/data/reads'
import { useUnits } from '#web/data/units'
import ChoiceRow from '#web/ui/form/ChoiceRow.vue'
import DayField from '#web/ui/form/DayField.vue'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import { callIt, shortName } from '#web/ui/words/item-words'
import { EVENT_WORDS, massTrouble, massWords, unitOf } from '#web/ui/words/measure-words'
import type { ActContext, ActResult } from './item-acts'
import { possibleEvents } from './likely-events'

/** What happened to the package; what changes around the content begins a new series of weighings. */
const props = defineProps<{ item: ListedItem; today: Day; context: ActContext }>()
const emit = defineEmits<{ close: []; done: [result: ActResult] }>()
const units = useUnits()
const unit = computed(() => unitOf(units.value))
const { answer: kept } = useContainers()
type Event = PackageEvent | 'depotted'
const shades = computed(() => props.item.parts.filter((part) => part.finishedOn === null && part.depottedOn === null))
const events = computed<Event[]>(() => [
  ...possibleEvents(props.item.form),
  ...(shades.value.length > 0 ? (['depotted'] as const) : []),
])
const SHARES = { 'a little': 0.1, 'a quarter': 0.25, half: 0.5, 'nearly all': 0.9 } as const
const draft = useDraft(() => ({
  kind: (props.context.event ?? null) as Event | null,
  partId: null as string | null,
  day: props.today as string,
  mass: '',
  share: null as keyof typeof SHARES | null,
  containerId: null as string | null,
  words: '',
}))
const { typed, on } = draft
const takesContainer = computed(
  () => typed.value.kind === 'repressed' || typed.value.kind === 'decanted' || typed.value.kind === 'depotted',
)
const losesSome = computed(() => typed.value.kind === 'spilt' || typed.value.kind === 'broken')
const free = computed(() =>
  (kept.value?.containers ?? []).filter((each) => each.goneOn === null && each.holds === null),
)
const containers = computed(() => [
  { title: typed.value.kind === 'repressed' ? 'the same pan' : 'another one, not on the shelf', value: null },
  ...free.value.map((each) => ({
    title: `${each.words}${each.grams === null ? '' : `, ${massWords(each.grams, each.resolution ?? 0.1, unit.value)} empty`}`,
    value: each.id,
  })),
])
const mass = computed(() => (typed.value.mass.trim() === '' ? null : parseMass(typed.value.mass, unit.value)))
const massError = computed(() => (mass.value && !mass.value.ok ? massTrouble(mass.value.failure.code) : ''))
const ready = computed(() => {
  const { kind, share, partId } = typed.value
  if (kind === null || massError.value !== '') return false
  if (kind === 'depotted') return partId !== null
  return kind !== 'spilt' || share !== null || mass.value?.ok === true
})

async function store(): Promise<void> {
  const { kind, partId, day, share, containerId, words } = typed.value
  const answer =
    kind === 'depotted'
      ? await draft.store('POST', `/items/${props.item.id}/depot`, {
          id: draft.id('thing'),
          eventId: draft.id('event'),
          partId,
          day,
          containerId,
        })
      : await draft.store('POST', `/items/${props.item.id}/events`, {
          id: draft.id('event'),
          partId,
          checkInId: props.context.checkInId ?? null,
          day,
          kind,
          grams: losesSome.value && mass.value?.ok ? mass.value.value : null,
          share: losesSome.value && mass.value === null && share !== null ? SHARES[share] : null,
          containerId: takesContainer.value ? containerId : null,
          words,
        })
  if (answer) emit('done', {})
}
</script>

<template>
  <FormDialog
    :title="`What happened to ${shortName(item)}?`"
    :label="`What happened to ${callIt(item)}`"
    :draft="draft"
    act="Save"
    :ready="ready"
    @close="emit('close')"
    @store="store"
  >
    <ChoiceRow v-model="typed.kind" label="It was" :options="events" :words="EVENT_WORDS" />
    <p v-if="typed.kind === 'repressed'" class="caution">
      Alcohol catches fire: no flame near it. Let the powder dry through before it goes near an eye.
    </p>
    <p v-if="typed.kind === 'cut open'" class="caution">Blades and cut tubes cut. Cut away from the hand.</p>
    <p v-if="typed.kind === 'depotted'" class="caution">
      Heat for loosening a pan burns, and its fumes aren’t for breathing. Open a window.
    </p>
    <v-select
      v-if="shades.length > 0 && typed.kind !== null"
      v-model="typed.partId"
      :label="typed.kind === 'depotted' ? 'Which shade comes out' : 'Which shade'"
      :items="[
        ...(typed.kind === 'depotted' ? [] : [{ title: 'the whole of it', value: null }]),
        ...shades.map((part) => ({ title: part.name, value: part.id })),
      ]"
      :error-messages="on('partId')"
    />
    <v-select
      v-if="takesContainer"
      v-model="typed.containerId"
      label="Into"
      :items="containers"
      :error-messages="on('containerId')"
    />
    <template v-if="losesSome">
      <ChoiceRow
        v-model="typed.share"
        label="About how much of what was left is lost"
        :options="Object.keys(SHARES) as (keyof typeof SHARES)[]"
        again
      />
      <NumberField
        text
        v-model="typed.mass"
        :label="`or weighed, ${unit}`"
        :error-messages="massError ? [massError] : [...on('grams'), ...on('share')]"
      />
    </template>
    <DayField v-model="typed.day" label="When" :max="today" :error-messages="on('day')" />
    <v-text-field
      v-if="typed.kind !== 'depotted'"
      v-model="typed.words"
      label="A note (optional)"
      :error-messages="on('words')"
    />
    <p v-if="typed.kind && typed.kind !== 'depotted' && startsSeries(typed.kind)" class="quiet">
      Its weighings start afresh here; what’s left carries on.
    </p>
    <p v-if="typed.kind === 'depotted'" class="quiet">
      The shade becomes an item of its own; its uses so far stay with the palette.
    </p>
  </FormDialog>
</template>
