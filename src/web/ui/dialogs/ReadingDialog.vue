<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Day } from '#core/calendar/day'
import { eyeMeasureOf, PAN_STAGES, type PanStage } from '#core/item/form'
import type { ItemSummary } from '#contract/item'
import { newId } from '#web/api/client'
import ChoiceRow from '#web/ui/ChoiceRow.vue'
import DayField from '#web/ui/DayField.vue'
import FormTrouble from '#web/ui/FormTrouble.vue'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { useForm } from '#web/ui/use-form'
import { readingWords } from '#web/ui/words/gauge-words'
import { shortName } from '#web/ui/words/item-words'
import { dateWords } from '#web/ui/words/when-words'

/** How much is left, by eye, with its day; the last reading stands beside the new one. */
const props = defineProps<{ item: ItemSummary; today: Day }>()
const emit = defineEmits<{ close: []; done: [] }>()
const form = useForm()
const day = ref<string>(props.today)
const partId = ref<string | null>(props.item.parts[0]?.id ?? null)
const measure = computed(() => (props.item.parts.length > 0 ? 'pan' : eyeMeasureOf(props.item.form, props.item.opaque)))
const last = computed(() =>
  partId.value === null
    ? props.item.reading
    : (props.item.parts.find((part) => part.id === partId.value)?.reading ?? null),
)
const percent = ref(Math.round((props.item.reading?.value ?? 1) * 100))
const stage = ref<PanStage | null>(props.item.reading?.stage ?? null)
const preview = computed<ItemSummary>(() => {
  const reading =
    measure.value === 'pan'
      ? { kind: 'stage' as const, value: null, stage: stage.value ?? 'untouched', day: props.today }
      : {
          kind: measure.value === 'length' ? ('length' as const) : ('level' as const),
          value: percent.value / 100,
          stage: null,
          day: props.today,
        }
  if (props.item.parts.length === 0) return { ...props.item, reading }
  return {
    ...props.item,
    parts: props.item.parts.map((part) =>
      part.id === partId.value ? { ...part, reading: stage.value === null ? part.reading : reading } : part,
    ),
  }
})

async function save(): Promise<void> {
  const reading =
    measure.value === 'pan'
      ? { kind: 'stage', stage: stage.value, day: day.value }
      : { kind: measure.value, value: percent.value / 100, day: day.value }
  const answer = await form.submit('POST', `/items/${props.item.id}/readings`, {
    changeId: newId(),
    id: newId(),
    partId: partId.value,
    reading,
  })
  if (answer) emit('done')
}
</script>

<template>
  <v-dialog
    :model-value="true"
    :aria-label="`How much is left of ${shortName(item)}`"
    @update:model-value="emit('close')"
  >
    <form class="sheet dialog" @submit.prevent="save">
      <h2>How much is left of {{ shortName(item) }}?</h2>
      <p v-if="measure === 'none'">This package shows nothing by eye. Its tallies are its measure.</p>
      <template v-else>
        <div class="two">
          <ItemGauge :item="preview" size="large" :rail="false" />
          <div class="fields">
            <p class="quiet">
              {{ last ? `Last: ${readingWords(last)}, ${dateWords(last.day)}.` : 'Never read before.' }}
            </p>
            <v-select
              v-if="item.parts.length > 0"
              v-model="partId"
              label="Shade"
              :items="item.parts.map((part) => ({ title: part.name, value: part.id }))"
            />
            <ChoiceRow v-if="measure === 'pan'" v-model="stage" label="What the pan shows" :options="PAN_STAGES" />
            <label v-else class="level">
              {{ measure === 'length' ? 'Length left, against a new one' : 'How full' }}
              <span class="figures">{{ percent }} %</span>
              <input v-model.number="percent" type="range" min="0" max="100" step="1" />
            </label>
            <DayField v-model="day" label="Seen on" :max="today" :error-messages="form.on('day')" />
          </div>
        </div>
      </template>
      <FormTrouble :refused="form.refused.value" :out-of-reach="form.outOfReach.value" />
      <div class="acts">
        <v-btn variant="text" @click="emit('close')">Cancel</v-btn>
        <v-btn
          v-if="measure !== 'none'"
          type="submit"
          color="primary"
          :loading="form.busy.value"
          :disabled="measure === 'pan' && stage === null"
          >Record</v-btn
        >
      </div>
    </form>
  </v-dialog>
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

.level input {
  display: block;
  width: 100%;
  height: 44px;
  accent-color: var(--primary);
}
</style>
