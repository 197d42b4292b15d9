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
  <section class="gone" aria-label="Finished or let go">
    <h2>Finished or let go</h2>
    <ul>
      <li v-for="each in gone" :key="each.item.id">
        <ItemGauge :item="each.item" size="small" :rail="false" />
        <span>
          <RouterLink :to="`/items/${each.item.id}`">{{ callIt(each.item) }}</RouterLink>
          <span class="quiet">{{ ending(each) }}</span>
        </span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.gone {
  margin-top: 14px;
}

h2 {
  font-size: 16px;
}

ul {
  margin: 6px 0 0;
}

li {
  display: flex;
  gap: 12px;
  align-items: center;
  min-height: 52px;
  border-bottom: 1px solid var(--hair);
}

.quiet {
  display: block;
  font-size: 13px;
}
</style>
