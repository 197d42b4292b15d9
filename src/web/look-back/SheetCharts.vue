<script setup lang="ts">
import { computed, ref } from 'vue'
import type { SpanSheet } from '#contract/look-back'
import SheetChart from '#web/ui/chart/SheetChart.vue'
import { useStages } from '#web/ui/use-stages'
import { finishesAlong, intervalsOf, monthsOf, stockOf } from './sheet-charts'

/** What is easier looked at than read: uses and wear days, finishes, a kind's stock with its target, what was said against what came. */
const props = defineProps<{ sheet: SpanSheet }>()
const months = computed(() => monthsOf(props.sheet))
const finishes = computed(() => finishesAlong(props.sheet))
const forecasts = computed(() => intervalsOf(props.sheet, 'forecast'))
const guesses = computed(() => intervalsOf(props.sheet, 'guess'))
/** Of the kinds, the one with a target or the most things is shown first. */
const kinds = computed(() =>
  [...props.sheet.kinds]
    .filter(({ then, now, cameIn }) => then + now + cameIn > 0)
    .sort((a, b) => Number(b.target !== null) - Number(a.target !== null) || b.now - a.now),
)
const chosen = ref<string | null>(null)
const kindId = computed(() => chosen.value ?? kinds.value[0]?.categoryId ?? null)
/** The first chart stands before the others are drawn, each in a step of its own. */
const stage = useStages(3)
const stock = computed(() => (kindId.value === null ? null : stockOf(props.sheet, kindId.value)))
</script>

<template>
  <section class="charts d-grid hair-above py-3 px-4" aria-label="Charts" :aria-busy="stage < 3">
    <SheetChart
      v-if="months.labels.length > 1"
      title="Uses and wear days by month"
      unit="uses"
      right="wear days"
      v-bind="months"
    />
    <SheetChart v-if="stage > 0 && finishes.labels.length > 1" title="Finished so far" unit="items" v-bind="finishes" />
    <div v-if="stage > 1 && stock && stock.labels.length > 1" class="stock">
      <SheetChart :title="`How many: ${stock.name}`" unit="items" :labels="stock.labels" :series="stock.series" />
      <v-select
        :model-value="kindId"
        class="no-share"
        label="Which type"
        :items="kinds.map((each) => ({ title: each.category, value: each.categoryId }))"
        @update:model-value="chosen = $event"
      />
    </div>
    <SheetChart
      v-if="stage > 2 && forecasts.labels.length > 0"
      title="Forecasts and what happened"
      unit="months from the forecast"
      lying
      :height="60 + forecasts.labels.length * 26"
      v-bind="forecasts"
    />
    <SheetChart
      v-if="stage > 2 && guesses.labels.length > 0"
      title="Your guesses and what happened"
      unit="months from the guess"
      lying
      :height="60 + guesses.labels.length * 26"
      v-bind="guesses"
    />
  </section>
</template>

<style scoped>
.charts {
  grid-template-columns: repeat(auto-fit, minmax(min(440px, 100%), 1fr));
  gap: 20px 34px;
}

@media print {
  .charts {
    grid-template-columns: 1fr 1fr;
  }

  .no-share {
    display: none;
  }
}
</style>
