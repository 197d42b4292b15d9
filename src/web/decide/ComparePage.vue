<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { nearnessOf } from '#core/colour/difference'
import { twinsAmong, wornForColour } from '#core/decide/twins'
import type { ListedItem } from '#contract/item'
import { useCompare } from '#web/data/reads'
import { useUnits } from '#web/data/units'
import { useStock } from '#web/data/stock'
import { callIt, twinWords } from '#web/ui/words/item-words'
import { useItemActs } from '#web/ui/acts/item-acts'
import EmptyPlace from '#web/ui/EmptyPlace.vue'
import ItemPicker from '#web/ui/ItemPicker.vue'
import { numberWords } from '#web/data/locale'
import CompareColumn from './CompareColumn.vue'
import PlaceHead from '#web/ui/PlaceHead.vue'

/** Two to six near twins side by side on neutral ground. */
const route = useRoute()
const router = useRouter()
const acts = useItemActs()
const MOST = 6
const ids = computed(() =>
  String(route.query['items'] ?? '')
    .split(',')
    .filter(Boolean)
    .slice(0, MOST),
)
const { answer, failed } = useCompare(ids)
const picking = ref(false)
const keeping = ref<string | null>(null)
const things = computed(() => answer.value?.things ?? [])
const units = useUnits()
/** What tells those of one name apart. */
const twins = computed(() =>
  twinWords(
    things.value.map(({ item }) => item),
    units.value,
  ),
)
const swatched = computed(() => things.value.filter(({ item }) => item.colour !== null))

function show(next: readonly string[]): void {
  void router.replace({ path: '/keep/compare', query: next.length > 0 ? { items: next.join(',') } : {} })
}

/** Near twins to begin with: of what is in stock and worn for its colour, the nearest first; once one is chosen, its own. */
const stock = useStock()
const proposed = computed(() => {
  if (ids.value.length > 1) return []
  const forColour = new Set(stock.categories.filter(({ modelType }) => wornForColour(modelType)).map(({ id }) => id))
  const coloured = stock.items.flatMap(({ id, categoryId, colour, finish, isBackup }) =>
    colour === null || isBackup || !forColour.has(categoryId) ? [] : [{ id, kind: categoryId, colour, finish }],
  )
  const byId = new Map(stock.items.map((item) => [item.id, item]))
  const [chosen] = ids.value
  // Each pair once; of one that is chosen, its own.
  return [...twinsAmong(coloured)]
    .flatMap(([id, twins]) => twins.map((twin) => ({ ids: [id, twin.id], difference: twin.difference })))
    .filter(({ ids: [one = '', two = ''] }) => (chosen === undefined ? one < two : one === chosen))
    .sort((a, b) => a.difference - b.difference)
    .slice(0, MOST)
    .map(({ ids: pair, difference }) => ({ pair, items: pair.flatMap((id) => byId.get(id) ?? []), difference }))
})

function pick(item: ListedItem): void {
  picking.value = false
  show([...ids.value, item.id])
}

/** Names of two things, and how near they are. */
const nearness = computed(() =>
  (answer.value?.differences ?? []).map(({ a, b, difference, comparable }) => {
    const name = (id: string): string => {
      const item = things.value.find((each) => each.item.id === id)?.item
      return item ? item.shade || item.name : ''
    }
    return {
      key: `${a} ${b}`,
      words: `${name(a)} and ${name(b)}: ${nearnessOf(difference)} (${numberWords(difference, 1)})`,
      aside: comparable ? '' : 'of another use or finish, where a swatch tells less',
    }
  }),
)
</script>

