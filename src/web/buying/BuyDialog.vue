<script setup lang="ts">
import { computed } from 'vue'
import type { Day } from '#core/calendar/day'
import type { WishView } from '#contract/buying'
import NumberField from '#web/ui/form/NumberField.vue'
import { useStock } from '#web/data/stock'
import DayField from '#web/ui/form/DayField.vue'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { priceText, typedPrice } from '#web/ui/form/typed-price'
import { useDraft } from '#web/ui/form/use-draft'

/** A wish that came true: it arrives unopened, with its story. */
const props = defineProps<{ today: Day; wish: WishView }>()
const emit = defineEmits<{ close: [] }>()
const stock = useStock()
const draft = useDraft(() => ({ day: props.today as string, price: priceText(props.wish.priceMinor, stock.currency) }))
const { typed, on } = draft
const price = computed(() => typedPrice(typed.value.price, stock.currency))

async function store(): Promise<void> {
  const body = { itemId: draft.id('item'), day: typed.value.day, priceMinor: price.value.minor }
  if (await draft.store('POST', `/wishes/${props.wish.id}/bought`, body)) emit('close')
}
</script>

<template>
  <FormDialog
    :title="`${wish.name} is bought`"
    :draft="draft"
    act="Add to the collection"
    :ready="typed.day !== '' && price.errors.length === 0"
    @close="emit('close')"
    @store="store"
  >
    <p v-if="wish.daysToWait > 0" class="caution">
      You wanted to wait {{ wish.daysToWait }} {{ wish.daysToWait === 1 ? 'day' : 'days' }} more.
    </p>
    <p class="quiet">It’s added unopened, with why you wanted it and how long you waited.</p>
    <DayField v-model="typed.day" label="Bought on" :max="today" :error-messages="on('day')" />
    <NumberField
      text
      v-model="typed.price"
      :label="`What it cost, ${stock.currency}`"
      :error-messages="[...price.errors, ...on('priceMinor')]"
    />
  </FormDialog>
</template>
