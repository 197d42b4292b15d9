<script setup lang="ts">
import { computed, ref } from 'vue'
import { counted } from '#core/words/counted'
import { dateWords } from '#web/data/locale'
import { useLooks } from '#web/data/reads'
import EmptyPlace from '#web/ui/EmptyPlace.vue'
import { longDay } from '#web/ui/words/when-words'
import LookStrip from './LookStrip.vue'
import PlaceHead from '#web/ui/PlaceHead.vue'
import type { TogetherView } from '#contract/look-back'

/** What was in a look, day by day; the looks that were kept; what goes together and what never met. */
const { answer } = useLooks()
const items = computed(() => new Map(answer.value?.items.map((item) => [item.id, item])))
const SHOWN = 14
const all = ref(false)
const days = computed(() => (all.value ? (answer.value?.days ?? []) : (answer.value?.days ?? []).slice(0, SHOWN)))
function togetherWords({ days: n, each: [a, b] }: TogetherView): string {
  return n === 0
    ? `worn on ${a} and ${counted(b, 'day')} within the year, never on the same`
    : `on ${counted(n, 'day')} within the year, of ${a} and ${b}`
}
const pairings = computed(() => [
  { title: 'Most often together', pairs: answer.value?.often ?? [] },
  { title: 'Never together', pairs: answer.value?.never ?? [] },
])
</script>

<template>
  <PlaceHead question="What did I wear?" />
  <template v-if="answer">
    <EmptyPlace v-if="answer.days.length === 0 && answer.saved.length === 0" title="No look yet" act="To today" to="/">
      Tick what you wear, and each day’s look is here. Looks you save on Today are beside them.
    </EmptyPlace>
    <div v-else class="two d-grid align-start ga-3">
      <section aria-label="Day by day" class="sheet pt-2 pb-3 px-4">
        <h2>Day by day</h2>
        <p v-if="days.length === 0" class="quiet">No makeup was ticked in the last three months.</p>
        <article class="hair-below pt-1 pb-2 px-0" v-for="look in days" :key="look.day">
          <h3 class="d-flex align-center ga-2">
            <RouterLink :to="`/day/${look.day}`">{{ longDay(look.day) }}</RouterLink>
            <small class="quiet">{{ counted(look.itemIds.length, 'item') }}</small>
          </h3>
          <LookStrip :item-ids="look.itemIds" :items="items" />
        </article>
        <v-btn v-if="answer.days.length > days.length" variant="text" @click="all = true"
          >All {{ answer.days.length }} of three months</v-btn
        >
      </section>
      <div class="d-grid ga-3">
        <section aria-label="Saved looks" class="sheet pt-2 pb-3 px-4">
          <h2>Saved looks</h2>
          <p v-if="answer.saved.length === 0" class="quiet">None yet: save one on Today, under More.</p>
          <article class="hair-below pt-1 pb-2 px-0" v-for="look in answer.saved" :key="look.id">
            <h3 class="d-flex align-center ga-2">
              {{ look.name }}<small v-if="look.occasion" class="quiet">{{ look.occasion }}</small>
            </h3>
            <p class="quiet figures">
              {{
                look.last === null
                  ? 'not worn whole within the year'
                  : `whole on ${counted(look.days, 'day')} within the year, last ${dateWords(look.last)}`
              }}
            </p>
            <LookStrip :item-ids="look.itemIds" :items="items" />
          </article>
        </section>
        <template v-for="{ title, pairs } in pairings" :key="title">
          <section v-if="pairs.length > 0" :aria-label="title" class="sheet pt-2 pb-3 px-4">
            <h2>{{ title }}</h2>
            <article v-for="pair in pairs" :key="pair.one.itemId + pair.other.itemId" class="hair-below pt-1 pb-2 px-0">
              <p>
                <strong>{{ pair.one.mark }}</strong> and <strong>{{ pair.other.mark }}</strong>
              </p>
              <p class="quiet figures">{{ togetherWords(pair) }}</p>
            </article>
          </section>
        </template>
      </div>
    </div>
  </template>
</template>

<style scoped>
.two {
  grid-template-columns: repeat(auto-fit, minmax(min(420px, 100%), 1fr));
}

h2 {
  font-size: 18px;
}

h3 {
  font-size: 14.5px;
}

h3 a {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
  color: var(--ink);
}

article:last-of-type {
  border-bottom: none;
}

p {
  margin: 0;
  font-size: 13.5px;
}
</style>
