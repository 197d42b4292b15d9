<script setup lang="ts">
import { computed, ref } from 'vue'
import { AMOUNT_UNITS } from '#core/wear/day-choices'
import type { Day } from '#core/calendar/day'
import type { Aspect, Felt } from '#core/decide/feelings'
import type { ListedItem } from '#contract/item'
import type { Worn } from '#contract/today'
import { useChanges } from '#web/data/changes'
import { newId } from '#web/data/client'
import { useFeelings } from '#web/data/reads'
import { useStock } from '#web/data/stock'
import { useTicks } from '#web/data/ticks'
import FeltTaps from '#web/ui/FeltTaps.vue'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useOpenDrafts } from '#web/ui/form/open-drafts'
import { useDraft } from '#web/ui/form/use-draft'
import { shortName } from '#web/ui/words/item-words'

/** How things were worn: as what, how much, mixed with what, how it felt. One thing at a time, all optional. */
const props = defineProps<{ look: readonly ListedItem[]; worn: readonly Worn[]; day: Day }>()
const emit = defineEmits<{ close: [] }>()
const stock = useStock()
const ticks = useTicks()
const drafts = useOpenDrafts()
const at = ref(props.look[0]?.id ?? '')
const item = computed(() => props.look.find((each) => each.id === at.value))
/** Of the wear as it was when what is typed was begun. */
const version = ref(1)
const wear = computed(() => props.worn.find((each) => each.itemId === at.value))
const others = computed(() => props.look.filter((each) => each.id !== at.value))
const draft = useDraft(() => {
  const now = props.worn.find((each) => each.itemId === at.value)
  return {
    usedAs: now?.usedAs ?? null,
    amount: now?.amount ?? null,
    amountUnit: now?.amountUnit ?? null,
    felt: now?.felt ?? '',
    partner: null as string | null,
    ratio: '2 to 1',
  }
})
const { typed } = draft
const feelings = useFeelings(() => props.day)
const changes = useChanges()
const felt = computed(() => feelings.answer.value?.worn.find((each) => each.itemId === at.value)?.felt ?? [])

function feel(aspect: Aspect, how: Felt | null): void {
  const body = { changeId: newId(), itemId: at.value, day: props.day, felt: [{ aspect, felt: how }], words: null }
  void changes.run('POST', '/feelings', body)
}

async function choose(id: string): Promise<void> {
  if (!(await drafts.mayLeave(() => draft.isTyped.value))) return
  at.value = id
  begin()
}

function begin(): void {
  version.value = wear.value?.version ?? 1
  draft.begin()
}
begin()

function store(): void {
  const { usedAs, amount, amountUnit, felt, partner, ratio } = typed.value
  const unit = amount === null ? null : (amountUnit ?? 'pumps')
  ticks.setDetails(props.day, { itemId: at.value, usedAs, amount, amountUnit: unit, felt, version: version.value })
  if (partner !== null) ticks.mix(props.day, [at.value, partner], ratio)
  version.value += 1
  draft.begin({ ...typed.value, partner: null })
}
</script>

<template>
  <FormDialog
    title="How it was worn"
    :draft="draft"
    :act="item ? `Save for ${shortName(item)}` : undefined"
    cancel="Close"
    :ready="typed.partner === null || typed.ratio.trim() !== ''"
    :width="620"
    @close="emit('close')"
    @store="store"
  >
    <div class="choices" role="group" aria-label="Which">
      <button
        v-for="each in look"
        :key="each.id"
        type="button"
        class="choice"
        :aria-pressed="each.id === at"
        @click="choose(each.id)"
      >
        {{ shortName(each) }}
      </button>
    </div>
    <template v-if="item">
      <v-autocomplete
        v-model="typed.usedAs"
        clearable
        :label="`Worn as (else ${item.wornAs})`"
        :items="stock.categories.map((each) => ({ title: each.name, value: each.id }))"
      />
      <div class="side-by-side">
        <v-number-input
          v-model="typed.amount"
          :min="0.1"
          :max="100"
          :step="0.5"
          :precision="null"
          label="How much"
          clearable
        />
        <v-select v-model="typed.amountUnit" label="of" clearable :items="AMOUNT_UNITS" />
      </div>
      <template v-if="others.length > 0">
        <p v-if="wear?.mix" class="quiet">Mixed {{ wear.mix.ratio }} already; choosing again replaces it.</p>
        <div class="side-by-side">
          <v-select
            v-model="typed.partner"
            label="Mixed with"
            clearable
            :items="others.map((each) => ({ title: shortName(each), value: each.id }))"
          />
          <v-text-field v-model="typed.ratio" maxlength="60" label="Ratio" :disabled="typed.partner === null" />
        </div>
      </template>
      <FeltTaps :key="at" :felt="felt" :of="shortName(item)" @feel="feel" />
      <v-text-field v-model="typed.felt" maxlength="300" label="How it felt" placeholder="patchy by noon" />
    </template>
  </FormDialog>
</template>
