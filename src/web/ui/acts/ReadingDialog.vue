<script setup lang="ts">
import { computed, watch } from 'vue'
import type { Day } from '#core/calendar/day'
import { eyeMeasureOf, PAN_STAGES, type PanStage } from '#core/item/form'
import type { ListedItem } from '#contract/item'
import { useItem } from '#web/data/reads'
import { dateWords } from '#web/data/locale'
import ChoiceRow from '#web/ui/form/ChoiceRow.vue'
import DayField from '#web/ui/form/DayField.vue'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { readingWords } from '#web/ui/words/gauge-words'
import { callIt, shortName } from '#web/ui/words/item-words'
import type { ActResult } from './item-acts'

/** How much is left, by eye, with its day; the last reading stands beside the new one. */
const props = defineProps<{ item: ListedItem; today: Day }>()
const emit = defineEmits<{ close: []; done: [result: ActResult] }>()
const whole = useItem(() => props.item.id)
const measure = computed(() => (props.item.parts.length > 0 ? 'pan' : eyeMeasureOf(props.item.form, props.item.opaque)))
const draft = useDraft(() => ({
  day: props.today as string,
  partId: props.item.parts[0]?.id ?? null,
  percent: Math.round((props.item.reading?.value ?? 1) * 100),
  stage: (props.item.parts[0]?.reading ?? props.item.reading)?.stage ?? (null as PanStage | null),
}))
const { typed, on } = draft
watch(
  () => typed.value.partId,
  (partId) => (typed.value.stage = props.item.parts.find((part) => part.id === partId)?.reading?.stage ?? null),
)
const last = computed(() => {
  const item = whole.answer.value?.item
  const { partId } = typed.value
  return (partId === null ? item?.reading : item?.parts.find((part) => part.id === partId)?.reading) ?? null
})
/** The reading as it would be drawn, and as it is sent. */
const reading = computed(() => {
  const { percent, stage } = typed.value
  return measure.value === 'pan'
    ? { kind: 'stage' as const, value: null, stage: stage ?? ('untouched' as const) }
    : { kind: measure.value === 'length' ? ('length' as const) : ('level' as const), value: percent / 100, stage: null }
})
const preview = computed<ListedItem>(() => {
  if (props.item.parts.length === 0) return { ...props.item, reading: reading.value }
  return {
    ...props.item,
    parts: props.item.parts.map((part) =>
      part.id === typed.value.partId && typed.value.stage !== null ? { ...part, reading: reading.value } : part,
    ),
  }
})

async function store(): Promise<void> {
  const { kind, value, stage } = reading.value
  const { day, partId } = typed.value
  const answer = await draft.store('POST', `/items/${props.item.id}/readings`, {
    id: draft.id('reading'),
    partId,
    reading: kind === 'stage' ? { kind, stage, day } : { kind, value, day },
  })
  if (answer) emit('done', {})
}
</script>

<template>
  <FormDialog
    :title="`How much is left of ${shortName(item)}?`"
    :label="`How much is left of ${callIt(item)}`"
    :draft="draft"
    :act="measure === 'none' ? undefined : 'Record'"
    :ready="measure !== 'pan' || typed.stage !== null"
    @close="emit('close')"
    @store="store"
  >
    <p v-if="measure === 'none'">This package shows nothing by eye. Its tallies are its measure.</p>
    <div v-else class="two">
      <ItemGauge :item="preview" size="large" :rail="false" />
      <div class="fields">
        <p class="quiet">{{ last ? `Last: ${readingWords(last)}, ${dateWords(last.day)}.` : 'Never read before.' }}</p>
        <v-select
          v-if="item.parts.length > 0"
          v-model="typed.partId"
          label="Shade"
          :items="item.parts.map((part) => ({ title: part.name, value: part.id }))"
        />
        <ChoiceRow v-if="measure === 'pan'" v-model="typed.stage" label="What the pan shows" :options="PAN_STAGES" />
        <div v-else>
          <p class="level">
            {{ measure === 'length' ? 'Length left, against a new one' : 'How full' }}
            <span class="figures">{{ typed.percent }} %</span>
          </p>
          <v-slider
            v-model="typed.percent"
            :aria-label="measure === 'length' ? 'Length left, %' : 'How full, %'"
            :min="0"
            :max="100"
            :step="1"
          />
        </div>
        <DayField v-model="typed.day" label="Seen on" :max="today" :error-messages="on('day')" />
      </div>
    </div>
  </FormDialog>
</template>

<style scoped>
.two {
  display: flex;
  flex-wrap: wrap;
  gap: 22px;
  align-items: center;
}

.fields {
  flex: 1 1 240px;
  display: grid;
  gap: 12px;
}

.level {
  font-weight: 600;
}
</style>
