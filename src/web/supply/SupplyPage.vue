<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref, useTemplateRef } from 'vue'
import type { SupplyView } from '#contract/forecast'
import { counted } from '#core/words/counted'
import { moneyShort } from '#web/data/locale'
import { useSupply } from '#web/data/reads'
import EmptyPlace from '#web/ui/EmptyPlace.vue'
import PlaceHead from '#web/ui/PlaceHead.vue'
import SupplyRow from './SupplyRow.vue'

/** By category: how long it lasts at her pace, what spoils before its turn, and when something is needed. */
const { answer } = useSupply()
const YEARS = 10
const ORDERS = {
  money: 'most money lost',
  years: 'longest supply',
  need: 'needed soonest',
  look: 'makeup order',
} as const
type Order = keyof typeof ORDERS
const order = ref<Order>('money')
const open = ref<string | null>(null)
const axis = useTemplateRef<HTMLElement>('axis')
const { width } = useElementSize(axis)
const COMPARE: Readonly<Record<Order, (a: SupplyView, b: SupplyView) => number>> = {
  money: (a, b) => b.expiringPrice - a.expiringPrice,
  years: (a, b) => (b.years ?? Infinity) - (a.years ?? Infinity),
  need: (a, b) => (a.need?.middle ?? '9999').localeCompare(b.need?.middle ?? '9999'),
  look: () => 0,
}
const categories = computed(() => [...(answer.value?.categories ?? [])].sort(COMPARE[order.value]))
const lost = computed(() => {
  const all = answer.value?.categories ?? []
  return {
    items: all.reduce((sum, each) => sum + each.items, 0),
    expiring: all.reduce((sum, each) => sum + each.expiring.length, 0),
    money: all.reduce((sum, each) => sum + each.expiringPrice, 0),
  }
})
</script>

<template>
  <PlaceHead question="Is it more than I can use?" />
  <template v-if="answer">
    <EmptyPlace
      v-if="categories.length === 0"
      title="Nothing in stock yet"
      act="Add what you own"
      to="/collection/lines"
    >
      <template #drawing>
        <svg viewBox="0 0 240 60" width="240" height="60" aria-hidden="true">
          <rect x="10" y="12" width="150" height="12" class="rail" />
          <rect x="10" y="12" width="220" height="12" class="line" />
          <rect x="10" y="36" width="60" height="12" class="rail" />
          <rect x="10" y="36" width="90" height="12" class="line" />
        </svg>
      </template>
      Once you’ve worn some of what you own, this shows how long each type will last you.
    </EmptyPlace>
    <template v-else>
      <div class="top d-flex align-center mb-2 gr-2 gc-4">
        <p class="headline flex-1-1">
          <template v-if="lost.expiring > 0"
            ><strong>{{ lost.expiring }} of {{ lost.items }}</strong> will expire before their turn at your pace, with
            about <strong>{{ moneyShort(lost.money, answer.currency) }}</strong> left in them.</template
          >
          <template v-else-if="answer.categories.every((each) => each.perYear === null)"
            >We can say how long a type lasts once you’ve worn it 12 times over at least two weeks.</template
          >
          <template v-else>All {{ counted(lost.items, 'item') }} get their turn before they expire.</template>
        </p>
        <v-select
          v-model="order"
          class="order"
          label="Order"
          :items="Object.entries(ORDERS).map(([value, title]) => ({ value, title }))"
        />
      </div>
      <section class="sheet supply" aria-label="How much I own, by type">
        <div class="heads quiet d-grid align-end fine py-1 px-3 gr-0 gc-3">
          <span>type</span>
          <div ref="axis" class="axis figures" aria-hidden="true">
            <span
              class="position-absolute text-no-wrap fine ps-1"
              v-for="n in YEARS + 1"
              :key="n"
              :style="{ left: `${(100 * (n - 1)) / (YEARS + 0.6)}%` }"
              >{{ n === 1 ? 'today' : n - 1 }}</span
            >
          </div>
          <span class="legend">in years; dark: used in time; hollow: expires first</span>
        </div>
        <SupplyRow
          v-for="view in categories"
          :key="view.categoryId"
          :view="view"
          :currency="answer.currency"
          :today="answer.today"
          :width="width"
          :years="YEARS"
          :open="open === view.categoryId"
          @toggle="open = open === view.categoryId ? null : view.categoryId"
        />
      </section>
    </template>
  </template>
</template>

<style scoped>
.headline {
  font: 540 18px/1.3 var(--display);
}

.order {
  flex: 0 0 210px;
}

.supply {
  --supply-columns: 160px minmax(0, 1fr) 330px;
}

.heads {
  grid-template-columns: var(--supply-columns);
  border-bottom: 1px solid var(--line);
}

.axis {
  position: relative;
  height: 17px;
}

.axis span {
  border-left: 1px solid var(--line);
  line-height: 16px;
}

.axis span:first-child {
  border-left: 2px solid var(--primary);
  color: var(--primary);
  font-weight: 650;
}

.phone .top {
  flex-wrap: wrap;
}

.phone .headline {
  flex: 1 1 100%;
  font-size: 16px;
}

.phone .order {
  flex: 1 1 100%;
}

.phone .heads {
  grid-template-columns: 1fr;
}

.phone .heads > span {
  display: none;
}

.phone .axis span:nth-child(even) {
  display: none;
}
</style>
