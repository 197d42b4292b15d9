<script setup lang="ts">
import { computed } from 'vue'
import type { Day } from '#core/calendar/day'
import { counted } from '#core/words/counted'
import type { CompareAnswer } from '#contract/deciding'
import { moneyWords } from '#web/data/locale'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { doubtWords } from '#web/ui/words/doubt-words'
import { allUses, callIt, kindAndMaker, shortName, usesWords } from '#web/ui/words/item-words'
import { LIKING_WORDS } from '#web/ui/words/liking-words'
import { goodTo } from '#web/ui/words/shelf-life-words'

/** One of those compared: the same facts for each, line by line. */
const props = defineProps<{
  thing: CompareAnswer['things'][number]
  today: Day
  currency: string
  of: number
  /** The one that stays first. */
  keeping: string | null
  /** What tells it from others of its name. */
  apart: string | undefined
}>()
defineEmits<{ keep: []; drop: []; decide: [] }>()
const money = (minor: number | null): string => (minor === null ? 'not known' : moneyWords(minor, props.currency))
const facts = computed(() => {
  const { item, worn, reached, chances, usesLeft, costSoFar, costAtBest, felt } = props.thing
  const feelings = [
    felt.good > 0 ? `${felt.good} good` : '',
    felt['so-so'] > 0 ? `${felt['so-so']} so-so` : '',
    felt.bad > 0 ? `${felt.bad} bad` : '',
  ].filter(Boolean)
  return [
    ['Finish', item.finish ?? 'not said'],
    ['Rating', item.liking === null ? 'not said' : (LIKING_WORDS[String(item.liking)] ?? '')],
    ['Worn', `${counted(worn, 'day')} in a year, ${allUses(item)}`],
    ['Reached for', chances === 0 ? 'not in the drawer' : `${reached} of ${chances} chances`],
    ['Felt', feelings.length > 0 ? feelings.join(', ') : 'not said'],
    ['Left', usesLeft === null ? 'not known' : `about ${usesWords(usesLeft)}`],
    [
      'A use cost',
      item.priceMinor === null ? 'no price' : costSoFar === null ? 'no use yet' : `${money(costSoFar)} so far`,
    ],
    ['If used up', item.priceMinor === null ? 'no price' : `${money(costAtBest)} a use`],
    ['Good', goodTo(item, props.today)],
  ] as const
})
const mine = computed(() => props.keeping === props.thing.item.id)
</script>

<template>
  <article class="sheet column d-flex flex-column pt-2 pb-3 px-3" :class="{ mine }" :aria-label="callIt(thing.item)">
    <div class="plate d-grid align-center justify-items-center rounded-lg mb-2">
      <ItemGauge :item="thing.item" size="middle" :rail="false" />
    </div>
    <h3 class="lead">
      <RouterLink :to="`/items/${thing.item.id}`">{{ shortName(thing.item) }}</RouterLink>
      <span class="quiet">{{ [kindAndMaker(thing.item), apart].filter(Boolean).join(', ') }}</span>
    </h3>
    <p class="place font-weight-semibold small mt-1 mb-2">
      {{ thing.place === 1 ? 'First by your records' : `No. ${thing.place} of ${of} by evidence` }}
    </p>
    <dl class="figures d-grid small gr-1 gc-2">
      <template v-for="[name, words] in facts" :key="name">
        <dt class="quiet">{{ name }}</dt>
        <dd>{{ words }}</dd>
      </template>
    </dl>
    <ul v-if="thing.doubts.length > 0" class="bulleted small mt-2 ps-4">
      <li v-for="doubt in thing.doubts" :key="doubt.code">{{ doubtWords(doubt, today) }}</li>
    </ul>
    <div class="acts d-flex flex-wrap mt-auto pt-2 ga-1">
      <v-btn
        v-if="keeping === null || mine"
        variant="outlined"
        color="primary"
        :aria-pressed="mine"
        :aria-label="`Keep ${callIt(thing.item)} first`"
        @click="$emit('keep')"
        >{{ mine ? 'Kept first' : 'Keep first' }}</v-btn
      >
      <v-btn
        v-else
        variant="outlined"
        color="primary"
        :aria-label="`Decide on ${callIt(thing.item)}`"
        @click="$emit('decide')"
        >Its verdict</v-btn
      >
      <v-btn variant="text" :aria-label="`Remove ${callIt(thing.item)}`" @click="$emit('drop')">Remove</v-btn>
    </div>
  </article>
</template>

<style scoped>
.column.mine {
  border-color: var(--primary);
  box-shadow: inset 0 5px 0 var(--primary);
}

.plate {
  min-height: 96px;
  background: var(--plate);
}

h3 a:not(.v-btn) {
  color: var(--ink);
}

h3 .quiet {
  display: block;
  font: 400 13px var(--text);
}

dl {
  grid-template-columns: 82px minmax(0, 1fr);
}

.phone dl {
  grid-template-columns: minmax(0, 1fr);
}
</style>
