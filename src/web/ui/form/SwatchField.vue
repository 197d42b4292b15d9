<script setup lang="ts">
import { computed } from 'vue'
import { latePart } from '#web/ui/late-part'

/** A swatch, or none: undyed stays undyed until a colour is picked. A guess is offered, never taken by itself. */
const props = withDefaults(defineProps<{ label: string; guess?: string | null; small?: boolean }>(), {
  guess: null,
  small: false,
})
const value = defineModel<string | null>({ required: true })
const SwatchFromPhoto = latePart(() => import('./SwatchFromPhoto.vue'))
/** Where the picker begins while there is no colour. */
const START = '#b4706f'
const picked = computed({
  get: () => value.value ?? props.guess ?? START,
  set: (colour: unknown) => (value.value = typeof colour === 'string' ? colour.slice(0, 7).toLowerCase() : null),
})
</script>

<template>
  <v-menu :close-on-content-click="false">
    <template #activator="{ props: menu }">
      <button
        type="button"
        class="swatch d-flex align-center rounded-lg text-left py-1 ps-2 pe-3 ga-3"
        :class="{ small }"
        v-bind="menu"
        :aria-label="`${label}: ${value ?? 'none'}`"
      >
        <span class="dab" :class="{ none: value === null }" :style="{ background: value ?? undefined }"></span>
        <span v-if="!small"
          >{{ label }}<span class="quiet d-block fine">{{ value ?? 'none recorded' }}</span></span
        >
      </button>
    </template>
    <div class="sheet picker">
      <v-color-picker v-model="picked" mode="hex" :modes="['hex', 'rgb']" elevation="0" width="280" />
      <SwatchFromPhoto class="photo my-2 mx-0" label="From a picture" @colour="(colour) => (value = colour)" />
      <div class="choices">
        <v-btn v-if="guess && value === null" variant="outlined" color="primary" @click="value = guess"
          >Use the guess</v-btn
        >
        <v-btn variant="text" @click="value = null">No swatch</v-btn>
      </div>
    </div>
  </v-menu>
</template>

<style scoped>
.swatch {
  min-height: 48px;
  border: 1px solid var(--line);
}

.swatch.small {
  padding: 4px;
  min-width: 48px;
  justify-content: center;
}

.dab {
  width: 36px;
  height: 36px;
  border-radius: 6px;
  border: 1px solid var(--line);
}

.dab.none {
  background: repeating-linear-gradient(45deg, var(--plate) 0 5px, var(--line) 5px 6px);
}

.picker {
  padding: 8px;
  max-width: 320px;
}
</style>
