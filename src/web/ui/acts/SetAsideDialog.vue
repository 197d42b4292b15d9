<script setup lang="ts">
import { addDays, type Day } from '#core/calendar/day'
import type { SetAside } from '#core/decide/set-aside'
import type { ListedItem } from '#contract/item'
import { useItem } from '#web/data/reads'
import ChoiceRow from '#web/ui/form/ChoiceRow.vue'
import DayField from '#web/ui/form/DayField.vue'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import { callIt, shortName } from '#web/ui/words/item-words'
import { watch } from 'vue'
import type { ActResult } from './item-acts'

/** Kept to look at, kept for occasions, or used like anything else. */
const props = defineProps<{ item: ListedItem; today: Day }>()
const emit = defineEmits<{ close: []; done: [result: ActResult] }>()
const whole = useItem(() => props.item.id)
const draft = useDraft(() => ({
  kind: (props.item.setAside ?? 'use') as SetAside | 'use' | null,
  forDay: whole.answer.value?.item.asideFor ?? '',
  words: whole.answer.value?.item.asideWords ?? '',
}))
const { typed, on } = draft
// What she said of it before comes with the whole of it.
watch(whole.answer, () => draft.isTyped.value || draft.begin())

async function store(): Promise<void> {
  const { kind, forDay, words } = typed.value
  const done = await draft.store('PUT', `/items/${props.item.id}/aside`, {
    id: draft.id('aside'),
    kind: kind === 'use' ? null : kind,
    forDay: kind === 'special' && forDay !== '' ? forDay : null,
    words,
  })
  if (done) emit('done', {})
}
</script>

<template>
  <FormDialog
    :title="`What is ${shortName(item)} for?`"
    :label="`Special: ${callIt(item)}`"
    :draft="draft"
    act="Save"
    :ready="typed.kind !== null"
    @close="emit('close')"
    @store="store"
  >
    <ChoiceRow
      v-model="typed.kind"
      label="It is"
      :options="['use', 'special', 'keepsake']"
      :words="{ use: 'used like anything else', special: 'kept for occasions', keepsake: 'a keepsake, to look at' }"
    />
    <p v-if="typed.kind === 'keepsake'" class="quiet">It stays in the collection, but out of sums and suggestions.</p>
    <p v-if="typed.kind === 'special'" class="quiet">
      It’s listed with its price, wears and use-by date, so that you wear it before it expires.
    </p>
    <p v-if="on('kind').length > 0" class="caution" role="alert">{{ on('kind')[0] }}</p>
    <DayField
      v-if="typed.kind === 'special'"
      v-model="typed.forDay"
      label="For one day? (optional)"
      :min="addDays(today, 0)"
      :error-messages="on('forDay')"
    />
    <v-text-field
      v-if="typed.kind !== 'use'"
      v-model="typed.words"
      :label="typed.kind === 'special' ? 'For what? (optional)' : 'Why is it kept? (optional)'"
      :error-messages="on('words')"
    />
  </FormDialog>
</template>
