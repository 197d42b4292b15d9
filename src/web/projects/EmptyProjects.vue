<script setup lang="ts">
import EmptyPlace from '#web/ui/EmptyPlace.vue'

/** What a project is, and the first step to one. */
defineEmits<{ start: [] }>()
</script>

<template>
  <EmptyPlace title="No project yet" act="Start a project" @act="$emit('start')">
    <template #drawing>
      <svg viewBox="0 0 220 120" width="220" height="120" aria-hidden="true">
        <g v-for="(row, n) in [0.7, 0.35, 0.9]" :key="n" :transform="`translate(0 ${n * 38})`">
          <rect x="2" y="4" width="34" height="26" rx="13" class="line" />
          <rect x="54" y="14" width="150" height="5" rx="2.5" class="rail" />
          <rect x="54" y="14" :width="150 * row" height="5" rx="2.500" class="done" />
          <path :d="`M${54 + 150 * 0.6} 8v17`" class="line" />
        </g>
      </svg>
    </template>
    A project is a set of items you want to use up, each with a goal, by your own rules: rolling, for a season, for a
    year, every item of a type, or the shades of a palette. About ten items is usual; two or three easy finishes keep it
    cheerful.
  </EmptyPlace>
</template>
