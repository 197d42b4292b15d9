<script setup lang="ts">
import { counted } from '#core/words/counted'
import { usePendingActs, waitingWords } from '#web/data/pending-acts'
import { useServerFacts } from '#web/data/server-facts'

/**
 * What holds for every page until it is over: nobody answers, the file is damaged or cannot be written, the pages were updated, or
 * something waits for another collection. At the head of the page, so that it is seen on a phone too.
 */
const pending = usePendingActs()
const server = useServerFacts()
function reload(): void {
  location.reload()
}
</script>

<template>
  <div class="strips">
    <p
      v-if="pending.away"
      class="strip d-flex flex-wrap align-center small hair-below py-2 px-3 gr-1 gc-2"
      role="status"
    >
      <strong>Seligo doesn’t answer.</strong>
      {{
        pending.acts.length === 0
          ? 'What is shown is as it was last known.'
          : waitingWords(pending.acts.length).replace('Seligo doesn’t answer. ', '')
      }}
    </p>
    <p
      v-if="server.trouble === 'damaged'"
      class="strip alarm d-flex flex-wrap align-center small hair-below py-2 px-3 gr-1 gc-2"
      role="alert"
    >
      <strong>The collection is damaged.</strong> Parts of its file can’t be read; nothing more should be saved in it.
      <RouterLink to="/settings/safety-copies">Restore a sound safety copy</RouterLink>
    </p>
    <p
      v-else-if="server.trouble === 'read-only'"
      class="strip alarm d-flex flex-wrap align-center small hair-below py-2 px-3 gr-1 gc-2"
      role="alert"
    >
      <strong>The collection can be looked at, and nothing can be saved.</strong> Its file or its disk can’t be written:
      give it back its rights or its room, then start Seligo again.
    </p>
    <p
      v-if="server.updated"
      class="strip d-flex flex-wrap align-center small hair-below py-2 px-3 gr-1 gc-2"
      role="status"
    >
      <strong>Seligo was updated.</strong> This page is out of date; what waits to be saved is kept.
      <v-btn variant="outlined" size="small" @click="reload">Reload the page</v-btn>
    </p>
    <p
      v-if="pending.elsewhere.length > 0"
      class="strip d-flex flex-wrap align-center small hair-below py-2 px-3 gr-1 gc-2"
      role="status"
    >
      {{ counted(pending.elsewhere.length, 'act') }} made in another collection at this address
      {{ pending.elsewhere.length === 1 ? 'waits' : 'wait' }} until that one is open again.
      <v-btn variant="outlined" size="small" @click="pending.dropElsewhere()">Discard</v-btn>
    </p>
  </div>
</template>

<style scoped>
.strip {
  background: var(--raised);
  border-left: 6px solid var(--attention);
}

.alarm {
  border-left-color: var(--alarm);
}
</style>
