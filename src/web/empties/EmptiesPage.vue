<script setup lang="ts">
import { counted } from '#core/words/counted'
import { computed, ref, watch } from 'vue'
import type { EmptiesAnswer, EmptyView } from '#contract/ending'
import { get } from '#web/api/client'
import { useChanges } from '#web/shell/changes'
import EmptyEntry from './EmptyEntry.vue'

/** The journal of what was finished, with what was thought of it. */
const changes = useChanges()
const answer = ref<EmptiesAnswer | null>(null)
const again = ref(false)

watch(
  () => changes.count,
  async () => (answer.value = await get<EmptiesAnswer>('/empties')),
  { immediate: true },
)

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
  <div class="place-head">
    <h1>Empties</h1>
    <span class="quiet">What did I finish, and what did I think?</span>
    <button type="button" class="choice" :aria-pressed="again" @click="again = !again">
      Only what I would buy again
    </button>
  </div>
  <template v-if="answer">
    <section v-if="answer.empties.length === 0" class="inset empty">
      <h2>No empties yet</h2>
      <p>
        When something is used up, say so on its page: “It is empty”. It keeps its uses, its months and your few words
        here, so that you need not buy it again to remember.
      </p>
    </section>
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

.year:last-of-type {
  padding-bottom: 70px;
}

h2 .quiet {
  font: 400 13.5px var(--text);
  margin-left: 8px;
}

.empty {
  padding: 28px;
  max-width: 760px;
}
</style>
