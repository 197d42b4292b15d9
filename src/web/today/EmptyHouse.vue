<script setup lang="ts">
import EmptyPlace from '#web/ui/EmptyPlace.vue'

/** Before anything lies in the drawer: what will, and the next step to it. */
defineProps<{ collectionIsEmpty: boolean }>()
</script>

<template>
  <EmptyPlace
    :title="collectionIsEmpty ? 'Nothing is in the collection yet' : 'Nothing is in the drawer yet'"
    :act="collectionIsEmpty ? 'Type what you own, line by line' : 'See a starter drawer'"
    :to="collectionIsEmpty ? '/collection/lines' : '/drawer/starter'"
  >
    <template #drawing>
      <svg viewBox="0 0 250 140" width="250" height="140" aria-hidden="true">
        <rect x="3" y="3" width="244" height="134" rx="14" class="line" />
        <rect x="14" y="14" width="104" height="70" rx="8" class="line" />
        <rect x="130" y="14" width="106" height="70" rx="8" class="line" />
        <circle cx="44" cy="48" r="18" class="line" stroke-dasharray="4 4" />
        <circle cx="90" cy="48" r="18" class="line" stroke-dasharray="4 4" />
        <path d="M158 74V32h12v42zM190 74V26l5-7 5 7v48z" class="line" stroke-dasharray="4 4" />
        <path d="M24 108h60M24 120h40M120 108h60M120 120h40" class="line" />
      </svg>
    </template>
    This is your drawer, seen from above, zone by zone. Tap an item when you put it on.
    {{
      collectionIsEmpty
        ? 'First it needs to know what you own: one line per item is enough.'
        : 'Seligo can suggest one from what you own; you add and remove.'
    }}
    <template #acts>
      <v-btn v-if="collectionIsEmpty" variant="outlined" color="primary" to="/collection/import"
        >Import a sheet you keep</v-btn
      >
      <v-btn v-if="collectionIsEmpty" variant="outlined" color="primary" to="/collection/add">Add a first item</v-btn>
      <v-btn v-else variant="outlined" color="primary" to="/drawer">Arrange it by hand</v-btn>
    </template>
  </EmptyPlace>
</template>
