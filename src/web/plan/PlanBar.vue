<script setup lang="ts">
import { mdiPin } from '@mdi/js'
import { computed, ref } from 'vue'
import type { Day } from '#core/calendar/day'
import { endOf, type PlanSpan } from '#core/plan/schedule/span'
import type { ListedItem } from '#contract/item'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import TallyStrokes from '#web/ui/TallyStrokes.vue'
import { callIt, shortName } from '#web/ui/words/item-words'
import { monthNameWords } from '#web/ui/words/when-words'
import { placeOf, usesByMonth, weeksIn, type ScheduleLine } from './plan-lanes'
import { lineWords, rateWords } from './plan-words'

/**
 * A thing in its lane: entering, used so often a month, leaving; beneath it the likely days of its end, hatched, against the post of its
 * last day. Dragging shifts it or one of its ends by months; opening it offers the same with buttons.
 */
const props = defineProps<{
  laid: ScheduleLine
  item: ListedItem
  apart?: string | undefined
  span: PlanSpan
  today: Day
  moved: boolean
  tabindex?: number
}>()
const emit = defineEmits<{ open: []; key: [event: KeyboardEvent]; move: [lies: boolean[]] }>()
const months = computed(() => props.span.months.length)
const uses = computed(() => usesByMonth(props.laid.line, props.span))
const dragged = ref<{ readonly what: 'all' | 'from' | 'to'; readonly by: number } | null>(null)
const shown = computed(() => {
  const { from, to } = props.laid
  const by = dragged.value?.by ?? 0
  const what = dragged.value?.what
  return {
    from:
      what === 'to' || what === undefined
        ? from
        : Math.min(what === 'from' ? to - 1 : months.value - 1, Math.max(0, from + by)),
    to:
      what === 'from' || what === undefined
        ? to
        : Math.max(what === 'to' ? from + 1 : 1, Math.min(months.value, to + by)),
  }
})
const left = computed(() => `${(100 * shown.value.from) / months.value}%`)
const width = computed(() => `${(100 * (shown.value.to - shown.value.from)) / months.value}%`)
const first = computed(() => uses.value.slice(props.laid.from, props.laid.to))
const rate = computed(() => {
  const { from } = props.laid
  const begins = first.value.findIndex((each) => each > 0)
  // It lies there already, and is not used before another is done.
  if (begins > 0) return `from ${monthNameWords(props.span.months[from + begins] ?? '', true)}`
  return rateWords(first.value[0] ?? 0, weeksIn(props.span, from))
})
const hatch = computed(() => {
  const { low, high } = props.laid.line.likely
  if (low === null) return null
  const from = placeOf(props.span, low)
  const { until } = props.laid.line
  // What is not likely before its last day is hatched up to it, and left open.
  const end = until !== null && until < endOf(props.span) ? placeOf(props.span, until) : 1
  const to = high === null ? end : placeOf(props.span, high)
  return { left: `${100 * from}%`, width: `max(8px, ${100 * (to - from)}%)`, open: high === null }
})
const post = computed(() => {
  const { until } = props.laid.line
  return until === null || until > endOf(props.span) || until < props.today
    ? null
    : `${100 * placeOf(props.span, until)}%`
})
const told = computed(
  () =>
    `${callIt(props.item)}: ${lineWords(props.laid.line, props.span, props.today).join(' ')}${props.moved ? ' Moved by you.' : ''}`,
)
/** As near to an end as this, px, it is the end that is dragged. */
const EDGE = 14

