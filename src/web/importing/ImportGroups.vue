<script setup lang="ts">
import type { ProblemGroup } from '#contract/importing'

/** What is wrong, by kind of problem and not row by row; what else is worth knowing below it. */
defineProps<{ groups: readonly ProblemGroup[] }>()
const emit = defineEmits<{ skip: [rows: number[]] }>()
</script>

<template>
  <section class="sheet part" aria-label="What to know before storing">
    <h2>{{ groups.some((group) => group.serious) ? 'What is wrong' : 'Nothing is wrong' }}</h2>
    <details
      v-for="group in groups"
      :key="group.code"
      :class="{ serious: group.serious }"
      :open="group.serious && group.cells.length <= 5"
    >
      <summary>
        <strong>{{ group.words }}</strong> <span class="figures">({{ group.cells.length }})</span>
        <span class="quiet">{{ group.what }}</span>
      </summary>
      <ul>
        <li v-for="cell in group.cells" :key="`${cell.row}-${cell.column}`">
          <span class="quiet figures"
            >row {{ cell.row }}<template v-if="cell.column">, {{ cell.column }}</template
            >:</span
          >
          {{ cell.value }}
        </li>
      </ul>
      <v-btn
        v-if="group.code === 'already-there' || group.code === 'alike'"
        variant="outlined"
        color="primary"
        @click="
          emit(
            'skip',
            group.cells.map((cell) => cell.row),
          )
        "
        >Leave these out</v-btn
      >
    </details>
  </section>
</template>

<style scoped>
.part {
  padding: 14px 18px;
  margin-bottom: 12px;
}

details {
  border-left: 5px solid var(--hair);
  padding: 3px 0 3px 12px;
  margin-top: 7px;
}

details.serious {
  border-color: var(--attention);
}

summary > * {
  margin-right: 5px;
}

summary {
  cursor: pointer;
  min-height: 30px;
}

ul {
  margin: 4px 0 8px;
  padding-left: 18px;
  columns: 2 320px;
}
</style>
