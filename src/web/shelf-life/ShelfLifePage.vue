<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { CollectionAnswer, ItemSummary } from '#contract/item'
import { get } from '#web/api/client'
import { useChanges } from '#web/shell/changes'
import FinishDialog from '#web/ui/dialogs/FinishDialog.vue'
import SignDialog from '#web/ui/dialogs/SignDialog.vue'
import ShelfRow from './ShelfRow.vue'

/** What will spoil before I get to it: soonest first, and what is not known. */
const changes = useChanges()
const answer = ref<CollectionAnswer | null>(null)
const sign = ref<ItemSummary | null>(null)
const finishing = ref<ItemSummary | null>(null)
/** Long groups open on demand. */
const SHOWN = 12
const open = ref<string[]>([])

watch(
  () => changes.count,
  async () => (answer.value = await get<CollectionAnswer>('/shelf-life')),
  { immediate: true },
)

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
  <div class="place-head">
    <h1>Shelf life</h1>
    <span class="quiet">What will spoil before I get to it?</span>
  </div>
  <template v-if="answer">
    <section v-if="answer.items.length === 0" class="inset empty">
      <h2>Nothing to watch yet</h2>
      <p>
        Once the collection holds things with an opening or an expiry date, the soonest to spoil stand here first, each
        with the reason.
      </p>
    </section>
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
        @sign="sign = item"
        @finish="finishing = item"
      />
      <v-btn
        v-if="group.items.length > SHOWN && !open.includes(group.id)"
        variant="text"
        @click="open = [...open, group.id]"
        >Show all {{ group.items.length }}</v-btn
      >
    </section>
    <SignDialog v-if="sign" :item="sign" :today="answer.today" @close="sign = null" @done="sign = null" />
    <FinishDialog
      v-if="finishing"
      :item="finishing"
      :today="answer.today"
      @close="finishing = null"
      @done="finishing = null"
    />
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
  min-height: 32px;
  display: inline-flex;
  align-items: center;
  gap: 6px;
}

.group {
  margin-bottom: 22px;
}

.group:last-of-type {
  padding-bottom: 70px;
}

.group p {
  margin: 0 0 6px;
  font-size: 13.5px;
}

.empty {
  padding: 28px;
}
</style>
