<script setup lang="ts">
import {
  BarController,
  BarElement,
  CategoryScale,
  Chart,
  LinearScale,
  LineController,
  LineElement,
  PointElement,
  Tooltip,
  type ChartData,
  type ChartDataset,
  type ChartOptions,
} from 'chart.js'
import { computed, ref } from 'vue'
import { Chart as AnyChart } from 'vue-chartjs'
import { useCopying } from '#web/ui/use-copying'
import { hatchOf } from './hatch'
import type { SheetSeries } from './sheet-series'
import { useInks } from './use-inks'

/** A chart of a sheet: its title and units, told apart by shape and stroke rather than colour, and the table behind it. */
const props = withDefaults(
  defineProps<{
    title: string
    /** What the value axis counts. */
    unit: string
    labels: readonly string[]
    series: readonly SheetSeries[]
    /** What the axis on the right counts, where there is one. */
    right?: string
    /** Rows of things, one below the other, instead of columns of time. */
    lying?: boolean
    height?: number
  }>(),
  { right: '', height: 210 },
)
Chart.register(
  BarController,
  BarElement,
  LineController,
  LineElement,
  PointElement,
  CategoryScale,
  LinearScale,
  Tooltip,
)
const inks = useInks()
const copied = ref(false)
const copying = useCopying()
/** With more months than this, full signs would lie over each other. */
const CROWDED = 36
/** As many signs of a name as stand beside a bar in half the width of a chart. */
const LONGEST = 24
const shortened = (label: string): string =>
  label.length > LONGEST ? `${label.slice(0, LONGEST - 1).trimEnd()}…` : label
const FONT = { family: 'Instrument Sans Variable', size: 12 }

const data = computed<ChartData<'bar' | 'line'>>(() => ({
  labels: [...props.labels],
  datasets: props.series.map((series): ChartDataset<'bar' | 'line'> => {
    const { ink, raised } = inks.value
    // Points and lines lie over bars.
    const order = series.as === 'bars' || series.as === 'ranges' ? 2 : 1
    if (series.as === 'bars' || series.as === 'ranges')
      return {
        type: 'bar',
        label: series.label,
        data: series.values.map((value) =>
          Array.isArray(value) ? ([...value] as [number, number]) : value,
        ) as number[],
        backgroundColor: series.hatched ? hatchOf(ink, raised) : ink,
        borderColor: ink,
        borderWidth: 1.2,
        borderSkipped: false,
        maxBarThickness: props.lying ? 12 : 30,
        order,
      }
    return {
      type: 'line',
      label: series.label,
      data: series.values as number[],
      borderColor: ink,
      backgroundColor: series.hollow ? raised : ink,
      borderWidth: series.as === 'points' ? 0 : 2,
      showLine: series.as !== 'points',
      borderDash: series.dashed ? [6, 4] : [],
      stepped: series.as === 'steps',
      pointStyle: series.shape,
      pointRadius: series.dashed ? 0 : props.labels.length > CROWDED ? 2 : series.as === 'points' ? 6 : 3.5,
      pointBorderWidth: props.labels.length > CROWDED ? 1 : 2,
      pointBorderColor: ink,
      spanGaps: true,
      order,
      ...(series.right ? { yAxisID: 'right' } : {}),
    }
  }),
}))
const options = computed<ChartOptions<'bar' | 'line'>>(() => {
  const { quiet, hair } = inks.value
  const counting = {
    beginAtZero: true,
    grid: { color: hair },
    title: { display: true, text: props.unit, color: quiet, font: FONT },
    ticks: { color: quiet, font: FONT, precision: 0, maxTicksLimit: 7 },
  }
  const naming = {
    grid: { display: false },
    ticks: {
      color: quiet,
      font: FONT,
      maxRotation: 0,
      autoSkip: !props.lying,
      autoSkipPadding: 12,
      // A long name would be cut off where it begins; the table has it in full.
      callback: (_value: number | string, n: number) => shortened(props.labels[n] ?? ''),
    },
  }
  return {
    responsive: true,
    maintainAspectRatio: false,
    animation: false,
    indexAxis: props.lying ? 'y' : 'x',
    plugins: { legend: { display: false }, tooltip: { displayColors: false } },
    scales: props.lying
      ? { x: counting, y: naming }
      : {
          x: naming,
          y: counting,
          ...(props.right
            ? {
                right: {
                  ...counting,
                  position: 'right' as const,
                  grid: { drawOnChartArea: false },
                  title: { ...counting.title, text: props.right },
                },
              }
            : {}),
        },
  }
})
const head = computed(() => ['', ...props.series.map(({ label }) => label)])
const rows = computed(() =>
  props.labels.map((label, n) => [
    label,
    ...props.series.map(({ values }) => {
      const value = values[n]
      return value === null || value === undefined ? '' : Array.isArray(value) ? value.join(' to ') : String(value)
    }),
  ]),
)
async function copy(): Promise<void> {
  // Tabs part cells wherever a table is pasted.
  await copying([head.value, ...rows.value].map((row) => row.join('\t')).join('\n'), 'Copied as a table.')
  copied.value = true
}
</script>

