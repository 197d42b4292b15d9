<script setup lang="ts">
import { computed, onBeforeUnmount, nextTick, onMounted, ref, useTemplateRef, watch } from 'vue'
import { useDisplay } from 'vuetify'
import { parseMass, SCALE_STEPS } from '#core/measure/weighing'
import { useScale } from '#web/devices/scale'
import { massFigure, massTrouble, type MassUnit } from '#web/ui/words/measure-words'
import { scaleWords } from '#web/ui/words/scale-words'
import type { ReadDraft } from './read-draft'

/** The weight, huge: from a scale, kept by lifting the thing off, or typed. */
const props = withDefaults(
  defineProps<{
    error?: string
    autofocus?: boolean
  }>(),
  { error: '', autofocus: false },
)
const draft = defineModel<ReadDraft>({ required: true })
const emit = defineEmits<{ kept: [] }>()
const scale = useScale()
const typing = ref(false)
const fromScale = computed(() => scale.kind !== 'none' && !typing.value)

/** What stands in large figures: what lies on the scale, else what is typed. */
const shown = computed(() => {
  if (!fromScale.value) return null
  const { reading } = scale
  if (!('grams' in reading)) return draft.value.mass === '' ? '–' : draft.value.mass
  return massFigure(reading.grams, reading.resolution, draft.value.unit)
})
const said = computed(() => (fromScale.value ? scaleWords(scale.reading) : ''))
const refused = computed(() => fromScale.value && ['refused', 'silent'].includes(scale.reading.code))
const trouble = computed(() => {
  if (fromScale.value || draft.value.mass.trim() === '') return ''
  const mass = parseMass(draft.value.mass, draft.value.unit)
  return mass.ok ? '' : massTrouble(mass.failure.code)
})

function take(kept: { grams: number; resolution: number }): void {
  if (!fromScale.value) return
  draft.value = {
    ...draft.value,
    mass: massFigure(kept.grams, kept.resolution, draft.value.unit).replaceAll(/[\s\u202f']/g, ''),
    resolution: kept.resolution,
    massHow: 'scale',
  }
  emit('kept')
}

function inUnit(unit: MassUnit): void {
  const { mass, unit: from, resolution } = draft.value
  const there = parseMass(mass, from)
  draft.value = { ...draft.value, unit, mass: there.ok ? massFigure(there.value, resolution, unit) : mass }
}

function type(mass: string): void {
  draft.value = { ...draft.value, mass, massHow: 'typed' }
}

const field = useTemplateRef<HTMLInputElement>('field')
const { smAndDown } = useDisplay()
let stop = (): void => undefined
onMounted(() => {
  // On a phone the keyboard would cover what is asked.
  if (props.autofocus && !smAndDown.value) field.value?.focus()
  scale.forNext()
  stop = scale.onKept(take)
})
/** A figure typed beside the field is meant for it. */
defineExpose({
  begin(figure: string): void {
    typing.value = true
    type(`${draft.value.mass}${figure}`)
    void nextTick(() => field.value?.focus())
  },
})
onBeforeUnmount(() => stop())
// A scale that is connected is what one weighs with.
watch(
  () => scale.kind,
  () => (typing.value = false),
)
</script>

<template>
  <div class="d-grid min-w-0 ga-1">
    <div class="line d-flex flex-wrap align-center gr-2 gc-3">
      <p v-if="fromScale" class="huge figures" :class="{ moving: scale.reading.code === 'settling' }">
        {{ shown }}<span class="unit">{{ draft.unit }}</span>
      </p>
      <label v-else class="typed d-inline-flex align-baseline min-w-0 max-w-100 ga-2">
        <span class="visually-hidden">Weight with its package</span>
        <input
          ref="field"
          class="huge figures max-w-100 min-w-0"
          :style="{ width: `${Math.max(1.8, draft.mass.length * 0.58 + 0.1)}em` }"
          :value="draft.mass"
          inputmode="decimal"
          autocomplete="off"
          placeholder="0.0"
          aria-label="Weight with its package"
          :aria-invalid="trouble !== '' || error !== ''"
          @input="type(($event.target as HTMLInputElement).value)"
        />
      </label>
      <div class="units d-flex ga-1" role="group" aria-label="Unit">
        <button
          v-for="unit in ['g', 'oz'] as const"
          :key="unit"
          type="button"
          class="choice"
          :aria-pressed="draft.unit === unit"
          @click="inUnit(unit)"
        >
          {{ unit }}
        </button>
      </div>
    </div>
    <p class="said min-w-0" aria-live="polite">
      <strong v-if="said" :class="{ alarm: refused }">{{ said }}</strong>
      <span v-else-if="trouble || error" class="alarm">{{ trouble || error }}</span>
      <span v-else class="quiet">Weigh it with its package.</span>
      <span v-if="scale.trouble" class="alarm"> {{ scale.trouble }}</span>
    </p>
    <div class="d-flex flex-wrap align-center gr-0 gc-3">
      <button v-if="fromScale" type="button" class="text-act strong small" @click="typing = true">
        Type it instead
      </button>
      <template v-else>
        <span class="steps d-inline-flex align-center small ga-1" role="group" aria-label="Smallest step of the scale">
          <span class="quiet">reads to</span>
          <button
            class="touch font-weight-semibold px-2"
            v-for="step in SCALE_STEPS"
            :key="step"
            type="button"
            :aria-pressed="draft.resolution === step"
            @click="draft = { ...draft, resolution: step }"
          >
            {{ step }} g
          </button>
        </span>
        <button v-if="scale.kind !== 'none'" type="button" class="text-act strong small" @click="typing = false">
          From the scale
        </button>
      </template>
      <template v-if="scale.kind === 'none'">
        <button v-if="scale.hasSerial" type="button" class="text-act strong small" @click="scale.connect('serial')">
          Connect a scale
        </button>
        <button type="button" class="text-act strong small" @click="scale.connect('simulated')">Simulated scale</button>
      </template>
      <button v-else type="button" class="text-act strong small" @click="scale.disconnect()">
        {{ scale.kind === 'simulated' ? 'Put it away' : 'Disconnect the scale' }}
      </button>
    </div>
  </div>
</template>

<style scoped>
.huge {
  font: 680 clamp(52px, 7.2vw, 96px) / 0.95 var(--display);
  letter-spacing: -0.03em;
  margin: 0;
  min-height: 0.95em;
}

.moving {
  color: var(--quiet);
}

.unit {
  font-size: 0.36em;
  letter-spacing: 0;
  margin-left: 0.25em;
}

.typed {
  border-bottom: 2px solid var(--line);
}

.typed:focus-within {
  border-color: var(--primary);
}

input.huge:focus-visible {
  outline: none;
}

.units .choice {
  min-width: 44px;
}

.said {
  font-size: 14.5px;
  flex: 1 1 180px;
}

.steps button {
  min-width: 44px;
  border-bottom: 2px solid transparent;
}

.steps button[aria-pressed='true'] {
  color: var(--primary);
  border-color: var(--primary);
}
</style>
