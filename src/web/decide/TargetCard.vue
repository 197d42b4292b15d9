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
  <section class="sheet target" :aria-label="targetTitle(target)">
    <header>
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
    <div class="two">
      <div ref="box" class="chart">
        <svg
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
      <ul class="bulleted figures">
        <li v-for="sentence in targetSentences(target, today)" :key="sentence">{{ sentence }}</li>
      </ul>
    </div>
    <v-btn variant="text" :aria-expanded="open" @click="open = !open">{{
      open ? 'Less' : `Which to keep first, by your records`
    }}</v-btn>
    <template v-if="open">
      <p class="quiet">
        How often you wore it in the last year counts most, then your rating and its use-by date, then having no near
        twin.
      </p>
      <ol class="keep">
        <template v-for="(each, n) in [...kept, ...rest]" :key="each.item.id">
          <li v-if="n === kept.length && rest.length > 0" class="cut" aria-hidden="true">beyond the target</li>
          <li>
            <span class="no figures">{{ n + 1 }}</span>
            <span class="plate"><ItemGauge :item="each.item" size="small" :rail="false" /></span>
            <span class="words">
              <RouterLink :to="`/items/${each.item.id}`">{{ shortName(each.item) }}</RouterLink>
              <span class="quiet">{{
                [kindAndMaker(each.item), twins.get(each.item.id)].filter(Boolean).join(', ')
              }}</span>
              <span class="why">{{ keepWords(each) }}</span>
              <span
                v-for="doubt in each.doubts.filter(({ code }) => !OF_ALL.includes(code)).slice(0, MOST_DOUBTS)"
                :key="doubt.code"
                class="why"
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
.target {
  margin-bottom: 14px;
  padding: 12px 16px;
}

header {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  justify-content: space-between;
}

.two {
  display: grid;
  grid-template-columns: minmax(280px, 560px) minmax(0, 1fr);
  gap: 10px 22px;
  align-items: center;
}

.chart {
  min-width: 0;
}

.chart svg {
  display: block;
  width: 100%;
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

ul {
  margin: 0;
  padding-left: 16px;
  font-size: 14px;
  max-width: 76ch;
}

p {
  margin: 4px 0;
  font-size: 13.5px;
}

.keep {
  margin: 6px 0 0;
}

.keep li {
  display: grid;
  grid-template-columns: 26px 56px minmax(0, 1fr) auto;
  gap: 10px;
  align-items: center;
  min-height: 52px;
  padding: 4px 0;
  border-top: 1px solid var(--hair);
}

.keep li.cut {
  display: block;
  min-height: 0;
  border-top: 2px dashed var(--ink);
  font: 600 13px var(--display);
}

.no {
  text-align: right;
  color: var(--quiet);
}

.plate {
  display: grid;
  place-items: center;
  min-height: 44px;
  background: var(--plate);
  border-radius: 6px;
}

.words a:not(.v-btn) {
  color: var(--ink);
  font-weight: 650;
}

.words .quiet {
  margin-left: 8px;
  font-size: 13px;
}

.why {
  display: block;
  font-size: 13.5px;
}

.phone .two {
  grid-template-columns: minmax(0, 1fr);
}
</style>
