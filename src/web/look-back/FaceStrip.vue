<script setup lang="ts">
import { computed } from 'vue'
import type { ListedItem } from '#contract/item'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { shortName } from '#web/ui/words/item-words'

/** One face as a strip of gauges, in the order in which it was put on. */
const props = defineProps<{ itemIds: readonly string[]; items: ReadonlyMap<string, ListedItem> }>()
const found = computed(() => props.itemIds.flatMap((id) => props.items.get(id) ?? []))
</script>

<template>
  <ol class="strip">
    <li v-for="item in found" :key="item.id">
      <RouterLink :to="`/items/${item.id}`" :title="shortName(item)">
        <span class="place"><ItemGauge :item="item" size="small" :rail="false" /></span>
        <small>{{ shortName(item) }}</small>
      </RouterLink>
    </li>
  </ol>
</template>

<style scoped>
.strip {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}

a {
  display: grid;
  justify-items: center;
  align-content: end;
  width: 78px;
  min-height: 62px;
  color: var(--ink);
  text-decoration: none;
  border-radius: 6px;
}

a:hover {
  background: var(--inset);
}

.place {
  display: grid;
  place-items: center;
  min-height: 40px;
}

small {
  font-size: 12px;
  line-height: 1.15;
  text-align: center;
  max-width: 76px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
