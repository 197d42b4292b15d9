<script setup lang="ts">
import {
  Chart,
  LinearScale,
  LineElement,
  PointElement,
  Tooltip,
  type ChartData,
  type ChartOptions,
  type Plugin,
} from 'chart.js'
import { computed } from 'vue'
import { Scatter } from 'vue-chartjs'
import { addDays, daysBetween, monthStarts, type Day } from '#core/calendar/day'
import { dateWords, dayFormat, numberWords } from '#web/data/locale'
import { drawBand, drawBody, drawBracket, type Ground } from './draw-bands'
import { useInks } from './use-inks'
import type { ChartBand, ChartBody, ChartBracket, ChartMark, ChartSeries } from './time-series'

/** Readings, uses and events along one axis of days. What it shows stands in a table beside it, for readers and copying. */
const props = defineProps<{
  label: string
  from: Day
  to: Day
  series: readonly ChartSeries[]
  marks: readonly ChartMark[]
  bands?: readonly ChartBand[]
  body?: ChartBody | null
  bracket?: ChartBracket | null
  /** The colour of the thing itself. */
  fill?: string | null
  /** The right axis, where weights are drawn. */
  grams?: boolean
  height?: number
}>()
Chart.register(LinearScale, PointElement, LineElement, Tooltip)
const EPOCH = '2000-01-01' as Day
const at = (day: Day): number => daysBetween(EPOCH, day)
const monthly = dayFormat({ month: 'short', year: '2-digit' })
const daily = dayFormat({ day: 'numeric', month: 'short' })
/** Below this many days the axis tells days, above it months. */
const TELLS_DAYS = 70
const MONTHS_TOLD = 8
const tellsMonths = (): boolean => daysBetween(props.from, props.to) > TELLS_DAYS

const inks = useInks()

const data = computed<ChartData<'scatter'>>(() => ({
  datasets: props.series.map((series) => {
    const colour = series.ink === 'primary' ? inks.value.primary : inks.value.ink
    return {
      label: series.label,
      data: series.points.map((point) => ({ x: at(point.day), y: point.value, ...point })),
      yAxisID: series.axis,
      pointStyle: series.shape,
      pointRadius: series.shape === 'line' ? 7 : 5.5,
      pointHoverRadius: 7,
      rotation: series.shape === 'line' ? 90 : 0,
      borderColor: colour,
      backgroundColor: series.hollow ? inks.value.raised : colour,
      pointBorderWidth: series.shape === 'line' ? 1.4 : 2,
      showLine: series.joined,
      borderWidth: 1.4,
      tension: 0,
    }
  }),
}))

/** How the height is shared between the lane and the readings. */
const LANE_WEIGHT = 1.6
const SHARE_WEIGHT = 4
const gramsRange = computed(() => {
  const values = props.series
    .filter((each) => each.axis === 'grams')
    .flatMap((each) => each.points.map((point) => point.value))
  const [low, high] = [Math.min(...values), Math.max(...values)]
  const room = Math.max((high - low) * 0.12, 0.1)
  return values.length === 0 ? { low: 0, high: 1 } : { low: low - room, high: high + room }
})

const options = computed<ChartOptions<'scatter'>>(() => ({
  responsive: true,
  maintainAspectRatio: false,
  animation: false,
  layout: { padding: { top: 20 } },
  interaction: { mode: 'nearest', intersect: true },
  plugins: {
    legend: { display: false },
    tooltip: {
      displayColors: false,
      callbacks: {
        label: (item) => {
          const point = item.raw as { day: Day; words: string }
          return `${dateWords(point.day)}: ${point.words}`
        },
      },
    },
  },
  scales: {
    x: {
      type: 'linear',
      min: at(props.from),
      max: at(props.to),
      grid: { color: inks.value.hair },
      // A month stands where it begins.
      afterBuildTicks: (axis) => {
        if (tellsMonths())
          axis.ticks = monthStarts(props.from, props.to, MONTHS_TOLD).map((day) => ({ value: at(day) }))
      },
      ticks: {
        color: inks.value.quiet,
        font: { family: 'Instrument Sans Variable', size: 12 },
        maxRotation: 0,
        autoSkipPadding: 18,
        callback: (value) => {
          const day = addDays(EPOCH, Number(value))
          return tellsMonths() ? monthly(day) : daily(day)
        },
      },
    },
    // From below: the lane of what happened, then the readings; the weights on the right over the same stretch.
    lane: {
      type: 'linear',
      min: 0,
      max: 3,
      stack: 'left',
      stackWeight: LANE_WEIGHT,
      position: 'left',
      ticks: { display: false },
      grid: { display: false },
    },
    share: {
      type: 'linear',
      position: 'left',
      min: 0,
      max: 100,
      stack: 'left',
      stackWeight: SHARE_WEIGHT,
      grid: { color: inks.value.hair },
      title: { display: true, text: '% left', color: inks.value.quiet, font: { size: 12 } },
      ticks: { color: inks.value.quiet, stepSize: 25, font: { size: 12 } },
    },
    ...(props.grams
      ? {
          grams: {
            type: 'linear' as const,
            position: 'right' as const,
            min: gramsRange.value.low - (gramsRange.value.high - gramsRange.value.low) * (LANE_WEIGHT / SHARE_WEIGHT),
            max: gramsRange.value.high,
            grid: { drawOnChartArea: false },
            title: { display: true, text: 'g, with package', color: inks.value.quiet, font: { size: 12 } },
            ticks: {
              color: inks.value.quiet,
              maxTicksLimit: 5,
              font: { size: 12 },
              // What would stand beside the lane is no weight.
              callback: (value: number | string) =>
                Number(value) < gramsRange.value.low ? '' : numberWords(Number(value), 2),
            },
          },
        }
      : {}),
  },
}))

