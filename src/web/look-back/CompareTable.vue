<script setup lang="ts">
import { computed } from 'vue'
import type { SpanSheet } from '#contract/look-back'
import { moneyWords, numberWords } from '#web/data/locale'
import { massWords } from '#web/ui/words/measure-words'
import type { SheetOptions } from './sheet-sections'
import { spanTitle } from '#web/ui/words/span-words'

/** Two spans side by side, and what the one has more or less than the other. */
const props = defineProps<{ one: SpanSheet; other: SpanSheet; options: SheetOptions }>()
/** Spans of nearly one length are compared as they are, others also by thirty days. */
const NEARLY = 1.1
const lengths = computed(() => [props.one.days.all, props.other.days.all] as const)
const uneven = computed(() => Math.max(...lengths.value) / Math.max(1, Math.min(...lengths.value)) > NEARLY)
const MONTH_DAYS = 30

interface Measure {
  readonly words: string
  readonly of: (sheet: SpanSheet) => number | null
  readonly say: (value: number) => string
  /** Whether it grows with the length of a span. */
  readonly adds: boolean
}
const plain = (value: number): string => numberWords(value, 1)
const money = (value: number): string => moneyWords(Math.round(value), props.one.currency)
const measures = computed<Measure[]>(() => [
  { words: 'Wear days', of: (sheet) => sheet.days.wear, say: plain, adds: true },
  { words: 'Uses', of: (sheet) => sheet.totals.uses, say: plain, adds: true },
  { words: 'Items worn', of: (sheet) => sheet.totals.things, say: plain, adds: false },
  { words: 'Different looks', of: (sheet) => sheet.days.looks, say: plain, adds: false },
  { words: 'Finished', of: (sheet) => sheet.finishes.length, say: plain, adds: true },
  {
    words: 'Used, by weight',
    of: (sheet) => sheet.totals.grams?.grams ?? null,
    say: (value) => massWords(value, 0.1, props.options.unit),
    adds: true,
  },
  ...(props.options.prices
    ? [
        { words: 'Used up, about', of: (sheet: SpanSheet) => sheet.totals.spent.minor, say: money, adds: true },
        { words: 'About, a use', of: (sheet: SpanSheet) => sheet.totals.perUse, say: money, adds: false },
      ]
    : []),
  { words: 'Came in', of: (sheet) => sheet.cameIn.length, say: plain, adds: true },
  { words: 'Let go', of: (sheet) => sheet.letGo.length, say: plain, adds: true },
  { words: 'Expired', of: (sheet) => sheet.spoiled.length, say: plain, adds: true },
  {
    words: 'Items that made half of the uses',
    of: (sheet) => sheet.evenness?.fewest ?? null,
    say: plain,
    adds: false,
  },
])
const rows = computed(() =>
  measures.value.map(({ words, of, say, adds }) => {
    const [a, b] = [of(props.one), of(props.other)]
    const rate = (value: number, days: number): number => (value * MONTH_DAYS) / Math.max(1, days)
    const per = (value: number | null, days: number): string =>
      value === null || !uneven.value || !adds ? '' : ` (${say(rate(value, days))} in 30 days)`
    const [x, y] =
      uneven.value && adds && a !== null && b !== null ? [rate(a, lengths.value[0]), rate(b, lengths.value[1])] : [a, b]
    const by = x === null || y === null ? null : x - y
    return {
      words,
      one: a === null ? 'not known' : say(a) + per(a, lengths.value[0]),
      other: b === null ? 'not known' : say(b) + per(b, lengths.value[1]),
      by:
        by === null
          ? ''
          : Math.abs(by) < 1e-9
            ? 'the same'
            : `${say(Math.abs(by))} ${by > 0 ? 'more' : 'less'}${uneven.value && adds ? ' in 30 days' : ''}`,
    }
  }),
)
</script>

<template>
  <section class="sheet overflow-x-auto mb-3 pt-1 pb-2 px-4" aria-label="Compare">
    <table class="small figures">
      <thead>
        <tr>
          <th scope="col"><span class="visually-hidden">What</span></th>
          <th scope="col">{{ spanTitle(one) }}</th>
          <th scope="col">{{ spanTitle(other) }}</th>
          <th scope="col">The first has</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.words">
          <th class="font-weight-semibold" scope="row">{{ row.words }}</th>
          <td>{{ row.one }}</td>
          <td>{{ row.other }}</td>
          <td>{{ row.by }}</td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
th,
td {
  padding: 5px 24px 5px 0;
  text-align: left;
  border-bottom: 1px solid var(--hair);
}

tr:last-child > * {
  border-bottom: none;
}

thead th {
  font: 620 13px var(--display);
  color: var(--quiet);
}
</style>
