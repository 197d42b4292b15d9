<script setup lang="ts">
import { YEAR_DAYS } from '#core/calendar/lengths'
import { mdiChevronDown, mdiChevronUp, mdiMinus, mdiPlus } from '@mdi/js'
import { computed, ref } from 'vue'
import { daysBetween, type Day } from '#core/calendar/day'
import { counted } from '#core/words/counted'
import type { SupplyView } from '#contract/forecast'
import { moneyShort, moneyWords } from '#web/data/locale'
import {
  goodDay,
  keepingWords,
  needWords,
  expiringWords,
  supplySentences,
  lastsWords,
} from '#web/ui/words/supply-words'

/** How long one category lasts: dark until what does not spoil is used up, hollow for what spoils before its turn. */
const props = defineProps<{
  view: SupplyView
  currency: string
  today: Day
  width: number
  years: number
  open: boolean
}>()
defineEmits<{ toggle: [] }>()
const HEIGHT = 22
const SHOWN = 12
const all = ref(false)
const at = (years: number): number => Math.min(1, years / (props.years + 0.6)) * props.width
/** Years until something of the kind is needed, in the middle and as a likely span. */
const need = computed(() => {
  const { need: span } = props.view
  if (span === null) return null
  const years = (day: Day | null): number =>
    day === null ? Infinity : Math.max(0, daysBetween(props.today, day) / YEAR_DAYS)
  return { low: years(span.low), middle: years(span.middle), high: years(span.high) }
})
const bar = computed(() => {
  const total = props.view.years ?? 0
  const used = Math.min(total, props.view.yearsInDate ?? total)
  return { total: at(total), used: at(used), over: total > props.years }
})
const chosen = ref<number | null>(null)
/** About so many of them, to begin with. */
const FIRST_KEPT = 0.4
const keep = computed(() => chosen.value ?? Math.max(1, Math.round(props.view.items * FIRST_KEPT)))
const most = computed(() => props.view.keeping.length)
const shown = computed(() => (all.value ? props.view.expiring : props.view.expiring.slice(0, SHOWN)))
</script>

<template>
  <article class="row hair-below" :class="{ open }" :aria-label="view.category">
    <button
      type="button"
      class="line d-grid align-center w-100 text-left py-1 px-3 gr-0 gc-3"
      :aria-expanded="open"
      :aria-label="`${view.category}: ${lastsWords(view)}, ${expiringWords(view, currency)}; how this comes about`"
      @click="$emit('toggle')"
    >
      <span class="name d-grid tight"
        ><strong>{{ view.category }}</strong
        ><small class="quiet figures fine">{{ counted(view.items, 'item') }}</small></span
      >
      <svg :viewBox="`0 0 ${width} ${HEIGHT}`" :width="width" :height="HEIGHT" aria-hidden="true">
        <path v-for="n in years" :key="n" :d="`M${at(n)} 0V${HEIGHT}`" class="grid" />
        <template v-if="view.years !== null">
          <rect x="1" y="4" :width="Math.max(1, bar.total - 1)" :height="HEIGHT - 8" class="over" />
          <rect x="1" y="4" :width="Math.max(1, bar.used - 1)" :height="HEIGHT - 8" class="used" />
          <path
            v-if="need && need.middle !== Infinity && need.high - need.low > 0.05"
            :d="`M${at(need.low)} ${HEIGHT - 1}H${at(need.high)}`"
            class="span"
          />
          <path v-if="need && need.middle <= years" :d="`M${at(need.middle)} 0V${HEIGHT}`" class="post" />
          <path v-if="bar.over" :d="`M${width - 24} 11H${width - 5}m-6 -5 6 5-6 5`" class="arrow" />
        </template>
        <path d="M1 0V22" class="today" />
      </svg>
      <span class="told d-grid align-center small ga-2">
        <span class="d-grid tight"
          ><strong>{{ lastsWords(view) }}</strong
          ><small class="quiet fine">{{
            view.perYear === null
              ? ''
              : view.expiring.length === 0
                ? 'all will be used in time'
                : `${view.expiring.length} will expire first, ${moneyShort(view.expiringPrice, currency)}`
          }}</small></span
        >
        <span class="d-grid tight"
          ><small class="quiet fine">next needed</small><strong>{{ needWords(view) }}</strong></span
        >
        <v-icon :icon="open ? mdiChevronUp : mdiChevronDown" size="20" />
      </span>
    </button>
    <div v-if="open" class="why pt-1 pb-3 px-4">
      <p class="prose small mb-1" v-for="sentence in supplySentences(view, currency)" :key="sentence">{{ sentence }}</p>
      <div
        v-if="most > 0 && view.years !== null"
        class="keep d-flex flex-wrap align-center my-2 mx-0 ga-2"
        role="group"
        aria-label="If you kept fewer"
      >
        <span>If you keep</span>
        <v-btn
          :icon="mdiMinus"
          variant="outlined"
          size="44"
          :disabled="keep <= 1"
          aria-label="One fewer"
          @click="chosen = keep - 1"
        />
        <strong class="figures" role="status">{{ Math.min(keep, most) }}</strong>
        <v-btn
          :icon="mdiPlus"
          variant="outlined"
          size="44"
          :disabled="keep >= most"
          aria-label="One more"
          @click="chosen = keep + 1"
        />
        <span
          >of {{ view.items }} and let go first of what will expire:
          {{ keepingWords(view, Math.min(keep, most), currency) }}</span
        >
      </div>
      <ul v-if="view.expiring.length > 0" class="expiring d-grid mt-2 gr-0 gc-4">
        <li class="d-flex flex-wrap align-center small gr-0 gc-2" v-for="each in shown" :key="each.itemId">
          <RouterLink :to="`/items/${each.itemId}`">{{ each.mark }}</RouterLink>
          <span class="quiet figures"
            >{{ goodDay(each.lastGood, today)
            }}{{ each.priceMinor === null ? '' : `, ${moneyWords(each.priceMinor, currency)}` }}</span
          >
        </li>
      </ul>
      <v-btn v-if="view.expiring.length > shown.length" variant="text" @click="all = true"
        >Show all {{ view.expiring.length }}</v-btn
      >
    </div>
  </article>
</template>

<style scoped>
.row:last-child {
  border-bottom: none;
}

.row.open {
  box-shadow: inset 4px 0 0 var(--primary);
}

.line {
  grid-template-columns: var(--supply-columns);
  min-height: 46px;
}

.line:hover {
  background: var(--inset);
}

.told {
  grid-template-columns: minmax(0, 1fr) 100px 20px;
}

.grid {
  stroke: var(--hair);
}

.used {
  fill: var(--ink);
  opacity: 0.72;
}

.over {
  fill: var(--raised);
  stroke: var(--ink);
  stroke-width: 1.3;
}

.post {
  stroke: var(--ink);
  stroke-width: 3;
}

.span,
.arrow {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.6;
}

.today {
  stroke: var(--primary);
  stroke-width: 2;
}

.keep strong {
  min-width: 26px;
  text-align: center;
  font: 640 18px var(--display);
}

.expiring {
  grid-template-columns: repeat(auto-fill, minmax(300px, 1fr));
}

.expiring li {
  min-height: 32px;
}

.phone .line {
  grid-template-columns: 1fr;
  padding: 8px 12px;
}

.phone .name {
  display: flex;
  gap: 8px;
  align-items: baseline;
}
</style>