let begin: { x: number; month: number } | null = null
function down(event: PointerEvent): void {
  if (event.button !== 0) return
  const bar = event.currentTarget as HTMLElement
  const box = bar.getBoundingClientRect()
  const lane = bar.parentElement?.getBoundingClientRect().width ?? box.width
  const x = event.clientX - box.left
  const what = x > box.width - EDGE ? 'to' : x < EDGE ? 'from' : 'all'
  begin = { x: event.clientX, month: lane / months.value }
  dragged.value = { what, by: 0 }
  bar.setPointerCapture(event.pointerId)
}
function move(event: PointerEvent): void {
  if (begin === null || dragged.value === null) return
  dragged.value = { ...dragged.value, by: Math.round((event.clientX - begin.x) / begin.month) }
}
let justDragged = false
function up(): void {
  const { from, to } = shown.value
  const changed = dragged.value !== null && (from !== props.laid.from || to !== props.laid.to)
  begin = null
  dragged.value = null
  justDragged = changed
  if (changed)
    emit(
      'move',
      Array.from({ length: months.value }, (_, month) => month >= from && month < to),
    )
}
function open(): void {
  if (!justDragged) emit('open')
  justDragged = false
}
</script>

<template>
  <button
    type="button"
    class="bar d-flex position-absolute top-0 align-center rounded-lg text-left overflow-hidden"
    :class="{ unmet: !laid.line.met, dragged: dragged !== null && dragged.by !== 0 }"
    :style="{ left, width }"
    :aria-label="told"
    :title="apart ? `${callIt(item)}, ${apart}` : callIt(item)"
    :tabindex="tabindex ?? 0"
    :data-item="item.id"
    @pointerdown="down"
    @pointermove="move"
    @pointerup="up"
    @pointercancel="up"
    @keydown="emit('key', $event)"
    @click="open"
  >
    <span
      class="thing d-flex position-relative flex-0-0 align-center min-w-0 py-0 px-1 ga-1"
      :style="{ width: `${100 / Math.max(1, shown.to - shown.from)}%` }"
    >
      <ItemGauge :item="item" size="small" :rail="false" />
      <span class="words min-w-0 tight">
        <strong class="d-block text-truncate small font-weight-semibold">{{ shortName(item) }}</strong>
        <small class="d-block text-truncate fine quiet">{{ rate }}</small>
        <small class="d-block text-truncate fine quiet" v-if="apart">{{ apart }}</small>
      </span>
      <svg v-if="moved" class="pin" viewBox="0 0 24 24" aria-hidden="true"><path :d="mdiPin" /></svg>
    </span>
    <span v-for="(each, n) in first.slice(1)" :key="n" class="month min-w-0 py-0 px-2"
      ><TallyStrokes :count="each"
    /></span>
  </button>
  <span v-if="hatch" class="hatch" :class="{ open: hatch.open }" :style="{ left: hatch.left, width: hatch.width }" />
  <span v-if="post" class="post" :style="{ left: post }" />
</template>

<style scoped>
.bar {
  height: 44px;
  box-sizing: border-box;
  border: 2px solid var(--drawer);
  border-width: 0 2px 0 0;
  background: var(--raised);
  box-shadow: 0 1px 2px var(--shade);
  touch-action: pan-y;
  user-select: none;
}

.bar:hover,
.bar:focus-visible {
  background: var(--tray);
}

.bar.dragged {
  box-shadow: 0 3px 8px var(--shade);
  outline: 2px solid var(--primary);
  z-index: 2;
}

.bar.unmet {
  background: var(--inset);
  box-shadow: inset 0 0 0 1.5px var(--line);
}

.thing {
  box-sizing: border-box;
}

.thing :deep(.gauge) {
  flex: 0 0 32px;
  min-width: 0;
  zoom: 0.86;
}

.pin {
  position: absolute;
  right: 2px;
  top: -6px;
  width: 14px;
  height: 14px;
  fill: var(--primary);
}

.month {
  flex: 1 1 0;
}

.hatch {
  position: absolute;
  top: 46px;
  height: 7px;
  box-sizing: border-box;
  border: 1px solid var(--ink);
  background: repeating-linear-gradient(-55deg, transparent 0 3px, var(--ink) 3px 4.2px) var(--raised);
  pointer-events: none;
}

.hatch.open {
  border-right-style: none;
}

.post {
  position: absolute;
  top: 43px;
  height: 13px;
  width: 3px;
  margin-left: -1px;
  background: var(--alarm);
  pointer-events: none;
}
</style>
