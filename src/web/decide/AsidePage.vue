<script setup lang="ts">
import { ref } from 'vue'
import type { ItemSummary, ListedItem } from '#contract/item'
import { useAside } from '#web/data/reads'
import { useItemActs } from '#web/ui/acts/item-acts'
import ItemActsMenu from '#web/ui/acts/ItemActsMenu.vue'
import EmptyPlace from '#web/ui/EmptyPlace.vue'
import ItemPicker from '#web/ui/ItemPicker.vue'
import { allUses, callIt } from '#web/ui/words/item-words'
import { goodTo } from '#web/ui/words/shelf-life-words'
import { fromNow, shortDay } from '#web/ui/words/when-words'
import { moneyWords } from '#web/data/locale'
import PlaceHead from '#web/ui/PlaceHead.vue'
import ThingRow from './ThingRow.vue'

/** What is saved for occasions, before its date saves it from them; and what is kept to look at. */
const { answer } = useAside()
const acts = useItemActs()
const picking = ref(false)

/** Whether its date comes before its day. */
function tooLate({ asideFor, shelfLife }: ItemSummary): string {
  const today = answer.value?.today
  if (today === undefined || shelfLife.actOn === null) return ''
  if (shelfLife.actOn < today) return ' – it is expired already'
  return asideFor !== null && shelfLife.actOn < asideFor ? ' – it expires before that day' : ''
}

function told(item: ItemSummary, currency: string): string {
  return [
    item.priceMinor === null ? 'no price known' : moneyWords(item.priceMinor, currency),
    allUses(item),
    goodTo(item, answer.value?.today ?? ('' as never)),
  ].join(' · ')
}
</script>

<template>
  <PlaceHead
    title="Special items"
    question="What am I saving, and for when?"
    :primary="{ words: 'Add a special item', act: () => (picking = true) }"
  />
  <template v-if="answer">
    <EmptyPlace
      v-if="answer.special.length + answer.keepsakes.length === 0"
      title="No special items"
      act="Add a special item"
      @act="picking = true"
    >
      <template #drawing>
        <svg viewBox="0 0 200 110" width="200" height="110" aria-hidden="true">
          <path d="M40 40h120v50H40zM34 28h132v14H34zM100 28v62M78 28c-14-22 18-22 22 0 4-22 36-22 22 0" class="line" />
        </svg>
      </template>
      What you save for occasions is here with its price, wears and use-by date. What you only keep to look at is a
      keepsake: it’s left out of how much you own, and still yours.
    </EmptyPlace>
    <section v-if="answer.special.length > 0" aria-label="For occasions">
      <h2>For occasions</h2>
      <p class="quiet small mt-1 mb-2">The soonest to expire first: they cost the most and expire like the rest.</p>
      <div class="sheet">
        <ThingRow v-for="item in answer.special" :key="item.id" :item="item">
          <p class="figures">{{ told(item, answer.currency) }}</p>
          <p v-if="item.asideFor || item.asideWords">
            Kept for {{ item.asideWords || 'a day'
            }}<template v-if="item.asideFor"
              >, {{ shortDay(item.asideFor, answer.today) }} ({{ fromNow(item.asideFor, answer.today) }})</template
            >
            <strong class="attention">{{ tooLate(item) }}</strong>
          </p>
          <template #acts>
            <v-btn
              variant="outlined"
              color="primary"
              :aria-label="`Use ${callIt(item)} first`"
              @click="acts.begin('roll in', item)"
              >Use first</v-btn
            >
            <v-btn variant="text" :aria-label="`A day for ${callIt(item)}`" @click="acts.begin('set aside', item)"
              >A day for it</v-btn
            >
            <ItemActsMenu :item="item" />
          </template>
        </ThingRow>
      </div>
    </section>
    <section v-if="answer.keepsakes.length > 0" class="mt-6" aria-label="Keepsakes">
      <h2 class="mb-2">Keepsakes</h2>
      <div class="sheet">
        <ThingRow v-for="item in answer.keepsakes" :key="item.id" :item="item">
          <p v-if="item.asideWords">{{ item.asideWords }}</p>
          <template #acts>
            <v-btn variant="text" :aria-label="`Change ${callIt(item)}`" @click="acts.begin('set aside', item)"
              >Change</v-btn
            >
          </template>
        </ThingRow>
      </div>
    </section>
    <ItemPicker
      v-if="picking"
      v-model="picking"
      title="Special"
      action="Choose"
      :exclude="[...answer.special, ...answer.keepsakes].map((item) => item.id)"
      @pick="(item: ListedItem) => ((picking = false), acts.begin('set aside', item))"
    />
  </template>
</template>
