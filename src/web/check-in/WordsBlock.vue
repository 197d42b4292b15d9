<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Day } from '#core/calendar/day'
import { dateWords } from '#web/data/locale'

/** A few words on how it is: one tap, or her own; what she said the time before stands beside. */
const props = defineProps<{ said: string; before: { day: Day; words: string } | null }>()
const emit = defineEmits<{ say: [words: string] }>()
const USUAL = ['still glows', 'getting patchy', 'a bit bored', 'as before'] as const
const writing = ref(false)
const own = ref('')
watch(
  () => props.said,
  (said) => (own.value = said),
  { immediate: true },
)
const isOwn = computed(() => props.said !== '' && !(USUAL as readonly string[]).includes(props.said))
function say(words: string): void {
  writing.value = false
  emit('say', words === props.said ? '' : words)
}
defineExpose({ write: () => void (writing.value = true) })
</script>

<template>
  <section class="inset block" aria-label="A few words">
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
        @click="say(words)"
      >
        {{ words }}
      </button>
      <button v-if="!writing" type="button" class="choice" :aria-pressed="isOwn" @click="writing = true">
        {{ isOwn ? said : 'Write…' }}
      </button>
    </div>
    <form v-if="writing" class="own" @submit.prevent="say(own.trim())">
      <v-text-field v-model="own" label="In your words" autofocus :maxlength="400" />
      <v-btn type="submit" variant="outlined" color="primary">Keep</v-btn>
    </form>
  </section>
</template>

<style scoped>
.block {
  padding: 8px 14px 10px;
}

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
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 8px;
  margin-top: 8px;
  align-items: start;
}
</style>
