<script setup lang="ts">
import { computed } from 'vue'
import { addMonths, type Day } from '#core/calendar/day'
import { VERDICTS, type Destination, type Verdict } from '#core/decide/verdict'
import type { ListedItem } from '#contract/item'
import { useItem } from '#web/data/reads'
import { useStock } from '#web/data/stock'
import ChoiceRow from '#web/ui/form/ChoiceRow.vue'
import DayField from '#web/ui/form/DayField.vue'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import { callIt, shortName } from '#web/ui/words/item-words'
import type { ActContext, ActResult } from './item-acts'

/** The decision: a verdict, its reason, and where it goes when it goes. */
const props = defineProps<{ item: ListedItem; today: Day; context: ActContext }>()
const emit = defineEmits<{ close: []; done: [result: ActResult] }>()
const stock = useStock()
const whole = useItem(() => props.item.id)
const destinations = computed(() => (whole.answer.value?.destinations ?? []) as Destination[])
const draft = useDraft(() => ({
  verdict: (props.context.verdict ?? null) as Verdict | null,
  reason: '',
  destination: null as Destination | null,
  until: addMonths(props.today, 3) as string,
  usedAs: null as string | null,
}))
const { typed, on } = draft
const limited = computed(() => destinations.value.length > 0 && !destinations.value.includes('give'))
const ready = computed(() => {
  const { verdict, destination, usedAs } = typed.value
  if (verdict === null) return false
  if (verdict === 'let go') return destination !== null
  return verdict !== 'use up as something else' || usedAs !== null
})

async function store(): Promise<void> {
  const { verdict, reason, destination, until, usedAs } = typed.value
  if (verdict === null) return
  const answer = await draft.store('POST', '/verdicts', {
    verdictId: draft.id('verdict'),
    itemId: props.item.id,
    trialId: props.context.trialId ?? null,
    verdict,
    reason,
    destination: verdict === 'let go' ? destination : null,
    until: verdict === 'rest until a date' ? until || null : null,
    usedAs: verdict === 'use up as something else' ? usedAs : null,
  })
  if (answer) emit('done', { verdict })
}
</script>

<template>
  <FormDialog
    :title="`Decide on ${shortName(item)}`"
    :label="`Decide on ${callIt(item)}`"
    :draft="draft"
    act="Record the verdict"
    :ready="ready"
    @close="emit('close')"
    @store="store"
  >
    <ChoiceRow v-model="typed.verdict" label="Verdict" :options="VERDICTS" />
    <template v-if="typed.verdict === 'let go'">
      <ChoiceRow v-model="typed.destination" label="Where does it go?" :options="destinations" />
      <p v-if="limited" class="caution">Used eye and lip things, and spoiled ones, are not passed on.</p>
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
    <v-textarea v-model="typed.reason" label="Why? (one line is plenty)" rows="2" :error-messages="on('reason')" />
  </FormDialog>
</template>
