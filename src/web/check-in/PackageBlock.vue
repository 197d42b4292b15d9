<script setup lang="ts">
import { computed } from 'vue'
import type { PackageEvent } from '#core/measure/package-events'
import type { SheetItem } from '#contract/check-in'
import type { ListedItem } from '#contract/item'
import { dateWords } from '#web/data/locale'
import { useItemActs } from '#web/ui/acts/item-acts'
import { likelyEvents } from '#web/ui/acts/likely-events'
import { EVENT_WORDS } from '#web/ui/words/measure-words'

/** What happened to the package since the last look: the likely ones at hand, the rest in the dialog. */
const props = defineProps<{ item: ListedItem; line: SheetItem | null; checkInId: string }>()
const acts = useItemActs()
const likely = computed(() => likelyEvents(props.item.form))
const happened = computed(() =>
  (props.line?.events ?? []).map((event) => `${EVENT_WORDS[event.kind].toLowerCase()}, ${dateWords(event.day)}`),
)
function say(event: PackageEvent | null): void {
  void acts.begin('happened', props.item, { checkInId: props.checkInId, ...(event === null ? {} : { event }) })
}
defineExpose({ ask: () => say(null) })
</script>

<template>
  <section class="inset py-2 px-3" aria-label="The packaging">
    <h3>
      The packaging{{ line?.before ? `, since ${dateWords(line.before.day)}` : '' }}
      <span v-if="happened.length > 0">{{ happened.join('; ') }}</span>
    </h3>
    <div class="choices">
      <button v-for="event in likely" :key="event" type="button" class="choice" @click="say(event)">
        {{ EVENT_WORDS[event] }}
      </button>
      <button type="button" class="choice" @click="say(null)">Something else…</button>
      <button type="button" class="choice" @click="acts.begin('finish', item)">Finished…</button>
    </div>
  </section>
</template>

<style scoped>
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
</style>