/** What is likely, under everything that was seen. */
const likely: Plugin<'scatter'> = {
  id: 'likely',
  beforeDatasetsDraw(chart) {
    const { ctx, chartArea, scales } = chart
    const [x, share, lane] = [scales['x'], scales['share'], scales['lane']]
    if (!x || !share || !lane) return
    const ground: Ground = {
      ctx,
      x: (day) => x.getPixelForValue(at(day)),
      y: (value) => share.getPixelForValue(value),
      lane: (height) => lane.getPixelForValue(height),
      inks: { ...inks.value, fill: props.fill ?? inks.value.primary },
    }
    ctx.save()
    ctx.beginPath()
    ctx.rect(chartArea.left, chartArea.top, chartArea.width, chartArea.height)
    ctx.clip()
    for (const band of props.bands ?? []) drawBand(ground, band)
    if (props.body) drawBody(ground, props.body, props.marks.find((mark) => mark.kind === 'end')?.day ?? null)
    if (props.bracket) drawBracket(ground, props.bracket)
    ctx.restore()
  },
}

/** Error bars, and the days that stand over everything: today, the last good day. */
const overlay: Plugin<'scatter'> = {
  id: 'overlay',
  afterDatasetsDraw(chart) {
    const { ctx, chartArea, scales } = chart
    ctx.save()
    props.series.forEach((series) => {
      const y = scales[series.axis]
      if (!y || !scales['x']) return
      ctx.strokeStyle = series.ink === 'primary' ? inks.value.primary : inks.value.ink
      ctx.lineWidth = 1.3
      for (const { day, value, give } of series.points) {
        if (give === undefined || give <= 0) continue
        const x = scales['x'].getPixelForValue(at(day))
        const [top, bottom] = [y.getPixelForValue(value + give), y.getPixelForValue(value - give)]
        ctx.beginPath()
        ctx.moveTo(x, top)
        ctx.lineTo(x, bottom)
        for (const end of [top, bottom]) {
          ctx.moveTo(x - 3, end)
          ctx.lineTo(x + 3, end)
        }
        ctx.stroke()
      }
    })
    ctx.font = '600 12px "Instrument Sans Variable"'
    // Words that would lie over others are left out; today is said before the rest.
    const said: [number, number][] = []
    const first = (kind: string): number => (kind === 'today' ? 0 : 1)
    for (const mark of [...props.marks].sort((a, b) => first(a.kind) - first(b.kind))) {
      const x = scales['x']?.getPixelForValue(at(mark.day))
      if (x === undefined || x < chartArea.left || x > chartArea.right) continue
      const colour = mark.kind === 'end' ? inks.value.alarm : inks.value.primary
      ctx.strokeStyle = colour
      ctx.fillStyle = colour
      ctx.lineWidth = 2
      ctx.setLineDash(mark.kind === 'end' ? [4, 3] : [])
      ctx.beginPath()
      ctx.moveTo(x, chartArea.top - 4)
      ctx.lineTo(x, chartArea.bottom)
      ctx.stroke()
      ctx.textAlign = x > chartArea.right - 60 ? 'right' : x < chartArea.left + 40 ? 'left' : 'center'
      const wide = ctx.measureText(mark.words).width
      const left = ctx.textAlign === 'right' ? x - wide : ctx.textAlign === 'left' ? x : x - wide / 2
      if (said.some(([from, to]) => left < to + 4 && left + wide > from - 4)) continue
      said.push([left, left + wide])
      ctx.fillText(mark.words, x, chartArea.top - 8)
    }
    ctx.restore()
  },
}
</script>

<template>
  <div class="position-relative min-w-0" :style="{ height: `${height ?? 240}px` }">
    <Scatter :data="data" :options="options" :plugins="[likely, overlay]" role="img" :aria-label="label" />
  </div>
</template>
