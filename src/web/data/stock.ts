import { computed, reactive } from 'vue'
import { useCategories, useCollection } from './reads'

/** Everything in stock with the categories and zones it is sorted by, for those who list and choose. */
export function useStock() {
  const collection = useCollection()
  const lists = useCategories()
  return reactive({
    items: computed(() => collection.answer.value?.items ?? []),
    today: computed(() => collection.answer.value?.today ?? null),
    currency: computed(() => collection.answer.value?.currency ?? 'EUR'),
    categories: computed(() => lists.answer.value?.categories ?? []),
    zones: computed(() => lists.answer.value?.zones ?? []),
    loaded: computed(() => collection.answer.value !== null && lists.answer.value !== null),
  })
}
