<script setup lang="ts">
/** A place with nothing in it: a drawing of what will be there, what it is for, and the next thing to do. */
defineProps<{ title: string; act?: string; to?: string | undefined }>()
const emit = defineEmits<{ act: [] }>()
</script>

<template>
  <section class="inset empty d-flex flex-wrap align-center">
    <div class="drawing"><slot name="drawing" /></div>
    <div class="words">
      <h2>{{ title }}</h2>
      <p class="prose mt-2 mb-4"><slot /></p>
      <div class="acts d-flex flex-wrap ga-2">
        <v-btn v-if="act" color="primary" v-bind="to === undefined ? {} : { to }" @click="emit('act')">{{ act }}</v-btn>
        <slot name="acts" />
      </div>
    </div>
  </section>
</template>

<style scoped>
.empty {
  gap: 20px 36px;
  padding: 30px 32px;
  max-width: 920px;
}

.drawing :deep(svg) {
  display: block;
  max-width: 100%;
}

.drawing :deep(.line) {
  fill: none;
  stroke: var(--line);
  stroke-width: 1.6;
}

.drawing :deep(.rail) {
  fill: var(--drawer);
}

.drawing :deep(.done) {
  fill: var(--ink);
}

.drawing :deep(.dab) {
  stroke: var(--line);
}

.words {
  flex: 1 1 320px;
}

.phone .empty {
  padding: 20px 16px;
}
</style>