<template>
  <PlaceHead
    question="Which of them stays?"
    :primary="
      ids.length < MOST
        ? { words: ids.length === 0 ? 'Choose the first' : 'Add one', act: () => (picking = true) }
        : null
    "
    :acts="ids.length > 0 ? [{ words: 'Start again', act: () => show([]) }] : []"
  />
  <EmptyPlace
    v-if="ids.length < 2"
    title="Compare"
    :act="ids.length === 0 ? 'Choose the first' : 'Choose the second'"
    @act="picking = true"
  >
    <template #drawing>
      <svg viewBox="0 0 200 110" width="200" height="110" aria-hidden="true">
        <rect x="14" y="20" width="50" height="70" rx="8" class="line" />
        <rect x="75" y="20" width="50" height="70" rx="8" class="line" />
        <rect x="136" y="20" width="50" height="70" rx="8" class="line" stroke-dasharray="4 5" />
      </svg>
    </template>
    Two to six that are alike: their swatches, how often you wore each, what each wear cost, when to use it by. Pick the
    one to keep first; then decide on the others.
  </EmptyPlace>
  <section v-if="proposed.length > 0" class="mt-5" aria-label="Near twins">
    <h2>Near twins</h2>
    <ul class="proposed">
      <li class="d-grid align-center hair-below ga-3" v-for="each in proposed" :key="each.pair.join()">
        <span class="dabs d-flex" aria-hidden="true">
          <span v-for="item in each.items" :key="item.id" :style="{ background: item.colour ?? undefined }"></span>
        </span>
        <span class="names">
          {{ each.items.map(callIt).join(' and ') }}
          <small class="quiet d-block">{{ nearnessOf(each.difference) }}</small>
        </span>
        <v-btn
          variant="outlined"
          color="primary"
          :aria-label="`Compare ${each.items.map(callIt).join(' and ')}`"
          @click="show(each.pair)"
          >Compare</v-btn
        >
      </li>
    </ul>
  </section>
  <p v-if="failed" class="caution">{{ failed.message }}</p>
  <template v-if="answer && ids.length >= 2">
    <section v-if="swatched.length > 1" class="ground d-flex rounded-lg pa-4 ga-0" aria-label="Swatches">
      <div
        v-for="{ item } in swatched"
        :key="item.id"
        class="swatch d-flex flex-1-1-0 align-end"
        :style="{ background: item.colour ?? undefined }"
        role="img"
        :aria-label="`${item.shade || item.name}: ${item.colour}`"
      >
        <span class="ma-2 py-1 px-2">{{ item.shade || item.name }}</span>
      </div>
    </section>
    <ul v-if="nearness.length > 0" class="near d-flex flex-wrap mt-2 gr-1 gc-5">
      <li v-for="each in nearness" :key="each.key">
        {{ each.words }}<span v-if="each.aside" class="quiet">, {{ each.aside }}</span>
      </li>
    </ul>
    <p class="quiet small prose mt-1 mb-3">
      A swatch on a screen isn’t exact: on skin, in daylight, two near twins can look different.
      <template v-if="!answer.sameUse"> They’re not all worn as the same, so their uses compare less well.</template>
    </p>
    <div class="columns d-grid ga-2">
      <CompareColumn
        v-for="thing in things"
        :key="thing.item.id"
        :thing="thing"
        :today="answer.today"
        :currency="answer.currency"
        :of="things.length"
        :keeping="keeping"
        :apart="twins.get(thing.item.id)"
        @keep="keeping = keeping === thing.item.id ? null : thing.item.id"
        @drop="show(ids.filter((id) => id !== thing.item.id))"
        @decide="acts.begin('decide', thing.item)"
      />
    </div>
    <p v-if="keeping" class="told font-weight-semibold" role="status">
      {{ things.find(({ item }) => item.id === keeping)?.item.shade || 'That one' }} stays first. Say of each of the
      others what becomes of it.
    </p>
  </template>
  <ItemPicker
    v-if="picking"
    v-model="picking"
    title="Add"
    action="Choose"
    :exclude="ids"
    :first="(item: ListedItem) => things[0] !== undefined && item.wornAs === things[0].item.wornAs"
    @pick="pick"
  />
</template>

<style scoped>
.ground {
  background: #8f9498;
}

.swatch {
  min-height: 170px;
  print-color-adjust: exact;
}

.swatch:first-child {
  border-radius: 6px 0 0 6px;
}

.swatch:last-child {
  border-radius: 0 6px 6px 0;
}

.swatch span {
  background: #8f9498;
  border-radius: 5px;
  color: #111417;
  font: 600 13px var(--text);
}

.near {
  font-size: 14.5px;
}

.columns {
  grid-template-columns: repeat(auto-fit, minmax(200px, 1fr));
}

.phone .swatch {
  min-height: 120px;
}

.phone .columns {
  grid-template-columns: repeat(auto-fit, minmax(160px, 1fr));
}

.proposed {
  margin: 6px 0 0;
  max-width: 860px;
}

.proposed li {
  grid-template-columns: auto minmax(0, 1fr) auto;
  min-height: 58px;
}

.dabs span {
  width: 34px;
  height: 34px;
}
</style>
