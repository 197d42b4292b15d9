<script setup lang="ts">
import type { Day } from '#core/calendar/day'
import type { ListedItem } from '#contract/item'
import DayField from '#web/ui/form/DayField.vue'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import { callIt, shortName } from '#web/ui/words/item-words'
import type { ActResult } from './item-acts'

/** What was noticed on a thing: a sign counts above any date. */
const props = defineProps<{ item: ListedItem; today: Day }>()
const emit = defineEmits<{ close: []; done: [result: ActResult] }>()
const SIGNS = ['smell changed', 'colour changed', 'separated', 'grainy', 'drags', 'stings', 'flakes']
const draft = useDraft(() => ({ day: props.today as string, words: '' }))
const { typed, on } = draft

async function store(): Promise<void> {
  if (await draft.store('POST', `/items/${props.item.id}/sign`, typed.value)) emit('done', {})
}
</script>

<template>
  <FormDialog
    :title="`What did you notice on ${shortName(item)}?`"
    :label="`A sign on ${callIt(item)}`"
    :draft="draft"
    act="Save"
    @close="emit('close')"
    @store="store"
  >
    <p class="quiet">A sign counts more than any date.</p>
    <p class="caution">Stop at once if it stings, itches or swells. At the eye: rinse, and see a professional.</p>
    <div class="choices">
      <button
        v-for="sign in SIGNS"
        :key="sign"
        type="button"
        class="choice"
        :aria-pressed="typed.words === sign"
        @click="typed.words = sign"
      >
        {{ sign }}
      </button>
    </div>
    <v-text-field v-model="typed.words" label="In your words" :error-messages="on('words')" />
    <DayField v-model="typed.day" label="Noticed on" :max="today" :error-messages="on('day')" />
  </FormDialog>
</template>
