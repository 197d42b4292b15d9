<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { parseMass, SCALE_STEPS } from '#core/measure/weighing'
import { useScale } from '#web/devices/scale'
import { massFigure, massTrouble, type MassUnit } from '#web/ui/words/measure-words'
import { scaleWords } from '#web/ui/words/scale-words'
import type { ReadDraft } from './read-draft'
import SimulatedScale from './SimulatedScale.vue'

/** The weight, huge: from a scale, kept by lifting the thing off, or typed. */
const props = withDefaults(
  defineProps<{
    /** About what it should weigh, for the simulated scale. */
    expected: number | null
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

let stop = (): void => undefined
onMounted(() => {
  scale.forNext()
  stop = scale.onKept(take)
})
onBeforeUnmount(() => stop())
// A scale that is connected is what one weighs with.
watch(
  () => scale.kind,
  () => (typing.value = false),
)
defineExpose({ props })
</script>

<template>
  <div class="weigh">
    <div class="line">
      <p v-if="fromScale" class="huge figures" :class="{ moving: scale.reading.code === 'settling' }">
        {{ shown }} <span class="unit">{{ draft.unit }}</span>
      </p>
      <label v-else class="typed">
        <span class="visually-hidden">Weight with its package</span>
        <input
          class="huge figures"
          :value="draft.mass"
          inputmode="decimal"
          autocomplete="off"
          placeholder="0.0"
          aria-label="Weight with its package"
          :aria-invalid="trouble !== '' || error !== ''"
          :autofocus="autofocus"
          @input="type(($event.target as HTMLInputElement).value)"
        />
        <span class="unit" aria-hidden="true">{{ draft.unit }}</span>
      </label>
    </div>
    <div class="line">
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
      <p class="said" aria-live="polite">
        <strong v-if="said" :class="{ alarm: refused }">{{ said }}</strong>
        <span v-else-if="trouble || error" class="alarm">{{ trouble || error }}</span>
        <span v-else class="quiet">With its package, as it stands in the drawer.</span>
      </p>
    </div>
    <div class="ways">
      <button v-if="fromScale" type="button" class="way" @click="typing = true">Type it instead</button>
      <template v-else>
        <label class="step"
          >Scale steps
          <select
            :value="draft.resolution"
            aria-label="Smallest step of the scale"
            @change="draft = { ...draft, resolution: Number(($event.target as HTMLSelectElement).value) }"
          >
            <option v-for="step in SCALE_STEPS" :key="step" :value="step">{{ step }} g</option>
          </select>
        </label>
        <button v-if="scale.kind !== 'none'" type="button" class="way" @click="typing = false">From the scale</button>
      </template>
      <template v-if="scale.kind === 'none'">
        <button v-if="scale.hasSerial" type="button" class="way" @click="scale.connect('serial')">
          Connect a scale
        </button>
        <button type="button" class="way" @click="scale.connect('simulated')">Try a simulated scale</button>
      </template>
      <button v-else type="button" class="way" @click="scale.disconnect()">
        {{ scale.kind === 'simulated' ? 'Put the simulated scale away' : 'Disconnect the scale' }}
      </button>
      <span v-if="scale.trouble" class="alarm">{{ scale.trouble }}</span>
    </div>
    <SimulatedScale v-if="scale.simulated" :port="scale.simulated" :expected="expected" />
  </div>
</template>

<style scoped>
.weigh {
  display: grid;
  gap: 8px;
  min-width: 0;
}

.line {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px 16px;
}

.huge {
  font: 680 clamp(56px, 9vw, 104px) / 0.95 var(--display);
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
}

.typed {
  display: flex;
  align-items: baseline;
  gap: 8px;
  border-bottom: 2px solid var(--line);
}

.typed .unit {
  font: 680 34px var(--display);
}

input.huge {
  width: 4.2ch;
  max-width: 60vw;
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

.said {
  margin: 0;
  font-size: 14.5px;
  flex: 1 1 180px;
  min-width: 0;
}

.alarm {
  color: var(--alarm);
}

.ways {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 16px;
}

.way {
  min-height: 44px;
  color: var(--primary);
  text-decoration: underline;
  font-weight: 600;
  font-size: 14px;
}

.step {
  display: inline-flex;
  align-items: center;
  gap: 8px;
  font-size: 14px;
  min-height: 44px;
}

select {
  min-height: 44px;
  padding: 0 8px;
  border: 1px solid var(--line);
  border-radius: 8px;
  background: var(--raised);
  color: inherit;
  font: inherit;
}
</style>
