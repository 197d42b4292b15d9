<script setup lang="ts">
import { computed, useId } from 'vue'
import type { Form } from '#core/item/form'
import { drawingOf, stands, type Content } from '#web/ui/gauge/gauge-model'
import GaugePan from '#web/ui/gauge/GaugePan.vue'
import GaugePot from '#web/ui/gauge/GaugePot.vue'
import GaugeStick from '#web/ui/gauge/GaugeStick.vue'
import GaugeVessel from '#web/ui/gauge/GaugeVessel.vue'

/** An empty package, drawn as the gauge draws it: nothing in it, or hatched where something is. */
const props = defineProps<{ form: Form; full: boolean }>()
const uid = useId()
const drawing = computed(() => drawingOf({ form: props.form, opaque: false, parts: [] }))
/** Bare metal where it is a pan, nothing in it where it is not. */
const content = computed<Content>(() => {
  if (props.full) return { kind: 'left', share: 0.6 }
  return drawing.value === 'pan' ? { kind: 'stage', stage: 'mostly bare', bare: 1 } : { kind: 'left', share: 0 }
})
const Drawn = computed(() =>
  drawing.value === 'pan'
    ? GaugePan
    : drawing.value === 'pot' || drawing.value === 'label'
      ? GaugePot
      : drawing.value === 'pencil' || drawing.value === 'bullet'
        ? GaugeStick
        : GaugeVessel,
)
</script>

<template>
  <span class="gauge drawing" :class="{ upright: stands(drawing) && drawing !== 'label' }" aria-hidden="true">
    <component
      :is="Drawn"
      :uid="uid"
      seed="container"
      :form="form"
      size="middle"
      :content="content"
      :colour="full ? '#b9bec4' : null"
      :guess="null"
      finish="matte"
      :backup="false"
    />
  </span>
</template>

<style scoped>
.drawing {
  display: grid;
  place-items: center;
  width: 76px;
  height: 84px;
}

.drawing :deep(svg) {
  max-width: 70px;
  max-height: 84px;
  height: 84px;
}
</style>
