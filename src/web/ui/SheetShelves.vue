<script setup lang="ts">
import { computed } from 'vue'
import { counted } from '#core/words/counted'
import type { ClosedSheet, LookView, SheetItem } from '#contract/check-in'
import type { ListedItem } from '#contract/item'
import { dayFormat } from '#web/data/locale'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { useVerdicts } from '#web/data/verdicts'
import { shortVerdict } from '#web/ui/words/goal-words'
import { massFigure, type MassUnit } from '#web/ui/words/measure-words'
import { aimWords, goalLine, goneWords, lookWords, weighedWords } from '#web/ui/words/sheet-words'

/** Two shelves: as it was, as it is; between them what went, under them what was wanted. */
const props = defineProps<{
  sheet: Pick<ClosedSheet, 'from' | 'to' | 'items'>
  /** Those of its things that stand on these shelves. */
  lines: readonly SheetItem[]
  items: readonly ListedItem[]
  unit: MassUnit
  corrected: ReadonlyMap<string, string>
  /** It is of today; else the goals stand as they did then. */
  live?: boolean
}>()
const verdictOf = useVerdicts()
const short = dayFormat({ day: 'numeric', month: 'short' })
const byId = computed(() => new Map(props.items.map((item) => [item.id, item])))
const most = computed(() => Math.max(...props.sheet.items.map((line) => line.grams?.grams ?? 0), 1e-6))
const columns = computed(() =>
  props.lines.map((line) => {
    const item = byId.value.get(line.itemId)
    return {
      line,
      before: item && line.before ? drawn(item, line.before, false) : null,
      after: item ? drawn(item, line.after ?? line.before, true, line) : null,
      standing: line.goal ? shortVerdict(line.goal, props.live ? verdictOf(line.goal) : line.goal.standing) : '',
      gone: goneWords(line, props.unit, props.sheet),
      bar: line.grams ? Math.max(0, line.grams.grams / most.value) : 0,
    }
  }),
)

/** The thing as it was found then; what was not seen then is not drawn as if it had been. */
function drawn(item: ListedItem, look: LookView | null, rail: boolean, line?: SheetItem): ListedItem {
  const reading = look?.reading ?? null
  const parts = item.parts.map((part) => ({
    ...part,
    // A shade that was not looked at this time is as it was seen last.
    reading:
      [...(look?.parts ?? []), ...(line?.before?.parts ?? [])].find((each) => each.partId === part.id)?.reading ?? null,
  }))
  return {
    ...item,
    parts,
    reading,
    estimate: reading === null && rail ? item.estimate : null,
    // Empty by the end of the sheet; before it, as it was seen.
    lifecycle: rail && line?.finishedOn ? 'finished' : 'open',
    goal: rail ? (line?.goal ?? null) : null,
    backups: 0,
  }
}
</script>

