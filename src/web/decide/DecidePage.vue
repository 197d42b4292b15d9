<script setup lang="ts">
import { ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import type { Verdict } from '#core/decide/verdict'
import type { DecideAnswer, TrialView } from '#contract/ending'
import type { ItemSummary } from '#contract/item'
import { get } from '#web/api/client'
import { useChanges } from '#web/shell/changes'
import TrialDialog from '#web/ui/dialogs/TrialDialog.vue'
import VerdictDialog from '#web/ui/dialogs/VerdictDialog.vue'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import ItemPicker from '#web/ui/ItemPicker.vue'
import { shortName } from '#web/ui/words/item-words'
import { dateWords, spanWords } from '#web/ui/words/when-words'
import TrialCard from './TrialCard.vue'

const changes = useChanges()
const router = useRouter()
const answer = ref<DecideAnswer | null>(null)
const starting = ref<ItemSummary | null>(null)
const deciding = ref<TrialView | null>(null)
const picking = ref(false)

watch(
  () => changes.count,
  async () => (answer.value = await get<DecideAnswer>('/decide')),
  { immediate: true },
)

function start(item: ItemSummary): void {
  picking.value = false
  starting.value = item
}

/** A verdict can ask for the next step: back into use, or another trial. */
async function decided(verdict: Verdict): Promise<void> {
  const item = deciding.value?.item ?? null
  deciding.value = null
  if (item && verdict === 'once more, otherwise') starting.value = { ...item, onTrial: false }
  if (item && verdict === 'keep and use') await router.push(`/items/${item.id}`)
}
</script>

<template>
  <div class="place-head">
    <h1>Decide</h1>
    <span class="quiet">Does it stay?</span>
    <v-btn color="primary" @click="picking = true">Put something on trial</v-btn>
  </div>
  <template v-if="answer">
    <section
      v-if="answer.trials.length === 0 && answer.verdicts.length === 0 && answer.doubtful.length === 0"
      class="inset empty"
    >
      <h2>Nothing is in doubt</h2>
      <p>
        Some things survive every clear-out and are never reached for. Put one on trial: wear it properly a set number
        of times, then decide. “I love it” and “I use it” are different facts.
      </p>
    </section>
    <section v-if="answer.trials.length > 0" aria-label="On trial">
      <h2>On trial</h2>
      <div class="trials">
        <TrialCard
          v-for="trial in answer.trials"
          :key="trial.id"
          :trial="trial"
          :today="answer.today"
          @decide="deciding = trial"
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
              >{{ row.item.category }},
              {{ row.daysUnworn === null ? 'never worn in the log' : `unworn ${spanWords(row.daysUnworn)}`
              }}{{ row.putBack > 0 ? `, held up and put back ${row.putBack} times since` : '' }}</span
            >
          </span>
          <v-btn
            variant="outlined"
            color="primary"
            :aria-label="`Put ${shortName(row.item)} on trial`"
            @click="starting = row.item"
            >Trial</v-btn
          >
        </div>
      </div>
    </section>
    <section v-if="answer.verdicts.length > 0" class="part last" aria-label="Decided">
      <h2>Decided</h2>
      <ul class="decided">
        <li v-for="row in answer.verdicts" :key="row.id">
          <span class="quiet figures">{{ dateWords(row.day) }}</span>
          <span>
            <RouterLink :to="`/items/${row.item.id}`">{{ shortName(row.item) }}</RouterLink>:
            <strong>{{ row.verdict }}</strong><template v-if="row.destination">, {{ row.destination }}</template
            ><template v-if="row.until"> ({{ dateWords(row.until) }})</template
            ><template v-if="row.reason">. {{ row.reason }}</template>
          </span>
        </li>
      </ul>
    </section>
    <ItemPicker
      v-model="picking"
      title="Put on trial"
      action="Choose"
      :exclude="answer.trials.map((trial) => trial.item.id)"
      @pick="start"
    />
    <TrialDialog
      v-if="starting"
      :item="starting"
      :today="answer.today"
      @close="starting = null"
      @done="starting = null"
    />
    <VerdictDialog
      v-if="deciding"
      :item="deciding.item"
      :today="answer.today"
      :trial-id="deciding.id"
      :destinations="deciding.destinations"
      @close="deciding = null"
      @done="decided"
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
  padding-bottom: 70px;
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

.empty {
  padding: 28px;
  max-width: 760px;
}
</style>
