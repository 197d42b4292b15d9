<script setup lang="ts">
import { ref } from 'vue'
import type { VerdictView } from '#contract/ending'
import { dateWords } from '#web/data/locale'
import { callIt } from '#web/ui/words/item-words'

/** What was decided, the last first; changing one's mind is normal, so all of it stands. */
const props = defineProps<{ verdicts: readonly VerdictView[]; inAll: number }>()
const FIRST = 12
const all = ref(false)
const shown = (): readonly VerdictView[] => (all.value ? props.verdicts : props.verdicts.slice(0, FIRST))
</script>

<template>
  <section v-if="verdicts.length > 0" class="part mt-6 pb-5" aria-label="Decided">
    <h2>
      Decided <span class="quiet figures">{{ inAll }}</span>
    </h2>
    <ul class="decided d-grid ga-2">
      <li class="d-grid ga-3" v-for="row in shown()" :key="row.id">
        <span class="quiet figures">{{ dateWords(row.day) }}</span>
        <span>
          <RouterLink :to="`/items/${row.item.id}`">{{ callIt(row.item) }}</RouterLink>:
          <strong>{{ row.verdict }}</strong><template v-if="row.destination">, {{ row.destination }}</template
          ><template v-if="row.until"> ({{ dateWords(row.until) }})</template
          ><template v-if="row.reason">. {{ row.reason }}</template>
        </span>
      </li>
    </ul>
    <v-btn v-if="verdicts.length > FIRST && !all" variant="text" @click="all = true"
      >Show {{ verdicts.length < inAll ? `the last ${verdicts.length}` : `all ${verdicts.length}` }}</v-btn
    >
  </section>
</template>

<style scoped>
h2 .quiet {
  font: 400 13.5px var(--text);
}

.decided li {
  grid-template-columns: 110px minmax(0, 1fr);
}

.phone .decided li {
  grid-template-columns: minmax(0, 1fr);
  gap: 0;
}
</style>
