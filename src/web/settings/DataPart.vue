<script setup lang="ts">
import { ref } from 'vue'
import { counted, plural } from '#core/words/counted'
import type { ChangeNote } from '#contract/basic'
import FileDrop from '#web/ui/form/FileDrop.vue'
import FormTrouble from '#web/ui/form/FormTrouble.vue'
import { useDraft } from '#web/ui/form/use-draft'

/** Everything out, and in again. */
const draft = useDraft(() => ({}))
const read = ref<{ name: string; collection: unknown } | null>(null)
const wrong = ref('')
const stored = ref('')

async function choose(file: File): Promise<void> {
  stored.value = wrong.value = ''
  read.value = null
  draft.begin({})
  try {
    read.value = { name: file.name, collection: JSON.parse(await file.text()) }
  } catch {
    wrong.value = `${file.name} isn’t JSON. Choose a file that Seligo exported. Nothing was changed.`
  }
}

async function take(replace: boolean): Promise<void> {
  if (!read.value) return
  const answer = await draft.store<{ items: number; change: ChangeNote }>('POST', '/collection-file', {
    replace,
    collection: read.value.collection,
  })
  if (!answer) return
  stored.value = `${counted(answer.items, 'item')} ${plural(answer.items, 'is')} in the collection now.`
  read.value = null
}
</script>

<template>
  <section class="sheet settings-part" aria-label="My data">
    <h2>My data</h2>
    <p>
      Everything you have recorded as one JSON file with its ids and pictures (<a
        href="/api/export/schema"
        download="seligo-collection.schema.json"
        >its schema</a
      >), or the items as a sheet for any spreadsheet.
    </p>
    <div class="acts d-flex flex-wrap ga-2">
      <v-btn variant="outlined" color="primary" href="/api/export" download>Export everything</v-btn>
      <v-btn variant="outlined" color="primary" href="/api/export.csv" download>Export the items as CSV</v-btn>
    </div>
    <FileDrop label="Import an exported file" accept=".json,application/json" @file="choose" />
    <p v-if="wrong" class="alarm" role="alert">{{ wrong }}</p>
    <div v-if="read" class="acts d-flex flex-wrap ga-2">
      <v-btn color="primary" :loading="draft.busy.value" @click="take(false)">Take in {{ read.name }}</v-btn>
      <v-btn
        v-if="draft.refused.value?.problem.code === 'collection-not-empty'"
        color="error"
        :loading="draft.busy.value"
        @click="take(true)"
        >Replace what’s here</v-btn
      >
    </div>
    <FormTrouble :refused="draft.refused.value" :out-of-reach="draft.outOfReach.value" />
    <p v-if="stored" role="status">{{ stored }} One “undo” brings the former collection again.</p>
    <p class="quiet">
      Safety copies are made every day and before every import.
      <RouterLink to="/settings/safety-copies">Preview them, restore one, or put everything in one archive.</RouterLink>
    </p>
  </section>
</template>
