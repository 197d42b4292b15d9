<script setup lang="ts">
import { computed, ref } from 'vue'
import type { TrialView } from '#contract/ending'
import type { ListedItem } from '#contract/item'
import { counted } from '#core/words/counted'
import { useDecide } from '#web/data/reads'
import { useItemActs } from '#web/ui/acts/item-acts'
import EmptyPlace from '#web/ui/EmptyPlace.vue'
import ItemPicker from '#web/ui/ItemPicker.vue'
import PlaceHead from '#web/ui/PlaceHead.vue'
import TrialCards from './TrialCards.vue'

/** What is on trial; those that are tried in one look stand together. */
const acts = useItemActs()
const { answer } = useDecide()
const picking = ref(false)
const looks = computed(() => {
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
  <PlaceHead
    question="What am I still making up my mind about?"
    :primary="{ words: 'Put an item on trial', act: () => (picking = true) }"
  />
  <template v-if="answer">
    <EmptyPlace v-if="looks.length === 0" title="Nothing on trial" act="Put an item on trial" @act="picking = true">
      Wear an item a few times before you decide. Seligo remembers what was under and over it, asks how it was, and says
      when it is time to decide.
    </EmptyPlace>
    <div v-for="look in looks" :key="look.key" class="look" :class="{ several: look.several }">
      <p v-if="look.several" class="quiet">
        {{ counted(look.trials.length, 'item') }} in one look, each with its own verdict
      </p>
      <TrialCards :trials="look.trials" :today="answer.today" />
    </div>
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
.look {
  margin-top: 8px;
}

.look.several {
  padding: 8px 10px 10px;
  border: 1px dashed var(--line);
  border-radius: 10px;
}

.look p {
  margin: 0 0 6px;
  font-size: 13.5px;
}
</style>
