<script setup lang="ts">
import type { Problem } from '#contract/basic'

/** Another window stored something else meanwhile: both values of every field, side by side, nothing lost. */
defineProps<{
  problem: Problem
  differences: readonly { readonly name: string; readonly mine: string; readonly theirs: string }[]
}>()
const emit = defineEmits<{ overwrite: [] }>()
</script>

<template>
  <section class="stale" role="alert">
    <p>
      <strong>{{ problem.title }}</strong> {{ problem.detail }}
    </p>
    <dl>
      <template v-for="row in differences" :key="row.name">
        <dt>{{ row.name }}</dt>
        <dd>yours: “{{ row.mine || 'blank' }}”, saved now: “{{ row.theirs || 'blank' }}”</dd>
      </template>
    </dl>
    <v-btn color="primary" @click="emit('overwrite')">Save mine over it</v-btn>
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
