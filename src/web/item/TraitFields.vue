<script setup lang="ts">
import { AVAILABILITIES, DEPTHS, FORMATS, PACKAGE_STATES, SEASONS, UNDERTONES } from '#core/item/traits'
import type { CategoryView } from '#contract/item'
import type { DraftErrors, ItemDraft } from './item-draft'

/** What suits it, what it is worn as, what has happened to its package: the folded half of the form. */
const draft = defineModel<ItemDraft>({ required: true })
defineProps<{ categories: readonly CategoryView[]; errors: DraftErrors }>()

function toggle<T>(list: readonly T[], each: T): T[] {
  return list.includes(each) ? list.filter((other) => other !== each) : [...list, each]
}
</script>

<template>
  <div class="grid">
    <v-autocomplete
      v-model="draft.usedAs"
      clearable
      label="Worn as something else"
      :items="categories.map((each) => ({ title: each.name, value: each.id }))"
    />
    <v-select v-model="draft.format" label="Format" clearable :items="FORMATS" />
    <v-select v-model="draft.undertone" label="Undertone" clearable :items="UNDERTONES" />
    <v-select v-model="draft.depth" label="Lighter or darker than me" clearable :items="DEPTHS" />
    <v-select v-model="draft.availability" label="Still sold?" clearable :items="AVAILABILITIES" />
    <v-text-field
      v-model="draft.spf"
      inputmode="numeric"
      label="SPF on the label"
      :error-messages="errors.spf ? [errors.spf] : []"
    />
    <v-text-field v-model="draft.brushes" label="Brushes that go with it" />
    <v-text-field v-model="draft.kit" label="Kit or set it belongs to" />
  </div>
  <fieldset class="choice-row">
    <legend>Seasons it suits (none: all year)</legend>
    <div class="choices">
      <button
        v-for="season in SEASONS"
        :key="season"
        type="button"
        class="choice"
        :aria-pressed="draft.seasons.includes(season)"
        @click="draft.seasons = toggle(draft.seasons, season)"
      >
        {{ season }}
      </button>
    </div>
  </fieldset>
  <fieldset class="choice-row">
    <legend>The packaging</legend>
    <div class="choices">
      <button
        v-for="state in PACKAGE_STATES"
        :key="state"
        type="button"
        class="choice"
        :aria-pressed="draft.packageStates.includes(state)"
        @click="draft.packageStates = toggle(draft.packageStates, state)"
      >
        {{ state }}
      </button>
    </div>
  </fieldset>
</template>
