<script setup lang="ts">
import { computed, ref } from 'vue'
import type { MergeQuestion } from '#contract/collection'
import type { ListedItem } from '#contract/item'
import ChoiceRow from '#web/ui/form/ChoiceRow.vue'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import { LIKING_ITEMS } from '#web/ui/words/liking-words'
import { callIt, usesWords } from '#web/ui/words/item-words'

/** Several that are the same thing become one: which one stays, and, where they say different things, which word holds. */
const props = defineProps<{ items: readonly ListedItem[] }>()
const emit = defineEmits<{ close: []; done: [keptId: string] }>()
const draft = useDraft(() => ({ keepId: null as string | null, chosen: {} as Record<string, string> }))
const { typed } = draft
/** What was asked so far; of several that are merged each may ask something of its own. */
const questions = ref<MergeQuestion[]>([])
const answered = computed(() => questions.value.every(({ field }) => typed.value.chosen[field] !== undefined))
/** Columns whose name is not what she calls them. */
const FIELD_WORDS: Readonly<Record<string, string>> = {
  category_id: 'type',
  maker: 'brand',
  liking: 'rating',
  used_as: 'worn as',
  content_amount: 'content',
  price_minor: 'price',
  price_said: 'price, as it was written',
  pao_months: 'PAO, months',
  opened_said: 'opened',
  spf: 'SPF',
}

function fieldWords(field: string): string {
  return FIELD_WORDS[field] ?? field.replaceAll('_', ' ')
}
function optionWords({ field, options }: MergeQuestion): Record<string, string> {
  return Object.fromEntries(
    options.map(({ itemId, says }) => [
      itemId,
      field === 'liking' ? (LIKING_ITEMS.find((each) => String(each.value) === says)?.title ?? says) : says,
    ]),
  )
}

async function keep(id: string): Promise<void> {
  if (typed.value.keepId !== id) {
    typed.value = { keepId: id, chosen: {} }
    questions.value = []
  }
  await store()
}
async function store(): Promise<void> {
  const { keepId, chosen } = typed.value
  const dropIds = props.items.map((item) => item.id).filter((id) => id !== keepId)
  if (keepId === null) return
  if (await draft.store('POST', '/merge', { keepId, dropIds, chosen })) return emit('done', keepId)
  const problem = draft.refused.value?.problem
  if (problem?.code !== 'merge-asks') return
  const asked = problem.current as readonly MergeQuestion[]
  const known = questions.value.map(({ field }) => field)
  questions.value = [...questions.value, ...asked.filter(({ field }) => !known.includes(field))]
}
</script>

<template>
  <FormDialog
    title="Which one stays?"
    label="Merge"
    :draft="draft"
    :act="questions.length > 0 ? 'Merge' : undefined"
    :ready="answered"
    @close="emit('close')"
    @store="store"
  >
    <p class="quiet">
      It takes over the history of the others; uses on the same day count once. The others are removed. You can undo it.
    </p>
    <v-btn
      v-for="item in items"
      :key="item.id"
      :variant="typed.keepId === item.id ? 'flat' : 'outlined'"
      color="primary"
      :aria-pressed="typed.keepId === item.id"
      @click="keep(item.id)"
      >{{ callIt(item) }} ({{ usesWords(item.uses) }})</v-btn
    >
    <ChoiceRow
      v-for="question in questions"
      :key="question.field"
      :model-value="typed.chosen[question.field] ?? null"
      :label="`They differ in: ${fieldWords(question.field)}`"
      :options="question.options.map((option) => option.itemId)"
      :words="optionWords(question)"
      @update:model-value="(id) => id !== null && (typed.chosen = { ...typed.chosen, [question.field]: id })"
    />
  </FormDialog>
</template>
