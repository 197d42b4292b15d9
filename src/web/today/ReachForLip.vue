<script setup lang="ts">
import type { Day } from '#core/calendar/day'
import type { ItemSummary } from '#contract/item'
import type { SuggestionView } from '#contract/today'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { shortName } from '#web/ui/words/item-words'
import { suggestionWords } from '#web/ui/words/suggestion-words'

/** The drawer's front lip: what to reach for, in the order of a face, a reason each. */
defineProps<{ suggestions: readonly SuggestionView[]; items: ReadonlyMap<string, ItemSummary>; today: Day }>()
const emit = defineEmits<{ tap: [item: ItemSummary] }>()
</script>

<template>
  <section class="lip" aria-label="Reach for">
    <div class="label">
      <h2>Reach for</h2>
      <span class="quiet">in the order of a face</span>
    </div>
    <template v-for="suggestion in suggestions" :key="suggestion.itemId">
      <button
        v-if="items.get(suggestion.itemId)"
        type="button"
        class="hint"
        @click="emit('tap', items.get(suggestion.itemId)!)"
      >
        <ItemGauge :item="items.get(suggestion.itemId)!" size="small" />
        <span class="words">
          <strong>{{ shortName(items.get(suggestion.itemId)!) }}</strong>
          <span>{{ suggestionWords(suggestion, today) }}</span>
        </span>
      </button>
    </template>
    <p v-if="suggestions.length === 0" class="none quiet">Nothing presses today. Take what you like.</p>
  </section>
</template>

<style scoped>
.lip {
  display: flex;
  background: var(--raised);
  border-top: 1px solid var(--line);
  min-height: 74px;
}

.label {
  flex: 0 0 108px;
  display: grid;
  align-content: center;
  padding: 0 12px;
  font-size: 12.5px;
}

h2 {
  font-size: 15px;
}

.hint {
  flex: 1;
  display: flex;
  align-items: center;
  gap: 10px;
  padding: 6px 12px;
  text-align: left;
  border-left: 1px solid var(--hair);
  min-width: 0;
}

.hint:hover {
  background: var(--inset);
}

.words {
  display: grid;
  font-size: 13px;
  line-height: 1.35;
}

.words strong {
  font-size: 14px;
}

.none {
  padding: 0 12px;
  align-self: center;
}

@media (max-width: 760px) {
  .lip {
    flex-direction: column;
  }

  .label {
    flex: none;
    display: flex;
    gap: 8px;
    align-items: baseline;
    padding: 8px 12px 2px;
  }

  .hint {
    border-left: 0;
    border-top: 1px solid var(--hair);
    min-height: 56px;
  }
}
</style>
