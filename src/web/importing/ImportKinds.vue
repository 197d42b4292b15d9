<script setup lang="ts">
import { computed } from 'vue'
import type { Form } from '#core/item/form'
import { FORMS } from '#core/item/form'
import type { PreviewRow } from '#contract/importing'
import type { CategoryView } from '#contract/item'

/** Category and form for all rows of one word of the sheet at once. */
const props = defineProps<{ rows: readonly PreviewRow[]; categories: readonly CategoryView[] }>()
const emit = defineEmits<{ set: [rows: number[], set: { categoryId?: string; form?: Form }] }>()

const kinds = computed(() => {
  const found = new Map<
    string,
    { key: string; words: Set<string>; rows: number[]; categoryId: string | null; form: Form | null; mixed: boolean }
  >()
  for (const row of props.rows) {
    const key = row.categoryId ?? `?${row.categoryText.toLowerCase()}`
    const kind = found.get(key) ?? {
      key,
      words: new Set<string>(),
      rows: [],
      categoryId: row.categoryId,
      form: row.form,
      mixed: false,
    }
    kind.words.add(row.categoryText || 'blank')
    kind.rows.push(row.row)
    if (kind.form !== row.form) kind.mixed = true
    found.set(key, kind)
  }
  return [...found.values()].sort(
    (a, b) => Number(a.categoryId !== null) - Number(b.categoryId !== null) || b.rows.length - a.rows.length,
  )
})
const categoryItems = computed(() => props.categories.map((each) => ({ title: each.name, value: each.id })))
</script>

<template>
  <section class="sheet part mb-3 py-3 px-4" aria-label="Types">
    <h2>What the types are taken for</h2>
    <div v-for="kind in kinds" :key="kind.key" class="kind" :class="{ open: kind.categoryId === null }">
      <span class="words text-truncate"
        ><strong class="figures">{{ kind.rows.length }}</strong>
        <span class="quiet">{{ [...kind.words].slice(0, 4).join(', ') }}</span></span
      >
      <v-autocomplete
        :model-value="kind.categoryId"
        density="compact"
        label="Type"
        :items="categoryItems"
        :aria-label="`Type for ${[...kind.words][0]}`"
        @update:model-value="(value) => value && emit('set', kind.rows, { categoryId: value })"
      />
      <v-select
        :model-value="kind.mixed ? null : kind.form"
        density="compact"
        :label="kind.mixed ? 'Form: several' : 'Form'"
        :items="FORMS"
        @update:model-value="(value) => value && emit('set', kind.rows, { form: value })"
      />
    </div>
  </section>
</template>

<style scoped>
.kind {
  display: grid;
  grid-template-columns: minmax(0, 1.4fr) minmax(0, 1fr) minmax(0, 0.8fr);
  gap: 12px;
  align-items: center;
  padding: 5px 0;
}

.kind.open {
  box-shadow: inset 5px 0 0 var(--attention);
  padding-left: 12px;
}
</style>
