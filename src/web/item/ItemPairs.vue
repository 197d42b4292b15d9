<script setup lang="ts">
import { ref } from 'vue'
import type { PairView } from '#contract/beside-item'
import type { ListedItem } from '#contract/item'
import NumberField from '#web/ui/form/NumberField.vue'
import { newId } from '#web/data/client'
import { useChanges } from '#web/data/changes'
import { useHerDay } from '#web/data/her-day'
import ChoiceRow from '#web/ui/form/ChoiceRow.vue'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import ItemPicker from '#web/ui/ItemPicker.vue'
import { callIt } from '#web/ui/words/item-words'
import ItemTogether from './ItemTogether.vue'
import MixHelper from './MixHelper.vue'

/** What it goes with and what it fights with; for two that are mixed, the ratio. */
const props = defineProps<{ item: ListedItem; pairs: readonly PairView[] }>()
const changes = useChanges()
const picking = ref(false)
const mixing = ref(false)
const herDay = useHerDay()
const other = ref<ListedItem | null>(null)
const draft = useDraft(() => ({
  verdict: 'works' as 'works' | 'fights' | null,
  mine: '',
  theirs: '',
  unit: 'pumps' as 'pumps' | 'drops',
  words: '',
}))
const { typed, on } = draft

function pick(item: ListedItem): void {
  picking.value = false
  draft.begin()
  other.value = item
}

async function store(): Promise<void> {
  if (!other.value) return
  const { verdict, mine, theirs, unit, words } = typed.value
  const ratio = verdict === 'works' && mine !== '' && theirs !== ''
  const done = await draft.store('POST', `/items/${props.item.id}/pairs`, {
    id: draft.id('pair'),
    otherItemId: other.value.id,
    verdict: verdict ?? 'works',
    itemAmount: ratio ? Number(mine) : null,
    otherAmount: ratio ? Number(theirs) : null,
    amountUnit: ratio ? unit : null,
    words,
  })
  if (done) other.value = null
}

function ratioWords(pair: PairView): string {
  return pair.amountUnit === null ? '' : `${pair.itemAmount ?? ''} to ${pair.otherAmount ?? ''} ${pair.amountUnit}`
}

/** The recipe again: both ticked, with their amounts, as one mix; each act waits for the one before. */
async function wearMixed(pair: PairView): Promise<void> {
  const { today: day } = herDay
  if (day === null) return
  await changes.run('POST', '/wear/mixed', {
    changeId: newId(),
    mixId: newId(),
    day,
    pairId: pair.id,
  })
}

function drop(pair: PairView): void {
  void changes.run('POST', `/pairs/${pair.id}/drop`, { changeId: newId() })
}
</script>

<template>
  <section aria-label="Pairs">
    <ul class="my-2">
      <li class="d-flex touch align-center ga-2" v-for="pair in pairs" :key="pair.id">
        <strong>{{ pair.verdict === 'works' ? 'with' : 'not with' }}</strong>
        <RouterLink :to="`/items/${pair.otherItemId}`">{{ pair.other }}</RouterLink>
        <span class="quiet">{{ [ratioWords(pair), pair.words].filter(Boolean).join(', ') }}</span>
        <span
          v-if="pair.targetColour"
          class="aim"
          role="img"
          :aria-label="`aimed at ${pair.targetColour}`"
          :style="{ background: pair.targetColour }"
        ></span>
        <button
          v-if="pair.amountUnit !== null && item.endedOn === null"
          type="button"
          class="text-act"
          :aria-label="`Worn mixed with ${pair.other} today`"
          @click="wearMixed(pair)"
        >
          worn so today
        </button>
        <button type="button" class="text-act" :aria-label="`Remove the pair with ${pair.other}`" @click="drop(pair)">
          remove
        </button>
      </li>
      <li v-if="pairs.length === 0" class="quiet d-flex touch align-center ga-2">
        Nothing recorded yet. Items that peel or pill together are never suggested together.
      </li>
    </ul>
    <ItemTogether :item="item" />
    <div class="choices">
      <v-btn variant="outlined" color="primary" @click="picking = true">Add a pair</v-btn>
      <v-btn v-if="item.parts.length === 0 && item.endedOn === null" variant="text" @click="mixing = true"
        >Mix towards a colour</v-btn
      >
    </div>
    <MixHelper v-if="mixing" :item="item" @close="mixing = false" />
    <FormDialog
      v-if="other"
      :title="`With ${callIt(other)}`"
      label="A pair"
      :draft="draft"
      act="Save"
      @close="other = null"
      @store="store"
    >
      <ChoiceRow
        v-model="typed.verdict"
        label="Together they"
        :options="['works', 'fights']"
        :words="{ works: 'go well', fights: 'fight: peel, pill, patch' }"
      />
      <div v-if="typed.verdict === 'works'" class="ratio d-grid ga-2">
        <NumberField text v-model="typed.mine" label="Of this" :error-messages="on('itemAmount')" />
        <NumberField text v-model="typed.theirs" label="Of the other" :error-messages="on('otherAmount')" />
        <v-select v-model="typed.unit" label="In" :items="['pumps', 'drops']" />
      </div>
      <v-text-field v-model="typed.words" label="In a few words" :error-messages="on('words')" />
    </FormDialog>
    <ItemPicker
      v-if="picking"
      v-model="picking"
      title="A pair with"
      action="Choose"
      :exclude="[item.id]"
      @pick="pick"
    />
  </section>
</template>

<style scoped>
.aim {
  width: 26px;
  height: 26px;
  border: 1px solid var(--line);
  border-radius: 5px;
}

.ratio {
  grid-template-columns: repeat(3, 1fr);
}
</style>
