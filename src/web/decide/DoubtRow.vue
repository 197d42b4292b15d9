<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Day } from '#core/calendar/day'
import type { DoubtsAnswer } from '#contract/deciding'
import ItemActsMenu from '#web/ui/acts/ItemActsMenu.vue'
import { useItemActs } from '#web/ui/acts/item-acts'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { doubtWords, OFFER_WORDS } from '#web/ui/words/doubt-words'
import { callIt, kindAndMaker, shortName } from '#web/ui/words/item-words'

/** Something in doubt: its facts in sentences, the weightiest first, and one act that is offered. */
const props = defineProps<{
  row: DoubtsAnswer['inDoubt'][number]
  today: Day
  picked: boolean
  apart?: string | undefined
}>()
defineEmits<{ pick: [] }>()
const acts = useItemActs()
const SHOWN = 3
const all = ref(false)
const urgent = computed(() => props.row.offer === 'stop')
const sentences = computed(() => props.row.doubts.map((doubt) => doubtWords(doubt, props.today)))
const shown = computed(() => (all.value ? sentences.value : sentences.value.slice(0, SHOWN)))

function begin(): void {
  const { item, offer } = props.row
  if (offer === 'use it first') void acts.begin('roll in', item)
  else if (offer === 'try it') void acts.begin('trial', item)
  else if (offer === 'use it up as something else')
    void acts.begin('decide', item, { verdict: 'use up as something else' })
  else void acts.begin('decide', item, { verdict: 'let go' })
}
</script>

<template>
  <article class="row" :class="{ urgent }" :aria-label="callIt(row.item)">
    <label class="pick"
      ><input type="checkbox" :checked="picked" :aria-label="`Choose ${callIt(row.item)}`" @change="$emit('pick')"
    /></label>
    <span class="plate"><ItemGauge :item="row.item" size="small" :rail="false" /></span>
    <div class="words">
      <h3>
        <RouterLink :to="`/items/${row.item.id}`">{{ shortName(row.item) }}</RouterLink>
        <span class="quiet">{{ [kindAndMaker(row.item), apart].filter(Boolean).join(', ') }}</span>
      </h3>
      <ul>
        <li v-for="sentence in shown" :key="sentence">{{ sentence }}</li>
      </ul>
      <button v-if="sentences.length > shown.length" type="button" class="more" @click="all = true">
        and {{ sentences.length - shown.length }} more
      </button>
    </div>
    <div class="acts">
      <v-btn
        variant="outlined"
        color="primary"
        :aria-label="`${OFFER_WORDS[row.offer]}: ${callIt(row.item)}`"
        @click="begin"
        >{{ OFFER_WORDS[row.offer] }}</v-btn
      >
      <ItemActsMenu :item="row.item" />
    </div>
  </article>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 44px 56px minmax(0, 1fr) auto;
  gap: 0 12px;
  align-items: start;
  padding: 10px 12px 10px 4px;
  border-bottom: 1px solid var(--hair);
}

.row:last-child {
  border-bottom: none;
}

.row.urgent {
  box-shadow: inset 5px 0 0 var(--alarm);
}

.pick {
  display: grid;
  place-items: center;
  width: 44px;
  height: 44px;
  cursor: pointer;
}

.pick input {
  width: 20px;
  height: 20px;
  accent-color: var(--primary);
}

.plate {
  display: grid;
  place-items: center;
  min-height: 56px;
  background: var(--plate);
  border-radius: 8px;
}

h3 {
  font-size: 16px;
}

h3 a:not(.v-btn) {
  color: var(--ink);
}

h3 .quiet {
  margin-left: 8px;
  font: 400 13px var(--text);
}

ul {
  margin: 3px 0 0;
  padding-left: 16px;
  max-width: 76ch;
  font-size: 14px;
}

.caution {
  margin: 6px 0 0;
  font-size: 14px;
}

.more {
  min-height: 32px;
  color: var(--primary);
  text-decoration: underline;
  font-size: 13.5px;
}

.acts {
  display: flex;
  gap: 4px;
  align-items: center;
}

.acts .v-btn.own-button:first-child {
  min-width: 154px;
}

.phone .row {
  grid-template-columns: 44px minmax(0, 1fr);
}

.phone .row .pick {
  grid-row: 1;
}

.phone .row .plate {
  display: none;
}

.phone .row .acts {
  grid-column: 2;
  justify-content: space-between;
  margin-top: 6px;
}
</style>
