<script setup lang="ts">
import { computed } from 'vue'
import { PAN_STAGES, type PanStage } from '#core/item/form'
import type { SheetItem } from '#contract/check-in'
import type { ListedItem } from '#contract/item'
import { dateWords } from '#web/data/locale'
import ChoiceRow from '#web/ui/form/ChoiceRow.vue'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import LevelPhoto from '#web/ui/reading/LevelPhoto.vue'
import LookFields from '#web/ui/reading/LookFields.vue'
import { drawnWith, kindsOf, type ReadDraft } from '#web/ui/reading/read-draft'
import { readingWords } from '#web/ui/words/measure-words'
import { KIND_WORDS } from '#web/ui/words/measure-words'

/** By eye: a level, a length, a word, or the stage of each shade; the last look stands beside the new one. */
const props = defineProps<{ item: ListedItem; line: SheetItem | null }>()
const draft = defineModel<ReadDraft>({ required: true })
const stages = defineModel<Record<string, PanStage>>('stages', { required: true })
const kinds = computed(() => kindsOf(props.item, null).filter((kind) => kind !== 'gross'))
const drawn = computed(() => {
  if (props.item.parts.length === 0) return drawnWith(props.item, draft.value)
  return {
    ...props.item,
    parts: props.item.parts.map((part) => {
      const stage = stages.value[part.id]
      return stage === undefined
        ? part
        : { ...part, reading: { kind: 'stage' as const, value: null, stage, word: null } }
    }),
  }
})
const shades = computed(() => props.item.parts.filter((part) => part.finishedOn === null && part.depottedOn === null))
const before = computed(() => props.line?.before?.reading ?? null)
function was(partId: string): string {
  const reading = props.line?.before?.parts.find((part) => part.partId === partId)?.reading
  return reading ? `was ${readingWords(reading)}` : 'never measured'
}
</script>

<template>
  <section class="inset look d-flex flex-wrap align-start py-3 px-4 ga-5">
    <div class="gauge-plate d-grid rounded-lg align-center justify-items-center pa-4">
      <ItemGauge :item="drawn" size="large" :rail="false" />
    </div>
    <div class="fields d-grid min-w-0 ga-3">
      <template v-if="item.parts.length > 0">
        <ChoiceRow
          v-for="part in shades"
          :key="part.id"
          :model-value="stages[part.id] ?? null"
          :label="`${part.name}, ${was(part.id)}`"
          :options="PAN_STAGES"
          @update:model-value="(stage) => stage && (stages = { ...stages, [part.id]: stage })"
        />
      </template>
      <template v-else>
        <p class="quiet">
          {{ before ? `Last: ${readingWords(before)}, ${dateWords(before.day)}.` : 'Never measured before.' }}
        </p>
        <ChoiceRow v-if="kinds.length > 1" v-model="draft.kind" label="Read by" :options="kinds" :words="KIND_WORDS" />
        <LookFields v-model="draft" />
        <LevelPhoto
          v-if="draft.kind === 'level'"
          @read="(percent) => (draft = { ...draft, percent, percentHow: 'photo' })"
        />
      </template>
    </div>
  </section>
</template>

<style scoped>
.gauge-plate {
  background: var(--plate);
  min-width: 180px;
  min-height: 240px;
}

.fields {
  flex: 1 1 300px;
}

.phone .gauge-plate {
  min-height: 150px;
  width: 100%;
}
</style>
