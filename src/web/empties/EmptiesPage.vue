<script setup lang="ts">
import { computed, ref } from 'vue'
import { counted } from '#core/words/counted'
import type { EmptyView } from '#contract/ending'
import { useEmpties } from '#web/data/reads'
import EmptyPlace from '#web/ui/EmptyPlace.vue'
import PlaceHead from '#web/ui/PlaceHead.vue'
import EmptyEntry from './EmptyEntry.vue'

/** The journal of what was finished, with what was thought of it. */
const { answer } = useEmpties()
const again = ref(false)

const years = computed(() => {
  const found = new Map<string, EmptyView[]>()
  for (const empty of answer.value?.empties ?? []) {
    if (again.value && empty.wouldBuyAgain !== 'yes') continue
    const year = empty.day.slice(0, 4)
    found.set(year, [...(found.get(year) ?? []), empty])
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
    title="Empties"
    question="What did I finish, and what did I think?"
    :acts="[
      { words: 'Kept containers', to: '/empties/containers' },
      { words: 'Only what I would buy again', act: () => (again = !again), pressed: again },
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
      When something is used up, say so on its page: “It is empty”. It keeps its uses, its months and your few words
      here, so that you need not buy it again to remember.
    </EmptyPlace>
    <section v-for="group in years" :key="group.year" class="year" :aria-label="group.year">
      <h2>
        {{ group.year }} <span class="quiet figures">{{ group.empties.length }} finished: {{ group.kinds }}</span>
      </h2>
      <EmptyEntry v-for="empty in group.empties" :key="empty.item.id" :empty="empty" :currency="answer.currency" />
    </section>
  </template>
</template>

<style scoped>
.year {
  margin-bottom: 24px;
}

h2 .quiet {
  font: 400 13.5px var(--text);
  margin-left: 8px;
}
</style>
