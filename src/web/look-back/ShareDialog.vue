<script setup lang="ts">
import { ref } from 'vue'
import type { SpanSheet } from '#contract/look-back'
import { useCopying } from '#web/ui/use-copying'
import { useChanges } from '#web/data/changes'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { sheetAsMarkdown, type SheetOptions } from './sheet-sections'
import { saveAs } from './save-as'
import { pageOf } from './share-page'
import { pictureOf, type PictureSize } from './share-picture'

/** Out of the house: a print, a picture, one page, or words; with prices and pictures or without. */
const props = defineProps<{
  sheet: SpanSheet
  title: string
  options: SheetOptions
  /** The sheet as it is drawn. */
  paper: HTMLElement | null
}>()
const emit = defineEmits<{ close: [] }>()
const prices = defineModel<boolean>('prices', { required: true })
const photos = defineModel<boolean>('photos', { required: true })
const changes = useChanges()
const busy = ref('')
const trouble = ref('')
/** Shown where the browser does not let pages copy. */

async function make(what: string, act: (paper: HTMLElement) => Promise<void>): Promise<void> {
  if (props.paper === null || busy.value !== '') return
  busy.value = what
  trouble.value = ''
  try {
    await act(props.paper)
  } catch (error) {
    trouble.value = `That did not come about: ${error instanceof Error ? error.message : 'the browser gave no reason'}. Print it, or copy it as words.`
  } finally {
    busy.value = ''
  }
}
const picture = (size: PictureSize): Promise<void> =>
  make(size, async (paper) => {
    saveAs(await pictureOf(paper, size), props.title, 'png')
    changes.say('The picture is in your downloads.')
  })
const page = (): Promise<void> =>
  make('page', async (paper) => {
    saveAs(new Blob([await pageOf(paper, props.title)], { type: 'text/html' }), props.title, 'html')
    changes.say('The page is in your downloads.')
  })
const copying = useCopying()
const copy = (): Promise<void> =>
  copying(sheetAsMarkdown(props.sheet, props.title, props.options), 'Copied as Markdown.')
function print(): void {
  emit('close')
  setTimeout(() => window.print(), 0)
}
</script>

<template>
  <FormDialog
    :title="`Share or print: ${title}`"
    label="Share or print"
    :draft="null"
    cancel="Done"
    @close="emit('close')"
  >
    <div class="d-flex flex-wrap gr-0 gc-4">
      <v-checkbox v-model="prices" label="With prices" hide-details />
      <v-checkbox v-model="photos" label="With pictures of items" hide-details :disabled="sheet.photos.length === 0" />
    </div>
    <p class="quiet small">What you leave out here is left out of the page, the print and the picture.</p>
    <div class="d-flex flex-wrap ga-2">
      <v-btn color="primary" :loading="busy === 'small'" @click="picture('small')">Picture for a message</v-btn>
      <v-btn variant="outlined" color="primary" :loading="busy === 'large'" @click="picture('large')"
        >Large picture</v-btn
      >
      <v-btn variant="outlined" color="primary" :loading="busy === 'page'" @click="page">One page, a file</v-btn>
      <v-btn variant="outlined" color="primary" @click="copy">Copy as Markdown</v-btn>
      <v-btn variant="outlined" color="primary" @click="print">Print</v-btn>
    </div>
    <p v-if="trouble" role="alert" class="attention small">{{ trouble }}</p>
  </FormDialog>
</template>
