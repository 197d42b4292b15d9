<script setup lang="ts">
import { computed } from 'vue'
import type { ListedItem } from '#contract/item'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { apartWords, callIt, shortName } from '#web/ui/words/item-words'

/** One look as a strip of gauges, in the order in which it was put on. */
const props = defineProps<{ itemIds: readonly string[]; items: ReadonlyMap<string, ListedItem> }>()
const found = computed(() => props.itemIds.flatMap((id) => props.items.get(id) ?? []))
/** What tells two of one name apart. */
const apart = computed(() => apartWords(found.value))
</script>

<template>
  <ol class="d-flex flex-wrap ga-1">
    <li v-for="item in found" :key="item.id">
      <RouterLink :to="`/items/${item.id}`" :title="callIt(item)">
        <span class="place d-grid align-center justify-items-center"
          ><ItemGauge :item="item" size="small" :rail="false"
        /></span>
        <small class="fine tight text-center text-truncate">{{ shortName(item) }}</small>
        <small v-if="apart.has(item.id)" class="quiet fine tight text-center text-truncate">{{
          apart.get(item.id)
        }}</small>
      </RouterLink>
    </li>
  </ol>
</template>

<style scoped>
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
  min-height: 40px;
}

small {
  max-width: 76px;
}
</style>
