<script setup lang="ts">
import { FORMS, type EyeMeasure } from '#core/item/form'
import type { CategoryView } from '#contract/item'
import ChoiceRow from '#web/ui/form/ChoiceRow.vue'
import { levelProblem, type ItemDraft } from './item-draft'

/** What a thing is and how long it is good: the half of the form that is always open. */
const draft = defineModel<ItemDraft>({ required: true })
const level = defineModel<string>('level', { required: true })
defineProps<{
  categories: readonly CategoryView[]
  /** What the house makes of an opening that the log knows better. */
  readAs: string
  measure: EyeMeasure
  problem: (field: keyof ItemDraft, server: string) => string[]
}>()
</script>

<template>
  <div class="grid">
    <v-text-field v-model="draft.maker" label="Brand" :error-messages="problem('maker', 'maker')" />
    <v-text-field v-model="draft.name" label="Name" :error-messages="problem('name', 'name')" />
    <v-text-field v-model="draft.shade" label="Shade" :error-messages="problem('shade', 'shade')" />
    <v-autocomplete
      v-model="draft.categoryId"
      label="Type"
      auto-select-first
      :items="categories.map((each) => ({ title: each.name, value: each.id }))"
      :error-messages="problem('categoryId', 'categoryId')"
    />
    <v-select v-model="draft.form" label="Packaging" :items="FORMS" :error-messages="problem('form', 'form')" />
    <v-text-field
      v-model="draft.size"
      label="Size on the label"
      placeholder="30 ml, 9.5 g, 0.5 fl oz"
      :error-messages="problem('size', 'content')"
    />
  </div>
  <ChoiceRow
    v-model="draft.openedKind"
    label="Opened"
    :options="['unopened', 'range', 'unknown']"
    :words="{ unopened: 'Not yet', range: 'I know roughly when', unknown: 'Open, I don’t know since when' }"
  />
  <p v-if="readAs" class="quiet">{{ readAs }}</p>
  <div class="grid">
    <v-text-field
      v-if="draft.openedKind === 'range'"
      v-model="draft.opened"
      label="Opened"
      placeholder="2024-03-15, March 2024, 2024, spring 2024"
      :error-messages="problem('opened', 'opened')"
    />
    <v-text-field
      v-model="draft.pao"
      label="PAO (months after opening)"
      placeholder="12M"
      :error-messages="problem('pao', 'paoMonths')"
    />
    <v-text-field
      v-model="draft.expiry"
      label="Printed expiry"
      placeholder="11/26"
      :error-messages="problem('expiry', 'expiry')"
    />
    <v-text-field
      v-if="measure === 'level' || measure === 'length'"
      v-model="level"
      inputmode="numeric"
      :error-messages="levelProblem(level)"
      :label="measure === 'length' ? 'Length left, %' : 'How full by eye, %'"
    />
  </div>
</template>
