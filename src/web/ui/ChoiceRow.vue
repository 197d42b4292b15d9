<script setup lang="ts" generic="T extends string">
/** One of a few, each a button of its own; arrows are not needed, Tab and Space do. */
defineProps<{ label: string; options: readonly T[]; words?: Readonly<Record<string, string>> }>()
const value = defineModel<T | null>({ required: true })
</script>

<template>
  <fieldset>
    <legend>{{ label }}</legend>
    <div class="choices">
      <button
        v-for="option in options"
        :key="option"
        type="button"
        class="choice"
        :aria-pressed="value === option"
        @click="value = option"
      >
        {{ words?.[option] ?? option }}
      </button>
    </div>
  </fieldset>
</template>

<style scoped>
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
}

legend {
  font-weight: 600;
  font-size: 13.5px;
  margin-bottom: 5px;
}
</style>