<template>
  <div
    class="shelves position-relative overflow-x-auto"
    role="table"
    aria-label="Before and after, item by item"
    :style="{ '--columns': columns.length }"
  >
    <div class="shelf align-end pt-3 pb-2 px-0" role="row">
      <span class="head d-grid align-self-center font-weight-semibold small ps-3" role="rowheader">{{
        short(sheet.from)
      }}</span>
      <span
        v-for="{ line, before } in columns"
        :key="line.itemId"
        role="cell"
        class="cell d-grid justify-items-center min-w-0 text-center py-0 px-1"
      >
        <ItemGauge v-if="before" :item="before" size="middle" :rail="false" />
        <small v-else-if="line.cameIn">came in {{ short(line.cameIn) }}</small>
        <small v-else>not measured</small>
        <span class="visually-hidden">{{ lookWords(line.before, unit, sheet.from) }}</span>
      </span>
    </div>
    <div class="gone align-center py-2 px-0" role="row">
      <span class="head d-grid align-self-center font-weight-semibold small ps-3" role="rowheader"
        ><strong>used</strong><small>weighed</small></span
      >
      <span
        v-for="{ line, gone, bar } in columns"
        :key="line.itemId"
        role="cell"
        class="cell figures d-grid justify-items-center min-w-0 text-center py-0 px-1"
      >
        <strong v-if="line.grams"
          >{{ massFigure(line.grams.grams, line.grams.giveOrTake, unit) }} <small>{{ unit }}</small></strong
        >
        <small v-else :class="{ attention: line.skipped }">{{ gone }}</small>
        <i v-if="bar > 0" class="bar" :style="{ width: `${bar * 80}%` }" />
        <small v-if="weighedWords(line, sheet)">{{ weighedWords(line, sheet) }}</small>
        <small>{{ counted(line.grams?.uses ?? line.uses, 'use') }}</small>
      </span>
    </div>
    <div class="shelf align-end pt-3 pb-2 px-0" role="row">
      <span class="head d-grid align-self-center font-weight-semibold small ps-3" role="rowheader">{{
        short(sheet.to)
      }}</span>
      <span
        v-for="{ line, after } in columns"
        :key="line.itemId"
        role="cell"
        class="cell d-grid justify-items-center min-w-0 text-center py-0 px-1"
      >
        <ItemGauge v-if="after" :item="after" size="middle" :class="{ unseen: line.after === null }" />
        <span class="visually-hidden">{{ lookWords(line.after, unit, sheet.to) }}</span>
      </span>
    </div>
    <div class="told py-2 px-0" role="row">
      <span class="head d-grid font-weight-semibold small align-self-start ps-3" role="rowheader">goal</span>
      <span
        v-for="{ line, standing } in columns"
        :key="line.itemId"
        role="cell"
        class="cell d-grid justify-items-center min-w-0 text-center py-0 px-1"
      >
        <RouterLink :to="`/items/${line.itemId}`">{{ line.name }}</RouterLink>
        <small>{{ lookWords(line.after, unit, sheet.to) }}</small>
        <small>{{ goalLine(line) }}</small>
        <small v-if="standing" class="standing" :class="line.goal?.standing.replaceAll(' ', '-')">{{ standing }}</small>
        <small v-if="aimWords(line)">{{ aimWords(line) }}</small>
        <small v-if="line.words" class="said font-italic">“{{ line.words }}”</small>
        <small v-if="corrected.get(line.itemId)" class="attention">{{ corrected.get(line.itemId) }}</small>
      </span>
    </div>
  </div>
</template>

<style scoped>
.shelves > div {
  display: grid;
  grid-template-columns: 74px repeat(var(--columns), minmax(104px, 1fr));
  min-width: calc(74px + var(--columns) * 104px);
}

.shelf {
  background: var(--inset);
  box-shadow: inset 0 3px 6px var(--shade);
  border-bottom: 3px solid var(--line);
  min-height: 122px;
}

.cell {
  align-content: end;
}

/* Not looked at this time: as it was seen last. */
.unseen {
  opacity: 0.45;
}

/* Wide things keep to their place on the shelf. */
.cell :deep(.gauge) {
  max-width: 100px;
}

.cell :deep(.gauge .body),
.cell :deep(.rail) {
  max-width: 92px;
}

.gone .cell strong {
  font: 660 19px var(--display);
}

.gone .cell strong small {
  font-size: 0.65em;
  color: inherit;
}

.bar {
  height: 5px;
  background: var(--ink);
  min-width: 3px;
}

.told .cell {
  align-content: start;
}

.phone .told a {
  display: inline-flex;
  align-items: center;
  justify-content: center;
  min-height: 44px;
  min-width: 44px;
}

.told a {
  font: 640 14.5px/1.2 var(--display);
  color: var(--ink);
}

small {
  font-size: 12.5px;
  line-height: 1.25;
  color: var(--quiet);
  overflow-wrap: anywhere;
}

.standing {
  font-weight: 650;
  color: var(--ink);
}

.standing.behind,
.standing.out-of-reach,
.attention {
  color: var(--attention);
  font-weight: 650;
}

.standing.met {
  color: var(--done);
}

@media print {
  .shelves {
    overflow: visible;
  }

  .shelves > div {
    grid-template-columns: 58px repeat(var(--columns), minmax(0, 1fr));
    min-width: 0;
  }

  .head {
    padding-left: 4px;
  }

  .cell :deep(.gauge) {
    zoom: 0.8;
  }

  .shelf {
    box-shadow: none;
    min-height: 96px;
  }

  small {
    font-size: 11px;
  }
}
</style>
