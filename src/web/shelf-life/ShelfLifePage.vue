<script setup lang="ts">
import { computed, ref } from 'vue'
import type { ItemSummary } from '#contract/item'
import { useShelfLife } from '#web/data/reads'
import { useItemActs } from '#web/ui/acts/item-acts'
import EmptyPlace from '#web/ui/EmptyPlace.vue'
import PlaceHead from '#web/ui/PlaceHead.vue'
import ShelfRow from './ShelfRow.vue'

/** What will spoil before I get to it: soonest first, and what is not known. */
const acts = useItemActs()
const { answer } = useShelfLife()
/** Long groups open on demand. */
const SHOWN = 12
const open = ref<string[]>([])

const groups = computed(() => {
  const items = answer.value?.items ?? []
  const of = (...states: string[]): ItemSummary[] => items.filter((item) => states.includes(item.shelfLife.state))
  return [
    { id: 'sign', name: 'A sign was seen', words: 'A sign counts above any date.', items: of('sign seen') },
    { id: 'soon', name: 'Within 90 days', words: 'Worth reaching for now.', items: of('within 90 days') },
    {
      id: 'past',
      name: 'Past the date',
      words: 'At the eye and with liquids it is over; powders without a sign are for you to judge.',
      items: of('past').sort((a, b) => Number(b.eye) - Number(a.eye)),
    },
    {
      id: 'unknown',
      name: 'Not known',
      words: 'Say when it was opened, as closely as you know: even “2024” helps.',
      items: of('unknown'),
    },
    { id: 'in-date', name: 'In date', words: 'No hurry.', items: of('in date') },
  ].filter((group) => group.items.length > 0)
})

function shownOf(id: string, items: readonly ItemSummary[]): readonly ItemSummary[] {
  return open.value.includes(id) ? items : items.slice(0, SHOWN)
}
</script>

<template>
  <PlaceHead title="Shelf life" question="What will spoil before I get to it?" />
  <template v-if="answer">
    <EmptyPlace
      v-if="answer.items.length === 0"
      title="Nothing to watch yet"
      act="Say what you own"
      to="/collection/lines"
    >
      <template #drawing>
        <svg viewBox="0 0 240 90" width="240" height="90" aria-hidden="true">
          <path d="M4 45h232M70 20v50" class="line" />
          <rect x="128" y="37" width="46" height="16" rx="8" class="rail" />
          <rect x="128" y="37" width="46" height="16" rx="8" class="line" />
        </svg>
      </template>
      Once the collection holds things with an opening or an expiry date, the soonest to spoil stand here first, each
      with the reason.
    </EmptyPlace>
    <p v-if="answer.items.length > 0" class="quiet key">
      The line runs from half a year back to a year and a half ahead; the stroke is today, the bar is when its last good
      day lies.
    </p>
    <nav v-if="answer.items.length > 0" class="jump" aria-label="Groups">
      <a v-for="group in groups" :key="group.id" :href="`#${group.id}`" class="figures"
        ><strong>{{ group.items.length }}</strong> {{ group.name.toLowerCase() }}</a
      >
    </nav>
    <section v-for="group in groups" :id="group.id" :key="group.id" class="group" :aria-label="group.name">
      <h2>
        {{ group.name }} <span class="quiet figures">{{ group.items.length }}</span>
      </h2>
      <p class="quiet">{{ group.words }}</p>
      <ShelfRow
        v-for="item in shownOf(group.id, group.items)"
        :key="item.id"
        :item="item"
        :today="answer.today"
        @sign="acts.begin('sign', item)"
        @finish="acts.begin('finish', item)"
      />
      <v-btn
        v-if="group.items.length > SHOWN && !open.includes(group.id)"
        variant="text"
        @click="open = [...open, group.id]"
        >Show all {{ group.items.length }}</v-btn
      >
    </section>
  </template>
</template>

<style scoped>
.key {
  font-size: 13px;
  margin: 0 0 6px;
}

.jump {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 20px;
  margin-bottom: 8px;
}

.jump a {
  min-height: 44px;
  display: inline-flex;
  align-items: center;
  gap: 6px;
}

.group {
  margin-bottom: 22px;
}

.group p {
  margin: 0 0 6px;
  font-size: 13.5px;
}
</style>
