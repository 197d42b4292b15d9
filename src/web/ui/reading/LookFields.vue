<script setup lang="ts">
import { computed } from 'vue'
import { PAN_STAGES } from '#core/item/form'
import { LEVEL_WORDS } from '#core/measure/reading'
import ChoiceRow from '#web/ui/form/ChoiceRow.vue'
import type { ReadDraft } from './read-draft'

/** What the eye reads: a level on a slider, a length against a new one, the stage or bare share of a pan, or a word. */
defineProps<{ on?: (field: string) => string[] }>()
const draft = defineModel<ReadDraft>({ required: true })
const set = (part: Partial<ReadDraft>): void => void (draft.value = { ...draft.value, ...part })
const label = computed(() =>
  draft.value.kind === 'length'
    ? 'Length left, against a new one'
    : draft.value.kind === 'bare'
      ? 'Bare metal'
      : 'How full',
)
</script>

<template>
  <ChoiceRow
    v-if="draft.kind === 'stage'"
    :model-value="draft.stage"
    label="How much pan is showing"
    :options="PAN_STAGES"
    @update:model-value="(stage) => set({ stage })"
  />
  <ChoiceRow
    v-else-if="draft.kind === 'word'"
    :model-value="draft.word"
    label="How full, in your words"
    :options="LEVEL_WORDS"
    @update:model-value="(word) => set({ word })"
  />
  <div v-else-if="draft.kind !== 'gross'" class="share">
    <p class="font-weight-semibold">
      {{ label }} <span class="figures">{{ draft.percent ?? '–' }} %</span>
    </p>
    <v-slider
      :model-value="draft.percent ?? 0"
      :aria-label="`${label}, %`"
      :min="0"
      :max="100"
      :step="1"
      @update:model-value="(percent: number) => set({ percent, percentHow: 'slider' })"
    />
    <div v-if="draft.kind === 'length'" class="side-by-side">
      <v-text-field
        :model-value="draft.mm"
        label="or now, mm"
        inputmode="decimal"
        :error-messages="on?.('reading.mm') ?? []"
        @update:model-value="(mm: string) => set({ mm })"
      />
      <v-text-field
        :model-value="draft.ofMm"
        label="of a new one, mm"
        inputmode="decimal"
        :error-messages="on?.('reading.ofMm') ?? []"
        @update:model-value="(ofMm: string) => set({ ofMm })"
      />
    </div>
  </div>
</template>
