<script setup lang="ts">
import { ref } from 'vue'
import type { Day } from '#core/calendar/day'
import { counted } from '#core/words/counted'
import type { SavedFace } from '#contract/today'
import type { ItemSummary } from '#contract/item'
import { newId } from '#web/api/client'
import { useChanges } from '#web/shell/changes'

/** Faces kept under a name: put on with one tap, today's kept as a new one. */
const props = defineProps<{
  faces: readonly SavedFace[]
  face: readonly ItemSummary[]
  day: Day
  occasion: string | null
}>()
const emit = defineEmits<{ close: []; wear: [face: SavedFace] }>()
const changes = useChanges()
const name = ref('')

async function keep(): Promise<void> {
  const done = await changes.run('POST', '/saved-faces', {
    changeId: newId(),
    id: newId(),
    day: props.day,
    name: name.value,
    occasion: props.occasion ?? '',
    itemIds: props.face.map((item) => item.id),
  })
  if (done) emit('close')
}

function drop(face: SavedFace): void {
  void changes.run('POST', `/saved-faces/${face.id}/drop`, { changeId: newId() })
}
</script>

<template>
  <v-dialog :model-value="true" aria-label="Saved faces" @update:model-value="emit('close')">
    <form class="sheet dialog" @submit.prevent="keep">
      <h2>Saved faces</h2>
      <p v-if="faces.length === 0" class="quiet">
        None kept yet. A face that you wear again and again is one tap from here.
      </p>
      <div v-for="each in faces" :key="each.id" class="face">
        <v-btn variant="outlined" color="primary" class="wear" @click="emit('wear', each)">{{ each.name }}</v-btn>
        <span class="quiet figures"
          >{{ counted(each.itemIds.length, 'thing') }}{{ each.occasion ? `, ${each.occasion}` : '' }}</span
        >
        <v-btn variant="text" :aria-label="`Drop the face ${each.name}`" @click="drop(each)">Drop</v-btn>
      </div>
      <div v-if="face.length > 0" class="keep">
        <v-text-field v-model="name" :label="`Keep these ${face.length} as`" placeholder="early shift" />
        <v-btn type="submit" color="primary" :disabled="name.trim() === ''">Keep</v-btn>
      </div>
      <div class="acts"><v-btn variant="text" @click="emit('close')">Close</v-btn></div>
    </form>
  </v-dialog>
</template>

<style scoped>
.face {
  display: flex;
  gap: 10px;
  align-items: center;
}

.face .quiet {
  flex: 1;
}

.keep {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 10px;
  align-items: center;
}
</style>
