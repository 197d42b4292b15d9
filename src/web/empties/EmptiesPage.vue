<script setup lang="ts">
import { computed, ref } from 'vue'
import { counted } from '#core/words/counted'
import type { EmptyView } from '#contract/ending'
import { useEmpties } from '#web/data/reads'
import EmptyPlace from '#web/ui/EmptyPlace.vue'
import PlaceHead from '#web/ui/PlaceHead.vue'
import EmptyEntry from './EmptyEntry.vue'
import ReviewDialog from './ReviewDialog.vue'

/** The journal of what was finished, with what was thought of it. */
const { answer } = useEmpties()
const again = ref(false)
const reviewing = ref<EmptyView | null>(null)
const kind = ref<string | null>(null)
const maker = ref<string | null>(null)
const year = ref<string | null>(null)
/** What can be chosen from, each with how many there are. */
function choices(of: (empty: EmptyView) => string): { title: string; value: string }[] {
  const counts = new Map<string, number>()
  for (const empty of answer.value?.empties ?? []) counts.set(of(empty), (counts.get(of(empty)) ?? 0) + 1)
  return [...counts]
    .filter(([value]) => value !== '')
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([value, count]) => ({ title: `${value}, ${count}`, value }))
}
const shown = computed(() =>
  (answer.value?.empties ?? []).filter(
    (empty) =>
      (!again.value || empty.wouldBuyAgain === 'yes') &&
      (kind.value === null || empty.item.category === kind.value) &&
      (maker.value === null || empty.item.maker === maker.value) &&
      (year.value === null || empty.day.slice(0, 4) === year.value),
  ),
)

function print(): void {
  window.print()
}

const years = computed(() => {
  const found = new Map<string, EmptyView[]>()
  for (const empty of shown.value) {
    const on = empty.day.slice(0, 4)
    found.set(on, [...(found.get(on) ?? []), empty])
  }
  return [...found].map(([year, empties]) => ({ year, empties, kinds: kindsOf(empties) }))
})

/** "5 mascaras, 2 primers": counts by category, the most first. */
function kindsOf(empties: readonly EmptyView[]): string {
  const counts = new Map<string, number>()
  for (const empty of empties) counts.set(empty.item.category, (counts.get(empty.item.category) ?? 0) + 1)
  return [...counts]
    .sort((a, b) => b[1] - a[1])
    .map(([category, count]) => counted(count, category))
    .join(', ')
}
</script>

<template>
  <PlaceHead
    question="What did I finish, and what did I think?"
    :acts="[
      { words: 'Only what I’d buy again', act: () => (again = !again), pressed: again },
      { words: 'Print', act: print },
      { words: 'Kept containers', to: '/look-back/empties/containers' },
    ]"
  />
  <template v-if="answer">
    <EmptyPlace v-if="answer.empties.length === 0" title="No empties yet" act="Go to the drawer" to="/">
      <template #drawing>
        <svg viewBox="0 0 200 110" width="200" height="110" aria-hidden="true">
          <path d="M30 26h36v14l8 12v46a6 6 0 0 1-6 6H28a6 6 0 0 1-6-6V52l8-12z" class="line" />
          <path d="M98 40h96M98 58h80M98 76h58" class="line" />
        </svg>
      </template>
      When you finish an item, tap “Finished” on its page. Its wears, its months and your few words stay here, so that
      you needn’t buy it again to remember.
    </EmptyPlace>
    <div v-if="answer.empties.length > 1" class="filters d-grid mb-3 ga-2">
      <v-autocomplete
        v-model="kind"
        clearable
        label="Kind"
        hide-details
        :items="choices((empty) => empty.item.category)"
      />
      <v-autocomplete
        v-model="maker"
        clearable
        label="Brand"
        hide-details
        :items="choices((empty) => empty.item.maker)"
      />
      <v-select v-model="year" clearable label="Year" hide-details :items="choices((empty) => empty.day.slice(0, 4))" />
    </div>
    <p v-if="answer.empties.length > 0 && shown.length === 0" class="quiet">No empty matches all of that.</p>
    <section v-for="group in years" :key="group.year" class="year mb-6" :aria-label="group.year">
      <h2>
        {{ group.year }} <span class="quiet figures">{{ group.empties.length }} finished: {{ group.kinds }}</span>
      </h2>
      <div class="two-columns align-start">
        <EmptyEntry
          v-for="empty in group.empties"
          :key="empty.item.id"
          :empty="empty"
          :currency="answer.currency"
          @review="reviewing = empty"
        />
      </div>
    </section>
    <ReviewDialog v-if="reviewing" :empty="reviewing" @close="reviewing = null" />
  </template>
</template>

<style scoped>
.filters {
  grid-template-columns: repeat(3, minmax(0, 220px));
}

.phone .filters {
  grid-template-columns: 1fr 1fr;
}

@media print {
  .filters {
    display: none;
  }
}

h2 .quiet {
  font: 400 13.5px var(--text);
  margin-left: 8px;
}
</style>
