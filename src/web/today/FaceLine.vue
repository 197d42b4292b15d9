<script setup lang="ts">
import { computed, ref } from 'vue'
import { daysBetween, type Day } from '#core/calendar/day'
import type { ItemSummary } from '#contract/item'
import type { EarlierFace, Worn } from '#contract/today'
import { useChanges } from '#web/shell/changes'
import { shortName } from '#web/ui/words/item-words'
import { shortDay, weekdayName } from '#web/ui/words/when-words'

/** The day's face as a line, and what can be done with the whole of it. */
const props = defineProps<{
  face: readonly ItemSummary[]
  worn: ReadonlyMap<string, Worn>
  noMakeup: boolean
  earlier: readonly EarlierFace[]
  occasion: string | null
  day: Day
  today: Day
  saving: boolean
}>()
const emit = defineEmits<{
  tap: [item: ItemSummary]
  same: [face: EarlierFace, words: string]
  noMakeup: []
  act: [act: 'elsewhere' | 'details' | 'faces' | 'put-back']
}>()
const changes = useChanges()
const more = ref(false)

const madeUp = computed(() => props.face.some((item) => item.makeup))
function sameWords(face: EarlierFace): string {
  if (face.like === 'occasion') return `Same as last ${props.occasion ?? 'time'}`
  const ago = daysBetween(face.day, props.day)
  if (face.like === 'weekday') return `Same as last ${weekdayName(face.day)}`
  if (ago === 1) return 'Same as the day before'
  return ago < 7 ? `Same as ${weekdayName(face.day)}` : `Same as ${shortDay(face.day, props.today)}`
}
/** Offered only where it would add something. */
const offered = computed(() =>
  props.earlier.filter((face) => face.itemIds.some((id) => !props.face.some((item) => item.id === id))),
)
const title = computed(() => {
  const when = props.day === props.today ? 'On today' : 'On that day'
  if (props.face.length > 0) return `${when}: ${props.face.length}`
  return props.noMakeup ? 'No makeup' : `${when}: nothing ticked`
})
function said(item: ItemSummary): string {
  const wear = props.worn.get(item.id)
  if (!wear) return ''
  const amount = wear.amount === null ? '' : `${wear.amount} ${wear.amountUnit ?? ''}`
  return [amount, wear.mix ? `mixed ${wear.mix.ratio}` : ''].filter(Boolean).join(', ')
}
function act(which: 'elsewhere' | 'details' | 'faces' | 'put-back'): void {
  more.value = false
  emit('act', which)
}
</script>

<template>
  <section class="line" aria-label="The day's face">
    <p class="words">
      <strong class="title figures">{{ title }}</strong>
      <span v-for="(item, index) in face" :key="item.id" class="item">
        <RouterLink :to="`/items/${item.id}`">{{ shortName(item) }}</RouterLink><span v-if="said(item)" class="quiet">
          ({{ said(item) }})</span
        ><button
          v-if="item.placement === null"
          type="button"
          class="back"
          :aria-label="`Take back ${shortName(item)}, from outside the drawer`"
          @click="emit('tap', item)"
        >
          take back</button
        ><span v-if="index < face.length - 1" aria-hidden="true"> · </span>
      </span>
      <span v-if="saving" class="quiet"> saving…</span>
    </p>
    <div class="acts">
      <v-btn v-if="changes.last" class="undo take-back" @click="changes.takeBackLast()"
        >Take back: {{ changes.last.words }}</v-btn
      >
      <v-btn
        v-for="each in offered.slice(0, 1)"
        :key="each.day"
        variant="outlined"
        color="primary"
        @click="emit('same', each, sameWords(each))"
        >{{ sameWords(each) }}</v-btn
      >
      <v-btn v-if="!madeUp" variant="outlined" color="primary" :aria-pressed="noMakeup" @click="emit('noMakeup')">{{
        noMakeup ? 'Makeup after all' : 'No makeup'
      }}</v-btn>
      <v-btn variant="outlined" color="primary" :aria-expanded="more" @click="more = !more">More</v-btn>
    </div>
    <div v-if="more" class="more sheet" role="group" aria-label="More for the day">
      <v-btn
        v-for="each in offered.slice(1)"
        :key="each.day"
        variant="text"
        @click="((more = false), emit('same', each, sameWords(each)))"
        >{{ sameWords(each) }}</v-btn
      >
      <v-btn variant="text" @click="act('elsewhere')">Something else</v-btn>
      <v-btn variant="text" @click="act('faces')">Saved faces</v-btn>
      <v-btn v-if="face.length > 0" variant="text" @click="act('details')">How it was worn</v-btn>
      <v-btn variant="text" @click="act('put-back')">Held up, put back</v-btn>
      <v-btn variant="text" to="/tally-sheet">Type in a sheet</v-btn>
    </div>
  </section>
</template>

<style scoped>
.line {
  position: relative;
  display: flex;
  align-items: center;
  gap: 14px;
  min-height: 48px;
}

.words {
  flex: 1;
  min-width: 0;
  margin: 0;
  font-size: 13.5px;
}

.title {
  font: 650 15.5px var(--display);
  margin-right: 10px;
}

.item a {
  color: var(--ink);
  text-decoration: none;
}

.item a:hover {
  text-decoration: underline;
}

.back {
  color: var(--primary);
  text-decoration: underline;
  min-height: 24px;
  padding: 0 6px;
}

.acts {
  display: flex;
  gap: 7px;
  flex-wrap: wrap;
  justify-content: flex-end;
}

.more {
  position: absolute;
  right: 0;
  bottom: 52px;
  z-index: 6;
  display: grid;
  padding: 6px;
  box-shadow: 0 6px 18px var(--shade);
}

.more .v-btn {
  justify-content: flex-start;
}

.undo {
  max-width: 260px;
}

.undo :deep(.v-btn__content) {
  overflow: hidden;
  text-overflow: ellipsis;
  display: block;
}

@media (max-width: 760px) {
  .line {
    flex-direction: column;
    align-items: stretch;
  }

  .acts {
    /* Within the thumb's reach, above the bar. */
    position: fixed;
    left: 0;
    right: 0;
    bottom: calc(54px + env(safe-area-inset-bottom));
    z-index: 5;
    padding: 7px 10px;
    background: var(--tray);
    border-top: 1px solid var(--hair);
    justify-content: stretch;
  }

  .acts .v-btn {
    flex: 1 1 auto;
    padding: 0 8px;
  }

  .more {
    position: fixed;
    left: 10px;
    right: 10px;
    bottom: calc(116px + env(safe-area-inset-bottom));
    grid-template-columns: 1fr 1fr;
  }

  .undo {
    max-width: none;
  }
}
</style>
