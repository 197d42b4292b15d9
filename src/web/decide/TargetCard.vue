<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref, useTemplateRef } from 'vue'
import { daysBetween, type Day } from '#core/calendar/day'
import type { TargetView } from '#contract/deciding'
import { useUnits } from '#web/data/units'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { callIt, kindAndMaker, shortName, twinWords } from '#web/ui/words/item-words'
import { useItemActs } from '#web/ui/acts/item-acts'
import { doubtWords } from '#web/ui/words/doubt-words'
import { shortDay } from '#web/ui/words/when-words'
import { keepWords, targetSentences, targetTitle } from './target-words'

/** One target: its steps month by month, what the numbers say, and whom to keep first. */
const props = defineProps<{ target: TargetView; today: Day }>()
defineEmits<{ change: []; drop: [] }>()
const acts = useItemActs()
/** Drawn as wide as it is shown, so that its words keep their size. */
const box = useTemplateRef<HTMLElement>('box')
const { width: shown } = useElementSize(box)
const width = computed(() => Math.max(240, shown.value))
const HEIGHT = 118
const LEFT = 30
const FOOT = 20
const open = ref(false)
const units = useUnits()
const twins = computed(() =>
  twinWords(
    props.target.keepFirst.map(({ item }) => item),
    units.value,
  ),
)
const chart = computed(() => {
  const { months, setOn, by, items } = props.target
  const end = by > props.today ? by : props.today
  const days = Math.max(1, daysBetween(setOn, end))
  const most = Math.max(items, ...months.map((each) => each.items), 1)
  const x = (day: Day): number => LEFT + (daysBetween(setOn, day) / days) * (width.value - LEFT - 8)
  const y = (count: number): number => 8 + (1 - count / most) * (HEIGHT - FOOT - 8)
  const path = months.map(
    (each, n) => `${n === 0 ? 'M' : 'H'}${x(each.day)}${n === 0 ? ` ${y(each.items)}` : `V${y(each.items)}`}`,
  )
  return { path: path.join(''), goal: y(items), most, end: x(by), now: x(props.today), top: y(most), x }
})
const MOST_DOUBTS = 2
/** What holds of nearly all of a large category, or stands there already. */
const OF_ALL: readonly string[] = ['spoils first', 'twin', 'past']
const kept = computed(() => props.target.keepFirst.slice(0, props.target.items))
const rest = computed(() => props.target.keepFirst.slice(props.target.items))
</script>

<template>
  <section class="sheet target mb-3 py-3 px-4" :aria-label="targetTitle(target)">
    <header class="d-flex flex-wrap align-center justify-space-between ga-2">
      <h2>{{ targetTitle(target) }}</h2>
      <span class="acts">
        <v-btn
          variant="outlined"
          color="primary"
          :aria-label="`Change the target for ${target.category}`"
          @click="$emit('change')"
          >Change</v-btn
        >
        <v-btn variant="text" :aria-label="`Remove the target for ${target.category}`" @click="$emit('drop')"
          >Remove</v-btn
        >
      </span>
    </header>
    <div class="two d-grid align-center gr-2 gc-5">
      <div ref="box" class="chart min-w-0">
        <svg
          class="d-block w-100"
          :viewBox="`0 0 ${width} ${HEIGHT}`"
          role="img"
          :aria-label="target.months.map((each) => `${shortDay(each.day, today)}: ${each.items}`).join(', ')"
        >
          <path :d="`M${LEFT} ${HEIGHT - FOOT}H${width}`" class="axis" />
          <path :d="`M${LEFT} ${chart.goal}H${width}`" class="goal" />
          <path :d="chart.path" class="steps" />
          <path :d="`M${chart.now} 4V${HEIGHT - FOOT}`" class="today" />
          <path :d="`M${chart.end} 4V${HEIGHT - FOOT}`" class="by" />
          <text x="2" :y="chart.top + 8">{{ chart.most }}</text>
          <text v-if="target.items < chart.most" x="2" :y="chart.goal + 4" class="strong">{{ target.items }}</text>
          <text :x="LEFT" :y="HEIGHT - 5">{{ shortDay(target.setOn, today) }}</text>
          <text :x="Math.min(chart.end, width - 4)" :y="HEIGHT - 5" text-anchor="end" class="strong">
            {{ shortDay(target.by, today) }}
          </text>
        </svg>
      </div>
      <ul class="bulleted figures small prose ps-4">
        <li v-for="sentence in targetSentences(target, today)" :key="sentence">{{ sentence }}</li>
      </ul>
    </div>
    <v-btn variant="text" :aria-expanded="open" @click="open = !open">{{
      open ? 'Less' : `Which to keep first, by your records`
    }}</v-btn>
    <template v-if="open">
      <p class="quiet small my-1">
        How often you wore it in the last year counts most, then your rating and its use-by date, then having no near
        twin.
      </p>
      <ol class="keep mt-2">
        <template v-for="(each, n) in [...kept, ...rest]" :key="each.item.id">
          <li
            v-if="n === kept.length && rest.length > 0"
            class="cut d-grid align-center hair-above py-1 px-0 ga-2"
            aria-hidden="true"
          >
            beyond the target
          </li>
          <li class="d-grid align-center hair-above py-1 px-0 ga-2">
            <span class="figures text-right quiet">{{ n + 1 }}</span>
            <span class="plate d-grid align-center justify-items-center touch rounded-lg"
              ><ItemGauge :item="each.item" size="small" :rail="false"
            /></span>
            <span class="words">
              <RouterLink :to="`/items/${each.item.id}`">{{ shortName(each.item) }}</RouterLink>
              <span class="quiet small ms-2">{{
                [kindAndMaker(each.item), twins.get(each.item.id)].filter(Boolean).join(', ')
              }}</span>
              <span class="why d-block small">{{ keepWords(each) }}</span>
              <span
                v-for="doubt in each.doubts.filter(({ code }) => !OF_ALL.includes(code)).slice(0, MOST_DOUBTS)"
                :key="doubt.code"
                class="why d-block small"
                >{{ doubtWords(doubt, today) }}</span
              >
            </span>
            <v-btn
              v-if="n >= kept.length"
              variant="text"
              :aria-label="`Decide on ${callIt(each.item)}`"
              @click="acts.begin('decide', each.item)"
              >Decide</v-btn
            >
          </li>
        </template>
      </ol>
    </template>
  </section>
</template>

<style scoped>
.two {
  grid-template-columns: minmax(280px, 560px) minmax(0, 1fr);
}

.chart text {
  font: 12px var(--text);
  fill: var(--quiet);
}

.chart .strong {
  fill: var(--ink);
  font-weight: 650;
}

.axis {
  stroke: var(--line);
}

.goal {
  stroke: var(--ink);
  stroke-width: 2;
  stroke-dasharray: 6 4;
}

.steps {
  fill: none;
  stroke: var(--ink);
  stroke-width: 3;
}

.today {
  stroke: var(--primary);
  stroke-width: 2;
}

.by {
  stroke: var(--ink);
}

.keep li {
  grid-template-columns: 26px 56px minmax(0, 1fr) auto;
  min-height: 52px;
}

.keep li.cut {
  display: block;
  min-height: 0;
  border-top: 2px dashed var(--ink);
  font: 600 13px var(--display);
}

.plate {
  background: var(--plate);
}

.words a:not(.v-btn) {
  color: var(--ink);
  font-weight: 650;
}

.phone .two {
  grid-template-columns: minmax(0, 1fr);
}
</style>
