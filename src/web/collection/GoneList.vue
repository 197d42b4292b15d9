<script setup lang="ts">
import type { GoneItem } from '#contract/item'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { dateWords } from '#web/data/locale'
import { callIt } from '#web/ui/words/item-words'

/** What is found among the things that have left: how they ended and what was thought of them. */
defineProps<{ gone: readonly GoneItem[] }>()

function ending({ item, endedAs, verdict, review }: GoneItem): string {
  const on = item.endedOn === null ? '' : ` ${dateWords(item.endedOn)}`
  return [
    `${endedAs === 'finished' ? 'finished' : 'left'}${on}`,
    verdict === null ? '' : [verdict.verdict, verdict.destination, verdict.reason].filter(Boolean).join(', '),
    review?.wouldBuyAgain ? `buy again: ${review.wouldBuyAgain}` : '',
    review?.words ? `“${review.words}”` : '',
  ]
    .filter(Boolean)
    .join(' · ')
}
</script>

<template>
  <section class="gone mt-3" aria-label="Finished or let go">
    <h2 class="lead">Finished or let go</h2>
    <ul class="mt-2">
      <li class="d-flex align-center hair-below ga-3" v-for="each in gone" :key="each.item.id">
        <ItemGauge :item="each.item" size="small" :rail="false" />
        <span>
          <RouterLink :to="`/items/${each.item.id}`">{{ callIt(each.item) }}</RouterLink>
          <span class="quiet d-block small">{{ ending(each) }}</span>
        </span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
li {
  min-height: 52px;
}
</style>
