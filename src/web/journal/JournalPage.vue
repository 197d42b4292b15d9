<script setup lang="ts">
import { computed, ref } from 'vue'
import { counted } from '#core/words/counted'
import { newId } from '#web/data/client'
import { useChanges } from '#web/data/changes'
import { instantFormat } from '#web/data/locale'
import { useRead } from '#web/data/reads'
import EmptyPlace from '#web/ui/EmptyPlace.vue'
import FormDialog from '#web/ui/form/FormDialog.vue'
import PlaceHead from '#web/ui/PlaceHead.vue'

interface Listed {
  readonly id: string
  readonly words: string
  readonly madeAt: string
  readonly undone: boolean
}

/** What changed and when; each can be taken back, or all of it back to a moment. */
const PAGE = 60
const changes = useChanges()
const shown = ref(PAGE)
const { answer } = useRead<{ changes: Listed[]; next: number | null }>(
  () => ['changes', shown.value],
  () => `/changes?limit=${shown.value}`,
)
const list = computed(() => answer.value?.changes ?? [])
const asking = ref<Listed | null>(null)
const clock = instantFormat({ hour: '2-digit', minute: '2-digit' })
const dayWords = instantFormat({ weekday: 'long', day: 'numeric', month: 'long', year: 'numeric' })
const days = computed(() => {
  const found = new Map<string, Listed[]>()
  for (const change of list.value) {
    const day = dayWords(change.madeAt)
    found.set(day, [...(found.get(day) ?? []), change])
  }
  return [...found]
})
/** How many would go with it: those above that still stand. */
const goingBack = computed(() => {
  const at = list.value.findIndex((change) => change.id === asking.value?.id)
  return list.value.slice(0, at + 1).filter((change) => !change.undone).length
})

async function goBack(): Promise<void> {
  const { value } = asking
  asking.value = null
  if (value) await changes.run('POST', `/changes/${value.id}/go-back`, { changeId: newId() })
}
</script>

<template>
  <PlaceHead question="What changed, and when? All of it can be undone." />
  <section v-for="[day, own] in days" :key="day" class="sheet day mb-2 py-3 px-4" :aria-label="day">
    <h2 class="lead">{{ day }}</h2>
    <ol class="mt-1">
      <li
        class="d-grid align-center hair-above ga-3"
        v-for="change in own"
        :key="change.id"
        :class="{ undone: change.undone }"
      >
        <span class="quiet figures text-no-wrap">{{ clock(change.madeAt) }}</span>
        <span class="words">{{ change.words }}</span>
        <span v-if="change.undone" class="quiet">undone</span>
        <span v-else class="acts">
          <v-btn variant="text" :aria-label="`Back to before: ${change.words}`" @click="asking = change"
            >Back to before this</v-btn
          >
          <v-btn
            variant="text"
            color="primary"
            :aria-label="`Undo: ${change.words}`"
            @click="changes.takeBack(change.id)"
            >Undo</v-btn
          >
        </span>
      </li>
    </ol>
  </section>
  <EmptyPlace v-if="answer && list.length === 0" title="Nothing has changed yet" act="Go to the drawer" to="/">
    Everything you do is listed here, and can be undone.
  </EmptyPlace>
  <v-btn v-if="(answer?.next ?? null) !== null" variant="outlined" color="primary" @click="shown += PAGE"
    >Earlier ones</v-btn
  >
  <FormDialog
    v-if="asking"
    :title="`Back to before “${asking.words}”?`"
    label="Go back to here"
    :draft="null"
    act="Restore"
    cancel="Cancel"
    @close="asking = null"
    @store="goBack"
  >
    <p class="figures">
      {{ goingBack === 1 ? 'That one change is' : `That and ${counted(goingBack - 1, 'later change')} are` }} undone
      together. You can undo that, too.
    </p>
  </FormDialog>
</template>

<style scoped>
li {
  grid-template-columns: 72px 1fr auto;
  min-height: 46px;
}

li:first-child {
  border-top: 0;
}

.undone .words {
  text-decoration: line-through;
  color: var(--quiet);
}

.phone li {
  grid-template-columns: 72px 1fr;
}

.phone .acts {
  grid-column: 2;
}
</style>
