<script setup lang="ts">
import { computed } from 'vue'
import { useChanges } from '#web/data/changes'
import { instantFormat } from '#web/data/locale'
import { useRead } from '#web/data/reads'

interface Listed {
  readonly id: string
  readonly words: string
  readonly madeAt: string
  readonly undone: boolean
}

/** The latest few changes, each of which can be taken back; all of them stand in the journal. */
const SHOWN = 8
const changes = useChanges()
const { answer } = useRead<{ changes: Listed[] }>(['changes', SHOWN], `/changes?limit=${SHOWN}`)
const list = computed(() => answer.value?.changes ?? [])
const when = instantFormat({ day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' })
</script>

<template>
  <section class="sheet list mt-3 mb-5 mx-0 pa-4" aria-label="Latest changes">
    <h2>Latest changes</h2>
    <RouterLink to="/settings/history">All of the history</RouterLink>
    <ol class="mt-2">
      <li
        class="d-grid align-center touch hair-below ga-3"
        v-for="change in list"
        :key="change.id"
        :class="{ undone: change.undone }"
      >
        <span class="quiet figures">{{ when(change.madeAt) }}</span>
        <span>{{ change.words }}</span>
        <span v-if="change.undone" class="quiet">undone</span>
        <v-btn v-else variant="text" :aria-label="`Undo: ${change.words}`" @click="changes.takeBack(change.id)"
          >Undo</v-btn
        >
      </li>
      <li v-if="answer && list.length === 0" class="quiet d-grid align-center touch hair-below ga-3">
        Nothing has changed yet.
      </li>
    </ol>
  </section>
</template>

<style scoped>
li {
  grid-template-columns: 150px minmax(0, 1fr) auto;
}

/* When it was above what it was. */
.phone li {
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0 12px;
}

.phone li > :first-child {
  grid-column: 1 / -1;
}

.undone {
  text-decoration: line-through;
  color: var(--quiet);
}
</style>
