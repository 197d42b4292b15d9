<script setup lang="ts">
import { computed } from 'vue'
import type { ListedItem } from '#contract/item'

/** One mark on the small drawing: the most pressing state, by shape and not by colour alone. */
const props = defineProps<{ item: ListedItem }>()
const state = computed(() => {
  // What has left asks for nothing any more.
  if (props.item.endedOn !== null) return null
  const { state: life, sun } = props.item.shelfLife
  if (life === 'sign seen') return 'sign'
  if (life === 'past' || sun?.lapsed === true) return 'past'
  if (props.item.goal?.met === true) return 'met'
  return life === 'within 90 days' ? 'soon' : null
})
</script>

<template>
  <svg v-if="state" width="14" height="14" viewBox="0 0 14 14" aria-hidden="true" :class="state">
    <path v-if="state === 'sign'" d="M7 1l6 11.500H1z" />
    <rect v-else-if="state === 'past'" x="1.500" y="1.500" width="11" height="11" rx="2" />
    <path v-else-if="state === 'met'" d="M7 .8l6.200 6.200L7 13.200.8 7z" />
    <circle v-else cx="7" cy="7" r="5.700" />
    <path v-if="state === 'past'" class="in" d="M4 10l6-6" />
    <path v-else-if="state === 'soon'" class="in" d="M7 3.800V7l2.200 1.600" />
    <path v-else-if="state === 'met'" class="in" d="M4.600 7l1.800 1.800 3-3.600" />
    <path v-else class="in" d="M7 5v3.200M7 10v.4" />
  </svg>
</template>

<style scoped>
svg {
  fill: var(--attention);
  stroke: var(--raised);
  stroke-width: 1;
}

svg.past,
svg.sign {
  fill: var(--alarm);
}

svg.met {
  fill: var(--done);
}

.in {
  fill: none;
  stroke: var(--raised);
  stroke-width: 1.5;
  stroke-linecap: round;
}
</style>
