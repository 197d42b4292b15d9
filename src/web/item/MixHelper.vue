<script setup lang="ts">
import { computed } from 'vue'
import { nearnessOf } from '#core/colour/difference'
import { mixed, mixTowards } from '#core/colour/mixing'
import type { ListedItem } from '#contract/item'
import { numberWords } from '#web/data/locale'
import { useStock } from '#web/data/stock'
import ChoiceRow from '#web/ui/form/ChoiceRow.vue'
import FormDialog from '#web/ui/form/FormDialog.vue'
import SwatchField from '#web/ui/form/SwatchField.vue'
import { useDraft } from '#web/ui/form/use-draft'
import { callIt, shortName } from '#web/ui/words/item-words'

/** Two bases towards a colour: where to begin in pumps or drops, and what really worked, which is what is kept. */
const props = defineProps<{ item: ListedItem }>()
const emit = defineEmits<{ close: [] }>()
const stock = useStock()
const MOST = 6
const draft = useDraft(() => ({
  otherId: null as string | null,
  target: null as string | null,
  mine: null as number | null,
  theirs: null as number | null,
  unit: 'pumps' as 'pumps' | 'drops' | null,
  words: '',
}))
const { typed, on } = draft
const partners = computed(() =>
  stock.items.filter(
    (each) =>
      each.id !== props.item.id && each.colour !== null && each.parts.length === 0 && each.wornAs === props.item.wornAs,
  ),
)
const other = computed(() => partners.value.find(({ id }) => id === typed.value.otherId) ?? null)
const start = computed(() =>
  props.item.colour === null || !other.value?.colour || typed.value.target === null
    ? null
    : mixTowards(props.item.colour, other.value.colour, typed.value.target),
)
const parts = computed<readonly [number, number]>(() => [
  typed.value.mine ?? start.value?.parts[0] ?? 1,
  typed.value.theirs ?? start.value?.parts[1] ?? 1,
])
const comesOut = computed(() => {
  const [a, b] = parts.value
  return props.item.colour === null || !other.value?.colour || a + b === 0
    ? null
    : mixed(props.item.colour, other.value.colour, b / (a + b))
})

async function store(): Promise<void> {
  if (!other.value) return
  const [itemAmount, otherAmount] = parts.value
  const { unit, words, target } = typed.value
  const done = await draft.store('POST', `/items/${props.item.id}/pairs`, {
    id: draft.id('pair'),
    otherItemId: other.value.id,
    verdict: 'works',
    itemAmount,
    otherAmount,
    amountUnit: unit ?? 'pumps',
    words,
    targetColour: target,
  })
  if (done) emit('close')
}
</script>

<template>
  <FormDialog
    :title="`Mix ${shortName(item)} with another`"
    :draft="draft"
    act="Save"
    :ready="other !== null && parts[0] > 0 && parts[1] > 0"
    @close="emit('close')"
    @store="store"
  >
    <p v-if="item.colour === null" class="caution">It has no swatch yet. Record one first.</p>
    <template v-else>
      <v-autocomplete
        v-model="typed.otherId"
        :label="`With which ${item.wornAs}`"
        :items="partners.map((each) => ({ title: callIt(each), value: each.id }))"
        no-data-text="No other of its use has a swatch."
      />
      <SwatchField v-model="typed.target" label="Towards this colour" />
      <template v-if="other && other.colour">
        <div
          class="strip d-flex rounded-lg pa-3"
          role="img"
          :aria-label="`${shortName(item)}, the mix, ${shortName(other)}${typed.target ? ', the colour aimed at' : ''}`"
        >
          <span class="flex-1-1-0" :style="{ background: item.colour }"></span>
          <span class="mix flex-1-1-0" :style="{ background: comesOut ?? undefined }"></span>
          <span class="flex-1-1-0" :style="{ background: other.colour }"></span>
          <span v-if="typed.target" class="flex-1-1-0 ms-3" :style="{ background: typed.target }"></span>
        </div>
        <p v-if="start" class="quiet">
          Begin with {{ start.parts[0] }} to {{ start.parts[1] }}: by its swatches
          {{ nearnessOf(start.difference) }} ({{ numberWords(start.difference, 1) }}) to what you aim at. That’s from
          the colours on screen: what works on your skin wins.
        </p>
        <div class="side-by-side">
          <v-number-input
            :model-value="parts[0]"
            :min="0"
            :max="MOST"
            :step="0.5"
            :precision="1"
            :label="`Of ${shortName(item)}`"
            :error-messages="on('itemAmount')"
            @update:model-value="(value: number | null) => (typed.mine = value)"
          />
          <v-number-input
            :model-value="parts[1]"
            :min="0"
            :max="MOST"
            :step="0.5"
            :precision="1"
            :label="`Of ${shortName(other)}`"
            :error-messages="on('otherAmount')"
            @update:model-value="(value: number | null) => (typed.theirs = value)"
          />
        </div>
        <ChoiceRow v-model="typed.unit" label="In" :options="['pumps', 'drops']" />
        <v-text-field v-model="typed.words" label="In a few words" :error-messages="on('words')" />
      </template>
    </template>
  </FormDialog>
</template>

<style scoped>
.strip {
  height: 84px;
  background: #8f9498;
}

.strip .mix {
  flex: 1.6;
}
</style>
