<script setup lang="ts">
import { computed } from 'vue'
import type { EmptyView } from '#contract/ending'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { fullName, kindAndMaker, usesWords } from '#web/ui/words/item-words'
import { spanRangeWords } from '#web/ui/words/when-words'
import { dateWords, moneyWords } from '#web/data/locale'

const props = defineProps<{ empty: EmptyView; currency: string }>()
const AGAIN: Readonly<Record<NonNullable<EmptyView['wouldBuyAgain']>, string>> = {
  yes: 'would buy again',
  no: 'would not buy again',
  maybe: 'maybe again',
  'have a backup': 'has a backup already',
  discontinued: 'cannot be bought again',
}

const facts = computed(() => {
  const { item, daysInUse } = props.empty
  const time =
    daysInUse === null ? 'time in use not known' : `${spanRangeWords(daysInUse.least, daysInUse.most)} in use`
  const cost =
    item.priceMinor === null || item.uses === 0
      ? ''
      : `${moneyWords(item.priceMinor / item.uses, props.currency)} a use`
  const on = item.endedRoughly ? `by ${dateWords(props.empty.day)}` : dateWords(props.empty.day)
  return [on, usesWords(item.uses), time, cost].filter(Boolean).join(' · ')
})
</script>

<template>
  <article class="sheet entry">
    <ItemGauge :item="empty.item" size="small" :rail="false" />
    <div>
      <h3>
        <RouterLink :to="`/items/${empty.item.id}`">{{ fullName(empty.item) }}</RouterLink>
        <span class="quiet">{{ kindAndMaker(empty.item) }}</span>
      </h3>
      <p class="quiet figures">{{ facts }}</p>
      <p v-if="empty.words" class="words">{{ empty.words }}</p>
    </div>
    <span class="again" :class="empty.wouldBuyAgain ?? 'none'"
      >{{ empty.wouldBuyAgain ? AGAIN[empty.wouldBuyAgain] : 'no review'
      }}<template v-if="empty.packageGoes"
        ><br /><span class="quiet">package: {{ empty.packageGoes }}</span></template
      ></span
    >
  </article>
</template>

<style scoped>
.entry {
  display: grid;
  grid-template-columns: 44px minmax(0, 1fr) auto;
  gap: 14px;
  align-items: center;
  padding: 9px 14px;
  margin-top: 6px;
}

h3 {
  font-size: 15.5px;
}

h3 a {
  color: var(--ink);
}

h3 .quiet {
  margin-left: 8px;
  font: 400 13px var(--text);
}

p {
  margin: 2px 0 0;
  font-size: 13.5px;
}

.words {
  max-width: 80ch;
  font-size: 14.5px;
}

.again {
  font-weight: 600;
  text-align: right;
  font-size: 13.5px;
}

.again .quiet {
  font-weight: 400;
}

.again.yes {
  color: var(--done);
}
</style>
