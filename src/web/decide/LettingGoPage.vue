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
      <div v-for="group in byPlace" :key="group.place" class="sheet group">
        <h3>{{ group.place }}</h3>
        <div v-for="row in group.rows" :key="row.verdictId" class="row">
          <div>
            <RouterLink :to="`/items/${row.item.id}`">{{ callIt(row.item) }}</RouterLink>
            <p class="quiet figures">{{ goneWords(row, answer.currency) }}</p>
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
    <section v-if="lost.items > 0" class="sums" aria-label="What went unused">
      <h2>What went unused</h2>
      <p>
        {{ counted(lost.items, 'item') }} let go, with about {{ moneyWords(lost.money, answer.currency) }} of what they
        cost still in them, by what was likely left.
      </p>
      <table>
        <thead>
          <tr>
            <th scope="col">Mostly because of</th>
            <th scope="col">Items</th>
            <th scope="col">Money unused</th>
            <th scope="col">Grams unused</th>
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
    <section v-if="answer.gone.length > 0" class="gone" aria-label="Let go">
      <h2>
        Let go <span class="quiet figures">{{ answer.gone.length }}</span>
      </h2>
      <ul>
        <li v-for="row in gone" :key="row.verdictId">
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

.group {
  margin-top: 8px;
  padding: 4px 12px 4px;
}

h3 {
  padding: 6px 0 2px;
  font-size: 15px;
}

.row {
  display: flex;
  gap: 12px;
  align-items: center;
  justify-content: space-between;
  padding: 6px 0;
  border-top: 1px solid var(--hair);
}

.row p {
  margin: 0;
  font-size: 13.5px;
}

.sums,
.gone {
  margin-top: 24px;
}

.sums p {
  margin: 2px 0 8px;
  max-width: 80ch;
}

table {
  border-collapse: collapse;
  font-size: 14px;
}

th,
td {
  padding: 5px 22px 5px 0;
  border-bottom: 1px solid var(--hair);
  text-align: left;
  font-weight: 400;
}

thead th {
  color: var(--quiet);
  font-size: 13px;
}

td {
  text-align: right;
}

.gone ul {
  display: grid;
  gap: 4px;
  padding: 0;
  font-size: 14px;
}

.gone li {
  display: grid;
  grid-template-columns: 110px minmax(0, 1fr) auto;
  gap: 12px;
  align-items: center;
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
