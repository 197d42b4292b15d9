<script setup lang="ts">
import { counted } from '#core/words/counted'
import { yearsWords } from '#web/ui/words/supply-words'
import type { CategoryCount } from './filters'

/** The categories in makeup order, each with how many there are. */
defineProps<{
  counts: readonly CategoryCount[]
  all: number
  /** Years of supply at her pace, by category; null where there is no pace. */
  years: ReadonlyMap<string, number | null>
}>()
const chosen = defineModel<string | null>({ required: true })
</script>

<template>
  <nav class="categories d-grid align-content-start" aria-label="Types">
    <button
      type="button"
      class="category d-flex justify-space-between align-center text-left rounded-lg small py-1 px-2 ga-2"
      :aria-pressed="chosen === null"
      @click="chosen = null"
    >
      <span>everything</span><span class="figures">{{ all }}</span>
    </button>
    <button
      v-for="row in counts"
      :key="row.id"
      type="button"
      class="category d-flex justify-space-between align-center text-left rounded-lg small py-1 px-2 ga-2"
      :aria-pressed="chosen === row.id"
      @click="chosen = row.id"
    >
      <span
        >{{ row.name
        }}<small v-if="years.get(row.id)" class="quiet d-block tight fine font-weight-regular pb-1">{{
          yearsWords(years.get(row.id) ?? 0)
        }}</small></span
      >
      <span class="figures"
        >{{ row.count
        }}<span v-if="row.backups > 0" class="quiet fine font-weight-regular"
          >, {{ counted(row.backups, 'backup') }}</span
        ></span
      >
    </button>
  </nav>
</template>

<style scoped>
.categories {
  grid-auto-rows: max-content;
  max-height: calc(100vh - 84px);
  overflow: auto;
}

.category {
  min-height: 36px;
}

.category:hover {
  background: var(--inset);
}

.category[aria-pressed='true'] {
  background: var(--raised);
  box-shadow: inset 4px 0 0 var(--primary);
  font-weight: 600;
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
