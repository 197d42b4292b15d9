<script setup lang="ts">
import { computed, ref } from 'vue'
import { HANDS, SKINS, TONES, WEATHERS, type DayView } from '#contract/today'
import ChoiceRow from '#web/ui/ChoiceRow.vue'

/** How the day is, in a line; told in a sheet of its own, each part optional. It changes what is suggested. */
const props = defineProps<{ conditions: DayView; occasions: readonly string[]; isToday: boolean }>()
const emit = defineEmits<{ set: [conditions: DayView] }>()
const open = ref(false)
const draft = ref<DayView>({ ...props.conditions })
const minutes = ref('')
const MINUTES = ['5', '10', '20', '40']
const said = computed(() => {
  const { skin, clothes, minutes: time, occasion, hands, weather } = props.conditions
  return [
    skin === null ? '' : `skin ${skin}`,
    clothes === null ? '' : `clothes ${clothes}`,
    time === null ? '' : `${time} minutes`,
    occasion ?? '',
    hands === 'sore' ? 'hands sore' : '',
    weather ?? '',
  ].filter(Boolean)
})

function start(): void {
  draft.value = { ...props.conditions }
  minutes.value = props.conditions.minutes === null ? '' : String(props.conditions.minutes)
  open.value = true
}

function save(): void {
  emit('set', { ...draft.value, minutes: minutes.value === '' ? null : Math.round(Number(minutes.value)) || null })
  open.value = false
}

/** A second tap on what is chosen takes it back. */
function choose<K extends keyof DayView>(key: K, value: DayView[K] | null): void {
  draft.value = { ...draft.value, [key]: draft.value[key] === value ? null : value }
}
</script>

<template>
  <button type="button" class="said" @click="start">
    <template v-if="said.length > 0"
      ><span class="lead">{{ isToday ? 'Today' : 'That day' }}:</span>
      <span v-for="part in said" :key="part" class="part">{{ part }}</span></template
    >
    <span v-else class="part">How is the day?</span>
    <span v-if="conditions.note" class="lead">, with a note</span>
  </button>
  <v-dialog v-model="open" max-width="640" aria-label="How the day is">
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
        <v-btn variant="text" @click="open = false">Cancel</v-btn>
        <v-btn type="submit" color="primary">Save</v-btn>
      </div>
    </form>
  </v-dialog>
</template>

<style scoped>
.said {
  min-height: 44px;
  font-size: 13.5px;
  text-align: right;
}

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

  .said {
    text-align: left;
  }
}

.lead {
  color: var(--quiet);
}

.part {
  font-weight: 600;
  border-bottom: 2px solid var(--primary);
  margin-left: 8px;
}
</style>
