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
  <div class="weigh">
    <div class="line">
      <p v-if="fromScale" class="huge figures" :class="{ moving: scale.reading.code === 'settling' }">
        {{ shown }}<span class="unit">{{ draft.unit }}</span>
      </p>
      <label v-else class="typed">
        <span class="visually-hidden">Weight with its package</span>
        <input
          ref="field"
          class="huge figures"
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
      <div class="units" role="group" aria-label="Unit">
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
    <p class="said" aria-live="polite">
      <strong v-if="said" :class="{ alarm: refused }">{{ said }}</strong>
      <span v-else-if="trouble || error" class="alarm">{{ trouble || error }}</span>
      <span v-else class="quiet">Weigh it with its package.</span>
      <span v-if="scale.trouble" class="alarm"> {{ scale.trouble }}</span>
    </p>
    <div class="ways">
      <button v-if="fromScale" type="button" class="way text-act strong" @click="typing = true">Type it instead</button>
      <template v-else>
        <span class="steps" role="group" aria-label="Smallest step of the scale">
          <span class="quiet">reads to</span>
          <button
            v-for="step in SCALE_STEPS"
            :key="step"
            type="button"
            :aria-pressed="draft.resolution === step"
            @click="draft = { ...draft, resolution: step }"
          >
            {{ step }} g
          </button>
        </span>
        <button v-if="scale.kind !== 'none'" type="button" class="way text-act strong" @click="typing = false">
          From the scale
        </button>
      </template>
      <template v-if="scale.kind === 'none'">
        <button v-if="scale.hasSerial" type="button" class="way text-act strong" @click="scale.connect('serial')">
          Connect a scale
        </button>
        <button type="button" class="way text-act strong" @click="scale.connect('simulated')">Simulated scale</button>
      </template>
      <button v-else type="button" class="way text-act strong" @click="scale.disconnect()">
        {{ scale.kind === 'simulated' ? 'Put it away' : 'Disconnect the scale' }}
      </button>
    </div>
  </div>
</template>

<style scoped>
.weigh {
  display: grid;
  gap: 2px;
  min-width: 0;
}

.line {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
}

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
  display: inline-flex;
  align-items: baseline;
  gap: 6px;
  min-width: 0;
  max-width: 100%;
  border-bottom: 2px solid var(--line);
}

input.huge {
  max-width: 100%;
  min-width: 0;
}

.typed:focus-within {
  border-color: var(--primary);
}

input.huge:focus-visible {
  outline: none;
}

.units {
  display: flex;
  gap: 4px;
}

.units .choice {
  min-width: 44px;
}

.said {
  margin: 0;
  font-size: 14.5px;
  flex: 1 1 180px;
  min-width: 0;
}

.ways {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 14px;
}

.way {
  font-size: 14px;
}

.steps {
  display: inline-flex;
  align-items: center;
  gap: 2px;
  font-size: 14px;
}

.steps button {
  min-height: 44px;
  min-width: 44px;
  padding: 0 6px;
  font-weight: 600;
  border-bottom: 2px solid transparent;
}

.steps button[aria-pressed='true'] {
  color: var(--primary);
  border-color: var(--primary);
}
</style>
