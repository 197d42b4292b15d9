<script setup lang="ts">
import { computed } from 'vue'
import { addMonths, type Day } from '#core/calendar/day'
import type { ListedItem } from '#contract/item'
import type { PlanAnswer } from '#contract/planning'
import ChoiceRow from '#web/ui/form/ChoiceRow.vue'
import DayField from '#web/ui/form/DayField.vue'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import { callIt, shortName } from '#web/ui/words/item-words'
import type { ShownPlan } from './use-plan'
import { deadlineIf, noBuyingIf, panIf, slotIf, wearDaysIf, withoutIf, type WhatIf } from './what-ifs'

/** One thing otherwise: which. */
const props = defineProps<{
  plan: ShownPlan
  answer: PlanAnswer
  items: ReadonlyMap<string, ListedItem>
  today: Day
}>()
const emit = defineEmits<{ close: []; ask: [each: WhatIf] }>()
const KINDS = ['wear days', 'let go', 'buy nothing', 'pan', 'slot', 'deadline'] as const
const draft = useDraft(() => ({
  kind: 'wear days' as (typeof KINDS)[number] | null,
  by: '1' as '1' | '2' | '-1' | '-2' | null,
  ids: [] as string[],
  zoneId: null as string | null,
  day: addMonths(props.today, 3) as string,
}))
const { typed } = draft
const things = computed(() =>
  props.plan.lines.flatMap(({ itemId }) => {
    const item = props.items.get(itemId)
    return item ? [{ title: callIt(item), value: itemId }] : []
  }),
)
const zones = computed(() => props.answer.zones.map(({ id, name }) => ({ title: name, value: id })))

const asked = computed<WhatIf | null>(() => {
  const { kind, by, ids, zoneId, day } = typed.value
  const { setup } = props.plan
  const zone = props.answer.zones.find(({ id }) => id === zoneId)
  switch (kind) {
    case 'wear days':
      return by === null ? null : wearDaysIf(setup, Number(by), props.answer.perWeek)
    case 'let go': {
      const names = ids.flatMap((id) => {
        const item = props.items.get(id)
        return item ? [shortName(item)] : []
      })
      return ids.length === 0 ? null : withoutIf(setup, ids, names)
    }
    case 'buy nothing':
      return day <= props.today ? null : noBuyingIf(day as Day, props.today)
    case 'pan':
      return panIf()
    case 'slot':
      return zone ? slotIf(zone.id, zone.name) : null
    case 'deadline':
      return day <= props.today ? null : deadlineIf(day as Day, props.today)
    default:
      return null
  }
})
</script>

<template>
  <FormDialog
    title="What if"
    :draft="draft"
    act="Show"
    :ready="asked !== null"
    @close="emit('close')"
    @store="asked && emit('ask', asked)"
  >
    <ChoiceRow
      v-model="typed.kind"
      label="What if"
      :options="KINDS"
      :words="{
        'wear days': 'more or fewer wear days',
        'let go': 'let these go',
        'buy nothing': 'buy nothing for a while',
        pan: 'pan instead of finish, for powders',
        slot: 'one more slot',
        deadline: 'another date for the projects',
      }"
    />
    <ChoiceRow
      v-if="typed.kind === 'wear days'"
      v-model="typed.by"
      label="Wear days a week"
      :options="['-2', '-1', '1', '2']"
      :words="{ '-2': '2 fewer', '-1': '1 fewer', '1': '1 more', '2': '2 more' }"
    />
    <v-autocomplete
      v-if="typed.kind === 'let go'"
      v-model="typed.ids"
      multiple
      chips
      closable-chips
      label="What would go"
      :items="things"
    />
    <v-select v-if="typed.kind === 'slot'" v-model="typed.zoneId" label="In which zone" :items="zones" />
    <DayField
      v-if="typed.kind === 'buy nothing' || typed.kind === 'deadline'"
      v-model="typed.day"
      :label="typed.kind === 'deadline' ? 'Until' : 'Nothing before'"
    />
    <p class="quiet">It’s shown beside the plan. Nothing changes until you use it.</p>
  </FormDialog>
</template>
