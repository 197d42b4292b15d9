<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { nearnessOf } from '#core/colour/difference'
import type { ListedItem } from '#contract/item'
import { useCompare } from '#web/data/reads'
import { useUnits } from '#web/data/units'
import { twinWords } from '#web/ui/words/item-words'
import { useItemActs } from '#web/ui/acts/item-acts'
import EmptyPlace from '#web/ui/EmptyPlace.vue'
import ItemPicker from '#web/ui/ItemPicker.vue'
import { numberWords } from '#web/data/locale'
import CompareColumn from './CompareColumn.vue'
import DecideHead from './DecideHead.vue'

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
  void router.replace({ path: '/decide/compare', query: next.length > 0 ? { items: next.join(',') } : {} })
}

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
  <DecideHead
    question="Which of them stays?"
    :primary="
      ids.length < MOST
        ? { words: ids.length === 0 ? 'Choose the first' : 'Add one', act: () => (picking = true) }
        : null
    "
    :acts="ids.length > 0 ? [{ words: 'Begin anew', act: () => show([]) }] : []"
  />
  <EmptyPlace
    v-if="ids.length < 2"
    title="Side by side"
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
    Two to six that are alike: swatches on neutral ground, what each was worn, what it cost a use, how long it is good.
    Pick the one to keep first; the others get their verdict.
  </EmptyPlace>
  <p v-if="failed" class="caution">{{ failed.message }}</p>
  <template v-if="answer && ids.length >= 2">
    <section v-if="swatched.length > 1" class="ground" aria-label="Swatches">
      <div
        v-for="{ item } in swatched"
        :key="item.id"
        class="swatch"
        :style="{ background: item.colour ?? undefined }"
        role="img"
        :aria-label="`${item.shade || item.name}: ${item.colour}`"
      >
        <span>{{ item.shade || item.name }}</span>
      </div>
    </section>
    <ul v-if="nearness.length > 0" class="near">
      <li v-for="each in nearness" :key="each.key">
        {{ each.words }}<span v-if="each.aside" class="quiet">, {{ each.aside }}</span>
      </li>
    </ul>
    <p class="quiet note">
      Differences are CIEDE2000. A swatch on a screen is itself uncertain: on skin, in daylight, two near twins can
      part.
      <template v-if="!answer.sameUse">
        They are not all worn as the same, so uses and share of turns compare less.</template
      >
    </p>
    <div class="columns">
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
    <p v-if="keeping" class="told" role="status">
      {{ things.find(({ item }) => item.id === keeping)?.item.shade || 'That one' }} stays first. Say of each of the
      others what becomes of it.
    </p>
  </template>
  <ItemPicker
    v-if="picking"
    v-model="picking"
    title="Lay beside"
    action="Choose"
    :exclude="ids"
    :first="(item: ListedItem) => things[0] !== undefined && item.wornAs === things[0].item.wornAs"
    @pick="pick"
  />
</template>

<style scoped>
.ground {
  display: flex;
  background: #8f9498;
  border-radius: 10px;
  padding: 18px;
  gap: 0;
}

.swatch {
  flex: 1;
  display: flex;
  align-items: end;
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
  margin: 8px;
  padding: 2px 8px;
  background: #8f9498;
  border-radius: 5px;
  color: #111417;
  font: 600 13px var(--text);
}

.near {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 22px;
  margin: 10px 0 0;
  padding: 0;
  list-style: none;
  font-size: 14.5px;
}

.note {
  margin: 4px 0 12px;
  font-size: 13px;
  max-width: 90ch;
}

.columns {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(200px, 1fr));
  gap: 10px;
}

.told {
  font-weight: 600;
}

.phone .swatch {
  min-height: 120px;
}

.phone .columns {
  grid-template-columns: repeat(auto-fit, minmax(160px, 1fr));
}
</style>
