<script setup lang="ts">
import { mdiChevronDown, mdiChevronUp } from '@mdi/js'
import { computed } from 'vue'
import { useDisplay } from 'vuetify'
import type { Day } from '#core/calendar/day'
import { moneyShort } from '#web/data/locale'
import { useItemActs } from '#web/ui/acts/item-acts'
import ItemActsMenu from '#web/ui/acts/ItemActsMenu.vue'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import VerdictGlyph from '#web/ui/gauge/VerdictGlyph.vue'
import { capital } from '#core/words/capital'
import { VERDICT_WORDS } from '#web/ui/words/verdict-words'
import { callIt, fullName, kindAndMaker } from '#web/ui/words/item-words'
import { LIKING_WORDS } from '#web/ui/words/liking-words'
import { goodTo, goodToShort } from '#web/ui/words/shelf-life-words'
import type { RaceAxis } from './race-axis'
import RaceLane from './RaceLane.vue'
import type { RaceRow } from './race-rows'
import { actsOfRow, raceSentences, useFirstWords } from './race-words'

/** One thing in the race: what is at stake, its lane, how it stands; opened, why, and what can be done about it. */
const props = defineProps<{
  row: RaceRow
  axis: RaceAxis
  laneWidth: number
  today: Day
  currency: string
  paceKnown: boolean
  open: boolean
}>()
defineEmits<{ toggle: [] }>()
const acts = useItemActs()
const { mobile } = useDisplay()
const item = computed(() => props.row.item)
const standingWords = computed(() => capital(VERDICT_WORDS[props.row.race.verdict]))
const offered = computed(() => actsOfRow(props.row, props.today))
const caution = computed(() => {
  return item.value.shelfLife.sun?.lapsed === true ? 'No longer counts as sun protection.' : ''
})
const stake = computed(() => (props.row.race.stake === null ? '' : moneyShort(props.row.race.stake, props.currency)))
</script>

<template>
  <article class="row" :class="{ open }" :aria-label="fullName(item)">
    <div class="line d-grid align-center gr-0 gc-2">
      <span class="stake figures"
        ><strong>{{ stake }}</strong
        ><small class="quiet d-block fine tight text-truncate">{{
          item.liking === null ? '' : LIKING_WORDS[item.liking]
        }}</small></span
      >
      <ItemGauge :item="item" size="small" :rail="false" />
      <RouterLink :to="`/items/${item.id}`" class="name min-w-0 ink text-decoration-none">
        <strong class="d-block font-weight-semibold tight text-truncate">{{ fullName(item) }}</strong>
        <small class="quiet d-block fine tight text-truncate">{{ kindAndMaker(item) }}</small>
      </RouterLink>
      <div class="course position-relative min-w-0">
        <RaceLane :row="row" :axis="axis" :width="laneWidth" :today="today" />
        <p class="reason small tight mb-1">
          <strong v-if="caution" class="attention">{{ caution }}</strong> {{ useFirstWords(row, today, paceKnown) }}
        </p>
      </div>
      <button
        type="button"
        class="standing d-grid align-center rounded-lg text-left px-1 ga-2"
        :aria-expanded="open"
        :aria-label="`${standingWords}, ${goodTo(item, today)}: why, and what can be done about ${callIt(item)}`"
        @click="$emit('toggle')"
      >
        <VerdictGlyph :verdict="row.race.verdict" />
        <span
          ><strong class="d-block small tight text-no-wrap">{{ standingWords }}</strong
          ><small class="quiet d-block fine tight text-truncate">{{ goodToShort(item, today) }}</small></span
        >
        <svg viewBox="0 0 24 24" width="20" height="20" class="chevron" aria-hidden="true">
          <path :d="open ? mdiChevronUp : mdiChevronDown" />
        </svg>
      </button>
      <div v-if="!mobile" class="acts d-flex justify-end align-center">
        <button
          v-if="offered.first"
          type="button"
          class="choice first"
          :aria-label="`${offered.first.words}: ${callIt(item)}`"
          @click="acts.begin(offered.first.act, item, offered.first.context)"
        >
          {{ offered.first.words }}
        </button>
        <ItemActsMenu :item="item" />
      </div>
    </div>
    <div v-if="open" class="why d-flex flex-wrap justify-space-between align-center gr-2 gc-5">
      <div class="sentences">
        <p class="small mb-1" v-for="sentence in raceSentences(row, today, currency)" :key="sentence">{{ sentence }}</p>
      </div>
      <div class="choices">
        <v-btn
          v-for="each in offered.all"
          :key="each.words"
          variant="outlined"
          color="primary"
          :aria-label="`${each.words}: ${callIt(item)}`"
          @click="acts.begin(each.act, item, each.context)"
          >{{ each.words }}</v-btn
        >
        <ItemActsMenu v-if="mobile" :item="item" :without="offered.all.map((each) => each.act)" />
      </div>
    </div>
  </article>
</template>

<style scoped>
.row {
  contain: layout style;
  border-bottom: 1px solid var(--hair);
}

.row.open {
  box-shadow: inset 4px 0 0 var(--primary);
}

.line {
  grid-template-columns: var(--race-columns);
  min-height: 50px;
  padding: 1px 6px 1px 10px;
}

.stake strong {
  font: 640 15px var(--display);
}

.name:hover strong {
  text-decoration: underline;
}

.standing {
  grid-template-columns: 42px minmax(0, 1fr) 20px;
  min-height: 46px;
}

.chevron {
  fill: currentcolor;
}

.standing:hover {
  background: var(--inset);
}

.first {
  padding: 0 10px !important;
  border-color: var(--primary) !important;
  color: var(--primary);
  font-size: 13.5px;
  white-space: nowrap;
}

.why {
  padding: 2px 12px 12px 68px;
}

.sentences {
  flex: 1 1 340px;
  max-width: 74ch;
}

.phone .line {
  grid-template-columns: 44px minmax(0, 1fr) auto;
  padding: 6px 8px;
}

.phone .name {
  display: grid;
  align-content: center;
  min-height: 44px;
}

.phone .stake {
  grid-column: 3;
  grid-row: 1;
  text-align: right;
}

.phone .course,
.phone .standing {
  grid-column: 1 / -1;
}

.phone .why {
  padding-left: 12px;
}
</style>
