<script setup lang="ts">
import { computed } from 'vue'
import type { CheckInAnswer } from '#contract/check-in'
import { counted } from '#core/words/counted'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { callIt, kindAndMaker, shortName } from '#web/ui/words/item-words'
import { massWords, type MassUnit } from '#web/ui/words/measure-words'
import type { SlipLine } from './queue'

/** The queue as a slip of paper: a line for each thing, punched when done, with the sums at its foot. */
const props = defineProps<{
  answer: CheckInAnswer
  slip: readonly SlipLine[]
  current: string | null
  unit: MassUnit
  /** Narrow: the gauges alone, in one line to push along. */
  strip: boolean
  /** Beside something that wants the room: the gauges alone, one under the other. */
  narrow: boolean
}>()
defineEmits<{ go: [stepId: string] }>()
const lines = computed(() => {
  const items = new Map(props.answer.items.map((item) => [item.id, item]))
  const sheet = new Map(props.answer.sheet.items.map((line) => [line.itemId, line]))
  return props.slip.flatMap((line) => {
    const item = items.get(line.itemId)
    return item ? [{ ...line, item, found: sheet.get(line.itemId) }] : []
  })
})
const done = computed(() => props.slip.filter((line) => line.done).length)
const skipped = computed(() => props.slip.filter((line) => line.skipped).length)
const left = computed(() => props.slip.length - done.value - skipped.value)
function grams(line: (typeof lines.value)[number]): string {
  const gone = line.found?.grams
  return gone && line.found?.after?.gross ? massWords(gone.grams, gone.giveOrTake, props.unit) : ''
}
function spoken(line: (typeof lines.value)[number]): string {
  const state = line.done ? 'done' : line.skipped ? 'skipped' : `to do: ${line.toDo}`
  return [callIt(line.item), counted(line.found?.uses ?? 0, 'use'), grams(line), state].filter(Boolean).join(', ')
}
</script>

<template>
  <nav class="slip sheet" :class="{ strip, narrow: narrow && !strip }" aria-label="Items to look at">
    <header v-if="!strip && !narrow">
      <h2>{{ slip.length }} to look at</h2>
      <span class="quiet">uses</span><span class="quiet">used</span>
    </header>
    <ol>
      <li
        v-for="line in lines"
        :key="line.itemId"
        :class="{ current: line.itemId === current, done: line.done, skipped: line.skipped }"
      >
        <button
          type="button"
          :aria-label="spoken(line)"
          :aria-current="line.itemId === current ? 'step' : undefined"
          @click="$emit('go', line.stepId)"
        >
          <ItemGauge :item="line.item" size="small" :rail="false" aria-hidden="true" />
          <template v-if="!strip && !narrow">
            <span class="name">
              <strong>{{ shortName(line.item) }}</strong>
              <small>{{ kindAndMaker(line.item) }}</small>
            </span>
            <small v-if="line.skipped" class="state">skipped</small>
            <small v-else-if="!line.done && line.itemId !== current && grams(line) === ''" class="state">{{
              line.toDo
            }}</small>
            <template v-else>
              <span class="figure figures">{{ line.found?.uses ?? 0 }}</span>
              <span class="figure figures">{{ grams(line) }}</span>
            </template>
          </template>
        </button>
      </li>
    </ol>
    <footer v-if="!strip && !narrow">
      <p>
        <span>{{ done }} done{{ skipped > 0 ? `, ${skipped} skipped` : '' }}</span>
        <strong class="figures">{{ counted(answer.sheet.totals.uses, 'use') }}</strong>
      </p>
      <p v-if="answer.sheet.totals.weighed > 0">
        <span>used, of {{ answer.sheet.totals.weighed }} weighed</span>
        <strong class="figures sum">{{ massWords(answer.sheet.totals.grams, 0.1, unit) }}</strong>
      </p>
      <p v-if="answer.sheet.previous && answer.sheet.previous.weighed > 0" class="quiet">
        <span>last time, in all</span>
        <span class="figures">{{ massWords(answer.sheet.previous.grams, 0.1, unit) }}</span>
      </p>
      <p class="quiet">{{ left === 0 ? 'All done.' : `${left} to come.` }} All is kept as you go.</p>
    </footer>
  </nav>
</template>

<style scoped>
.slip {
  display: flex;
  flex-direction: column;
  min-width: 0;
  overflow: hidden;
}

header {
  display: grid;
  grid-template-columns: 1fr 44px 64px;
  align-items: baseline;
  padding: 10px 14px 8px;
  border-bottom: 1px solid var(--hair);
  font-size: 12.5px;
  text-align: right;
}

h2 {
  font-size: 17px;
  text-align: left;
}

ol {
  overflow-y: auto;
  flex: 1 1 auto;
}

li {
  position: relative;
  border-bottom: 1px solid var(--hair);
}

/* Punched: a bite out of the slip's edge. */
li.done::before {
  content: '';
  position: absolute;
  left: -12px;
  top: 50%;
  width: 23px;
  height: 23px;
  margin-top: -12px;
  box-shadow: inset -1px 1px 3px var(--shade);
  border-radius: 50%;
  background: var(--tray);
  border: 1px solid var(--line);
  z-index: 1;
}

li button {
  width: 100%;
  display: grid;
  grid-template-columns: 48px minmax(0, 1fr) auto auto;
  gap: 2px 8px;
  align-items: center;
  min-height: 50px;
  padding: 3px 14px 3px 10px;
  text-align: left;
}

.name {
  display: grid;
  min-width: 0;
}

.name > * {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

small {
  font-size: 12.5px;
  color: var(--quiet);
}

.state {
  grid-column: 3 / -1;
  text-align: right;
}

.skipped .state {
  color: var(--attention);
  font-weight: 650;
}

.figure {
  font-weight: 650;
  text-align: right;
  min-width: 34px;
}

.figure + .figure {
  min-width: 58px;
}

li.current {
  background: var(--primary);
}

li.current button,
li.current small {
  color: var(--on-primary);
}

li.current :deep(.gauge) {
  background: var(--plate);
  border-radius: 8px;
}

footer {
  border-top: 2px dashed var(--line);
  padding: 10px 14px 12px;
}

footer p {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: 10px;
  margin: 2px 0;
  font-size: 14px;
}

.sum {
  font-size: 18px;
}

.narrow li button {
  grid-template-columns: 48px;
  justify-content: center;
  padding: 3px;
}

.narrow li.skipped {
  box-shadow: inset -5px 0 0 var(--attention);
}

.strip {
  border-radius: 8px;
  flex: none;
}

.strip ol {
  display: flex;
  overflow-x: auto;
}

.strip li {
  flex: none;
  border-bottom: 0;
  border-right: 1px solid var(--hair);
}

.strip li button {
  display: grid;
  grid-template-columns: 46px;
  padding: 3px;
  min-width: 52px;
  min-height: 54px;
  place-items: center;
}

.strip li.done::before {
  left: 50%;
  top: -2px;
  margin-left: -9px;
}

.strip li.skipped {
  box-shadow: inset 0 -4px 0 var(--attention);
}
</style>
