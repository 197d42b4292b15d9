<script setup lang="ts">
import { computed } from 'vue'
import { addDays, type Day } from '#core/calendar/day'
import { FINISHES, type Finish } from '#core/item/traits'
import type { WishView } from '#contract/buying'
import NumberField from '#web/ui/form/NumberField.vue'
import { useStock } from '#web/data/stock'
import ChoiceRow from '#web/ui/form/ChoiceRow.vue'
import DayField from '#web/ui/form/DayField.vue'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { priceText, typedPrice } from '#web/ui/form/typed-price'
import SwatchField from '#web/ui/form/SwatchField.vue'
import { useDraft } from '#web/ui/form/use-draft'

/** What she would like, why, and how long she waits. */
const props = defineProps<{
  today: Day
  wish: WishView | null
  begin?: { categoryId: string | null; colour: string | null; priceMinor: number | null }
}>()
const emit = defineEmits<{ close: [] }>()
const stock = useStock()
const WAITS = ['no wait', '3 days', '2 weeks', 'a month', 'until a day'] as const
type Wait = (typeof WAITS)[number]
const WAIT_DAYS: Readonly<Partial<Record<Wait, number>>> = { '3 days': 3, '2 weeks': 14, 'a month': 30 }
const minor = props.wish?.priceMinor ?? props.begin?.priceMinor ?? null
/** As it was when the form was opened: what another window stores meanwhile is not written over unseen. */
const version = props.wish?.version ?? 0
const draft = useDraft(() => ({
  categoryId: props.wish?.categoryId ?? props.begin?.categoryId ?? null,
  maker: props.wish?.maker ?? '',
  name: props.wish?.name ?? '',
  shade: props.wish?.shade ?? '',
  colour: props.wish?.colour ?? props.begin?.colour ?? null,
  finish: (props.wish?.finish ?? null) as Finish | null,
  price: priceText(minor, stock.currency),
  reason: props.wish?.reason ?? '',
  wait: (props.wish ? (props.wish.waitUntil === null ? 'no wait' : 'until a day') : '2 weeks') as Wait | null,
  waitUntil: (props.wish?.waitUntil ?? '') as string,
}))
const { typed, on } = draft
const price = computed(() => typedPrice(typed.value.price, stock.currency))
const priceError = computed(() => [...price.value.errors, ...on('priceMinor')])
const waitUntil = computed(() => {
  const { wait } = typed.value
  const days = wait === null ? undefined : WAIT_DAYS[wait]
  if (days !== undefined) return addDays(props.today, days)
  return wait === 'until a day' ? typed.value.waitUntil || null : null
})

async function store(): Promise<void> {
  const { categoryId, maker, name, shade, colour, finish, reason } = typed.value
  const fields = {
    categoryId,
    maker,
    name,
    shade,
    colour,
    finish,
    reason,
    priceMinor: price.value.minor,
    waitUntil: waitUntil.value,
  }
  const done =
    props.wish === null
      ? await draft.store('POST', '/wishes', { id: draft.id('wish'), ...fields })
      : await draft.store('PUT', `/wishes/${props.wish.id}`, { version, ...fields })
  if (done) emit('close')
}
</script>

<template>
  <FormDialog
    :title="wish ? 'Edit' : 'Add to wish list'"
    :draft="draft"
    act="Save"
    :ready="typed.categoryId !== null && typed.name.trim() !== '' && price.errors.length === 0"
    @close="emit('close')"
    @store="store"
  >
    <v-text-field v-model="typed.name" label="What is it?" :error-messages="on('name')" />
    <div class="side-by-side">
      <v-text-field v-model="typed.maker" label="Brand" :error-messages="on('maker')" />
      <v-text-field v-model="typed.shade" label="Shade" :error-messages="on('shade')" />
    </div>
    <v-autocomplete
      v-model="typed.categoryId"
      label="What type"
      :items="stock.categories.map((each) => ({ title: each.name, value: each.id }))"
      :error-messages="on('categoryId')"
    />
    <div class="side-by-side">
      <NumberField text v-model="typed.price" :label="`Price, ${stock.currency}`" :error-messages="priceError" />
      <v-select v-model="typed.finish" label="Finish" clearable :items="FINISHES" :error-messages="on('finish')" />
    </div>
    <SwatchField v-model="typed.colour" label="Its colour" />
    <v-textarea v-model="typed.reason" rows="2" label="Why do I want it?" :error-messages="on('reason')" />
    <ChoiceRow v-model="typed.wait" label="I wait" :options="WAITS" />
    <DayField
      v-if="typed.wait === 'until a day'"
      v-model="typed.waitUntil"
      label="Until"
      :min="today"
      :error-messages="on('waitUntil')"
    />
  </FormDialog>
</template>
