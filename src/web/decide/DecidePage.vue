<script setup lang="ts">
import { computed, ref } from 'vue'
import type { ListedItem } from '#contract/item'
import type { TrialView } from '#contract/ending'
import { counted } from '#core/words/counted'
import { useDecide, useDoubts } from '#web/data/reads'
import { useItemActs } from '#web/ui/acts/item-acts'
import ItemPicker from '#web/ui/ItemPicker.vue'
import DecideHead from './DecideHead.vue'
import DoubtList from './DoubtList.vue'
import EmptyDecide from './EmptyDecide.vue'
import TrialCard from './TrialCard.vue'
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
/** Those held in one face stand together; the others beside each other. */
const faces = computed(() => {
  const found = new Map<string, TrialView[]>()
  for (const trial of answer.value?.trials ?? []) {
    const alone = answer.value?.trials.every((other) => other.id === trial.id || other.setId !== trial.setId) === true
    const key = trial.setId === null || alone ? '' : trial.setId
    found.set(key, [...(found.get(key) ?? []), trial])
  }
  return [...found].map(([key, trials]) => ({ key, trials, several: key !== '' }))
})

function start(item: ListedItem): void {
  picking.value = false
  void acts.begin('trial', item)
}
</script>

<template>
  <DecideHead :primary="{ words: 'Put something on trial', act: () => (picking = true) }" />
  <template v-if="answer">
    <EmptyDecide v-if="nothing" @start="picking = true" />
    <section v-if="faces.length > 0" aria-label="On trial">
      <h2>On trial</h2>
      <div v-for="face in faces" :key="face.key" class="face" :class="{ several: face.several }">
        <p v-if="face.several" class="quiet">
          {{ counted(face.trials.length, 'thing') }} in one face, each with its own verdict
        </p>
        <div class="trials">
          <TrialCard
            v-for="trial in face.trials"
            :key="trial.id"
            :trial="trial"
            :today="answer.today"
            @decide="acts.begin('decide', trial.item, { trialId: trial.id })"
          />
        </div>
      </div>
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

<style scoped>
.face {
  margin-top: 8px;
}

.face.several {
  padding: 8px 10px 10px;
  border: 1px dashed var(--line);
  border-radius: 10px;
}

.face p {
  margin: 0 0 6px;
  font-size: 13.5px;
}

.trials {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 400px), 1fr));
  gap: 12px;
}
</style>
