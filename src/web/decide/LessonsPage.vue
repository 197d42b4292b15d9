<script setup lang="ts">
import { computed, ref } from 'vue'
import type { LessonShown, LessonView } from '#contract/buying'
import { newId } from '#web/data/client'
import { useChanges } from '#web/data/changes'
import { dateWords } from '#web/data/locale'
import { useLessons } from '#web/data/reads'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import { spanTitle } from '#web/ui/words/span-words'
import { lessonWords } from '#web/ui/words/lesson-words'
import { useStock } from '#web/data/stock'
import PlaceHead from '#web/ui/PlaceHead.vue'

/** What she learned, what her numbers show, and what no longer holds. */
const { answer } = useLessons()
const stock = useStock()
const changes = useChanges()
const writing = ref<LessonShown | 'own' | null>(null)
const draft = useDraft(() => ({ words: '', categoryId: null as string | null }))
const PROMPTS: Readonly<Record<LessonView['promptedBy'], string>> = {
  finale: 'at a wrap-up',
  verdict: 'at a verdict',
  empty: 'at an empty',
  numbers: 'from your numbers',
  herself: 'your own',
}

const OFFERED = 5
const allOffered = ref(false)
const offered = computed(() =>
  allOffered.value ? (answer.value?.offered ?? []) : (answer.value?.offered ?? []).slice(0, OFFERED),
)

function begin(about: LessonShown | 'own'): void {
  const isCategory = about !== 'own' && stock.categories.some(({ id }) => id === about.about)
  draft.begin({
    words: about === 'own' ? '' : lessonWords(about).lesson,
    categoryId: isCategory ? (about as LessonShown).about : null,
  })
  writing.value = about
}

function bodyOf(about: LessonShown | 'own'): { promptedBy: string; rule: string | null; about: string | null } {
  return about === 'own'
    ? { promptedBy: 'herself', rule: null, about: null }
    : { promptedBy: 'numbers', rule: about.rule, about: about.about }
}

async function store(): Promise<void> {
  if (writing.value === null) return
  const { words, categoryId } = draft.typed.value
  const body = { id: draft.id('lesson'), words, ...bodyOf(writing.value), itemId: null, categoryId }
  if (await draft.store('POST', '/lessons', body)) writing.value = null
}

/** Turned down: it is not offered again until twice as much speaks for it. */
function refuse(shown: LessonShown): void {
  const { lesson: words } = lessonWords(shown)
  const body = { changeId: newId(), id: newId(), words, ...bodyOf(shown), itemId: null, categoryId: null, struck: true }
  void changes.run('POST', '/lessons', body)
}

function strike(lesson: LessonView, struck: boolean): void {
  void changes.run('POST', `/lessons/${lesson.id}/strike`, { changeId: newId(), struck })
}
</script>

<template>
  <PlaceHead
    title="Lessons"
    question="What did I learn?"
    :primary="{ words: 'Add a lesson', act: () => begin('own') }"
  />
  <template v-if="answer">
    <section v-if="answer.offered.length > 0" aria-label="Offered">
      <h2 class="mb-2">Your numbers say</h2>
      <div class="sheet two-columns">
        <article
          v-for="shown in offered"
          :key="`${shown.rule} ${shown.about}`"
          class="row d-flex flex-wrap align-center hair-below py-2 px-3 gr-1 gc-2"
        >
          <div>
            <p class="lesson small prose">{{ lessonWords(shown).lesson }}</p>
            <p class="quiet small prose">{{ lessonWords(shown).because }}</p>
          </div>
          <v-btn
            variant="outlined"
            color="primary"
            :aria-label="`Keep: ${lessonWords(shown).lesson}`"
            @click="begin(shown)"
            >Keep it</v-btn
          >
          <v-btn variant="text" :aria-label="`Remove: ${lessonWords(shown).lesson}`" @click="refuse(shown)"
            >Remove</v-btn
          >
        </article>
      </div>
    </section>
    <v-btn v-if="answer.offered.length > offered.length" variant="text" @click="allOffered = true"
      >{{ answer.offered.length - offered.length }} more</v-btn
    >
    <section class="part mt-6" aria-label="Kept">
      <h2 class="mb-2">Kept</h2>
      <p v-if="answer.kept.length === 0" class="quiet small prose">
        None yet. Write down what you learn when you wrap up a project, decide, or finish an item; it comes up again
        when you choose and buy.
      </p>
      <div v-else class="sheet two-columns">
        <article
          v-for="lesson in answer.kept"
          :key="lesson.id"
          class="row d-flex flex-wrap align-center hair-below py-2 px-3 gr-1 gc-2"
        >
          <div>
            <p class="lesson small prose">{{ lesson.words }}</p>
            <p class="quiet small prose">
              {{ PROMPTS[lesson.promptedBy] }}{{ lesson.span ? `, at the sheet of ${spanTitle(lesson.span)}` : '' }},
              {{ dateWords(lesson.keptOn)
              }}<template v-if="lesson.item"
                >, <RouterLink :to="`/items/${lesson.item.itemId}`">{{ lesson.item.mark }}</RouterLink></template
              >.
              <template v-if="lesson.shown">{{ lessonWords(lesson.shown).because }}</template>
              <strong class="attention" v-if="lesson.noLonger">Your numbers no longer show it.</strong>
            </p>
          </div>
          <v-btn variant="text" :aria-label="`Remove: ${lesson.words}`" @click="strike(lesson, true)">Remove</v-btn>
        </article>
      </div>
    </section>
    <section v-if="answer.struck.length > 0" class="part mt-6" aria-label="Removed">
      <h2 class="mb-2">Removed</h2>
      <ul class="d-grid ga-1">
        <li class="d-flex align-center quiet ga-3" v-for="lesson in answer.struck" :key="lesson.id">
          <s>{{ lesson.words }}</s>
          <button
            type="button"
            class="text-act"
            :aria-label="`Take up again: ${lesson.words}`"
            @click="strike(lesson, false)"
          >
            take it up again
          </button>
        </li>
      </ul>
    </section>
    <FormDialog
      v-if="writing"
      title="A lesson"
      :draft="draft"
      act="Save"
      :ready="draft.typed.value.words.trim() !== ''"
      @close="writing = null"
      @store="store"
    >
      <v-textarea
        v-model="draft.typed.value.words"
        autofocus
        rows="2"
        label="In your words"
        :error-messages="draft.on('words')"
      />
      <v-autocomplete
        v-model="draft.typed.value.categoryId"
        clearable
        label="About which type? (else it holds for everything)"
        :items="stock.categories.map((each) => ({ title: each.name, value: each.id }))"
        :error-messages="draft.on('categoryId')"
      />
    </FormDialog>
  </template>
</template>

<style scoped>
.lesson {
  font-size: 15.5px;
  font-weight: 600;
}

.row > div {
  flex: 1 1 320px;
}

.row:last-child {
  border-bottom: none;
}
</style>
