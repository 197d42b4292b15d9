<script setup lang="ts">
import { computed } from 'vue'
import type { Problem } from '#contract/basic'
import type { ItemSummary } from '#contract/item'
import type { ItemDraft } from './item-draft'
import { draftOf } from './item-draft'

/** Another window stored something else meanwhile: both values, side by side, nothing lost. */
const props = defineProps<{ problem: Problem; draft: ItemDraft }>()
const emit = defineEmits<{ overwrite: [version: number] }>()
const stored = computed(() => props.problem.current as ItemSummary)
const NAMES: readonly (readonly [keyof ItemDraft, string])[] = [
  ['maker', 'Maker'],
  ['name', 'Name'],
  ['shade', 'Shade'],
  ['size', 'Size'],
  ['opened', 'Opened'],
  ['pao', 'Months after opening'],
  ['expiry', 'Printed expiry'],
  ['price', 'Price'],
  ['usesBefore', 'Uses before'],
  ['notes', 'Notes'],
]
const differences = computed(() => {
  const theirs = draftOf(stored.value, 'EUR')
  return NAMES.filter(([field]) => String(theirs[field]) !== String(props.draft[field])).map(([field, name]) => ({
    name,
    mine: String(props.draft[field]),
    theirs: String(theirs[field]),
  }))
})
</script>

<template>
  <section class="stale" role="alert">
    <p>
      <strong>{{ problem.title }}</strong> {{ problem.detail }}
    </p>
    <dl>
      <template v-for="row in differences" :key="row.name">
        <dt>{{ row.name }}</dt>
        <dd>yours: “{{ row.mine || 'blank' }}”, stored now: “{{ row.theirs || 'blank' }}”</dd>
      </template>
    </dl>
    <v-btn color="primary" @click="emit('overwrite', stored.version)">Store mine over it</v-btn>
  </section>
</template>

<style scoped>
.stale {
  border: 1px solid var(--attention);
  border-radius: 8px;
  padding: 14px;
}

dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 4px 16px;
}

dd {
  margin: 0;
}
</style>
