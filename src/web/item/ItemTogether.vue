<script setup lang="ts">
import type { TogetherAnswer } from '#contract/deciding'
import type { ListedItem } from '#contract/item'
import { counted } from '#core/words/counted'
import { newId } from '#web/data/client'
import { useChanges } from '#web/data/changes'
import { useTogether } from '#web/data/reads'

/** What its days tell of who it goes with; hers to accept. */
const props = defineProps<{ item: ListedItem }>()
const { answer } = useTogether(() => props.item.id)
const changes = useChanges()

function keep(pair: TogetherAnswer['learned'][number]): void {
  void changes.run('POST', `/items/${props.item.id}/pairs`, {
    changeId: newId(),
    id: newId(),
    otherItemId: pair.otherId,
    verdict: pair.verdict,
    itemAmount: null,
    otherAmount: null,
    amountUnit: null,
    words: '',
  })
}
</script>

<template>
  <template v-if="answer">
    <ul v-if="answer.learned.length > 0" class="learned d-grid my-2 ga-2" aria-label="How its days went">
      <li
        class="d-flex flex-wrap align-center justify-space-between ga-2"
        v-for="pair in answer.learned"
        :key="pair.otherId"
      >
        <span>
          {{ pair.verdict === 'works' ? `${pair.felt.good} good days` : `${pair.felt.bad} bad days` }} with
          <RouterLink :to="`/items/${pair.otherId}`">{{ pair.other }}</RouterLink>, of
          {{ counted(pair.days, 'day') }} together.
        </span>
        <v-btn
          variant="outlined"
          color="primary"
          :aria-label="`${pair.verdict === 'works' ? 'They go well' : 'They fight'}: ${pair.other}`"
          @click="keep(pair)"
          >{{ pair.verdict === 'works' ? 'They go well' : 'They fight' }}</v-btn
        >
      </li>
    </ul>
    <p v-if="answer.most.length > 0" class="quiet small my-2">
      Worn most with
      <template v-for="(each, n) in answer.most.slice(0, 3)" :key="each.otherId"
        >{{ n > 0 ? ', ' : '' }}<RouterLink :to="`/items/${each.otherId}`">{{ each.other }}</RouterLink> ({{
          counted(each.days, 'day')
        }})</template
      >.
    </p>
  </template>
</template>
