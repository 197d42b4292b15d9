<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { counted, plural } from '#core/words/counted'
import { useDevice } from '#web/data/device'
import { useSupply } from '#web/data/reads'
import { useStock } from '#web/data/stock'
import PlaceHead from '#web/ui/PlaceHead.vue'
import { useFinding } from '#web/ui/use-finding'
import BulkBar from './BulkBar.vue'
import CategoryList from './CategoryList.vue'
import CollectionTable from './CollectionTable.vue'
import EmptyCollection from './EmptyCollection.vue'
import { choose, countsOf, FILTERS, ORDERS } from './filters'
import GaugeWall from './GaugeWall.vue'
import GoneList from './GoneList.vue'
import { useWish } from './use-wish'

/** Everything that is owned: found again by words, narrowed by what it is, in her order. */
const stock = useStock()
const device = useDevice()
const wish = useWish()
const words = computed({ get: () => wish.value.words, set: (text: string | null) => (wish.value.words = text ?? '') })
const { found, gone } = useFinding(words, () => stock.items)
const counts = computed(() => countsOf(stock.items))
const shown = computed(() => choose(found.value, { ...wish.value, ranked: words.value !== '' }))
/** What is shown, and how many of just those are backups. */
const summary = computed(() => {
  const backups = shown.value.filter((item) => item.isBackup).length
  const kind = counts.value.find((row) => row.id === wish.value.categoryId)?.name
  const told =
    counted(shown.value.length, kind ?? 'item') +
    (backups > 0 ? `, ${backups} of them ${plural(backups, 'backup')}` : '')
  const all = stock.items.length
  return shown.value.length === all ? told : `${told}; ${counted(all, 'item')} in all`
})
const supply = useSupply()
const years = computed(
  () => new Map((supply.answer.value?.categories ?? []).map((each) => [each.categoryId, each.years])),
)
const chosen = ref<string[] | null>(null)
const unknown = computed(() => stock.items.filter((item) => item.opening.kind === 'unknown').length)
const guessed = computed(() => stock.items.filter((item) => item.colour === null && item.guess !== null).length)
const acts = computed(() => [
  { words: 'Line by line', to: '/collection/lines' },
  {
    words: chosen.value === null ? 'Choose several' : 'Choose none',
    act: () => (chosen.value = chosen.value === null ? [] : null),
    pressed: chosen.value !== null,
  },
  { words: 'Import a sheet', to: '/collection/import' },
])
// What is not in sight any more is not chosen any more.
watch(shown, (items) => {
  if (chosen.value === null) return
  const ids = new Set(items.map((item) => item.id))
  chosen.value = chosen.value.filter((id) => ids.has(id))
})

function toggle(id: string): void {
  const { filters } = wish.value
  wish.value.filters = filters.includes(id) ? filters.filter((each) => each !== id) : [...filters, id]
}

function pick(id: string): void {
  if (chosen.value === null) return
  chosen.value = chosen.value.includes(id) ? chosen.value.filter((each) => each !== id) : [...chosen.value, id]
}

function clear(): void {
  wish.value = { ...wish.value, words: '', filters: [], categoryId: null }
}
</script>

<template>
  <PlaceHead
    question="What do I own, and where is it?"
    :primary="{ words: 'Add an item', to: '/collection/add' }"
    :acts="acts"
  />
  <p v-if="unknown + guessed > 0" class="quiet clear-up d-flex flex-wrap align-center small gr-0 gc-3">
    To clear up:
    <RouterLink v-if="unknown > 0" to="/collection/openings">When opened? ({{ unknown }})</RouterLink>
    <RouterLink v-if="guessed > 0" to="/collection/swatches">Swatches ({{ guessed }})</RouterLink>
  </p>
  <EmptyCollection v-if="stock.loaded && stock.items.length === 0 && words === ''" />
  <div v-else class="layout d-grid ga-4">
    <CategoryList v-model="wish.categoryId" :counts="counts" :all="stock.items.length" :years="years" />
    <section class="main" aria-label="Items">
      <div class="d-flex flex-wrap align-center ga-2">
        <v-text-field v-model="words" class="search" label="Brand, name, shade or notes" clearable />
        <v-select
          v-model="wish.order"
          class="order"
          label="Order"
          :items="Object.entries(ORDERS).map(([value, title]) => ({ value, title }))"
        />
        <div class="choices">
          <button
            v-for="view in ['list', 'gauges'] as const"
            :key="view"
            type="button"
            class="choice"
            :aria-pressed="device.collectionView === view"
            @click="device.collectionView = view"
          >
            {{ view === 'list' ? 'List' : 'Gauges' }}
          </button>
        </div>
      </div>
      <div class="choices filters mt-2" role="group" aria-label="Show only">
        <button
          v-for="filter in FILTERS"
          :key="filter.id"
          type="button"
          class="choice small"
          :aria-pressed="wish.filters.includes(filter.id)"
          @click="toggle(filter.id)"
        >
          {{ filter.name }}
        </button>
      </div>
      <p class="quiet figures summary small my-2 mx-1" role="status">{{ summary }}</p>
      <BulkBar
        v-if="chosen !== null"
        :chosen="chosen"
        :items="stock.items"
        :categories="stock.categories"
        @all="chosen = shown.map((item) => item.id)"
        @done="chosen = []"
      />
      <p v-if="stock.loaded && shown.length === 0" class="inset none">
        Nothing here matches all of that. <v-btn variant="text" @click="clear">Show everything</v-btn>
      </p>
      <GaugeWall v-else-if="device.collectionView === 'gauges'" :items="shown" />
      <CollectionTable v-else-if="stock.today" :items="shown" :today="stock.today" :chosen="chosen" @choose="pick" />
      <GoneList v-if="gone.length > 0" :gone="gone" />
    </section>
  </div>
</template>

<style scoped>
.clear-up {
  margin: -6px 0 6px;
}

.phone .clear-up a {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
}

.layout {
  grid-template-columns: 214px minmax(0, 1fr);
}

.search {
  flex: 2 1 220px;
}

.order {
  flex: 1 1 180px;
}

.choice.small {
  min-height: 36px;
  padding: 0 11px !important;
  font-size: 13px;
}

.none {
  padding: 28px;
}

.phone .layout {
  display: block;
}

/* One row to push along, as the kinds above it. */
.phone .filters {
  flex-wrap: nowrap;
  overflow-x: auto;
}

.phone .choice.small {
  flex: none;
  min-height: 44px;
}
</style>
