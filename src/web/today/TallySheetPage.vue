<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { addMonths, dayOf, daysInMonth, fieldsOf, type Day } from '#core/calendar/day'
import { mdiChevronLeft, mdiChevronRight } from '@mdi/js'
import type { ChangeNote } from '#contract/basic'
import type { ListedItem } from '#contract/item'
import { dayFormat } from '#web/data/locale'
import { useRead } from '#web/data/reads'
import { useStock } from '#web/data/stock'
import FormTrouble from '#web/ui/form/FormTrouble.vue'
import { useDraft } from '#web/ui/form/use-draft'
import ItemPicker from '#web/ui/ItemPicker.vue'
import PlaceHead from '#web/ui/PlaceHead.vue'
import { usesWords } from '#web/ui/words/item-words'
import TallyPaper from './TallyPaper.vue'

/** A paper sheet of strokes typed in, month by month: a row for each thing, a square for each day. */
const stock = useStock()
const draft = useDraft(() => ({ ticks: {} as Record<string, Day[]>, unticked: {} as Record<string, Day[]> }))
const { typed } = draft
const monthName = dayFormat({ month: 'long', year: 'numeric' })
/** The first day of the month that lies open. */
const month = ref<Day | null>(null)
const rows = ref<ListedItem[]>([])
const picking = ref(false)
const stored = ref('')

watch(
  () => stock.today,
  (today) => {
    if (today === null || month.value !== null) return
    month.value = addMonths(firstOf(today), -1)
    rows.value = stock.items.filter((item) => item.placement !== null)
  },
  { immediate: true },
)
const days = computed<Day[]>(() => {
  if (month.value === null) return []
  const { year, month: number } = fieldsOf(month.value)
  const all = Array.from({ length: daysInMonth(year, number) }, (_, at) => dayOf(year, number, at + 1))
  return all.filter((day): day is Day => day !== null && (stock.today === null || day <= stock.today))
})
const isLast = computed(() => stock.today === null || month.value === null || month.value >= firstOf(stock.today))
/** Of every month that was typed in, not only of the one that lies open. */
const sumOf = (days: Record<string, Day[]>): number => Object.values(days).reduce((sum, each) => sum + each.length, 0)
const count = computed(() => sumOf(typed.value.ticks))
const removing = computed(() => sumOf(typed.value.unticked))
const toSave = computed(() =>
  [
    ...(count.value > 0 || removing.value === 0 ? [usesWords(count.value)] : []),
    ...(removing.value > 0 ? [`${removing.value} removed`] : []),
  ].join(', '),
)
/** What the log holds of this month already: on the sheet in another ink. */
const log = useRead<{ worn: { itemId: string; day: Day }[] }>(
  () => ['worn-days', days.value[0] ?? '', days.value.at(-1) ?? ''],
  () => (days.value.length === 0 ? null : `/worn-days?from=${days.value[0]}&to=${days.value.at(-1)}`),
)
/** Until it is known what is there, an empty square would be no answer. */
const opened = ref(false)
watch(log.answer, (now) => (opened.value ||= now !== null), { immediate: true })
const there = computed(() => new Set((log.answer.value?.worn ?? []).map((each) => `${each.itemId} ${each.day}`)))

function firstOf(day: Day): Day {
  return `${day.slice(0, 7)}-01` as Day
}

function turn(by: number): void {
  if (month.value !== null) month.value = addMonths(month.value, by)
}

function toggle(itemId: string, day: Day): void {
  // What was ticked before is unticked by the same tap.
  const which = there.value.has(`${itemId} ${day}`) ? 'unticked' : 'ticks'
  const now = typed.value[which][itemId] ?? []
  const after = now.includes(day) ? now.filter((each) => each !== day) : [...now, day]
  typed.value[which] = { ...typed.value[which], [itemId]: after }
}

async function store(): Promise<void> {
  const asked = count.value
  const { ticks, unticked } = typed.value
  const answer = await draft.store<{ added: number; removed: number; change: ChangeNote }>('POST', '/tally-sheet', {
    rows: [...new Set([...Object.keys(ticks), ...Object.keys(unticked)])].map((itemId) => ({
      itemId,
      days: ticks[itemId] ?? [],
      unticked: unticked[itemId] ?? [],
    })),
  })
  if (!answer) return
  stored.value = `${usesWords(answer.added)} saved${answer.added < asked ? `, ${asked - answer.added} were there already` : ''}${answer.removed > 0 ? `, ${answer.removed} removed` : ''}.`
  draft.begin({ ticks: {}, unticked: {} })
}

function add(item: ListedItem): void {
  picking.value = false
  if (!rows.value.some((row) => row.id === item.id)) rows.value = [...rows.value, item]
}
</script>

<template>
  <PlaceHead
    title="Fill in from paper"
    question="Which days did you tick on paper? Tap a tick that’s wrong to remove it."
    :primary="{ words: `Save ${toSave}`, act: store, disabled: count + removing === 0, busy: draft.busy.value }"
    :acts="[{ words: 'Add a row', act: () => (picking = true) }]"
  />
  <div class="month d-flex flex-wrap align-center mb-2 gr-1 gc-2">
    <v-btn variant="outlined" size="44" :icon="mdiChevronLeft" aria-label="The month before" @click="turn(-1)" />
    <strong class="figures">{{ month ? monthName(month) : '' }}</strong>
    <v-btn
      variant="outlined"
      size="44"
      :icon="mdiChevronRight"
      aria-label="The month after"
      :disabled="isLast"
      @click="turn(1)"
    />
    <span class="quiet">By keyboard: type the day, then the space bar; arrows move.</span>
  </div>
  <p v-if="stored" class="inset stored py-3 px-4" role="status">{{ stored }}</p>
  <FormTrouble :refused="draft.refused.value" :out-of-reach="draft.outOfReach.value" />
  <TallyPaper
    v-if="opened"
    :rows="rows"
    :days="days"
    :ticks="typed.ticks"
    :unticked="typed.unticked"
    :there="there"
    @toggle="toggle"
  />
  <ItemPicker
    v-if="picking"
    v-model="picking"
    title="A row for"
    action="Add"
    :exclude="rows.map((row) => row.id)"
    @pick="add"
  />
</template>

<style scoped>
.month strong {
  min-width: 150px;
  text-align: center;
}
</style>
