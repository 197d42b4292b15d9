<script setup lang="ts">
import { computed, ref } from 'vue'
import type { ListedItem } from '#contract/item'
import { useDecide, useDoubts } from '#web/data/reads'
import { useItemActs } from '#web/ui/acts/item-acts'
import ItemPicker from '#web/ui/ItemPicker.vue'
import PlaceHead from '#web/ui/PlaceHead.vue'
import DoubtList from './DoubtList.vue'
import EmptyDecide from './EmptyDecide.vue'
import TrialCards from './TrialCards.vue'
import TrialsDialog from './TrialsDialog.vue'
import VerdictList from './VerdictList.vue'

const acts = useItemActs()
const { answer } = useDecide()
const doubts = useDoubts(null)
const picking = ref(false)
const together = ref<readonly ListedItem[]>([])
const nothing = computed(
  () =>
    answer.value?.trials.length === 0 &&
    answer.value.verdicts.length === 0 &&
    doubts.answer.value?.inDoubt.length === 0,
)
/** Trials whose time has come; the others have a tab of their own. */
const due = computed(() => (answer.value?.trials ?? []).filter((trial) => trial.decisionDue))

function start(item: ListedItem): void {
  picking.value = false
  void acts.begin('trial', item)
}
</script>

<template>
  <PlaceHead
    :acts="[{ words: 'Special items', to: '/keep/special' }]"
    question="Does it stay?"
    :primary="{ words: 'Put an item on trial', act: () => (picking = true) }"
  />
  <template v-if="answer">
    <EmptyDecide v-if="nothing" @start="picking = true" />
    <section v-if="due.length > 0" aria-label="Due">
      <h2>Time to decide</h2>
      <TrialCards :trials="due" :today="answer.today" />
    </section>
    <DoubtList @trial="together = $event" />
    <VerdictList :verdicts="answer.verdicts" :in-all="answer.verdictsInAll" />
    <TrialsDialog v-if="together.length > 0" :items="together" :today="answer.today" @close="together = []" />
    <ItemPicker
      v-if="picking"
      v-model="picking"
      title="Put on trial"
      action="Choose"
      :exclude="answer.trials.map((trial) => trial.item.id)"
      @pick="start"
    />
  </template>
</template>
