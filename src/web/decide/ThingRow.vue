<script setup lang="ts">
import type { ListedItem } from '#contract/item'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { callIt, kindAndMaker, shortName } from '#web/ui/words/item-words'

/** A thing in a list of Decide: its gauge, its name, what is said of it, what can be done. */
defineProps<{
  item: ListedItem
  /** What tells it from others of its name. */
  apart?: string | undefined
}>()
</script>

<template>
  <article
    class="row d-grid align-start hair-below py-2 px-3 gr-2 gc-3"
    :class="{ picked: $slots['before'] }"
    :aria-label="callIt(item)"
  >
    <slot name="before" />
    <span class="plate d-grid align-center justify-items-center rounded-lg"
      ><ItemGauge :item="item" size="small" :rail="false"
    /></span>
    <div class="words small">
      <h3 class="lead">
        <RouterLink :to="`/items/${item.id}`">{{ shortName(item) }}</RouterLink>
        <span class="quiet">{{ [kindAndMaker(item), apart].filter(Boolean).join(', ') }}</span>
      </h3>
      <slot />
    </div>
    <div v-if="$slots['acts']" class="acts d-flex flex-wrap align-center justify-end ga-1"><slot name="acts" /></div>
  </article>
</template>

<style scoped>
.row {
  grid-template-columns: 56px minmax(0, 1fr) auto;
}

.row.picked {
  grid-template-columns: 44px 56px minmax(0, 1fr) auto;
  padding-left: 4px;
}

.row:last-child {
  border-bottom: none;
}

.row :deep(.pick) {
  display: grid;
  place-items: center;
  width: 44px;
  height: 44px;
  cursor: pointer;
}

.row :deep(.pick input) {
  width: 20px;
  height: 20px;
  accent-color: var(--primary);
}

.plate {
  min-height: 56px;
  background: var(--plate);
}

h3 a:not(.v-btn) {
  color: var(--ink);
}

h3 .quiet {
  margin-left: 8px;
  font: 400 13px var(--text);
}

.words :deep(p) {
  margin: 2px 0;
}

.phone .row {
  grid-template-columns: 56px minmax(0, 1fr);
}

.phone .row.picked {
  grid-template-columns: 44px minmax(0, 1fr);
}

.phone .row.picked .plate {
  display: none;
}

.phone .acts {
  grid-column: 1 / -1;
}
</style>
