<script setup lang="ts">
import { ref } from 'vue'
import type { AskView } from '#contract/look-back'
import { newId } from '#web/data/client'
import { useChanges } from '#web/data/changes'
import { useAsks } from '#web/data/reads'
import EmptyPlace from '#web/ui/EmptyPlace.vue'
import AnswerDialog from './AnswerDialog.vue'
import AskDialog from './AskDialog.vue'
import AskSheet from './AskSheet.vue'
import PlaceHead from '#web/ui/PlaceHead.vue'

/** Which next? A few candidates with their evidence on a sheet for friends; what they say is typed in here. */
const { answer } = useAsks()
const changes = useChanges()
const asking = ref<AskView | 'new' | null>(null)
const answering = ref<AskView | null>(null)
function drop({ id }: AskView): void {
  void changes.run('POST', `/look-back/asks/${id}/drop`, { changeId: newId() })
}
</script>

<template>
  <PlaceHead
    title="Ask friends"
    question="Which next?"
    :primary="{ words: 'Ask something', act: () => (asking = 'new') }"
  />
  <template v-if="answer">
    <EmptyPlace v-if="answer.asks.length === 0" title="Nothing asked yet" act="Ask something" @act="asking = 'new'">
      Choose two to six items you can’t decide between. Seligo puts what it knows of each on one page to print or send;
      then you type in what your friends said.
    </EmptyPlace>
    <AskSheet
      v-for="ask in answer.asks"
      :key="ask.id"
      :ask="ask"
      :today="answer.today"
      :currency="answer.currency"
      @edit="asking = ask"
      @answer="answering = ask"
      @drop="drop(ask)"
    />
  </template>
  <AskDialog v-if="asking" :ask="asking === 'new' ? null : asking" @close="asking = null" />
  <AnswerDialog v-if="answering" :ask="answering" @close="answering = null" />
</template>
