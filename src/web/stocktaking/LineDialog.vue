<script setup lang="ts">
import type { LineCells } from '#core/formats/lines/split-line'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'

/** One line mended where it was understood wrong; what she says stands, whatever the line says. */
const props = defineProps<{
  line: string
  cells: LineCells
  categories: readonly { readonly id: string; readonly name: string }[]
}>()
const emit = defineEmits<{ close: []; mend: [cells: LineCells] }>()
const draft = useDraft(() => ({ ...props.cells }))
const { typed } = draft
const FIELDS = [
  ['maker', 'Brand'],
  ['shade', 'Shade or name'],
  ['size', 'Size'],
  ['opened', 'Opened'],
  ['pao', 'PAO, months'],
  ['expiry', 'Printed expiry'],
  ['price', 'Price'],
  ['uses', 'Uses so far'],
  ['left', 'How much is left'],
  ['quantity', 'How many'],
  ['notes', 'Notes'],
] as const
</script>

<template>
  <FormDialog title="How is it meant?" :draft="draft" act="Save" @close="emit('close')" @store="emit('mend', typed)">
    <p class="quiet">“{{ line }}”</p>
    <v-autocomplete
      v-model="typed.category"
      label="Type"
      auto-select-first
      :items="categories.map((each) => each.name)"
    />
    <div class="fields d-grid ga-2">
      <v-text-field v-for="[field, label] in FIELDS" :key="field" v-model="typed[field]" :label="label" />
    </div>
  </FormDialog>
</template>

<style scoped>
.fields {
  grid-template-columns: repeat(auto-fill, minmax(180px, 1fr));
}
</style>
