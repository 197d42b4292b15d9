<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Day } from '#core/calendar/day'
import type { DoubtsAnswer } from '#contract/deciding'
import ItemActsMenu from '#web/ui/acts/ItemActsMenu.vue'
import { useItemActs } from '#web/ui/acts/item-acts'
import { doubtWords, OFFER_WORDS } from '#web/ui/words/doubt-words'
import { callIt } from '#web/ui/words/item-words'
import ThingRow from './ThingRow.vue'

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
  <ThingRow :item="row.item" :apart="apart" :class="{ urgent }">
    <template #before>
      <label class="pick"
        ><input type="checkbox" :checked="picked" :aria-label="`Choose ${callIt(row.item)}`" @change="$emit('pick')"
      /></label>
    </template>
    <ul class="bulleted prose mt-1 ps-4">
      <li v-for="sentence in shown" :key="sentence">{{ sentence }}</li>
    </ul>
    <button v-if="sentences.length > shown.length" type="button" class="more text-act small" @click="all = true">
      and {{ sentences.length - shown.length }} more
    </button>
    <template #acts>
      <v-btn
        variant="outlined"
        color="primary"
        class="offer"
        :aria-label="`${OFFER_WORDS[row.offer]}: ${callIt(row.item)}`"
        @click="begin"
        >{{ OFFER_WORDS[row.offer] }}</v-btn
      >
      <ItemActsMenu :item="row.item" />
    </template>
  </ThingRow>
</template>

<style scoped>
.urgent {
  box-shadow: inset 5px 0 0 var(--alarm);
}

.offer {
  min-width: 154px;
}
</style>
