<script setup lang="ts">
import { RouterLink } from 'vue-router'
import type { Day } from '#core/calendar/day'
import type { ItemSummary } from '#contract/item'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { useWhenIdle } from '#web/ui/when-idle'
import { leftWords } from '#web/ui/words/gauge-words'
import { shortStanding } from '#web/ui/words/goal-words'
import { fullName, usesWords } from '#web/ui/words/item-words'
import { goodTo } from '#web/ui/words/shelf-life-words'
import { fromNow, openedWords } from '#web/ui/words/when-words'

/** `chosen` null = a link to the item; else a thing that can be chosen. */
defineProps<{ item: ItemSummary; today: Day; chosen: boolean | null }>()
defineEmits<{ choose: [] }>()
const drawn = useWhenIdle()
</script>

<template>
  <component
    :is="chosen === null ? RouterLink : 'button'"
    class="row"
    :class="{ chosen }"
    :type="chosen === null ? undefined : 'button'"
    :aria-pressed="chosen ?? undefined"
    :to="chosen === null ? `/items/${item.id}` : undefined"
    @click="chosen !== null && $emit('choose')"
  >
    <ItemGauge v-if="drawn" :item="item" size="small" /><span v-else></span>
    <span class="name">
      <strong>{{ fullName(item) }}</strong>
      <span class="quiet">{{ item.maker }}<template v-if="item.isBackup">, backup</template></span>
    </span>
    <span class="cell">
      {{ leftWords(item) }}
      <span class="quiet">{{ openedWords(item) }}</span>
    </span>
    <span
      class="cell"
      :class="{
        alarm: item.shelfLife.state === 'past' || item.shelfLife.state === 'sign seen',
        soon: item.shelfLife.state === 'within 90 days',
      }"
    >
      {{ goodTo(item, today) }}
      <span class="quiet">{{
        item.goal ? `${item.goal.projectName}${shortStanding(item.goal) ? `: ${shortStanding(item.goal)}` : ''}` : ''
      }}</span>
    </span>
    <span class="cell figures uses">
      {{ usesWords(item.uses) }}
      <span class="quiet">{{
        item.lastWorn
          ? `worn ${fromNow(item.lastWorn, today)}`
          : item.lifecycle === 'unopened'
            ? ''
            : 'not worn in the log'
      }}</span>
    </span>
  </component>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 44px minmax(0, 1.5fr) minmax(0, 1.1fr) minmax(0, 1.1fr) minmax(0, 0.9fr);
  gap: 14px;
  align-items: center;
  height: 58px;
  /* A row is laid out and painted by itself: thousands scroll past. */
  contain: strict;
  padding: 0 14px 0 10px;
  border-bottom: 1px solid var(--hair);
  color: var(--ink);
  text-decoration: none;
  font-size: 13.5px;
}

button.row {
  width: 100%;
  text-align: left;
}

.row.chosen {
  background: var(--inset);
  box-shadow: inset 6px 0 0 var(--primary);
}

.row:hover {
  background: var(--inset);
}

.name,
.cell {
  display: grid;
  line-height: 1.3;
  min-width: 0;
}

.name > *,
.cell > * {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.quiet {
  font-size: 12.5px;
}

.alarm {
  color: var(--alarm);
}

.soon {
  color: var(--attention);
}

@media (max-width: 760px) {
  .row {
    grid-template-columns: 44px minmax(0, 1fr) minmax(0, 0.8fr);
  }

  .row .cell:nth-child(3),
  .row .uses {
    display: none;
  }
}
</style>
