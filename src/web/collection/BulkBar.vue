<script setup lang="ts">
import { computed, ref } from 'vue'
import { AVAILABILITIES, FORMATS, SEASONS } from '#core/item/traits'
import { FORMS } from '#core/item/form'
import type { CategoryView, ItemSummary } from '#contract/item'
import { newId } from '#web/api/client'
import { useChanges } from '#web/shell/changes'
import { shortName, usesWords } from '#web/ui/words/item-words'

/** One change to all that are chosen; or one item made of those that are the same thing. */
const props = defineProps<{
  chosen: readonly string[]
  items: readonly ItemSummary[]
  categories: readonly CategoryView[]
}>()
const emit = defineEmits<{ all: []; done: [] }>()
const changes = useChanges()
const what = ref<string | null>(null)
const value = ref<string | null>(null)
const merging = ref(false)
const FIELDS = [
  { value: 'categoryId', title: 'category' },
  { value: 'usedAs', title: 'worn as' },
  { value: 'form', title: 'form' },
  { value: 'format', title: 'format' },
  { value: 'seasons', title: 'season' },
  { value: 'availability', title: 'availability' },
  { value: 'liking', title: 'liking' },
  { value: 'paoMonths', title: 'months after opening' },
]
const LIKINGS = [
  { title: 'love it', value: '5' },
  { title: 'like it', value: '4' },
  { title: 'neither', value: '3' },
  { title: 'not much', value: '2' },
  { title: 'dislike it', value: '1' },
]
const options = computed(() => {
  switch (what.value) {
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
      return LIKINGS
    default:
      return plain(['3', '6', '9', '12', '18', '24', '36'])
  }
})
const picked = computed(() => props.items.filter((item) => props.chosen.includes(item.id)))

function plain(list: readonly string[]) {
  return list.map((each) => ({ title: each, value: each }))
}

async function set(): Promise<void> {
  if (what.value === null || value.value === null) return
  const typed =
    what.value === 'seasons'
      ? [value.value]
      : what.value === 'liking' || what.value === 'paoMonths'
        ? Number(value.value)
        : value.value
  const done = await changes.run('POST', '/edit-many', {
    changeId: newId(),
    itemIds: props.chosen,
    set: { [what.value]: typed },
  })
  if (done) emit('done')
}

async function merge(keepId: string): Promise<void> {
  merging.value = false
  const dropIds = props.chosen.filter((id) => id !== keepId)
  if (await changes.run('POST', '/merge', { changeId: newId(), keepId, dropIds })) emit('done')
}
</script>

<template>
  <form class="sheet bar" @submit.prevent="set">
    <strong class="figures">{{ chosen.length }} chosen</strong>
    <v-btn variant="text" @click="emit('all')">All shown</v-btn>
    <template v-if="chosen.length > 0">
      <v-select
        v-model="what"
        class="field"
        density="compact"
        label="Set"
        :items="FIELDS"
        @update:model-value="value = null"
      />
      <v-autocomplete
        v-if="what"
        v-model="value"
        class="field"
        density="compact"
        label="to"
        auto-select-first
        :items="options"
      />
      <v-btn type="submit" color="primary" :disabled="value === null">Set for {{ chosen.length }}</v-btn>
      <v-btn v-if="chosen.length > 1" variant="outlined" color="primary" @click="merging = true">They are one</v-btn>
    </template>
    <v-dialog v-model="merging" aria-label="Make one of them">
      <div class="sheet dialog">
        <h2>Which one stays?</h2>
        <p class="quiet">
          Its history takes in that of the others; uses on the same day count once. The others go. It can be taken back.
        </p>
        <v-btn v-for="item in picked" :key="item.id" variant="outlined" color="primary" @click="merge(item.id)"
          >{{ shortName(item) }}, {{ item.maker }} ({{ usesWords(item.uses) }})</v-btn
        >
        <div class="acts"><v-btn variant="text" @click="merging = false">Cancel</v-btn></div>
      </div>
    </v-dialog>
  </form>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
  padding: 8px 12px;
  margin-bottom: 8px;
}

.field {
  max-width: 210px;
  min-width: 150px;
}
</style>
