<script setup lang="ts">
import { computed } from 'vue'
import { daysBetween, type Day } from '#core/calendar/day'
import type { ListedItem } from '#contract/item'
import type { EarlierLook, Worn } from '#contract/today'
import { useChanges } from '#web/data/changes'
import { usePendingActs } from '#web/data/pending-acts'
import type { AboveTheDrawer } from './above-the-drawer'
import DayTrouble from './DayTrouble.vue'
import type { HeadAct } from '#web/ui/head-acts'
import LateActsMenu from '#web/ui/LateActsMenu.vue'
import { apartWords, callIt, shortName } from '#web/ui/words/item-words'
import { shortDay, weekdayName } from '#web/ui/words/when-words'

/** The day's look as a line, and what can be done with the whole of it. */
const props = defineProps<{
  look: readonly ListedItem[]
  worn: ReadonlyMap<string, Worn>
  noMakeup: boolean
  earlier: readonly EarlierLook[]
  occasion: string | null
  day: Day
  today: Day
}>()
const emit = defineEmits<{
  tap: [item: ListedItem]
  same: [look: EarlierLook, words: string]
  noMakeup: []
  act: [act: AboveTheDrawer]
}>()
const changes = useChanges()
const pending = usePendingActs()
changes.standsInALine()

/** What tells two of one name apart. */
const apart = computed(() => apartWords(props.look))
const madeUp = computed(() => props.look.some((item) => item.makeup))
function sameWords(look: EarlierLook): string {
  if (look.like === 'occasion') return `Same as last ${props.occasion ?? 'time'}`
  const ago = daysBetween(look.day, props.day)
  if (look.like === 'weekday') return `Same as last ${weekdayName(look.day)}`
  if (ago === 1) return 'Same as the day before'
  return ago < 7 ? `Same as ${weekdayName(look.day)}` : `Same as ${shortDay(look.day, props.today)}`
}
/** Whether it would add something. */
function adds(look: EarlierLook): boolean {
  return look.itemIds.some((id) => !props.look.some((item) => item.id === id))
}
/** It keeps its place also when it has nothing to add: a second tap must not land on what comes after it. */
const first = computed(() => props.earlier[0] ?? null)
const more = computed<HeadAct[]>(() => [
  ...props.earlier
    .slice(1)
    .filter(adds)
    .map((look) => {
      const words = sameWords(look)
      return { words, act: () => emit('same', look, words) }
    }),
  { words: 'Something else', act: () => emit('act', 'elsewhere') },
  { words: 'Saved looks', act: () => emit('act', 'faces') },
  ...(props.look.length > 0 ? [{ words: 'How it was worn', act: () => emit('act', 'details') }] : []),
  { words: 'Considered, not used', act: () => emit('act', 'put-back') },
  { words: 'Fill in from paper', to: '/paper' },
  { words: 'Arrange the drawer', to: '/drawer' },
  { words: 'Change season', to: '/drawer/season' },
  { words: 'Shop my stash', to: '/stash' },
])
const title = computed(() => {
  const when = props.day === props.today ? 'On today' : 'On that day'
  if (props.look.length > 0) return `${when}: ${props.look.length}`
  return props.noMakeup ? 'No makeup' : `${when}: nothing ticked`
})
function said(item: ListedItem): string {
  const wear = props.worn.get(item.id)
  const amount = wear?.amount ? `${wear.amount} ${wear.amountUnit ?? ''}` : ''
  return [apart.value.get(item.id), amount, wear?.mix ? `mixed ${wear.mix.ratio}` : ''].filter(Boolean).join(', ')
}
</script>

<template>
  <section class="line d-flex position-sticky flex-wrap align-center py-2 px-4 gr-1 gc-3" aria-label="The day’s look">
    <DayTrouble />
    <p class="words">
      <strong class="title figures">{{ title }}</strong>
      <span v-for="(item, index) in look" :key="item.id" class="item">
        <RouterLink :to="`/items/${item.id}`">{{ shortName(item) }}</RouterLink><span v-if="said(item)" class="quiet">
          ({{ said(item) }})</span
        ><button
          v-if="item.placement === null"
          type="button"
          class="back text-act px-2"
          :aria-label="`Undo ${callIt(item)}, from outside the drawer`"
          @click="emit('tap', item)"
        >
          undo</button
        ><span v-if="index < look.length - 1" aria-hidden="true"> · </span>
      </span>
      <span v-if="pending.acts.length > 0 && !pending.away" class="quiet"> saving…</span>
    </p>
    <div class="acts d-flex flex-wrap justify-end ga-2">
      <v-btn v-if="changes.last" class="undo take-back" @click="changes.takeBackLast()"
        >Undo: {{ changes.last.words }}</v-btn
      >
      <div class="places d-flex ga-2">
        <v-btn
          v-if="first"
          variant="outlined"
          color="primary"
          :disabled="!adds(first)"
          @click="emit('same', first, sameWords(first))"
          >{{ sameWords(first) }}</v-btn
        >
        <v-btn
          variant="outlined"
          color="primary"
          :disabled="madeUp"
          :aria-pressed="noMakeup"
          @click="emit('noMakeup')"
          >{{ noMakeup ? 'Makeup after all' : 'No makeup' }}</v-btn
        >
        <LateActsMenu :acts="more" label="More for the day" />
      </div>
    </div>
  </section>
</template>

<style scoped>
/* Always in sight, however long the drawer or the reasons along its lip. */
.line {
  bottom: 0;
  z-index: 4;
  margin: 0 -16px -16px;
  background: var(--tray);
  box-shadow: 0 -3px var(--tray);
}

.words {
  flex: 1 1 300px;
  min-width: 0;
  margin: 0;
  font-size: 13.5px;
  overflow-y: auto;
  max-height: 66px; /* A long look must not cover the drawer. */
}

.title {
  font: 650 15.5px var(--display);
  margin-right: 10px;
}

.item a:not(:hover) {
  text-decoration: none;
}

.item a {
  color: var(--ink);
}

/* Each act keeps its place: the way back comes before them, or above. */

.undo {
  max-width: 330px;
}

.undo :deep(.v-btn__content) {
  white-space: normal;
  overflow: hidden;
  max-height: 40px;
  text-align: start;
}

.phone .line {
  position: static;
  flex-direction: column;
  align-items: stretch;
  margin: 0;
  padding: 6px 0 62px;
}

.phone .words {
  flex: none;
  max-height: none;
}

.phone .acts {
  /* Within the thumb's reach, above the bar. */
  position: fixed;
  left: 0;
  right: 0;
  bottom: calc(57px + env(safe-area-inset-bottom));
  z-index: 5;
  padding: 7px 10px;
  background: var(--tray);
  border-top: 1px solid var(--hair);
  flex-direction: column;
  align-items: stretch;
}

/* On a phone that lies there is no room to keep them in sight. */
@media (height < 480px) {
  .phone .acts {
    position: static;
  }
}

.phone .acts .v-btn {
  flex: 1 1 auto;
  padding: 0 8px;
}

.phone .acts .undo {
  flex: none;
  max-width: none;
}
</style>
