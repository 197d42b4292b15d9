<script setup lang="ts">
import type { Day } from '#core/calendar/day'
import { counted } from '#core/words/counted'
import type { ListedItem } from '#contract/item'
import type { SavedLook } from '#contract/today'
import { newId } from '#web/data/client'
import { useChanges } from '#web/data/changes'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'

/** Looks kept under a name: put on with one tap, today's kept as a new one. */
const props = defineProps<{
  looks: readonly SavedLook[]
  look: readonly ListedItem[]
  day: Day
  occasion: string | null
}>()
const emit = defineEmits<{ close: []; wear: [look: SavedLook] }>()
const changes = useChanges()
const draft = useDraft(() => ({ name: '' }))
const { typed, on } = draft

async function keep(): Promise<void> {
  const done = await draft.store('POST', '/saved-faces', {
    id: draft.id('face'),
    day: props.day,
    name: typed.value.name,
    occasion: props.occasion ?? '',
    itemIds: props.look.map((item) => item.id),
  })
  if (done) emit('close')
}

function drop(look: SavedLook): void {
  void changes.run('POST', `/saved-faces/${look.id}/drop`, { changeId: newId() })
}
</script>

<template>
  <FormDialog
    title="Saved looks"
    :draft="draft"
    :act="look.length > 0 ? 'Save' : undefined"
    :ready="typed.name.trim() !== ''"
    cancel="Close"
    @close="emit('close')"
    @store="keep"
  >
    <p v-if="looks.length === 0" class="quiet">
      None saved yet. Save a look you wear often, and it’s one tap from here.
    </p>
    <div v-for="each in looks" :key="each.id" class="d-flex align-center ga-2">
      <v-btn variant="outlined" color="primary" class="wear" @click="emit('wear', each)">{{ each.name }}</v-btn>
      <span class="quiet figures flex-1-1-0"
        >{{ counted(each.itemIds.length, 'item') }}{{ each.occasion ? `, ${each.occasion}` : '' }}</span
      >
      <v-btn variant="text" :aria-label="`Remove the look ${each.name}`" @click="drop(each)">Remove</v-btn>
    </div>
    <v-text-field
      v-if="look.length > 0"
      v-model="typed.name"
      :label="`Keep these ${look.length} as`"
      placeholder="early shift"
      :error-messages="on('name')"
    />
  </FormDialog>
</template>
