<script setup lang="ts">
import { ref } from 'vue'
import type { WishView } from '#contract/buying'
import { counted } from '#core/words/counted'
import { newId } from '#web/data/client'
import { useChanges } from '#web/data/changes'
import { dateWords } from '#web/data/locale'
import { useBuying } from '#web/data/reads'
import EmptyPlace from '#web/ui/EmptyPlace.vue'
import BuyDialog from './BuyDialog.vue'
import PlaceHead from '#web/ui/PlaceHead.vue'
import { againWords } from '#web/ui/words/buying-words'
import WishDialog from './WishDialog.vue'
import WishRow from './WishRow.vue'

/** Wishes with their waiting, and what is to be bought again. */
const { answer } = useBuying()
const changes = useChanges()
const wishing = ref<WishView | 'new' | null>(null)
const buying = ref<WishView | null>(null)

function drop(path: string): void {
  void changes.run('POST', `${path}/drop`, { changeId: newId() })
}
</script>

<template>
  <PlaceHead :primary="{ words: 'Add a wish', act: () => (wishing = 'new') }" />
  <template v-if="answer">
    <EmptyPlace
      v-if="answer.wishes.length + answer.replacements.length + answer.ended.length === 0"
      title="Nothing on your wish list"
      act="Add a wish"
      @act="wishing = 'new'"
    >
      <template #drawing>
        <svg viewBox="0 0 200 110" width="200" height="110" aria-hidden="true">
          <path d="M60 36h80l10 58H50zM78 36c0-28 44-28 44 0" class="line" />
          <path d="M76 66h48M76 78h30" class="line" />
        </svg>
      </template>
      Written down, a wish can wait, and many go away by themselves. In a shop, Check shows what you own like it.
    </EmptyPlace>
    <template v-else>
      <section aria-label="Wish list">
        <h2>
          Wish list <span class="quiet figures">{{ answer.wishes.length }}</span>
        </h2>
        <p v-if="answer.wishes.length === 0" class="quiet small mt-1 mb-2">Nothing on it.</p>
        <div v-else class="sheet two-columns mt-2">
          <WishRow
            v-for="wish in answer.wishes"
            :key="wish.id"
            :wish="wish"
            :today="answer.today"
            :currency="answer.currency"
            @change="wishing = wish"
            @buy="buying = wish"
            @drop="drop(`/wishes/${wish.id}`)"
          />
        </div>
      </section>
      <section v-if="answer.replacements.length > 0" class="part mt-6" aria-label="To buy again">
        <h2>To buy again</h2>
        <p class="quiet small mt-1 mb-2">What you’d buy again and have finished, or soon will.</p>
        <div class="sheet two-columns mt-2">
          <div
            v-for="each in answer.replacements"
            :key="each.itemId"
            class="again d-flex flex-wrap justify-space-between align-center touch hair-below small py-1 px-3 gr-1 gc-3"
          >
            <RouterLink :to="`/items/${each.itemId}`">{{ each.mark }}</RouterLink>
            <span>{{ againWords(each, answer.today) }}</span>
          </div>
        </div>
      </section>
      <section v-if="answer.ended.length > 0" class="part mt-6" aria-label="Bought or dropped">
        <h2>Bought or dropped</h2>
        <ul class="bulleted ended small ps-4">
          <li v-for="wish in answer.ended" :key="wish.id">
            {{ [wish.maker, wish.name, wish.shade].filter(Boolean).join(' ') }}:
            {{ wish.endedAs === 'bought' ? 'bought' : 'let go' }} on {{ wish.endedOn ? dateWords(wish.endedOn) : '' }},
            after
            {{ counted(wish.daysWaited, 'day') }}
            <RouterLink v-if="wish.itemId" :to="`/items/${wish.itemId}`">its page</RouterLink>
          </li>
        </ul>
      </section>
    </template>
    <WishDialog
      v-if="wishing"
      :today="answer.today"
      :wish="wishing === 'new' ? null : wishing"
      @close="wishing = null"
    />
    <BuyDialog v-if="buying" :today="answer.today" :wish="buying" @close="buying = null" />
  </template>
</template>

<style scoped>
h2 .quiet {
  font: 400 13.5px var(--text);
}

.phone .again a {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
}

.again:last-child {
  border-bottom: none;
}
</style>
