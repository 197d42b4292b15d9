<script setup lang="ts">
import { computed, watch } from 'vue'
import type { PhotoView } from '#contract/beside-item'
import type { ItemAnswer } from '#contract/item'
import { dateWords } from '#web/data/locale'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import PanReader from '#web/ui/pan/PanReader.vue'
import type { PanResult } from '#web/ui/pan/pan-draft'

/** The bare area read off a picture that is there already, under the day it was taken. */
const props = defineProps<{ answer: ItemAnswer; photo: PhotoView }>()
const emit = defineEmits<{ close: [] }>()
const shades = computed(() =>
  props.answer.item.parts.filter((part) => part.finishedOn === null && part.depottedOn === null),
)
const draft = useDraft(() => ({ partId: shades.value[0]?.id ?? null, result: null as PanResult | null }))
const { typed } = draft
watch(
  () => typed.value.partId,
  () => (typed.value.result = null),
)
const before = computed(() => {
  const last = props.answer.readings.findLast(
    (each) =>
      each.kind === 'bare' && each.partId === typed.value.partId && !each.doubtful && each.day < props.photo.day,
  )
  return last
    ? { bare: last.value ?? 0, words: `${Math.round((last.value ?? 0) * 100)} % on ${dateWords(last.day)}` }
    : null
})
async function store(): Promise<void> {
  const { result, partId } = typed.value
  if (!result) return
  const answer = await draft.store('POST', `/items/${props.answer.item.id}/readings`, {
    id: draft.id('reading'),
    partId,
    reading: { kind: 'bare', value: result.bare, how: result.how, day: props.photo.day },
    pan: result.pan && { id: draft.id('pan'), ...result.pan },
  })
  if (answer) emit('close')
}
</script>

<template>
  <FormDialog
    :title="`Bare area on ${dateWords(photo.day)}`"
    :draft="draft"
    act="Save"
    :ready="typed.result !== null"
    :width="980"
    @close="emit('close')"
    @store="store"
  >
    <v-select
      v-if="shades.length > 0"
      v-model="typed.partId"
      label="Which shade"
      :items="shades.map((part) => ({ title: part.name, value: part.id }))"
    />
    <PanReader
      :key="typed.partId ?? ''"
      v-model="typed.result"
      :photo-id="photo.id"
      :width="photo.width"
      :height="photo.height"
      :before="before"
      @another="emit('close')"
    />
  </FormDialog>
</template>
