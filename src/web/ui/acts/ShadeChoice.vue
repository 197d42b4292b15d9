<script setup lang="ts">
import type { ListedItem } from '#contract/item'

/** Some shades of a palette, each with a dab of its colour. */
defineProps<{ label: string; parts: ListedItem['parts']; taken?: ReadonlySet<string> }>()
const chosen = defineModel<string[]>({ required: true })

function toggle(id: string): void {
  chosen.value = chosen.value.includes(id) ? chosen.value.filter((each) => each !== id) : [...chosen.value, id]
}
</script>

<template>
  <fieldset class="choice-row">
    <legend>{{ label }}</legend>
    <div class="choices">
      <button
        v-for="part in parts"
        :key="part.id"
        type="button"
        class="choice"
        :disabled="taken?.has(part.id) ?? false"
        :aria-pressed="chosen.includes(part.id)"
        @click="toggle(part.id)"
      >
        <span class="dab d-inline-block me-2" :style="{ background: part.colour ?? 'var(--plate)' }"></span
        >{{ part.name }}
      </button>
    </div>
  </fieldset>
</template>

<style scoped>
.dab {
  width: 16px;
  height: 16px;
  border-radius: 4px;
  vertical-align: -3px;
  border: 1px solid rgb(0 0 0 / 0.35);
}
</style>
