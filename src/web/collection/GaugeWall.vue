<script setup lang="ts">
import { computed } from 'vue'
import type { ListedItem } from '#contract/item'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { shortName } from '#web/ui/words/item-words'

/** The same items as gauges in trays, one tray to a category. */
const props = defineProps<{ items: readonly ListedItem[] }>()
const trays = computed(() => {
  const found = new Map<string, ListedItem[]>()
  for (const item of props.items) found.set(item.category, [...(found.get(item.category) ?? []), item])
  return [...found]
})
</script>

<template>
  <div class="d-grid ga-2">
    <section v-for="[category, within] in trays" :key="category" class="tray inset" :aria-label="category">
      <h2>
        {{ category }} <span class="quiet figures d-block font-weight-regular">{{ within.length }}</span>
      </h2>
      <div class="items d-flex flex-wrap align-end pt-2 gr-2 gc-3">
        <RouterLink v-for="item in within" :key="item.id" class="item" :to="`/items/${item.id}`">
          <ItemGauge :item="item" size="middle" />
          <span
            >{{ shortName(item) }}<span class="quiet d-block font-weight-regular">{{ item.maker }}</span></span
          >
        </RouterLink>
      </div>
    </section>
  </div>
</template>

<style scoped>
.tray {
  padding: 8px 12px 10px;
  /* Trays far below are laid out when they come near. */
  content-visibility: auto;
  contain-intrinsic-size: auto 180px;
}

h2 {
  font-size: 14.5px;
}

.item {
  display: grid;
  justify-items: center;
  gap: 3px;
  min-width: 74px;
  max-width: 190px;
  padding: 4px;
  font-size: 12.5px;
  font-weight: 600;
  text-align: center;
  color: var(--ink);
  text-decoration: none;
}

.item:hover {
  text-decoration: underline;
}
</style>
