<script setup lang="ts">
import { computed, ref } from 'vue'
import { MOST_DOUBT } from '#core/measure/bare-pan'
import { bareGiveOrTake, isRealChange } from '#core/measure/bare-words'
import NumberField from '#web/ui/form/NumberField.vue'
import type { PanResult } from './pan-draft'
import type { PanReading } from './use-pan-reading'

/** What was found, how sure it is, and the ways that are always there: brush, her word, another photo, a figure. */
const props = defineProps<{
  reading: PanReading
  result: PanResult | null
  before: { readonly bare: number; readonly words: string } | null
}>()
const emit = defineEmits<{ another: [] }>()
const { progress, measured, powder, metal, trouble, brush, noMetal, typeIt, cancel } = props.reading
const typed = ref('')
const give = computed(() => (props.result ? Math.round(bareGiveOrTake(props.result.bare, props.result.how) * 100) : 0))
const change = computed(() => {
  if (!props.result || !props.before) return ''
  const points = Math.round((props.result.bare - props.before.bare) * 100)
  if (!isRealChange(props.before.bare, props.result.bare)) return 'Up to 2 points could be the photo: no real change.'
  return points > 0
    ? `A real change: ${points} points more than ${props.before.words}.`
    : `${-points} points less than ${props.before.words}: the photograph, or a repress?`
})

const refusalWords = computed(() => {
  const found = measured.value
  if (!found?.refusal) return ''
  return found.refusal === 'in doubt'
    ? `Too unclear: ${(found.doubt * 100).toFixed(1)} % of the pan could be either. Up to ${MOST_DOUBT * 100} % is trusted. The brush tells it by hand.`
    : 'Powder and metal look too much alike here. The brush tells them apart by hand.'
})
</script>

<template>
  <div class="found d-grid min-w-0 ga-2">
    <div v-if="progress !== null" class="busy" role="status">
      <v-progress-linear :model-value="progress * 100" color="primary" />
      <p>Measuring. <button type="button" class="text-act" @click="cancel">Stop</button></p>
    </div>
    <template v-else-if="result">
      <p class="huge figures">{{ Math.round(result.bare * 100) }} <small>%</small></p>
      <p>
        <strong>of the pan is bare</strong><template v-if="give > 0">, give or take {{ give }}</template
        ><template v-else>, as you said</template>.
      </p>
      <p v-if="change">{{ change }}</p>
      <p v-else-if="before">Before: {{ before.words }}.</p>
    </template>
    <p v-else-if="!refusalWords" class="quiet">
      {{
        powder.length === 0
          ? 'Set the rim, then tap powder once and bare metal once.'
          : metal.length === 0
            ? 'Now a tap on bare metal.'
            : ''
      }}
    </p>
    <p v-if="measured && measured.refusal === null && result?.how === 'photo'" class="quiet">
      Clear enough: {{ (measured.doubt * 100).toFixed(1) }} % of the pan is unclear. Above {{ MOST_DOUBT * 100 }} % this
      refuses and hands you the brush.
    </p>
    <p v-if="refusalWords" class="doubt" role="alert">{{ refusalWords }}</p>
    <p v-if="trouble" class="alarm" role="alert">{{ trouble }}</p>
    <div class="d-grid ga-2">
      <v-btn variant="outlined" color="primary" @click="brush">Brush by hand</v-btn>
      <v-btn variant="outlined" color="primary" @click="noMetal">No pan showing yet</v-btn>
      <v-btn variant="outlined" color="primary" @click="emit('another')">Another photo</v-btn>
      <form class="typed d-grid ga-2" @submit.prevent.stop="typeIt(typed)">
        <NumberField text v-model="typed" label="or type it, %" />
        <v-btn type="submit" variant="outlined" color="primary">Set</v-btn>
      </form>
    </div>
  </div>
</template>

<style scoped>
.huge {
  font: 680 84px/1 var(--display);
  letter-spacing: -0.03em;
}

.huge small {
  font-size: 0.5em;
}

.doubt {
  border-left: 5px solid var(--attention);
  padding-left: 12px;
}

.typed {
  grid-template-columns: 1fr auto;
}
</style>
