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
import { callIt, shortName } from '#web/ui/words/item-words'
import { locationWords } from '#web/ui/words/location-words'
import { whyWords } from '#web/ui/words/why-words'

/** The drawer's front lip: what to reach for, in makeup order, a reason each; *not today* sends one away. */
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
      class="label d-grid align-content-center fine tight ps-3 pe-2"
      :aria-expanded="!device.reachForFolded"
      @click="device.reachForFolded = !device.reachForFolded"
    >
      <h2>Reach for</h2>
      <span class="quiet">{{ device.reachForFolded ? counted(suggestions.length, 'item') : 'in makeup order' }}</span>
      <svg class="ms-auto" viewBox="0 0 24 24" width="20" height="20" aria-hidden="true">
        <path :d="device.reachForFolded ? mdiChevronDown : mdiChevronUp" fill="currentColor" />
      </svg>
    </button>
    <div v-else class="label d-grid align-content-center fine tight py-0 ps-3 pe-2">
      <h2>Reach for</h2>
      <span class="quiet">in makeup order</span>
    </div>
    <p
      v-if="sunscreen && !folded"
      class="sun d-grid position-relative min-w-0 align-content-center fine tight alarm py-1 px-2"
    >
      <strong>A sunscreen</strong>
      <span v-if="sunscreen.elsewhere"
        >None in date in the drawer.
        <RouterLink :to="`/items/${sunscreen.elsewhere.id}`">{{ shortName(sunscreen.elsewhere) }}</RouterLink>
        {{ locationWords(sunscreen.elsewhere) }} is in date.</span
      >
      <span v-else>None in date in the whole collection.</span>
    </p>
    <div
      v-for="suggestion in folded ? [] : suggestions"
      :key="suggestion.itemId"
      class="hint d-flex position-relative min-w-0 ma-0"
    >
      <template v-if="items.get(suggestion.itemId)">
        <button
          type="button"
          class="take d-flex flex-1-1-0 align-center text-left min-w-0 py-2 ps-2 pe-5 ga-2"
          @click="emit('tap', items.get(suggestion.itemId)!)"
        >
          <ItemGauge :item="items.get(suggestion.itemId)!" size="small" />
          <span class="words d-grid fine min-w-0">
            <strong class="small">{{ shortName(items.get(suggestion.itemId)!) }}</strong>
            <span>{{ whyWords(suggestion.reason, items, today) }}</span>
          </span>
        </button>
        <button
          type="button"
          class="away d-grid position-absolute top-0 align-center justify-items-center quiet"
          :aria-label="`${callIt(items.get(suggestion.itemId)!)}: not today`"
          title="Not today"
          @click="emit('notToday', items.get(suggestion.itemId)!)"
        >
          <svg viewBox="0 0 24 24" width="16" height="16" aria-hidden="true">
            <path :d="mdiClose" fill="currentColor" />
          </svg>
        </button>
      </template>
    </div>
    <p v-if="suggestions.length === 0 && !sunscreen" class="none quiet align-self-center py-0 px-3">
      Nothing is urgent today. Wear what you like.
    </p>
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
}

h2 {
  font-size: 15px;
}

.hint,
.sun {
  flex: 1 0 150px;
  border-left: 1px solid var(--hair);
}

.take:hover {
  background: var(--inset);
}

.words {
  line-height: 1.28;
}

.away {
  right: 0;
  width: 30px;
  height: 44px;
}

.away:hover {
  color: var(--ink);
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
