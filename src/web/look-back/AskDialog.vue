<script setup lang="ts">
import { computed } from 'vue'
import type { AskView } from '#contract/look-back'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import { useStock } from '#web/data/stock'
import { useUnits } from '#web/data/units'
import { callIt, twinWords } from '#web/ui/words/item-words'

/** What is asked, and about which two to six things. */
const props = defineProps<{ ask: AskView | null }>()
const emit = defineEmits<{ close: [] }>()
const MOST = 6
const stock = useStock()
const units = useUnits()
/** As it was when the form was opened: what another window stores meanwhile is not written over unseen. */
const version = props.ask?.version ?? null
const draft = useDraft(() => ({
  question: props.ask?.question ?? 'Which next?',
  itemIds: props.ask?.candidates.map(({ item }) => item.id) ?? ([] as string[]),
}))
const { typed, on } = draft
const things = computed(() => {
  // What has gone since stays on the sheet it was asked on.
  const known = new Set(stock.items.map(({ id }) => id))
  const gone = (props.ask?.candidates ?? []).map(({ item }) => item).filter(({ id }) => !known.has(id))
  const all = [...stock.items, ...gone]
  const twins = twinWords(all, units.value)
  return all.map((item) => ({ title: [callIt(item), twins.get(item.id)].filter(Boolean).join(', '), value: item.id }))
})
const count = computed(() => typed.value.itemIds.length)

async function store(): Promise<void> {
  const body = { id: props.ask?.id ?? draft.id('ask'), version, ...typed.value }
  if (await draft.store('POST', '/look-back/asks', body)) emit('close')
}
</script>

<template>
  <FormDialog
    title="Which next?"
    :draft="draft"
    act="Save"
    :ready="count >= 2 && count <= MOST && typed.question.trim() !== ''"
    @close="emit('close')"
    @store="store"
  >
    <v-text-field v-model="typed.question" label="What you ask" :error-messages="on('question')" />
    <v-autocomplete
      v-model="typed.itemIds"
      multiple
      chips
      closable-chips
      label="Two to six items"
      :items="things"
      :error-messages="
        count > MOST ? [`${count} are too many: six are as many as a friend reads about.`] : on('itemIds')
      "
    />
  </FormDialog>
</template>
