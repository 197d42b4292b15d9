<script setup lang="ts">
import { mdiChevronDown, mdiChevronUp, mdiClose } from '@mdi/js'
import { computed } from 'vue'
import { useDisplay } from 'vuetify'
import type { Day } from '#core/calendar/day'
import type { ListedItem } from '#contract/item'
import type { SuggestionView, TodayAnswer } from '#contract/today'
import { counted } from '#core/words/counted'
import { useDevice } from '#web/data/device'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { shortName } from '#web/ui/words/item-words'
import { locationWords } from '#web/ui/words/location-words'
import { whyWords } from '#web/ui/words/why-words'

/** The drawer's front lip: what to reach for, in the order of a face, a reason each; *not today* sends one away. */
defineProps<{
  suggestions: readonly SuggestionView[]
  sunscreen: TodayAnswer['sunscreen']
  items: ReadonlyMap<string, ListedItem>
  today: Day
}>()
const { mobile } = useDisplay()
const device = useDevice()
const folded = computed(() => mobile.value && device.reachForFolded)
const emit = defineEmits<{ tap: [item: ListedItem]; notToday: [item: ListedItem] }>()
</script>

<template>
  <section class="lip" aria-label="Reach for">
    <button
      v-if="mobile"
      type="button"
      class="label"
      :aria-expanded="!device.reachForFolded"
      @click="device.reachForFolded = !device.reachForFolded"
    >
      <h2>Reach for</h2>
      <span class="quiet">{{ device.reachForFolded ? counted(suggestions.length, 'item') : 'in makeup order' }}</span>
      <svg class="fold" viewBox="0 0 24 24" width="20" height="20" aria-hidden="true">
        <path :d="device.reachForFolded ? mdiChevronDown : mdiChevronUp" fill="currentColor" />
      </svg>
    </button>
    <div v-else class="label">
      <h2>Reach for</h2>
      <span class="quiet">in makeup order</span>
    </div>
    <p v-if="sunscreen && !folded" class="sun">
      <strong>A sunscreen</strong>
      <span v-if="sunscreen.elsewhere"
        >None in date in the drawer.
        <RouterLink :to="`/items/${sunscreen.elsewhere.id}`">{{ shortName(sunscreen.elsewhere) }}</RouterLink>
        {{ locationWords(sunscreen.elsewhere) }} is in date.</span
      >
      <span v-else>None in date in the whole collection.</span>
    </p>
    <div v-for="suggestion in folded ? [] : suggestions" :key="suggestion.itemId" class="hint">
      <template v-if="items.get(suggestion.itemId)">
        <button type="button" class="take" @click="emit('tap', items.get(suggestion.itemId)!)">
          <ItemGauge :item="items.get(suggestion.itemId)!" size="small" />
          <span class="words">
            <strong>{{ shortName(items.get(suggestion.itemId)!) }}</strong>
            <span>{{ whyWords(suggestion.reason, items, today) }}</span>
          </span>
        </button>
        <button
          type="button"
          class="away"
          :aria-label="`${shortName(items.get(suggestion.itemId)!)}: not today`"
          title="Not today"
          @click="emit('notToday', items.get(suggestion.itemId)!)"
        >
          <svg viewBox="0 0 24 24" width="16" height="16" aria-hidden="true">
            <path :d="mdiClose" fill="currentColor" />
          </svg>
        </button>
      </template>
    </div>
    <p v-if="suggestions.length === 0 && !sunscreen" class="none quiet">Nothing is urgent today. Wear what you like.</p>
  </section>
</template>

<style scoped>
.lip {
  display: flex;
  overflow-x: auto; /* On a narrow window they keep their width. */
  background: var(--raised);
  border-top: 1px solid var(--line);
  min-height: 78px;
  position: sticky;
  bottom: 62px;
  z-index: 3;
}

.label {
  flex: 0 0 92px;
  display: grid;
  align-content: center;
  padding: 0 6px 0 12px;
  font-size: 12.5px;
  line-height: 1.25;
}

h2 {
  font-size: 15px;
}

.hint,
.sun {
  flex: 1 0 150px;
  position: relative;
  display: flex;
  border-left: 1px solid var(--hair);
  min-width: 0;
  margin: 0;
}

.sun {
  display: grid;
  align-content: center;
  padding: 4px 10px;
  font-size: 12.5px;
  line-height: 1.3;
  color: var(--alarm);
}

.take {
  flex: 1;
  display: flex;
  align-items: center;
  gap: 7px;
  padding: 6px 22px 6px 8px;
  text-align: left;
  min-width: 0;
}

.take:hover {
  background: var(--inset);
}

.words {
  display: grid;
  font-size: 12.5px;
  line-height: 1.28;
  min-width: 0;
}

.words strong {
  font-size: 13.5px;
}

.away {
  position: absolute;
  right: 0;
  top: 0;
  width: 30px;
  height: 44px;
  display: grid;
  place-items: center;
  color: var(--quiet);
}

.away:hover {
  color: var(--ink);
}

.none {
  padding: 0 12px;
  align-self: center;
}

.phone .lip {
  position: static;
  flex-direction: column;
}

.phone .label {
  flex: none;
  display: flex;
  gap: 8px;
  align-items: center;
  padding: 4px 12px;
  min-height: 44px;
  width: 100%;
}

.fold {
  margin-left: auto;
}

.phone .hint,
.phone .sun {
  border-left: 0;
  border-top: 1px solid var(--hair);
  min-height: 56px;
}

.phone .take {
  padding: 4px 52px 4px 12px;
}

.phone .away {
  width: 48px;
  height: 56px;
}

/* One below the other they are as high as their words. */
.phone .hint,
.phone .sun {
  flex: none;
}
</style>
