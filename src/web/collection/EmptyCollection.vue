<script setup lang="ts">
import EmptyPlace from '#web/ui/EmptyPlace.vue'

/** What stands here, and the three ways in. */
</script>

<template>
  <EmptyPlace title="Nothing here yet" act="Type what you own, line by line" to="/collection/lines">
    <template #drawing>
      <svg viewBox="0 0 220 120" width="220" height="120" aria-hidden="true">
        <g v-for="n in 3" :key="n" :transform="`translate(0 ${(n - 1) * 40})`">
          <circle v-if="n !== 2" cx="20" cy="20" r="14" class="line" />
          <rect v-else x="12" y="4" width="16" height="32" rx="4" class="line" />
          <path d="M50 14h90M50 26h60M160 20h50" class="line" />
        </g>
      </svg>
    </template>
    Everything you own, with how much is left and when to use it by. A bag of forty takes a few minutes, one line per
    item; or import the sheet you keep.
    <template #acts>
      <v-btn variant="outlined" color="primary" to="/collection/import">Import a sheet</v-btn>
      <v-btn variant="outlined" color="primary" to="/collection/add">Add one by one</v-btn>
    </template>
  </EmptyPlace>
</template>
