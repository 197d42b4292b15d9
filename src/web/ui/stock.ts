import { defineStore } from 'pinia'
import { watchDebounced } from '@vueuse/core'
import { ref } from 'vue'
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

  // Loaded again once a flurry of changes is over: ticks come one upon the other.
  watchDebounced(
    () => changes.count,
    () => {
      if (loaded.value) void load()
    },
    { debounce: 150 },
  )

  return { items, today, currency, categories, zones, loaded, load }
})
