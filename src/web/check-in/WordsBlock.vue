<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Day } from '#core/calendar/day'
import { dateWords } from '#web/data/locale'
import { useOpenDrafts } from '#web/ui/form/open-drafts'

/** A few words on one thing: one tap, or her own; what she said the time before stands beside. Typed, they are kept or asked about. */
const props = defineProps<{
  said: string
  before: { day: Day; words: string } | null
  /** Stores them; whether that was done. */
  say: (words: string) => Promise<boolean>
}>()
const USUAL = ['still glows', 'getting patchy', 'a bit bored', 'as before'] as const
const writing = ref(false)
const own = ref('')
const isOwn = computed(() => props.said !== '' && !(USUAL as readonly string[]).includes(props.said))
const isTyped = computed(() => writing.value && own.value.trim() !== props.said)
useOpenDrafts().watchOver(() => isTyped.value)

function write(): void {
  own.value = props.said
  writing.value = true
}
async function choose(words: string): Promise<void> {
  if (await props.say(words === props.said ? '' : words)) writing.value = false
}
/** Stores what is typed; true where it is stored or nothing was typed. */
async function store(): Promise<boolean> {
  const done = !isTyped.value || (await props.say(own.value.trim()))
  if (done) writing.value = false
  return done
}
defineExpose({ write, store, isTyped })
</script>

<template>
  <section class="inset py-2 px-3" aria-label="A few words">
    <h3>
      A few words
      <span v-if="before" class="quiet">{{ dateWords(before.day) }}: “{{ before.words }}”</span>
    </h3>
    <div class="choices">
      <button
        v-for="words in USUAL"
        :key="words"
        type="button"
        class="choice"
        :aria-pressed="said === words"
        @click="choose(words)"
      >
        {{ words }}
      </button>
      <button v-if="!writing" type="button" class="choice" :aria-pressed="isOwn" @click="write">
        {{ isOwn ? said : 'Write…' }}
      </button>
    </div>
    <form v-if="writing" class="own d-grid align-start mt-2 ga-2" @submit.prevent="store">
      <v-text-field v-model="own" label="In your words" autofocus :maxlength="400" />
      <v-btn type="submit" variant="outlined" color="primary">Save</v-btn>
    </form>
  </section>
</template>

<style scoped>
h3 {
  font-size: 15px;
  margin-bottom: 6px;
}

h3 span {
  font: 500 14px var(--text);
  margin-left: 8px;
}

.choice {
  background: var(--raised);
}

.own {
  grid-template-columns: 1fr auto;
}
</style>
