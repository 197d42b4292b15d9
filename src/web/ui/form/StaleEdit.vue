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
  <section class="stale rounded-lg pa-3" role="alert">
    <p>
      <strong>{{ problem.title }}</strong> {{ problem.detail }}
    </p>
    <dl class="d-grid gr-1 gc-4">
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
}

dl {
  grid-template-columns: auto 1fr;
}
</style>
