<script setup lang="ts">
import { computed, ref } from 'vue'
import { AVAILABILITIES, FORMATS, SEASONS } from '#core/item/traits'
import { FORMS } from '#core/item/form'
import type { CategoryView, ListedItem } from '#contract/item'
import FormTrouble from '#web/ui/form/FormTrouble.vue'
import { useDraft } from '#web/ui/form/use-draft'
import { LIKING_ITEMS } from '#web/ui/words/liking-words'
import { latePart } from '#web/ui/late-part'

/** One change to all that are chosen; or one item made of those that are the same thing. */
const props = defineProps<{
  chosen: readonly string[]
  items: readonly ListedItem[]
  categories: readonly CategoryView[]
}>()
const emit = defineEmits<{ all: []; done: [] }>()
const draft = useDraft(() => ({ what: null as string | null, value: null as string | null }))
const { typed } = draft
const merging = ref(false)
const MergeDialog = latePart(() => import('#web/ui/acts/MergeDialog.vue'))
const FIELDS = [
  { value: 'categoryId', title: 'type' },
  { value: 'usedAs', title: 'worn as' },
  { value: 'form', title: 'packaging' },
  { value: 'format', title: 'format' },
  { value: 'seasons', title: 'season' },
  { value: 'availability', title: 'still sold' },
  { value: 'liking', title: 'rating' },
  { value: 'paoMonths', title: 'PAO, months' },
]
const options = computed(() => {
  switch (typed.value.what) {
    case 'categoryId':
    case 'usedAs':
      return props.categories.map((each) => ({ title: each.name, value: each.id }))
    case 'form':
      return plain(FORMS)
    case 'format':
      return plain(FORMATS)
    case 'seasons':
      return plain(SEASONS)
    case 'availability':
      return plain(AVAILABILITIES)
    case 'liking':
      return LIKING_ITEMS
    default:
      return plain(['3', '6', '9', '12', '18', '24', '36'])
  }
})
const picked = computed(() => props.items.filter((item) => props.chosen.includes(item.id)))

function plain(list: readonly string[]) {
  return list.map((each) => ({ title: each, value: each }))
}

async function set(): Promise<void> {
  const { what, value } = typed.value
  if (what === null || value === null) return
  const read = what === 'seasons' ? [value] : what === 'liking' || what === 'paoMonths' ? Number(value) : value
  if (!(await draft.store('POST', '/edit-many', { itemIds: props.chosen, set: { [what]: read } }))) return
  draft.begin()
  emit('done')
}

function merged(): void {
  merging.value = false
  draft.begin()
  emit('done')
}
</script>

<template>
  <form class="sheet bar d-flex flex-wrap align-center mb-2 py-2 px-3 gr-2 gc-3" @submit.prevent="set">
    <strong class="figures">{{ chosen.length }} chosen</strong>
    <v-btn variant="text" @click="emit('all')">All shown</v-btn>
    <template v-if="chosen.length > 0">
      <v-select
        v-model="typed.what"
        class="field"
        density="compact"
        label="Set"
        :items="FIELDS"
        @update:model-value="typed.value = null"
      />
      <v-autocomplete
        v-if="typed.what"
        v-model="typed.value"
        class="field"
        density="compact"
        label="to"
        auto-select-first
        :items="options"
      />
      <v-btn type="submit" color="primary" :disabled="typed.value === null" :loading="draft.busy.value"
        >Set for {{ chosen.length }}</v-btn
      >
      <v-btn v-if="chosen.length > 1" variant="outlined" color="primary" @click="merging = true">Merge</v-btn>
    </template>
    <FormTrouble :refused="draft.refused.value" :out-of-reach="draft.outOfReach.value" />
  </form>
  <MergeDialog v-if="merging" :items="picked" @close="merging = false" @done="merged" />
</template>

<style scoped>
.field {
  max-width: 210px;
  min-width: 150px;
}
</style>