<template>
  <figure class="sheet-chart min-w-0">
    <figcaption class="d-flex flex-wrap align-baseline gr-1 gc-4">
      <h4>{{ title }}</h4>
      <ul class="keys d-flex flex-wrap fine quiet gr-0 gc-3" aria-hidden="true">
        <li class="d-inline-flex align-center ga-1" v-for="each in series" :key="each.label">
          <svg viewBox="0 0 30 14" width="30" height="14">
            <rect v-if="each.as === 'bars' || each.as === 'ranges'" x="4" y="2" width="22" height="10" class="bar" />
            <path v-if="each.hatched" d="M5 11l8-8M11 11l8-8M17 11l8-8" class="hatch" />
            <rect
              v-if="(each.as === 'bars' || each.as === 'ranges') && !each.hatched"
              x="4"
              y="2"
              width="22"
              height="10"
              class="full"
            />
            <path
              v-if="each.as === 'line' || each.as === 'steps'"
              d="M1 7h28"
              class="line"
              :class="{ dashed: each.dashed }"
            />
            <circle
              v-if="each.as !== 'bars' && each.as !== 'ranges' && !each.dashed && each.shape !== 'rectRot'"
              cx="15"
              cy="7"
              r="4"
              :class="each.hollow ? 'hollow' : 'full'"
            />
            <path
              v-if="each.shape === 'rectRot' && !each.dashed"
              d="M15 2l5 5-5 5-5-5z"
              :class="each.hollow ? 'hollow' : 'full'"
            />
          </svg>
          {{ each.label }}
        </li>
      </ul>
    </figcaption>
    <div class="position-relative min-w-0" :style="{ height: `${height}px` }">
      <AnyChart
        type="bar"
        :data="data"
        :options="options"
        role="img"
        :aria-label="`${title}, ${unit}; the table below says the same`"
      />
    </div>
    <details>
      <summary class="d-inline-flex align-center touch small text-primary">As a table</summary>
      <div class="overflow-x-auto">
        <table class="small figures">
          <thead>
            <tr>
              <th class="text-no-wrap hair-below py-1 ps-0 pe-2" v-for="cell in head" :key="cell" scope="col">
                {{ cell || 'When' }}
              </th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in rows" :key="row[0]">
              <th class="text-no-wrap hair-below py-1 ps-0 pe-2" scope="row">{{ row[0] }}</th>
              <td class="text-left text-no-wrap hair-below py-1 ps-0 pe-2" v-for="(cell, n) in row.slice(1)" :key="n">
                {{ cell }}
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <v-btn variant="text" @click="copy">{{ copied ? 'Copied' : 'Copy the table' }}</v-btn>
    </details>
  </figure>
</template>

<style scoped>
.sheet-chart {
  break-inside: avoid;
}

h4 {
  font-size: 15px;
}

.bar,
.hollow {
  fill: var(--raised);
  stroke: var(--ink);
  stroke-width: 1.5;
}

.full {
  fill: var(--ink);
  stroke: var(--ink);
}

.hatch,
.line {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.5;
}

.dashed {
  stroke-dasharray: 6 4;
}

summary {
  cursor: pointer;
}

@media print {
  details {
    display: none;
  }
}
</style>
