<script setup lang="ts">
import { ref } from 'vue'
import type { SpanSheet } from '#contract/look-back'
import { newId } from '#web/data/client'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import { spanTitle } from '#web/ui/words/span-words'

/** What no number tells: how it felt; and, if it taught her something, the lesson. */
const props = defineProps<{ sheet: SpanSheet }>()
const emit = defineEmits<{ close: [] }>()
/** As it was when the form was opened: what another window stores meanwhile is not written over unseen. */
let version = props.sheet.words?.version ?? null
const words = useDraft(() => ({ words: props.sheet.words?.words ?? '', lesson: '' }))
const { typed, on } = words
/** The words are stored already, and only the lesson was refused. */
const said = ref(props.sheet.words?.words ?? '')
const lesson = useDraft(() => ({ words: '' }))
const lessonId = ref(newId())

async function store(): Promise<void> {
  const { from, to } = props.sheet
  if (typed.value.words.trim() !== said.value.trim()) {
    const body = {
      id: words.id('words'),
      version,
      from,
      to,
      words: typed.value.words,
    }
    if (!(await words.store('POST', '/look-back/words', body))) return
    said.value = typed.value.words
    version = (version ?? 0) + 1
  }
  if (typed.value.lesson.trim() !== '') {
    const none = { rule: null, about: null, itemId: null, categoryId: null }
    const body = { id: lessonId.value, words: typed.value.lesson, promptedBy: 'herself', ...none, span: { from, to } }
    if (!(await lesson.store('POST', '/lessons', body))) return
    typed.value.lesson = ''
  }
  words.begin()
  emit('close')
}
</script>

<template>
  <FormDialog
    :title="`How it felt: ${spanTitle(sheet)}`"
    :draft="words"
    act="Save"
    :width="640"
    @close="emit('close')"
    @store="store"
  >
    <v-textarea v-model="typed.words" autofocus rows="4" label="In your words" :error-messages="on('words')" />
    <v-textarea
      v-model="typed.lesson"
      rows="2"
      label="A lesson (optional)"
      hint="It comes up again when you choose, buy or set up a project."
      persistent-hint
      :error-messages="lesson.on('words')"
    />
  </FormDialog>
</template>
