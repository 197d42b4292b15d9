<script setup lang="ts">
import { useStorage } from '@vueuse/core'
import { computed, ref } from 'vue'
import { counted, plural } from '#core/words/counted'
import { useStock } from '#web/ui/stock'
import BulkBar from './BulkBar.vue'
import CollectionRow from './CollectionRow.vue'
import { choose, countsOf, FILTERS, ORDERS, type Order } from './filters'
import GaugeWall from './GaugeWall.vue'

const stock = useStock()
void stock.load()
const words = ref('')
const filters = ref<string[]>([])
const categoryId = ref<string | null>(null)
const order = ref<Order>('face')
const view = useStorage<'list' | 'gauges'>('seligo-collection-view', 'list')
const counts = computed(() => countsOf(stock.items))
const shown = computed(() =>
  choose(stock.items, { words: words.value, filters: filters.value, categoryId: categoryId.value, order: order.value }),
)
/** What is shown, and how many of just those are backups. */
const summary = computed(() => {
  const backups = shown.value.filter((item) => item.isBackup).length
  const kind = counts.value.find((row) => row.id === categoryId.value)?.name
  const told =
    counted(shown.value.length, kind ?? 'item') +
    (backups > 0 ? `, ${backups} of them ${plural(backups, 'backup')}` : '')
  const all = stock.items.length
  return shown.value.length === all ? told : `${told}; ${counted(all, 'item')} in all`
})

function toggle(id: string): void {
  filters.value = filters.value.includes(id) ? filters.value.filter((each) => each !== id) : [...filters.value, id]
}

const chosen = ref<string[] | null>(null)
const unknown = computed(() => stock.items.filter((item) => item.opening.kind === 'unknown').length)

function pick(id: string): void {
  if (chosen.value === null) return
  chosen.value = chosen.value.includes(id) ? chosen.value.filter((each) => each !== id) : [...chosen.value, id]
}

function clear(): void {
  filters.value = []
  categoryId.value = null
  words.value = ''
}
</script>

<template>
  <div class="place-head">
    <h1>Collection</h1>
    <span class="quiet">What do I own, and is it more than a face can use?</span>
    <v-btn v-if="unknown > 0" variant="text" to="/collection/openings">When opened? ({{ unknown }})</v-btn>
    <v-btn variant="text" :aria-pressed="chosen !== null" @click="chosen = chosen === null ? [] : null">{{
      chosen === null ? 'Choose several' : 'Choose none'
    }}</v-btn>
    <v-btn variant="outlined" color="primary" to="/collection/import">Import a sheet</v-btn>
    <v-btn color="primary" to="/collection/add">Add an item</v-btn>
  </div>
  <section v-if="stock.loaded && stock.items.length === 0" class="inset empty">
    <h2>Nothing here yet</h2>
    <p>
      Everything you own goes here, with how much is left and how long it is good. Import the sheet you keep, or add
      things one by one.
    </p>
  </section>
  <div v-else class="layout">
    <nav class="categories" aria-label="Categories">
      <button type="button" class="category" :aria-pressed="categoryId === null" @click="categoryId = null">
        <span>everything</span><span class="figures">{{ stock.items.length }}</span>
      </button>
      <button
        v-for="row in counts"
        :key="row.id"
        type="button"
        class="category"
        :aria-pressed="categoryId === row.id"
        @click="categoryId = row.id"
      >
        <span>{{ row.name }}</span>
        <span class="figures"
          >{{ row.count }}<span v-if="row.backups > 0" class="quiet">, {{ counted(row.backups, 'backup') }}</span></span
        >
      </button>
    </nav>
    <section class="main" aria-label="Items">
      <div class="tools">
        <v-text-field v-model="words" class="search" label="Maker, name or shade" clearable />
        <v-select
          v-model="order"
          class="order"
          label="Order"
          :items="Object.entries(ORDERS).map(([value, title]) => ({ value, title }))"
        />
        <div class="choices">
          <button type="button" class="choice" :aria-pressed="view === 'list'" @click="view = 'list'">List</button>
          <button type="button" class="choice" :aria-pressed="view === 'gauges'" @click="view = 'gauges'">
            Gauges
          </button>
        </div>
      </div>
      <div class="choices filters" role="group" aria-label="Only what is">
        <button
          v-for="filter in FILTERS"
          :key="filter.id"
          type="button"
          class="choice small"
          :aria-pressed="filters.includes(filter.id)"
          @click="toggle(filter.id)"
        >
          {{ filter.name }}
        </button>
      </div>
      <p class="quiet figures summary" role="status">{{ summary }}</p>
      <BulkBar
        v-if="chosen !== null"
        :chosen="chosen"
        :items="stock.items"
        :categories="stock.categories"
        @all="chosen = shown.map((item) => item.id)"
        @done="chosen = []"
      />
      <p v-if="stock.loaded && shown.length === 0" class="inset none">
        Nothing fits all of that. <v-btn variant="text" @click="clear">Show everything</v-btn>
      </p>
      <GaugeWall v-else-if="view === 'gauges'" :items="shown" />
      <v-virtual-scroll v-else-if="stock.today" class="list" :items="shown" :item-height="58" item-key="id">
        <template #default="{ item }"
          ><CollectionRow
            :item="item"
            :today="stock.today"
            :chosen="chosen === null ? null : chosen.includes(item.id)"
            @choose="pick(item.id)"
        /></template>
      </v-virtual-scroll>
    </section>
  </div>
</template>

<style scoped>
.layout {
  display: grid;
  grid-template-columns: 214px minmax(0, 1fr);
  gap: 16px;
}

.categories {
  display: grid;
  align-content: start;
  max-height: calc(100vh - 84px);
  overflow: auto;
}

.category {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 8px;
  min-height: 36px;
  padding: 0 10px;
  text-align: left;
  border-radius: 7px;
  font-size: 14px;
}

.category:hover {
  background: var(--inset);
}

.category[aria-pressed='true'] {
  background: var(--raised);
  box-shadow: inset 4px 0 0 var(--primary);
  font-weight: 600;
}

.category .quiet {
  font-size: 12px;
  font-weight: 400;
}

.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}

.search {
  flex: 2 1 220px;
}

.order {
  flex: 1 1 180px;
}

.filters {
  margin-top: 8px;
}

.choice.small {
  min-height: 36px;
  padding: 0 11px !important;
  font-size: 13px;
}

.summary {
  margin: 8px 4px;
  font-size: 13.5px;
}

.list {
  height: calc(100vh - 232px);
  min-height: 320px;
  background: var(--raised);
  border: 1px solid var(--hair);
  border-radius: 10px;
}

.empty,
.none {
  padding: 28px;
}

@media (max-width: 760px) {
  .layout {
    display: block;
  }

  .categories {
    display: flex;
    overflow-x: auto;
    padding-bottom: 8px;
  }

  .category {
    white-space: nowrap;
    min-height: 44px;
  }

  .list {
    height: calc(100vh - 220px);
  }
}
</style>
