<script setup lang="ts">
import { counted } from '#core/words/counted'
import { yearsWords } from '#web/ui/words/supply-words'
import type { CategoryCount } from './filters'

/** The categories in the order of a face, each with how many there are. */
defineProps<{
  counts: readonly CategoryCount[]
  all: number
  /** Years of supply at her pace, by category; null where there is no pace. */
  years: ReadonlyMap<string, number | null>
}>()
const chosen = defineModel<string | null>({ required: true })
</script>

<template>
  <nav class="categories" aria-label="Types">
    <button type="button" class="category" :aria-pressed="chosen === null" @click="chosen = null">
      <span>everything</span><span class="figures">{{ all }}</span>
    </button>
    <button
      v-for="row in counts"
      :key="row.id"
      type="button"
      class="category"
      :aria-pressed="chosen === row.id"
      @click="chosen = row.id"
    >
      <span
        >{{ row.name
        }}<small v-if="years.get(row.id)" class="quiet supply">{{ yearsWords(years.get(row.id) ?? 0) }}</small></span
      >
      <span class="figures"
        >{{ row.count }}<span v-if="row.backups > 0" class="quiet">, {{ counted(row.backups, 'backup') }}</span></span
      >
    </button>
  </nav>
</template>

<style scoped>
.categories {
  display: grid;
  align-content: start;
  grid-auto-rows: max-content;
  max-height: calc(100vh - 84px);
  overflow: auto;
}

.category {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 8px;
  min-height: 36px;
  padding: 2px 10px;
  text-align: left;
  border-radius: 7px;
  font-size: 14px;
}

.supply {
  display: block;
  line-height: 1.1;
  padding-bottom: 4px;
}

.category:hover {
  background: var(--inset);
}

.category[aria-pressed='true'] {
  background: var(--raised);
  box-shadow: inset 4px 0 0 var(--primary);
  font-weight: 600;
}

.category .quiet {
  font-size: 12px;
  font-weight: 400;
}

.phone .categories {
  display: flex;
  overflow-x: auto;
  padding-bottom: 8px;
}

.phone .category {
  white-space: nowrap;
  min-height: 44px;
  flex: none;
}
</style>
