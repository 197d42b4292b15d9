<script setup lang="ts">
import { computed, ref } from 'vue'
import type { GoneView } from '#contract/deciding'
import { counted } from '#core/words/counted'
import { dateWords, moneyWords } from '#web/data/locale'
import { useLettingGo } from '#web/data/reads'
import EmptyPlace from '#web/ui/EmptyPlace.vue'
import { callIt } from '#web/ui/words/item-words'
import PlaceHead from '#web/ui/PlaceHead.vue'
import HandDialog from './HandDialog.vue'
import { goneWords, reasonSum, regretWords } from './letting-go-words'

/** What was let go: the list for handing over, what went unused and why, what was missed later. */
const { answer } = useLettingGo()
const FIRST = 20
const all = ref(false)
const asked = ref<{ gone: GoneView; about: 'hand' | 'regret' } | null>(null)
const gone = computed(() => (all.value ? (answer.value?.gone ?? []) : (answer.value?.gone ?? []).slice(0, FIRST)))
const byPlace = computed(() => {
  const found = new Map<string, GoneView[]>()
  for (const each of answer.value?.waiting ?? []) {
    const key = [each.destination, each.toWhom].filter(Boolean).join(': ')
    found.set(key, [...(found.get(key) ?? []), each])
  }
  return [...found].map(([place, rows]) => ({ place, rows }))
})
const lost = computed(() => {
  const reasons = answer.value?.reasons ?? []
  return {
    items: reasons.reduce((sum, each) => sum + each.items, 0),
    money: reasons.reduce((sum, each) => sum + each.lost, 0),
  }
})

function print(): void {
  window.print()
}
</script>

<template>
  <PlaceHead
    question="Where does it go, and what went unused?"
    :acts="answer && answer.waiting.length > 0 ? [{ words: 'Print the list', act: print }] : []"
  />
  <template v-if="answer">
    <EmptyPlace
      v-if="answer.waiting.length + answer.gone.length === 0"
      title="Nothing let go yet"
      act="See what’s to decide"
      to="/keep"
    >
      <template #drawing>
        <svg viewBox="0 0 200 110" width="200" height="110" aria-hidden="true">
          <path d="M40 40h90v54H40zM60 40V28c0-16 50-16 50 0v12M150 66h36m-12-12 12 12-12 12" class="line" />
        </svg>
      </template>
      What you let go keeps its history. What you give away waits here until you’ve handed it over.
    </EmptyPlace>
    <section v-if="answer.waiting.length > 0" class="list" aria-label="To hand over">
      <h2>
        To hand over <span class="quiet figures">{{ answer.waiting.length }}</span>
      </h2>
      <div v-for="group in byPlace" :key="group.place" class="sheet mt-2 py-1 px-3">
        <h3>{{ group.place }}</h3>
        <div
          v-for="row in group.rows"
          :key="row.verdictId"
          class="row d-flex align-center justify-space-between hair-above py-2 px-0 ga-3"
        >
          <div>
            <RouterLink :to="`/items/${row.item.id}`">{{ callIt(row.item) }}</RouterLink>
            <p class="quiet figures small">{{ goneWords(row, answer.currency) }}</p>
          </div>
          <v-btn
            variant="outlined"
            color="primary"
            :aria-label="`Handed over: ${callIt(row.item)}`"
            @click="asked = { gone: row, about: 'hand' }"
            >Handed over</v-btn
          >
        </div>
      </div>
    </section>
    <section v-if="lost.items > 0" class="sums mt-6" aria-label="What went unused">
      <h2>What went unused</h2>
      <p class="prose mt-1 mb-2">
        {{ counted(lost.items, 'item') }} let go, with about {{ moneyWords(lost.money, answer.currency) }} of what they
        cost still in them, by what was likely left.
      </p>
      <table class="small">
        <thead>
          <tr>
            <th class="quiet small" scope="col">Mostly because of</th>
            <th class="quiet small" scope="col">Items</th>
            <th class="quiet small" scope="col">Money unused</th>
            <th class="quiet small" scope="col">Grams unused</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in answer.reasons" :key="row.why ?? ''">
            <th scope="row">{{ row.why ?? 'not said' }}</th>
            <td class="figures">{{ row.items }}</td>
            <td class="figures">{{ reasonSum(row, answer.currency).money }}</td>
            <td class="figures">{{ reasonSum(row, answer.currency).grams }}</td>
          </tr>
        </tbody>
      </table>
    </section>
    <section v-if="answer.gone.length > 0" class="gone mt-6" aria-label="Let go">
      <h2>
        Let go <span class="quiet figures">{{ answer.gone.length }}</span>
      </h2>
      <ul class="d-grid small ga-1">
        <li class="d-grid align-center ga-3" v-for="row in gone" :key="row.verdictId">
          <span class="quiet figures">{{ dateWords(row.day) }}</span>
          <span>
            <RouterLink :to="`/items/${row.item.id}`">{{ callIt(row.item) }}</RouterLink>:
            {{ goneWords(row, answer.currency) }}
            <strong v-if="row.regretOn">{{ regretWords(row) }}</strong>
          </span>
          <button
            type="button"
            class="regret text-act"
            :aria-label="`${row.regretOn ? 'Change what is missed' : 'I miss it'}: ${callIt(row.item)}`"
            @click="asked = { gone: row, about: 'regret' }"
          >
            {{ row.regretOn ? 'change' : 'I miss it' }}
          </button>
        </li>
      </ul>
      <v-btn v-if="answer.gone.length > FIRST && !all" variant="text" @click="all = true"
        >Show all {{ answer.gone.length }}</v-btn
      >
    </section>
    <HandDialog v-if="asked" :gone="asked.gone" :about="asked.about" :today="answer.today" @close="asked = null" />
  </template>
</template>

<style scoped>
h2 .quiet {
  font: 400 13.5px var(--text);
}

h3 {
  padding: 6px 0 2px;
  font-size: 15px;
}

th,
td {
  padding: 5px 22px 5px 0;
  border-bottom: 1px solid var(--hair);
  text-align: left;
  font-weight: 400;
}

td {
  text-align: right;
}

.gone li {
  grid-template-columns: 110px minmax(0, 1fr) auto;
}

.regret {
  min-width: 70px;
}

.phone .gone li {
  grid-template-columns: minmax(0, 1fr) auto;
}

.phone .gone li > :first-child {
  grid-column: 1 / -1;
}

@media print {
  .sums,
  .gone,
  .row .v-btn {
    display: none;
  }
}
</style>
