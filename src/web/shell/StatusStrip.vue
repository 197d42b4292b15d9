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
    <p v-if="pending.away" class="strip" role="status">
      <strong>Seligo doesn’t answer.</strong>
      {{
        pending.acts.length === 0
          ? 'What is shown is as it was last known.'
          : waitingWords(pending.acts.length).replace('Seligo doesn’t answer. ', '')
      }}
    </p>
    <p v-if="server.trouble === 'damaged'" class="strip alarm" role="alert">
      <strong>The collection is damaged.</strong> Parts of its file can’t be read; nothing more should be saved in it.
      <RouterLink to="/settings/safety-copies">Restore a sound safety copy</RouterLink>
    </p>
    <p v-else-if="server.trouble === 'read-only'" class="strip alarm" role="alert">
      <strong>The collection can be looked at, and nothing can be saved.</strong> Its file or its disk can’t be written:
      give it back its rights or its room, then start Seligo again.
    </p>
    <p v-if="server.updated" class="strip" role="status">
      <strong>Seligo was updated.</strong> This page is out of date; what waits to be saved is kept.
      <v-btn variant="outlined" size="small" @click="reload">Reload the page</v-btn>
    </p>
    <p v-if="pending.elsewhere.length > 0" class="strip" role="status">
      {{ counted(pending.elsewhere.length, 'act') }} made in another collection at this address
      {{ pending.elsewhere.length === 1 ? 'waits' : 'wait' }} until that one is open again.
      <v-btn variant="outlined" size="small" @click="pending.dropElsewhere()">Discard</v-btn>
    </p>
  </div>
</template>

<style scoped>
.strip {
  margin: 0;
  padding: 6px 14px;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px 10px;
  font-size: 14px;
  background: var(--raised);
  border-bottom: 1px solid var(--hair);
  border-left: 6px solid var(--attention);
}

.alarm {
  border-left-color: var(--alarm);
}
</style>
