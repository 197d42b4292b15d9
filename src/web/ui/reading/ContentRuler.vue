<script setup lang="ts">
import { computed, useId } from 'vue'
import { useDisplay } from 'vuetify'
import type { Ruler } from '#core/measure/ruler'
import { GRAMS_PER_OUNCE } from '#core/quantity/mass-volume'
import { dayFormat, numberWords } from '#web/data/locale'
import { massWords, type MassUnit } from '#web/ui/words/measure-words'

/**
 * The content unrolled on one line: what is left, what went since the last weighing, what went in the months before, what went
 * before it was ever weighed. Hatched is not weighed.
 */
const props = defineProps<{
  ruler: Ruler
  colour: string | null
  finish: string | null
  unit: MassUnit
  empty: number
}>()
const uid = useId()
const month = dayFormat({ month: 'short' })
/** Share of the line that the empty package's own stretch takes, before its zero. */
const LEAD = 7
const { mobile } = useDisplay()
/** Drawn at the width it is shown at, so that its words keep their size. */
const WIDTH = computed(() => (mobile.value ? 340 : 660))
const BAR = { y: 30, h: 34 }
const zero = computed(() => (WIDTH.value * LEAD) / 100)
const perGram = computed(() => (WIDTH.value - zero.value) / Math.max(props.ruler.full, 1e-6))
const at = (grams: number): number => zero.value + Math.max(0, grams) * perGram.value
const now = computed(() => at(props.ruler.left))
/** Ticks at whole steps of 1, 2 or 5, in the unit that is told. */
const ticks = computed(() => {
  const perUnit = props.unit === 'g' ? 1 : GRAMS_PER_OUNCE
  const full = props.ruler.full / perUnit
  const rough = full / 6
  const power = 10 ** Math.floor(Math.log10(rough))
  const step = [1, 2, 5, 10].map((each) => each * power).find((each) => each >= rough) ?? rough
  return Array.from({ length: Math.floor(full / step) + 1 }, (_, n) => ({ value: n * step, x: at(n * step * perUnit) }))
})
interface Block {
  readonly x: number
  readonly w: number
  readonly kind: 'lately' | 'earlier' | 'before'
  readonly words: string
}
const blocks = computed<Block[]>(() => {
  const found: Block[] = []
  let from = props.ruler.left
  const push = (grams: number, kind: Block['kind'], words: string): void => {
    if (grams <= 0) return
    found.push({ x: at(from), w: grams * perGram.value, kind, words })
    from += grams
  }
  push(props.ruler.lately, 'lately', '')
  for (const stretch of props.ruler.earlier) push(stretch.grams, 'earlier', month(stretch.day))
  push(props.ruler.full - from, 'before', 'before')
  return found
})
const unsure = computed(() => Math.min(props.ruler.emptyGiveOrTake * perGram.value, now.value - zero.value))
const label = computed(
  () =>
    `${massWords(props.ruler.left, 0.1, props.unit)} left of ${massWords(props.ruler.full, 0.1, props.unit)}${props.ruler.lately > 0 ? `, ${massWords(props.ruler.lately, 0.1, props.unit)} used since the last weighing` : ''}.`,
)
const WIDE = 46
</script>

<template>
  <svg class="ruler d-block w-100" :viewBox="`0 0 ${WIDTH} 96`" role="img" :aria-label="label">
    <defs>
      <pattern :id="`${uid}-hatch`" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="6" height="6" fill="var(--raised)" />
        <rect width="1.6" height="6" fill="var(--line)" />
      </pattern>
      <pattern :id="`${uid}-unsure`" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="1.8" height="6" fill="#22262b" fill-opacity=".55" />
      </pattern>
    </defs>
    <rect class="edge" x="0.75" :y="BAR.y" :width="zero" :height="BAR.h" :fill="`url(#${uid}-hatch)`" />
    <rect :x="zero" :y="BAR.y" :width="Math.max(0, now - zero)" :height="BAR.h" :fill="colour ?? 'var(--plate)'" />
    <rect :x="zero" :y="BAR.y" :width="Math.max(0, unsure)" :height="BAR.h" :fill="`url(#${uid}-unsure)`" />
    <rect
      v-for="block in blocks"
      :key="`${block.kind}${block.x}`"
      :class="block.kind"
      :x="block.x"
      :y="BAR.y"
      :width="block.w"
      :height="BAR.h"
      :fill="block.kind === 'before' ? `url(#${uid}-hatch)` : undefined"
    />
    <rect class="frame" x="0.75" :y="BAR.y" :width="WIDTH - 1.5" :height="BAR.h" />
    <line class="zero" :x1="zero" :x2="zero" :y1="BAR.y - 6" :y2="BAR.y + BAR.h" />
    <line class="now" :x1="now" :x2="now" :y1="BAR.y - 8" :y2="BAR.y + BAR.h" />
    <text
      :x="now"
      y="17"
      class="strong"
      :text-anchor="now > WIDTH * 0.85 ? 'end' : now < WIDTH * 0.2 ? 'start' : 'middle'"
    >
      now
    </text>
    <text v-if="now - zero > 120" x="0" y="17">{{ massWords(empty, 0.1, unit) }} empty</text>
    <text v-if="now - zero > 110" class="on-colour" :x="(zero + now) / 2" :y="BAR.y + 22" text-anchor="middle">
      {{ massWords(ruler.left, 0.1, unit) }} left
    </text>
    <template v-for="block in blocks" :key="`words${block.x}`">
      <text v-if="block.kind === 'earlier' && block.w > 20" :x="block.x + block.w / 2" y="17" text-anchor="middle">
        {{ block.words }}
      </text>
      <text
        v-else-if="block.kind === 'before' && block.w > WIDE"
        class="on-hatch"
        :x="block.x + block.w / 2"
        :y="BAR.y + 22"
        text-anchor="middle"
      >
        {{ block.words }}
      </text>
    </template>
    <g v-for="tick in ticks" :key="tick.value">
      <line class="tick" :x1="tick.x" :x2="tick.x" :y1="BAR.y + BAR.h" :y2="BAR.y + BAR.h + 5" />
      <text :x="tick.x" :y="BAR.y + BAR.h + 20" :text-anchor="tick.x > WIDTH - 20 ? 'end' : 'middle'">
        {{ numberWords(tick.value, 3) }}
      </text>
    </g>
  </svg>
</template>

<style scoped>
.ruler {
  height: auto;
  overflow: visible;
}

text {
  font: 500 12.5px var(--text);
  fill: var(--quiet);
}

.strong {
  font-weight: 700;
  fill: var(--ink);
}

.on-colour {
  font: 650 13.5px var(--text);
  fill: #14171a;
  paint-order: stroke;
  stroke: rgb(255 255 255 / 0.75);
  stroke-width: 3;
}

.on-hatch {
  font-weight: 600;
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--raised);
  stroke-width: 4;
}

.frame,
.edge {
  stroke: var(--ink);
  stroke-width: 1.5;
}

.frame {
  fill: none;
}

.lately {
  fill: var(--ink);
}

.earlier {
  fill: var(--line);
  fill-opacity: 0.75;
  stroke: var(--raised);
  stroke-width: 1.5;
}

.now,
.zero {
  stroke: var(--ink);
  stroke-width: 2;
}

.tick {
  stroke: var(--quiet);
}
</style>
