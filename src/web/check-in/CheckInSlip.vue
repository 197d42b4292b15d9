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
  <nav
    class="slip sheet d-flex flex-column min-w-0 overflow-hidden"
    :class="{ strip, narrow: narrow && !strip }"
    aria-label="Items to look at"
  >
    <header class="d-grid align-baseline hair-below fine text-right py-2 px-3" v-if="!strip && !narrow">
      <h2 class="lead text-left">{{ slip.length }} to look at</h2>
      <span class="quiet">uses</span><span class="quiet">used</span>
    </header>
    <ol>
      <li
        class="position-relative hair-below"
        v-for="line in lines"
        :key="line.itemId"
        :class="{ current: line.itemId === current, done: line.done, skipped: line.skipped }"
      >
        <button
          class="d-grid w-100 align-center text-left py-1 ps-2 pe-3 gr-1 gc-2"
          type="button"
          :aria-label="spoken(line)"
          :aria-current="line.itemId === current ? 'step' : undefined"
          @click="$emit('go', line.stepId)"
        >
          <ItemGauge :item="line.item" size="small" :rail="false" aria-hidden="true" />
          <template v-if="!strip && !narrow">
            <span class="name d-grid min-w-0">
              <strong>{{ shortName(line.item) }}</strong>
              <small class="fine quiet">{{ kindAndMaker(line.item) }}</small>
            </span>
            <small v-if="line.skipped" class="state fine quiet">skipped</small>
            <small v-else-if="!line.done && line.itemId !== current && grams(line) === ''" class="state fine quiet">{{
              line.toDo
            }}</small>
            <template v-else>
              <span class="figure figures font-weight-semibold text-right">{{ line.found?.uses ?? 0 }}</span>
              <span class="figure figures font-weight-semibold text-right">{{ grams(line) }}</span>
            </template>
          </template>
        </button>
      </li>
    </ol>
    <footer v-if="!strip && !narrow">
      <p class="d-flex justify-space-between align-baseline small my-1 ga-2">
        <span>{{ done }} done{{ skipped > 0 ? `, ${skipped} skipped` : '' }}</span>
        <strong class="figures">{{ counted(answer.sheet.totals.uses, 'use') }}</strong>
      </p>
      <p class="d-flex justify-space-between align-baseline small my-1 ga-2" v-if="answer.sheet.totals.weighed > 0">
        <span>used, of {{ answer.sheet.totals.weighed }} weighed</span>
        <strong class="figures sum">{{ massWords(answer.sheet.totals.grams, 0.1, unit) }}</strong>
      </p>
      <p
        v-if="answer.sheet.previous && answer.sheet.previous.weighed > 0"
        class="quiet d-flex justify-space-between align-baseline small my-1 ga-2"
      >
        <span>last time, in all</span>
        <span class="figures">{{ massWords(answer.sheet.previous.grams, 0.1, unit) }}</span>
      </p>
      <p class="quiet d-flex justify-space-between align-baseline small my-1 ga-2">
        {{ left === 0 ? 'All done.' : `${left} to come.` }} All is kept as you go.
      </p>
    </footer>
  </nav>
</template>

<style scoped>
header {
  grid-template-columns: 1fr 44px 64px;
}

ol {
  overflow-y: auto;
  flex: 1 1 auto;
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
  grid-template-columns: 48px minmax(0, 1fr) auto auto;
  min-height: 50px;
}

.name > * {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
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
