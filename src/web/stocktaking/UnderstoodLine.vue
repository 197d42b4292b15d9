<script setup lang="ts">
import { computed } from 'vue'
import type { ReadLine } from '#core/formats/lines/read-lines'
import { counted } from '#core/words/counted'
import type { PreviewRow } from '#contract/importing'
import { dateWords, moneyWords } from '#web/data/locale'
import { useUnits } from '#web/data/units'
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
    row.expiry === null ? '' : `good to ${dateWords(row.expiry)}`,
    row.priceMinor === null
      ? row.gift
        ? 'a gift'
        : (row.priceSaid ?? '')
      : moneyWords(row.priceMinor, props.currency),
    row.uses === null ? '' : usesWords(row.uses),
    row.backups > 0 ? counted(row.backups, 'backup') : '',
  ].filter(Boolean)
})
</script>

<template>
  <li :class="{ unsure: row !== null && kind === null }">
    <span class="words">
      <strong>{{ [line.cells.maker, line.cells.shade].filter(Boolean).join(' ') || line.text }}</strong>
      <span v-if="kind" class="kind">{{ kind }}</span>
      <span v-else-if="row" class="kind missing">what kind is it?</span>
      <span class="quiet figures">{{ facts.join(' · ') }}</span>
      <span v-if="row?.alreadyThere" class="quiet">There is one of that name already; this one comes beside it.</span>
      <span v-for="problem in problems" :key="problem" class="problem">{{ problem }}</span>
    </span>
    <v-btn variant="text" :aria-label="`Mend ${line.text}`" @click="$emit('mend')">Mend</v-btn>
  </li>
</template>

<style scoped>
li {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 52px;
  padding: 3px 4px 3px 12px;
  border-bottom: 1px solid var(--hair);
}

li.unsure {
  border-left: 5px solid var(--attention);
}

.words {
  flex: 1;
  min-width: 0;
}

.kind {
  margin-left: 8px;
  font-weight: 600;
  color: var(--primary);
}

.missing {
  color: var(--attention);
}

.quiet {
  display: block;
  font-size: 13px;
}

.problem {
  display: block;
  font-size: 13px;
  color: var(--alarm);
}
</style>
