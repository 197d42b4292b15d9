<script setup lang="ts">
import { FINISHES, SOURCES, STRUCTURES } from '#core/item/traits'
import type { CategoryView } from '#contract/item'
import ChoiceRow from '#web/ui/form/ChoiceRow.vue'
import SwatchField from '#web/ui/form/SwatchField.vue'
import { LIKING_ITEMS } from '#web/ui/words/liking-words'
import type { DraftErrors, ItemDraft } from './item-draft'
import TraitFields from './TraitFields.vue'

/** Colour, price, uses and the rest: the folded half of the form. */
const draft = defineModel<ItemDraft>({ required: true })
defineProps<{
  categories: readonly CategoryView[]
  guess: string | null
  errors: DraftErrors
  problem: (field: keyof ItemDraft, server: string) => string[]
  on: (field: string) => string[]
}>()
const STRUCTURE_WORDS = {
  single: 'a single',
  duo: 'a duo with two sides',
  palette: 'a palette',
  'dual-ended': 'dual-ended',
  kit: 'a kit of singles',
}
</script>

<template>
  <div class="grid">
    <SwatchField v-model="draft.colour" label="Swatch" :guess="guess" />
    <v-select v-model="draft.finish" label="Finish" clearable :items="FINISHES" />
    <v-text-field
      v-model="draft.price"
      label="Price paid"
      :disabled="draft.source === 'gift'"
      :error-messages="problem('price', 'priceMinor')"
    />
    <v-select v-model="draft.source" label="Where from" clearable :items="SOURCES" />
    <v-text-field
      v-model="draft.acquired"
      label="Bought"
      placeholder="2024-03-15, March 2024"
      :error-messages="problem('acquired', 'acquired')"
    />
    <v-text-field
      v-model="draft.usesBefore"
      inputmode="numeric"
      label="Uses before you began ticking"
      :error-messages="problem('usesBefore', 'usesBefore')"
    />
    <v-select v-model="draft.liking" label="Rating" clearable :items="LIKING_ITEMS" />
    <v-text-field
      v-model="draft.slots"
      inputmode="numeric"
      label="Slots it takes in the drawer"
      :error-messages="problem('slots', 'slots')"
    />
    <v-checkbox v-model="draft.opaque" label="Can’t see how much is left" />
    <v-checkbox v-model="draft.sunProtection" label="Sunscreen or SPF claim" />
  </div>
  <v-textarea v-model="draft.notes" label="Notes" rows="2" :error-messages="problem('notes', 'notes')" />
  <TraitFields v-model="draft" :categories="categories" :errors="errors" />
  <ChoiceRow v-model="draft.structure" label="It is" :options="STRUCTURES" :words="STRUCTURE_WORDS" />
</template>
