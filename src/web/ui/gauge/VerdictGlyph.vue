<script setup lang="ts">
import type { Verdict } from '#core/forecast/chance'

/** The race in small: the post is its last good day, the body when it will be gone; dark before the post, hollow after it. */
const props = defineProps<{ verdict: Verdict | 'past' | 'not known' }>()
/** Where the post stands, and where the body begins and ends. */
const PLACES: Readonly<Record<Verdict, readonly [number, number, number]>> = {
  'will make it': [36, 4, 28],
  tight: [28, 4, 34],
  'about even': [20, 4, 36],
  'will not at this pace': [6, 14, 38],
}
const shape = (from: number, to: number): string =>
  `M${from} 9 C${from} 3 ${from + 5} 2 ${from + 9} 4 L${to} 8 V10 L${from + 9} 14 C${from + 5} 16 ${from} 15 ${from} 9Z`
</script>

<template>
  <svg class="glyph" viewBox="0 0 42 18" width="42" height="18" aria-hidden="true">
    <template v-if="props.verdict === 'past'">
      <rect x="9" y="2" width="31" height="14" class="late" />
      <path d="M8 0V18" class="post" />
    </template>
    <template v-else-if="props.verdict === 'not known'">
      <path d="M12 2H8V16H12M30 2H34V16H30" class="open" />
    </template>
    <template v-else>
      <rect
        :x="PLACES[verdict as Verdict][0]"
        y="2"
        :width="Math.max(0, 41 - PLACES[verdict as Verdict][0])"
        height="14"
        class="late"
      />
      <clipPath :id="`before-${verdict}`">
        <rect x="0" y="0" :width="PLACES[verdict as Verdict][0]" height="18" />
      </clipPath>
      <path :d="shape(PLACES[verdict as Verdict][1], PLACES[verdict as Verdict][2])" class="body" />
      <path
        :d="shape(PLACES[verdict as Verdict][1], PLACES[verdict as Verdict][2])"
        class="made"
        :clip-path="`url(#before-${verdict})`"
      />
      <path :d="`M${PLACES[verdict as Verdict][0]} 0V18`" class="post" />
    </template>
  </svg>
</template>

<style scoped>
.glyph {
  flex: none;
}

.late {
  fill: var(--line);
  opacity: 0.35;
}

.post {
  stroke: var(--ink);
  stroke-width: 3;
}

.body {
  fill: var(--raised);
  stroke: var(--ink);
  stroke-width: 1.4;
}

.made {
  fill: var(--ink);
}

.open {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
</style>
