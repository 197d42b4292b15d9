<script setup lang="ts">
import { computed } from 'vue'
import type { Verdict } from '#core/forecast/verdict'

/** The race in small: the post is its last good day, the body when it will be gone; dark before the post, hollow after it. */
const props = defineProps<{ verdict: Verdict }>()
/** Where the post stands, and where the body begins and ends. */
const PLACES = {
  'in time': [36, 4, 28],
  close: [28, 4, 34],
  '50-50': [20, 4, 36],
  'not in time': [6, 14, 38],
} as const
/** What a verdict is drawn as. */
const DRAWN: Readonly<Record<Verdict, keyof typeof PLACES | 'over' | 'open'>> = {
  met: 'in time',
  ahead: 'in time',
  'in time': 'in time',
  'on pace': 'close',
  close: 'close',
  '50-50': '50-50',
  behind: '50-50',
  'not in time': 'not in time',
  'out of reach': 'not in time',
  missed: 'over',
  expired: 'over',
  'gone off': 'over',
  ended: 'open',
  'no date': 'open',
  'not known': 'open',
}
const drawn = computed(() => DRAWN[props.verdict])
const place = computed(() => (drawn.value === 'over' || drawn.value === 'open' ? null : PLACES[drawn.value]))
const shape = (from: number, to: number): string =>
  `M${from} 9 C${from} 3 ${from + 5} 2 ${from + 9} 4 L${to} 8 V10 L${from + 9} 14 C${from + 5} 16 ${from} 15 ${from} 9Z`
</script>

<template>
  <svg class="flex-0-0" viewBox="0 0 42 18" width="42" height="18" aria-hidden="true">
    <template v-if="place">
      <rect :x="place[0]" y="2" :width="41 - place[0]" height="14" class="late" />
      <clipPath :id="`before-${drawn}`">
        <rect x="0" y="0" :width="place[0]" height="18" />
      </clipPath>
      <path :d="shape(place[1], place[2])" class="body" />
      <path :d="shape(place[1], place[2])" class="made" :clip-path="`url(#before-${drawn})`" />
      <path :d="`M${place[0]} 0V18`" class="post" />
    </template>
    <template v-else-if="drawn === 'over'">
      <rect x="9" y="2" width="31" height="14" class="late" />
      <path d="M8 0V18" class="post" />
    </template>
    <path v-else d="M12 2H8V16H12M30 2H34V16H30" class="open" />
  </svg>
</template>

<style scoped>
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
