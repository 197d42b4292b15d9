<script setup lang="ts" generic="T extends string | number | null">
import { computed, useAttrs } from 'vue'
import { parseDecimal } from '#core/quantity/decimal'
import { DECIMAL_SIGN } from '#web/data/locale'

/**
 * A number as it is written where she lives; the other decimal sign is taken for hers, and what is no number cannot be typed. Drafts
 * that keep text get text (`text`), others a number or null.
 */
defineOptions({ inheritAttrs: false })
const props = defineProps<{ text?: boolean }>()
const model = defineModel<T>({ required: true })
const value = computed<number | null>({
  get: () => (typeof model.value === 'string' ? parseDecimal(model.value) : (model.value as number | null)),
  set: (now) => (model.value = (props.text ? (now === null ? '' : String(now)) : now) as T),
})
const attrs = useAttrs()
/** How it lies is of the whole, what it says is of the field. */
const inner = computed(() => ({ ...attrs, class: undefined }))
const OTHER_SIGN = DECIMAL_SIGN === ',' ? '.' : ','

function inHerSign(event: InputEvent): void {
  if (event.data !== OTHER_SIGN) return
  event.preventDefault()
  event.stopPropagation()
  event.target?.dispatchEvent(
    new InputEvent('beforeinput', { data: DECIMAL_SIGN, inputType: 'insertText', bubbles: true, cancelable: true }),
  )
}
</script>

<template>
  <div class="number" :class="$attrs['class']" @beforeinput.capture="inHerSign($event as InputEvent)">
    <v-number-input v-model="value" control-variant="hidden" :precision="null" :min="0" v-bind="inner">
      <template v-for="(_, name) in $slots" #[name]><slot :name="name" /></template>
    </v-number-input>
  </div>
</template>

<style scoped>
.number {
  min-width: 0;
}
</style>
