<script setup lang="ts">
import { computed, ref } from 'vue'
import { counted } from '#core/words/counted'
import type { ListedItem } from '#contract/item'
import { useStock } from '#web/data/stock'
import EmptyPlace from '#web/ui/EmptyPlace.vue'
import FormTrouble from '#web/ui/form/FormTrouble.vue'
import SwatchField from '#web/ui/form/SwatchField.vue'
import { useDraft } from '#web/ui/form/use-draft'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import PlaceHead from '#web/ui/PlaceHead.vue'
import { callIt, kindAndMaker, shortName } from '#web/ui/words/item-words'

/** Guessed swatches confirmed or picked, a dozen at a time: what is right needs no tap of its own. */
const AT_ONCE = 12
const stock = useStock()
/** Passed over for now. */
const passed = ref<string[]>([])
const draft = useDraft(() => ({ picked: {} as Record<string, string | null> }))
const { typed } = draft
const guessed = computed(() => stock.items.filter((item) => item.colour === null && item.guess !== null))
const shown = computed(() => guessed.value.filter((item) => !passed.value.includes(item.id)).slice(0, AT_ONCE))

function colourOf(item: ListedItem): string | null {
  const { picked } = typed.value
  return item.id in picked ? (picked[item.id] ?? null) : item.guess
}

function pick(item: ListedItem, colour: string | null): void {
  typed.value.picked = { ...typed.value.picked, [item.id]: colour }
}

async function confirm(): Promise<void> {
  const swatches = shown.value.flatMap((item) => {
    const colour = colourOf(item)
    return colour === null ? [] : [{ itemId: item.id, colour }]
  })
  const left = shown.value.filter((item) => colourOf(item) === null).map((item) => item.id)
  if (swatches.length > 0 && !(await draft.store('POST', '/swatches', { swatches }))) return
  passed.value = [...passed.value, ...left]
  draft.begin({ picked: {} })
}
</script>

<template>
  <PlaceHead
    title="Swatches"
    :question="`${counted(guessed.length, 'colour')} guessed from words. Which are right? Pick where one is wrong, then confirm them all at once.`"
    :primary="{
      words: `These ${shown.length} are right`,
      act: confirm,
      disabled: shown.length === 0,
      busy: draft.busy.value,
    }"
    :acts="[
      {
        words: 'Others',
        act: () => (passed = [...passed, ...shown.map((item) => item.id)]),
        disabled: shown.length === 0,
      },
      { words: 'Done', to: '/collection' },
    ]"
  />
  <FormTrouble :refused="draft.refused.value" :out-of-reach="draft.outOfReach.value" />
  <ul v-if="shown.length > 0" class="tiles d-grid ga-2">
    <li v-for="item in shown" :key="item.id" class="sheet d-flex align-center pa-2 ga-3">
      <span class="plate d-grid align-center justify-items-center rounded-lg"
        ><ItemGauge :item="{ ...item, colour: colourOf(item), guess: null }" size="middle" :rail="false"
      /></span>
      <span class="words flex-1-1-0 min-w-0">
        <strong>{{ shortName(item) }}</strong>
        <span class="quiet d-block small">{{ kindAndMaker(item) }}</span>
      </span>
      <SwatchField
        :model-value="colourOf(item)"
        :label="`Swatch of ${callIt(item)}`"
        :guess="item.guess"
        small
        @update:model-value="(colour) => pick(item, colour)"
      />
    </li>
  </ul>
  <EmptyPlace v-else-if="stock.loaded" title="No guesses left" act="Back to the collection" to="/collection">
    Where you haven’t picked a colour, it’s guessed from the name of the shade and drawn hatched. A guess never counts
    as a colour.
  </EmptyPlace>
</template>

<style scoped>
.tiles {
  grid-template-columns: repeat(auto-fill, minmax(300px, 1fr));
}

.plate {
  width: 92px;
  height: 104px;
  background: var(--plate);
}
</style>
