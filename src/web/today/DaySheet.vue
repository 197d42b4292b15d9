<script setup lang="ts">
import { ref } from 'vue'
import { HANDS, SKINS, TONES, WEATHERS } from '#core/wear/day-choices'
import type { DayView } from '#contract/today'
import ChoiceRow from '#web/ui/ChoiceRow.vue'

/** How the day is, told in parts that may each stay open. */
const props = defineProps<{ conditions: DayView; occasions: readonly string[] }>()
const emit = defineEmits<{ close: []; set: [conditions: DayView] }>()
const draft = ref<DayView>({ ...props.conditions })
const minutes = ref(props.conditions.minutes === null ? '' : String(props.conditions.minutes))
const MINUTES = ['5', '10', '20', '40']

function save(): void {
  emit('set', { ...draft.value, minutes: minutes.value === '' ? null : Math.round(Number(minutes.value)) || null })
  emit('close')
}

/** A second tap on what is chosen takes it back. */
function choose<K extends keyof DayView>(key: K, value: DayView[K] | null): void {
  draft.value = { ...draft.value, [key]: draft.value[key] === value ? null : value }
}
</script>

<template>
  <v-dialog :model-value="true" max-width="640" aria-label="How the day is" @update:model-value="emit('close')">
    <form class="sheet dialog" @submit.prevent="save">
      <h2>How is the day?</h2>
      <p class="quiet">All of it may stay open. What is told changes what is suggested.</p>
      <div class="pairs">
        <ChoiceRow
          :model-value="draft.skin"
          label="Skin"
          :options="SKINS"
          @update:model-value="(value) => choose('skin', value)"
        />
        <ChoiceRow
          :model-value="draft.clothes"
          label="Clothes"
          :options="TONES"
          @update:model-value="(value) => choose('clothes', value)"
        />
        <ChoiceRow
          :model-value="MINUTES.includes(minutes) ? minutes : null"
          label="Time, in minutes"
          :options="MINUTES"
          @update:model-value="(value) => (minutes = minutes === value ? '' : (value ?? ''))"
        />
        <ChoiceRow
          v-if="occasions.length > 0"
          :model-value="draft.occasion"
          label="Occasion"
          :options="occasions"
          @update:model-value="(value) => choose('occasion', value)"
        />
        <v-text-field
          :model-value="draft.occasion !== null && occasions.includes(draft.occasion) ? '' : (draft.occasion ?? '')"
          :label="occasions.length > 0 ? 'Another occasion' : 'Occasion'"
          placeholder="work, gig, walk"
          @update:model-value="(value: string) => (draft = { ...draft, occasion: value || null })"
        />
        <ChoiceRow
          :model-value="draft.hands"
          label="Hands"
          :options="HANDS"
          @update:model-value="(value) => choose('hands', value)"
        />
        <ChoiceRow
          :model-value="draft.weather"
          label="Weather"
          :options="WEATHERS"
          @update:model-value="(value) => choose('weather', value)"
        />
      </div>
      <v-textarea
        :model-value="draft.note ?? ''"
        label="A note on the day"
        rows="2"
        @update:model-value="(value: string) => (draft = { ...draft, note: value || null })"
      />
      <div class="acts">
        <v-btn variant="text" @click="emit('close')">Cancel</v-btn>
        <v-btn type="submit" color="primary">Save</v-btn>
      </div>
    </form>
  </v-dialog>
</template>

<style scoped>
.pairs {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
  align-items: start;
}

@media (max-width: 520px) {
  .pairs {
    grid-template-columns: 1fr;
  }
}
</style>
