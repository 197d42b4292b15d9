<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Day } from '#core/calendar/day'
import { FORMS } from '#core/item/form'
import { parseDecimal } from '#core/quantity/decimal'
import { BLANK_FIELDS } from '#core/item/fields-data'
import type { ListedItem } from '#contract/item'
import NumberField from '#web/ui/form/NumberField.vue'
import { useContainers } from '#web/data/reads'
import { useStock } from '#web/data/stock'
import ChoiceRow from '#web/ui/form/ChoiceRow.vue'
import DayField from '#web/ui/form/DayField.vue'
import FormDialog from '#web/ui/form/FormDialog.vue'
import SwatchField from '#web/ui/form/SwatchField.vue'
import { useDraft } from '#web/ui/form/use-draft'
import ItemPicker from '#web/ui/ItemPicker.vue'
import { callIt, shortName } from '#web/ui/words/item-words'
import type { ActResult } from './item-acts'

/** A new thing of two or more: what went in, in what shares, and what goes on. */
const props = defineProps<{ item: ListedItem; today: Day }>()
const emit = defineEmits<{ close: []; done: [result: ActResult] }>()
const stock = useStock()
const { answer: kept } = useContainers()
interface Parent {
  itemId: string
  name: string
  share: string
  usedUp: boolean
}
const parentOf = (item: ListedItem): Parent => ({ itemId: item.id, name: callIt(item), share: '', usedUp: false })
const draft = useDraft(() => ({
  name: `${shortName(props.item)} blend`,
  form: props.item.form,
  colour: props.item.colour,
  day: props.today as string,
  parents: [parentOf(props.item)],
  containerId: null as string | null,
}))
const { typed, on } = draft
const picking = ref(false)
const sum = computed(() => typed.value.parents.reduce((total, each) => total + (parseDecimal(each.share) ?? 0), 0))
const shared = computed(() => typed.value.parents.some((each) => each.share.trim() !== ''))
const wrongShares = computed(() => {
  const all = typed.value.parents.every((each) => each.share.trim() !== '')
  if (!shared.value) return ''
  if (!all) return 'Give each its share, or none.'
  return Math.abs(sum.value - 100) > 2 ? `The shares come to ${Math.round(sum.value)} %; let them come to 100 %.` : ''
})
const ready = computed(
  () => typed.value.parents.length > 1 && typed.value.name.trim() !== '' && wrongShares.value === '',
)
const containers = computed(() => [
  { title: 'not on the shelf', value: null },
  ...(kept.value?.containers ?? [])
    .filter((each) => each.goneOn === null && each.holds === null)
    .map((each) => ({ title: each.words, value: each.id })),
])
function pick(item: ListedItem): void {
  picking.value = false
  typed.value.parents.push(parentOf(item))
}

async function store(): Promise<void> {
  const { name, form, colour, day, parents, containerId } = typed.value
  const category = stock.categories.find((each) => each.id === props.item.categoryId)
  const answer = await draft.store('POST', '/blends', {
    id: draft.id('thing'),
    day,
    containerId,
    fields: {
      ...BLANK_FIELDS,
      name: name.trim(),
      categoryId: category?.id ?? props.item.categoryId,
      form,
      colour,
      usesBefore: 0,
    },
    parents: parents.map((parent) => {
      const share = parseDecimal(parent.share)
      return {
        id: draft.id(`parent ${parent.itemId}`),
        eventId: draft.id(`event ${parent.itemId}`),
        itemId: parent.itemId,
        grams: null,
        share: share === null ? null : share / 100,
        usedUp: parent.usedUp,
      }
    }),
  })
  if (answer) emit('done', {})
}
</script>

<template>
  <FormDialog
    title="Blend it with others"
    :label="`Blend ${callIt(item)} with others`"
    :draft="draft"
    act="Blend"
    :ready="ready"
    :width="640"
    @close="emit('close')"
    @store="store"
  >
    <p class="caution">
      Nothing blended is for the eye unless all of it is. No water, no saliva: damp products go off.
    </p>
    <ul class="parents">
      <li
        class="d-grid align-center hair-below py-2 px-0 gr-1 gc-2"
        v-for="(parent, n) in typed.parents"
        :key="parent.itemId"
      >
        <strong>{{ parent.name }}</strong>
        <NumberField
          text
          v-model="parent.share"
          placeholder="its share"
          suffix="%"
          :aria-label="`Share of ${parent.name}, %`"
        />
        <v-checkbox v-model="parent.usedUp" :label="'used up by it'" :aria-label="`${parent.name} is used up by it`" />
        <button
          v-if="n > 0"
          type="button"
          class="text-act"
          :aria-label="`Without ${parent.name}`"
          @click="typed.parents.splice(n, 1)"
        >
          without it
        </button>
      </li>
    </ul>
    <v-btn variant="outlined" color="primary" @click="picking = true">Add another item</v-btn>
    <p v-if="wrongShares || on('parents').length > 0" class="alarm">{{ wrongShares || on('parents')[0] }}</p>
    <v-text-field v-model="typed.name" label="Name of the blend" :error-messages="on('fields.name')" />
    <ChoiceRow
      v-model="typed.form"
      label="It’s in a"
      :options="FORMS.filter((form) => ['pot', 'jar', 'pressed', 'loose', 'pump', 'tube', 'dropper'].includes(form))"
    />
    <v-select
      v-model="typed.containerId"
      label="A kept container (optional)"
      :items="containers"
      :error-messages="on('containerId')"
    />
    <SwatchField v-model="typed.colour" label="Its colour" />
    <DayField v-model="typed.day" label="Blended on" :max="today" :error-messages="on('day')" />
    <p class="quiet">It’s good for as long as the first of them, and counts as no sun protection.</p>
    <ItemPicker
      v-if="picking"
      :model-value="true"
      title="Blend with what?"
      action="Add"
      :exclude="typed.parents.map((each) => each.itemId)"
      :first="(other: ListedItem) => other.categoryId === item.categoryId && other.lifecycle === 'open'"
      @update:model-value="picking = false"
      @pick="pick"
    />
  </FormDialog>
</template>

<style scoped>
.parents li {
  grid-template-columns: minmax(0, 1fr) 118px auto auto;
}

.phone .parents li {
  grid-template-columns: minmax(0, 1fr) 110px;
}
</style>
