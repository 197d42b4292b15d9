<script setup lang="ts">
import { computed } from 'vue'
import { daysBetween, type Day } from '#core/calendar/day'
import type { ItemSummary } from '#contract/item'
import type { TodayAnswer } from '#contract/today'
import { useChanges } from '#web/shell/changes'
import { shortName } from '#web/ui/words/item-words'
import { shortDay, weekdayName } from '#web/ui/words/when-words'

/** The day's face as a line, and what can be done with the whole of it. */
const props = defineProps<{
  face: readonly ItemSummary[]
  outside: readonly ItemSummary[]
  noMakeup: boolean
  lastFace: TodayAnswer['lastFace']
  day: Day
  today: Day
  saving: boolean
}>()
const emit = defineEmits<{ tap: [item: ItemSummary]; same: []; noMakeup: []; elsewhere: [] }>()
const changes = useChanges()

const madeUp = computed(() => props.face.some((item) => item.makeup))
const sameWords = computed(() => {
  if (!props.lastFace) return ''
  const ago = daysBetween(props.lastFace.day, props.day)
  return ago === 1
    ? 'Same as the day before'
    : ago < 7
      ? `Same as ${weekdayName(props.lastFace.day)}`
      : `Same as ${shortDay(props.lastFace.day, props.today)}`
})
/** Offered only where it would add something. */
const sameAdds = computed(
  () => props.lastFace !== null && props.lastFace.itemIds.some((id) => !props.face.some((item) => item.id === id)),
)
const title = computed(() => {
  const when = props.day === props.today ? 'On today' : 'On that day'
  if (props.face.length > 0) return `${when}: ${props.face.length}`
  return props.noMakeup ? 'No makeup' : `${when}: nothing ticked`
})
</script>

<template>
  <section class="line" aria-label="The day's face">
    <p class="words">
      <strong class="title figures">{{ title }}</strong>
      <span v-for="(item, index) in face" :key="item.id" class="item">
        <RouterLink :to="`/items/${item.id}`">{{ shortName(item) }}</RouterLink><button
          v-if="item.placement === null"
          type="button"
          class="back"
          :aria-label="`Take back ${shortName(item)}, from outside the drawer`"
          @click="emit('tap', item)"
        >
          take back</button
        ><span v-if="index < face.length - 1" aria-hidden="true"> · </span>
      </span>
      <span v-if="saving" class="quiet"> saving…</span>
    </p>
    <div class="acts">
      <v-btn v-if="changes.last" class="undo take-back" @click="changes.takeBackLast()"
        >Take back: {{ changes.last.words }}</v-btn
      >
      <v-btn v-if="sameAdds" variant="outlined" color="primary" @click="emit('same')">{{ sameWords }}</v-btn>
      <v-btn variant="outlined" color="primary" @click="emit('elsewhere')">Something else</v-btn>
      <v-btn v-if="!madeUp" variant="outlined" color="primary" :aria-pressed="noMakeup" @click="emit('noMakeup')">{{
        noMakeup ? 'Makeup after all' : 'No makeup'
      }}</v-btn>
    </div>
  </section>
</template>

<style scoped>
.line {
  display: flex;
  align-items: center;
  gap: 14px;
  min-height: 48px;
}

.words {
  flex: 1;
  min-width: 0;
  margin: 0;
  font-size: 13.5px;
}

.title {
  font: 650 15.5px var(--display);
  margin-right: 10px;
}

.item a {
  color: var(--ink);
  text-decoration: none;
}

.item a:hover {
  text-decoration: underline;
}

.back {
  color: var(--primary);
  text-decoration: underline;
  min-height: 24px;
  padding: 0 6px;
}

.acts {
  display: flex;
  gap: 7px;
  flex-wrap: wrap;
  justify-content: flex-end;
}

.undo {
  max-width: 260px;
}

.undo :deep(.v-btn__content) {
  overflow: hidden;
  text-overflow: ellipsis;
  display: block;
}

@media (max-width: 760px) {
  .line {
    flex-direction: column;
    align-items: stretch;
  }

  .acts {
    /* Within the thumb's reach, above the bar. */
    position: fixed;
    left: 0;
    right: 0;
    bottom: calc(54px + env(safe-area-inset-bottom));
    z-index: 5;
    padding: 7px 10px;
    background: var(--tray);
    border-top: 1px solid var(--hair);
    justify-content: stretch;
  }

  .acts .v-btn {
    flex: 1 1 auto;
    padding: 0 8px;
  }

  .undo {
    max-width: none;
  }
}
</style>
