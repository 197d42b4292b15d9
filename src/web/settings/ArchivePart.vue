<script setup lang="ts">
import { ref } from 'vue'
import type { WentBack } from '#contract/host'
import { counted } from '#core/words/counted'
import { OutOfReach, Refused, sendLarge } from '#web/data/client'
import { useChanges } from '#web/data/changes'
import { useStaleness } from '#web/data/reads'
import FileDrop from '#web/ui/form/FileDrop.vue'

/** Everything as one file: the database, the records as text, the pictures. Out, and in again. */
defineProps<{ here: boolean }>()
const emit = defineEmits<{ taken: [] }>()
const changes = useChanges()
const stale = useStaleness()
const chosen = ref<File | null>(null)
const sent = ref<number | null>(null)
const wrong = ref('')
const done = ref('')

function choose(file: File): void {
  chosen.value = file
  wrong.value = done.value = ''
}

async function take(): Promise<void> {
  if (chosen.value === null) return
  wrong.value = ''
  sent.value = 0
  try {
    const { items } = await sendLarge<WentBack>('/archive', chosen.value, (share) => (sent.value = share))
    chosen.value = null
    done.value = `${counted(items, 'item')} from the archive are here now. What was here before is the newest of the copies.`
    changes.say(done.value)
    await stale.all()
    emit('taken')
  } catch (error) {
    if (error instanceof Refused || error instanceof OutOfReach) wrong.value = error.message
    else throw error
  } finally {
    sent.value = null
  }
}
</script>

<template>
  <section class="sheet settings-part" aria-label="Archive">
    <h2>Everything in one file</h2>
    <p>
      A zip with the database, all pictures, and your records as plain text that any program can read. For moving to
      another computer, or for keeping.
    </p>
    <p v-if="!here" class="quiet">It’s made, and imported, on the computer where Seligo runs.</p>
    <template v-else>
      <div class="acts">
        <v-btn variant="outlined" color="primary" href="/api/archive" download>Make the archive</v-btn>
      </div>
      <FileDrop label="Import an archive" accept=".zip,application/zip" :disabled="sent !== null" @file="choose" />
      <p v-if="chosen && sent === null">
        It’s checked first. Then it replaces what’s here, which becomes a safety copy.
      </p>
      <div v-if="chosen && sent === null" class="acts">
        <v-btn color="primary" @click="take">Put {{ chosen.name }} in place of what is here</v-btn>
      </div>
      <div v-if="sent !== null" role="status">
        <v-progress-linear
          :model-value="sent * 100"
          :indeterminate="sent >= 1"
          color="primary"
          height="8"
          aria-label="Importing"
        />
        <p>{{ sent < 1 ? `${Math.floor(sent * 100)} % is here` : 'Checking' }}</p>
      </div>
      <p v-if="wrong" class="alarm" role="alert">{{ wrong }}</p>
      <p v-if="done" role="status">{{ done }}</p>
    </template>
  </section>
</template>
