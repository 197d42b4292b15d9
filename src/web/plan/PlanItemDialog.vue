<script setup lang="ts">
import { computed } from 'vue'
import type { Day } from '#core/calendar/day'
import type { PlanThing } from '#core/plan/schedule/basis'
import { median } from '#core/lists/median'
import { endOf } from '#core/plan/schedule/span'
import { WORTH, worthOf, worthParts } from '#core/plan/schedule/worth'
import type { ListedItem } from '#contract/item'
import { newId } from '#web/data/client'
import { useChanges } from '#web/data/changes'
import ChoiceRow from '#web/ui/form/ChoiceRow.vue'
import { numberWords } from '#web/data/locale'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { callIt, fullName, kindAndMaker, usesWords } from '#web/ui/words/item-words'
import { monthNameWords, monthWords, shortDay } from '#web/ui/words/when-words'
import { lineWords } from './plan-words'
import type { ShownPlan } from './use-plan'

/** One thing of the plan: how it goes, her moves with buttons, and her word for it. */
const props = defineProps<{
  item: ListedItem
  thing: PlanThing
  plan: ShownPlan
  /** Her moves of it, by month. */
  moves: ReadonlyMap<string, boolean>
  today: Day
}>()
const emit = defineEmits<{ close: [] }>()
const changes = useChanges()
const line = computed(() => props.plan.lines.find(({ itemId }) => itemId === props.item.id) ?? null)
const months = computed(() => props.plan.made.span.months)
const lies = computed(() => months.value.map((_, month) => line.value?.lies[month] === true))
const draft = useDraft(() => ({
  said: (props.thing.said ?? 'plan') as 'plan' | 'in' | 'no' | null,
  weight: props.thing.weight === null ? '' : String(props.thing.weight),
  mostAWeek: props.thing.mostAWeek === null ? '' : String(props.thing.mostAWeek),
}))
const { typed, on } = draft
const usual = computed(() => median(props.plan.made.things.flatMap(({ moneyLeft }) => moneyLeft ?? [])))
const facts = computed(() => ({
  ...props.thing,
  usualMoney: usual.value,
  inProject: props.thing.projectIds.length > 0,
}))
const sum = computed(() => worthOf({ ...facts.value, weight: null }, props.today))
const worth = computed(() => {
  const parts = worthParts(facts.value, props.today)
  const said = (name: string, value: number): string[] =>
    Math.round(value) === 0 ? [] : [`${value > 0 ? '+' : '−'} ${Math.abs(Math.round(value))} ${name}`]
  return [
    String(WORTH.base),
    ...said('for how much you like it', parts.liking),
    ...said('for the money left in it', parts.money),
    ...said('for its use-by date', parts.expiry),
    ...said('for its project', parts.project),
    ...said('for being up next', parts.upNext),
  ].join(' ')
})
const needs = computed(() => {
  const { needs } = props.thing
  const at = (share: number): number => Math.ceil((needs[Math.floor(share * needs.length)] ?? 1) - 0.01)
  const [low, middle, high] = [at(0.1), at(0.5), at(0.9)]
  const left =
    low === high
      ? `${usesWords(middle)} to its goal.`
      : `About ${usesWords(middle)} to its goal, likely ${low} to ${high}.`
  const { pace } = props.thing
  return pace === null ? left : `${left} You’re at ${numberWords(pace, 1)} a week.`
})

async function put(moves: readonly { month: string; lies: boolean | null }[]): Promise<void> {
  await changes.run('PUT', `/plan/moves/${props.item.id}`, { changeId: newId(), moves })
}

/** In or out of the drawer for one month, whatever the plan says. */
function toggle(month: number): void {
  void put([{ month: months.value[month] ?? '', lies: lies.value[month] !== true }])
}

/** The twin of dragging: the whole stay a month earlier or later. */
function shift(by: 1 | -1): void {
  void put(months.value.map((month, at) => ({ month, lies: lies.value[at - by] === true })))
}
const mayShift = computed(() => ({
  earlier: lies.value.includes(true) && lies.value[0] !== true,
  later: lies.value.includes(true) && lies.value.at(-1) !== true,
}))

async function store(): Promise<void> {
  const { said, weight, mostAWeek } = typed.value
  const number = (text: string): number | null => (text.trim() === '' ? null : Number(text.replace(',', '.')))
  const done = await draft.store('PUT', `/plan/words/${props.item.id}`, {
    id: draft.id('word'),
    said: said === 'plan' ? null : said,
    weight: number(weight),
    mostAWeek: number(mostAWeek),
  })
  if (done) emit('close')
}
</script>

<template>
  <FormDialog :title="fullName(item)" :draft="draft" act="Save" :width="620" @close="emit('close')" @store="store">
    <template #head>
      <div class="head d-flex align-center ga-4">
        <ItemGauge :item="item" size="middle" />
        <div>
          <h2 tabindex="-1">{{ fullName(item) }}</h2>
          <p class="quiet mt-1">{{ kindAndMaker(item) }}</p>
          <p class="mt-1">{{ needs }}</p>
          <template v-if="line"
            ><p class="mt-1" v-for="words in lineWords(line, plan.made.span, today)" :key="words">
              {{ words }}
            </p></template
          >
          <p class="mt-1" v-else>
            It isn’t in the drawer in this plan, which ends on {{ shortDay(endOf(plan.made.span), today) }}.
          </p>
        </div>
      </div>
    </template>
    <fieldset>
      <legend class="font-weight-semibold pa-0">In the drawer</legend>
      <div class="choices d-flex flex-wrap my-1 mx-0 ga-2">
        <button
          v-for="(month, n) in months"
          :key="month"
          type="button"
          class="choice"
          :aria-pressed="lies[n]"
          :aria-label="`${monthWords(month, today)}: ${lies[n] ? 'in the drawer' : 'not in the drawer'}${moves.has(month) ? ', your choice' : ''}`"
          @click="toggle(n)"
        >
          {{ monthNameWords(month) }}{{ moves.has(month) ? ' ·' : '' }}
        </button>
      </div>
      <div class="choices d-flex flex-wrap my-1 mx-0 ga-2">
        <v-btn variant="outlined" color="primary" :disabled="!mayShift.earlier" @click="shift(-1)"
          >A month earlier</v-btn
        >
        <v-btn variant="outlined" color="primary" :disabled="!mayShift.later" @click="shift(1)">A month later</v-btn>
        <v-btn
          v-if="moves.size > 0"
          variant="text"
          @click="put([...moves.keys()].map((month) => ({ month, lies: null })))"
          >Let the plan decide</v-btn
        >
      </div>
      <p class="quiet">The plan fills in around what you set. Months with a dot are yours.</p>
    </fieldset>
    <ChoiceRow
      v-model="typed.said"
      label="Your choice"
      :options="['plan', 'in', 'no']"
      :words="{ plan: 'let the plan decide', in: 'always include', no: 'not now' }"
    />
    <div class="two d-grid ga-2">
      <v-text-field
        v-model="typed.mostAWeek"
        inputmode="numeric"
        label="Most uses a week"
        hint="empty: every wear day"
        persistent-hint
        :error-messages="on('mostAWeek')"
      />
      <v-text-field
        v-model="typed.weight"
        inputmode="numeric"
        label="Priority, 1 to 100"
        :hint="`empty: ${sum}`"
        persistent-hint
        :error-messages="on('weight')"
      />
    </div>
    <p class="quiet">By itself {{ callIt(item) }} weighs {{ sum }}: {{ worth }}.</p>
  </FormDialog>
</template>

<style scoped>
.two {
  grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
}
</style>
