<script setup lang="ts">
import { computed } from 'vue'
import type { ListedItem } from '#contract/item'
import TallyStrokes from '#web/ui/TallyStrokes.vue'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { kindAndMaker, shortName } from '#web/ui/words/item-words'

/** Things by how often they were worn, each with its strokes; on a long span a bar in their stead. */
const props = defineProps<{
  lines: readonly { readonly itemId: string; readonly mark: string; readonly uses: number }[]
  items: ReadonlyMap<string, ListedItem>
}>()
const MOST_STROKES = 30
const most = computed(() => Math.max(1, ...props.lines.map(({ uses }) => uses)))
</script>

<template>
  <ol class="worn mt-1">
    <li class="d-grid align-center touch hair-below ga-2" v-for="line in lines" :key="line.itemId">
      <span class="d-grid align-center justify-items-center">
        <ItemGauge v-if="items.get(line.itemId)" :item="items.get(line.itemId)!" size="small" :rail="false" />
      </span>
      <RouterLink
        class="name d-grid align-content-center min-w-0 touch ink text-decoration-none"
        :to="`/items/${line.itemId}`"
      >
        <span>{{ items.get(line.itemId) ? shortName(items.get(line.itemId)!) : line.mark }}</span>
        <small v-if="items.get(line.itemId)" class="quiet fine tight">{{
          kindAndMaker(items.get(line.itemId)!)
        }}</small>
      </RouterLink>
      <span v-if="most <= MOST_STROKES" class="strokes"><TallyStrokes :count="line.uses" /></span>
      <span v-else class="bar" aria-hidden="true"><i :style="{ width: `${(line.uses / most) * 100}%` }" /></span>
      <span class="figures count text-right font-weight-semibold">{{ line.uses }}</span>
    </li>
  </ol>
</template>

<style scoped>
li {
  grid-template-columns: 40px minmax(110px, 1fr) minmax(0, 1.2fr) 34px;
}

li:last-child {
  border-bottom: none;
}

.name span {
  font-weight: 620;
  font-size: 14px;
}

.name:hover span {
  text-decoration: underline;
}

.bar i {
  display: block;
  height: 9px;
  min-width: 2px;
  background: var(--ink);
}

.phone li {
  grid-template-columns: 40px minmax(0, 1fr) 34px;
}

.phone .strokes,
.phone .bar {
  display: none;
}
</style>
