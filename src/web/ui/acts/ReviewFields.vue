<script setup lang="ts">
import { ref } from 'vue'
import { BUY_AGAIN, ENDED_BY, PACKAGE_GOES } from '#core/decide/review-choices'
import NumberField from '#web/ui/form/NumberField.vue'
import { useStock } from '#web/data/stock'
import ChoiceRow from '#web/ui/form/ChoiceRow.vue'
import { callIt } from '#web/ui/words/item-words'
import type { ReviewDraft } from './review-draft'

/** What she thought of an empty: one question that is asked, and more for those who want to remember more. */
defineProps<{ on: (field: string) => string[] }>()
const typed = defineModel<ReviewDraft>({ required: true })
const stock = useStock()
const { did, forWhom, dislikes, replacedBy, replacedById, endedBy, againWhy } = typed.value
const more = ref(
  [did, forWhom, dislikes, replacedBy, againWhy].some(Boolean) || replacedById !== null || endedBy !== null,
)
</script>

<template>
  <ChoiceRow
    v-model="typed.wouldBuyAgain"
    label="Would you buy it again?"
    :options="BUY_AGAIN"
    :words="{ 'have a backup': 'already have a backup', discontinued: 'can’t: discontinued' }"
  />
  <v-textarea
    v-model="typed.words"
    label="A few words on what you think of it"
    rows="2"
    :error-messages="on('words')"
  />
  <ChoiceRow
    v-model="typed.packageGoes"
    label="The package goes (optional)"
    :options="PACKAGE_GOES"
    :words="{ 'keep the container': 'washed and kept' }"
    again
  />
  <v-btn v-if="!more" variant="text" class="more" @click="more = true"
    >Say more: what ended it, what it did, what follows</v-btn
  >
  <template v-else>
    <ChoiceRow v-model="typed.endedBy" label="What ended it (optional)" :options="ENDED_BY" again />
    <NumberField
      text
      v-if="typed.endedBy !== null && typed.endedBy !== 'nothing comes out'"
      v-model="typed.remained"
      label="How much remained in it, % (optional)"
      :error-messages="on('remained')"
    />
    <v-text-field v-model="typed.did" label="What it did" :error-messages="on('did')" />
    <v-text-field v-model="typed.forWhom" label="For whom it is" :error-messages="on('forWhom')" />
    <v-text-field v-model="typed.dislikes" label="What you did not like" :error-messages="on('dislikes')" />
    <v-text-field v-model="typed.againWhy" label="Why again, or why not" :error-messages="on('againWhy')" />
    <v-autocomplete
      v-model="typed.replacedById"
      clearable
      label="What takes its place, from the collection"
      :items="stock.items.map((each) => ({ title: callIt(each), value: each.id }))"
      :error-messages="on('replacedById')"
    />
    <v-text-field v-model="typed.replacedBy" label="or in words" :error-messages="on('replacedBy')" />
  </template>
</template>

<style scoped>
.more {
  justify-self: start;
}
</style>
