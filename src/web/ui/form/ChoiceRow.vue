<script setup lang="ts" generic="T extends string | number">
/** One of a few, each a button of its own that says whether it is chosen. `again` = a second tap takes the choice back. */
const props = defineProps<{
  label: string
  options: readonly T[]
  words?: Readonly<Partial<Record<T, string>>>
  again?: boolean
}>()
const value = defineModel<T | null>({ required: true })

function choose(option: T): void {
  value.value = props.again && value.value === option ? null : option
}
</script>

<template>
  <fieldset class="choice-row">
    <legend>{{ label }}</legend>
    <div class="choices">
      <button
        v-for="option in options"
        :key="option"
        type="button"
        class="choice"
        :aria-pressed="value === option"
        @click="choose(option)"
      >
        {{ words?.[option] ?? option }}
      </button>
    </div>
  </fieldset>
</template>
