<script setup lang="ts">
import { computed } from 'vue'
import type { ReadLine } from '#core/formats/lines/read-lines'
import { leftoversIn } from '#core/formats/lines/split-line'
import { counted } from '#core/words/counted'
import type { PreviewRow } from '#contract/importing'
import { dateWords, moneyWords } from '#web/data/locale'
import { useUnits } from '#web/data/units'
import { STAGE_WORDS } from '#web/ui/words/measure-words'
import { contentWords, usesWords } from '#web/ui/words/item-words'
import { rangeWords } from '#web/ui/words/when-words'

/** One line as it is understood: what it is in bold, what is known of it beside, what is wrong below. */
const props = defineProps<{
  line: ReadLine
  row: PreviewRow | null
  problems: readonly string[]
  categories: readonly { readonly id: string; readonly name: string }[]
  currency: string
}>()
defineEmits<{ mend: [] }>()
const units = useUnits()
const kind = computed(() => props.categories.find((each) => each.id === props.row?.categoryId)?.name ?? null)
const facts = computed(() => {
  const { row } = props
  if (row === null) return []
  const opened =
    row.opened !== null ? `opened ${rangeWords(row.opened)}` : row.openedAs === 'unopened' ? 'unopened' : ''
  return [
    contentWords(row.content, units.value),
    opened,
    row.paoMonths === null ? '' : `${counted(row.paoMonths, 'month')} after opening`,
    row.expiry === null ? '' : `good until ${dateWords(row.expiry)}`,
    row.priceMinor === null
      ? row.gift
        ? 'a gift'
        : (row.priceSaid ?? '')
      : moneyWords(row.priceMinor, props.currency),
    row.uses === null ? '' : usesWords(row.uses),
    row.left === null
      ? ''
      : row.left.kind === 'stage'
        ? STAGE_WORDS[row.left.stage]
        : `${Math.round(row.left.share * 100)} % left`,
    row.backups > 0 ? counted(row.backups, 'backup') : '',
  ].filter(Boolean)
})
/** The shade with what in it looks like something else marked. */
const shade = computed(() => {
  const pieces = leftoversIn(props.line.cells.shade)
  const marked: { words: string; odd: boolean }[] = []
  let rest = props.line.cells.shade
  for (const piece of pieces) {
    const at = rest.indexOf(piece)
    marked.push({ words: rest.slice(0, at), odd: false }, { words: piece, odd: true })
    rest = rest.slice(at + piece.length)
  }
  return { pieces, marked: [...marked, { words: rest, odd: false }].filter(({ words }) => words !== '') }
})
</script>

<template>
  <li class="d-flex align-center hair-below py-1 ps-3 pe-1 ga-2" :class="{ unsure: row !== null && kind === null }">
    <span class="words flex-1-1-0 min-w-0">
      <strong>
        <span v-if="line.cells.maker" class="font-weight-medium quiet">{{ line.cells.maker }}{{ ' ' }}</span>
        <template v-for="(piece, n) in shade.marked" :key="n">
          <mark v-if="piece.odd">{{ piece.words }}</mark>
          <template v-else>{{ piece.words }}</template>
        </template>
        <template v-if="!line.cells.maker && !line.cells.shade">{{ line.text }}</template>
      </strong>
      <span v-if="kind" class="kind">{{ kind }}</span>
      <span v-else-if="row" class="kind missing">what type is it?</span>
      <span class="quiet figures d-block small">{{ facts.join(' · ') }}</span>
      <span v-if="shade.pieces.length > 0" class="asked d-block small">
        Is {{ shade.pieces.map((piece) => `“${piece}”`).join(' and ') }} part of the name? If not, tap Fix.
      </span>
      <span v-if="row?.alreadyThere" class="quiet d-block small"
        >There is one of that name already; this one comes beside it.</span
      >
      <span v-for="problem in problems" :key="problem" class="problem d-block small alarm">{{ problem }}</span>
    </span>
    <v-btn variant="text" :aria-label="`Fix ${line.text}`" @click="$emit('mend')">Fix</v-btn>
  </li>
</template>

<style scoped>
li {
  min-height: 52px;
}

li.unsure {
  border-left: 5px solid var(--attention);
}

.kind {
  margin-left: 8px;
  font-weight: 600;
  color: var(--primary);
}

mark {
  background: none;
  color: inherit;
  border-bottom: 2px dashed var(--attention);
}

.missing,
.asked {
  color: var(--attention);
}
</style>
