<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { counted } from '#core/words/counted'
import { get, newId } from '#web/api/client'
import { useChanges } from '#web/shell/changes'

interface Listed {
  readonly id: string
  readonly words: string
  readonly madeAt: string
  readonly undone: boolean
}
interface Page {
  readonly changes: Listed[]
  readonly next: number | null
}

/** What changed and when; each can be taken back, or all of it back to a moment. */
const changes = useChanges()
const list = ref<Listed[]>([])
const next = ref<number | null>(null)
const asking = ref<Listed | null>(null)
const clock = new Intl.DateTimeFormat(undefined, { hour: '2-digit', minute: '2-digit' })
const dayWords = new Intl.DateTimeFormat(undefined, { weekday: 'long', day: 'numeric', month: 'long', year: 'numeric' })
const days = computed(() => {
  const found = new Map<string, Listed[]>()
  for (const change of list.value) {
    const day = dayWords.format(new Date(change.madeAt))
    found.set(day, [...(found.get(day) ?? []), change])
  }
  return [...found]
})
/** How many would go with it: those above that still stand. */
const goingBack = computed(() => {
  const at = list.value.findIndex((change) => change.id === asking.value?.id)
  return list.value.slice(0, at + 1).filter((change) => !change.undone).length
})

watch(
  () => changes.count,
  async () => {
    const page = await get<Page>('/changes')
    list.value = page.changes
    next.value = page.next
  },
  { immediate: true },
)

async function more(): Promise<void> {
  if (next.value === null) return
  const page = await get<Page>(`/changes?before=${next.value}`)
  list.value = [...list.value, ...page.changes]
  next.value = page.next
}

async function goBack(): Promise<void> {
  const { value } = asking
  asking.value = null
  if (value) await changes.run('POST', `/changes/${value.id}/go-back`, { changeId: newId() })
}
</script>

<template>
  <div class="place-head">
    <h1>Journal of changes</h1>
    <span class="quiet">What changed, and when? Nothing here is final: it can be taken back across restarts.</span>
    <v-btn variant="outlined" color="primary" to="/settings">Settings</v-btn>
  </div>
  <section v-for="[day, own] in days" :key="day" class="sheet day" :aria-label="day">
    <h2>{{ day }}</h2>
    <ol>
      <li v-for="change in own" :key="change.id" :class="{ undone: change.undone }">
        <span class="quiet figures time">{{ clock.format(new Date(change.madeAt)) }}</span>
        <span class="words">{{ change.words }}</span>
        <span v-if="change.undone" class="quiet">taken back</span>
        <span v-else class="acts">
          <v-btn variant="text" :aria-label="`Back to before: ${change.words}`" @click="asking = change"
            >Back to before this</v-btn
          >
          <v-btn
            variant="text"
            color="primary"
            :aria-label="`Take back: ${change.words}`"
            @click="changes.takeBack(change.id)"
            >Take back</v-btn
          >
        </span>
      </li>
    </ol>
  </section>
  <p v-if="list.length === 0" class="inset empty">
    Nothing has changed yet. Every act of yours will stand here, with the way back.
  </p>
  <v-btn v-if="next !== null" class="more" variant="outlined" color="primary" @click="more">Earlier ones</v-btn>
  <v-dialog :model-value="asking !== null" aria-label="Back to a moment" @update:model-value="asking = null">
    <div class="sheet dialog">
      <h2>Back to before “{{ asking?.words }}”?</h2>
      <p class="figures">
        {{ goingBack === 1 ? 'That one change is' : `That and ${counted(goingBack - 1, 'later change')} are` }} taken
        back as one. It can be taken back in its turn from the bar below.
      </p>
      <div class="acts">
        <v-btn variant="text" @click="asking = null">Leave it</v-btn>
        <v-btn color="primary" @click="goBack">Go back</v-btn>
      </div>
    </div>
  </v-dialog>
</template>

<style scoped>
.day {
  padding: 12px 18px;
  margin-bottom: 10px;
}

h2 {
  font-size: 16px;
}

ol {
  list-style: none;
  margin: 4px 0 0;
  padding: 0;
}

li {
  display: grid;
  grid-template-columns: 56px 1fr auto;
  gap: 12px;
  align-items: center;
  min-height: 46px;
  border-top: 1px solid var(--hair);
}

li:first-child {
  border-top: 0;
}

.undone .words {
  text-decoration: line-through;
  color: var(--quiet);
}

.more {
  margin-bottom: 80px;
}

.empty {
  padding: 24px;
}

@media (max-width: 760px) {
  li {
    grid-template-columns: 48px 1fr;
  }

  .acts {
    grid-column: 2;
  }
}
</style>
