import { defineStore } from 'pinia'
import { ref, watch } from 'vue'
import type { Day } from '#core/calendar/day'
import type { CategoryView, CollectionAnswer, ItemSummary, ZoneView } from '#contract/item'
import { get } from '#web/api/client'
import { useChanges } from '#web/shell/changes'

/** Everything in stock, as two or more places list it; loaded once and again after a change. */
export const useStock = defineStore('stock', () => {
  const items = ref<ItemSummary[]>([])
  const today = ref<Day | null>(null)
  const currency = ref('EUR')
  const categories = ref<CategoryView[]>([])
  const zones = ref<ZoneView[]>([])
  const loaded = ref(false)
  let loadedAt = -1
  const changes = useChanges()

  async function load(): Promise<void> {
    if (loadedAt === changes.count && loaded.value) return
    const at = changes.count
    const [collection, lists] = await Promise.all([
      get<CollectionAnswer>('/collection'),
      get<{ categories: CategoryView[]; zones: ZoneView[] }>('/categories'),
    ])
    items.value = collection.items
    today.value = collection.today
    currency.value = collection.currency
    categories.value = lists.categories
    zones.value = lists.zones
    loadedAt = at
    loaded.value = true
  }

  watch(
    () => changes.count,
    () => {
      if (loaded.value) void load()
    },
  )

  return { items, today, currency, categories, zones, loaded, load }
})
