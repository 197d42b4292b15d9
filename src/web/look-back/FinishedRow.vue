<script setup lang="ts">
import type { FinishView } from '#contract/look-back'
import type { ListedItem } from '#contract/item'
import { counted } from '#core/words/counted'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { kindAndMaker, shortName } from '#web/ui/words/item-words'
import { shortDay, spanWords } from '#web/ui/words/when-words'
import type { Day } from '#core/calendar/day'

/** What was finished, lying in a row, with what it took. */
defineProps<{ finishes: readonly FinishView[]; items: ReadonlyMap<string, ListedItem>; until: Day }>()
</script>

<template>
  <ul class="finished d-grid mt-2 gr-3 gc-2">
    <li class="d-grid justify-items-center text-center min-w-0" v-for="each in finishes" :key="each.itemId">
      <ItemGauge v-if="items.get(each.itemId)" :item="items.get(each.itemId)!" size="middle" :rail="false" />
      <RouterLink :to="`/items/${each.itemId}`">{{
        items.get(each.itemId) ? shortName(items.get(each.itemId)!) : each.mark
      }}</RouterLink>
      <small v-if="items.get(each.itemId)" class="quiet fine tight">{{ kindAndMaker(items.get(each.itemId)!) }}</small>
      <small class="figures fine tight">{{ shortDay(each.on, until) }}</small>
      <small class="figures fine tight"
        >{{ counted(each.uses, 'use') }}{{ each.days === null ? '' : `, ${spanWords(each.days)}` }}</small
      >
    </li>
  </ul>
</template>

<style scoped>
.finished {
  grid-template-columns: repeat(auto-fill, minmax(112px, 1fr));
}

li {
  align-content: end;
  gap: 1px;
  break-inside: avoid;
}

li :deep(.gauge),
li :deep(.gauge .body) {
  max-width: 96px;
}

a {
  font-weight: 640;
  color: var(--ink);
  font-size: 14px;
  line-height: 1.2;
  margin-top: 4px;
  text-decoration: none;
}

.phone a {
  display: flex;
  align-items: center;
  min-height: 44px;
}
</style>
