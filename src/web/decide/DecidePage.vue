<script setup lang="ts">
import { ref } from 'vue'
import type { ListedItem } from '#contract/item'
import { dateWords } from '#web/data/locale'
import { useDecide } from '#web/data/reads'
import { useItemActs } from '#web/ui/acts/item-acts'
import ItemActsMenu from '#web/ui/acts/ItemActsMenu.vue'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import ItemPicker from '#web/ui/ItemPicker.vue'
import PlaceHead from '#web/ui/PlaceHead.vue'
import { callIt, kindAndMaker, shortName } from '#web/ui/words/item-words'
import { spanWords } from '#web/ui/words/when-words'
import EmptyDecide from './EmptyDecide.vue'
import TrialCard from './TrialCard.vue'

const acts = useItemActs()
const { answer } = useDecide()
const picking = ref(false)

function start(item: ListedItem): void {
  picking.value = false
  void acts.begin('trial', item)
}
</script>

<template>
  <PlaceHead
    title="Decide"
    question="Does it stay?"
    :primary="{ words: 'Put something on trial', act: () => (picking = true) }"
  />
  <template v-if="answer">
    <EmptyDecide
      v-if="answer.trials.length === 0 && answer.verdicts.length === 0 && answer.doubtful.length === 0"
      @start="picking = true"
    />
    <section v-if="answer.trials.length > 0" aria-label="On trial">
      <h2>On trial</h2>
      <div class="trials">
        <TrialCard
          v-for="trial in answer.trials"
          :key="trial.id"
          :trial="trial"
          :today="answer.today"
          @decide="acts.begin('decide', trial.item, { trialId: trial.id })"
        />
      </div>
    </section>
    <section v-if="answer.doubtful.length > 0" class="part" aria-label="Unworn the longest">
      <h2>Unworn the longest</h2>
      <p class="quiet">
        Open, in no project, not worn for half a year or more, or held up and put back again and again. A fact, not a
        verdict.
      </p>
      <div class="doubtful">
        <div v-for="row in answer.doubtful" :key="row.item.id" class="sheet doubt">
          <ItemGauge :item="row.item" size="small" />
          <span class="words">
            <RouterLink :to="`/items/${row.item.id}`">{{ shortName(row.item) }}</RouterLink>
            <span class="quiet"
              >{{ kindAndMaker(row.item) }},
              {{ row.daysUnworn === null ? 'never worn in the log' : `unworn ${spanWords(row.daysUnworn)}`
              }}{{ row.putBack > 0 ? `, held up and put back ${row.putBack} times since` : '' }}</span
            >
          </span>
          <v-btn
            variant="outlined"
            color="primary"
            :aria-label="`Put ${callIt(row.item)} on trial`"
            @click="acts.begin('trial', row.item)"
            >Trial</v-btn
          >
          <ItemActsMenu :item="row.item" :without="['trial']" />
        </div>
      </div>
    </section>
    <section v-if="answer.verdicts.length > 0" class="part last" aria-label="Decided">
      <h2>Decided</h2>
      <ul class="decided">
        <li v-for="row in answer.verdicts" :key="row.id">
          <span class="quiet figures">{{ dateWords(row.day) }}</span>
          <span>
            <RouterLink :to="`/items/${row.item.id}`">{{ callIt(row.item) }}</RouterLink>:
            <strong>{{ row.verdict }}</strong><template v-if="row.destination">, {{ row.destination }}</template
            ><template v-if="row.until"> ({{ dateWords(row.until) }})</template
            ><template v-if="row.reason">. {{ row.reason }}</template>
          </span>
        </li>
      </ul>
    </section>
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
.trials {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(330px, 1fr));
  gap: 12px;
  margin-top: 8px;
}

.part {
  margin-top: 24px;
}

.part p {
  margin: 0 0 8px;
  font-size: 13.5px;
}

.last {
  padding-bottom: 20px;
}

.doubtful {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(300px, 1fr));
  gap: 8px;
}

.doubt {
  display: flex;
  align-items: center;
  gap: 12px;
  padding: 6px 12px;
}

.words {
  flex: 1;
  display: grid;
  font-size: 13px;
}

.words a {
  font-size: 14.5px;
  font-weight: 650;
  color: var(--ink);
}

.decided {
  list-style: none;
  padding: 0;
  display: grid;
  gap: 6px;
}

.decided li {
  display: grid;
  grid-template-columns: 110px 1fr;
  gap: 12px;
}
</style>
