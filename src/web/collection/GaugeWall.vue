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
  <div class="wall">
    <section v-for="[category, within] in trays" :key="category" class="tray inset" :aria-label="category">
      <h2>
        {{ category }} <span class="quiet figures">{{ within.length }}</span>
      </h2>
      <div class="items">
        <RouterLink v-for="item in within" :key="item.id" class="item" :to="`/items/${item.id}`">
          <ItemGauge :item="item" size="middle" />
          <span
            >{{ shortName(item) }}<span class="quiet">{{ item.maker }}</span></span
          >
        </RouterLink>
      </div>
    </section>
  </div>
</template>

<style scoped>
.wall {
  display: grid;
  gap: 10px;
}

.tray {
  padding: 8px 12px 10px;
  /* Trays far below are laid out when they come near. */
  content-visibility: auto;
  contain-intrinsic-size: auto 180px;
}

h2 {
  font-size: 14.5px;
}

.items {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-end;
  gap: 10px 14px;
  padding-top: 6px;
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

.quiet {
  display: block;
  font-weight: 400;
}

.item:hover {
  text-decoration: underline;
}
</style>
