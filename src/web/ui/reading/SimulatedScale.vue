<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import NumberField from '#web/ui/form/NumberField.vue'
import type { SimulatedPort } from '#web/devices/simulated-port'

/** The simulated scale's own small panel: lay the thing on, lift it off, and whatever can go wrong with a scale. */
const props = defineProps<{ port: SimulatedPort; expected: number | null }>()
/** What a package weighs that nobody weighed before, g. For trying out only. */
const ANY = 40
const load = ref<number>(props.expected ?? ANY)
watch(
  () => props.expected,
  (next) => (load.value = next ?? ANY),
)
const state = computed(() => props.port.scale.value)
const lies = computed(() => state.value.load > 0)
</script>

<template>
  <section class="inset d-flex flex-wrap align-center py-2 px-3 gr-1 gc-3" aria-label="Simulated scale">
    <p class="quiet small">Simulated: nothing is weighed for real.</p>
    <div class="acts d-flex flex-wrap align-center ga-2">
      <button v-if="!lies" type="button" class="choice" @click="port.handle({ load })">Put it on</button>
      <button v-else type="button" class="choice" @click="port.handle({ load: 0 })">Take it off</button>
      <label class="small"
        >as heavy as <NumberField v-model="load" :max="2000" aria-label="Weight on it, g" density="compact" /> g
      </label>
      <button type="button" class="choice" @click="port.handle({ load: port.capacity * 2 })">Too heavy</button>
      <button type="button" class="choice" @click="port.handle({ tare: state.tare === 0 ? load * 0.8 : 0 })">
        {{ state.tare === 0 ? 'Tare it' : 'Remove the tare' }}
      </button>
      <button type="button" class="choice" @click="port.handle({ asleep: true })">Let it sleep</button>
      <button type="button" class="choice" @click="port.handle({ unplugged: !state.unplugged })">
        {{ state.unplugged ? 'Plug it in' : 'Pull the cable' }}
      </button>
    </div>
  </section>
</template>

<style scoped>
.choice {
  background: var(--raised);
  font-size: 14px;
  padding: 0 10px !important;
}

input {
  width: 76px;
  min-height: 44px;
  border: 1px solid var(--line) !important;
  border-radius: 8px;
  padding: 0 6px;
  background: var(--raised) !important;
}
</style>
