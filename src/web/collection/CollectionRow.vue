<script setup lang="ts">
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import type { Day } from '#core/calendar/day'
import type { ListedItem } from '#contract/item'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { useWhenIdle } from '#web/ui/when-idle'
import { leftWords } from '#web/ui/words/gauge-words'
import { useVerdicts } from '#web/data/verdicts'
import { shortVerdict } from '#web/ui/words/goal-words'
import { fullName, usesWords } from '#web/ui/words/item-words'
import { goodTo } from '#web/ui/words/shelf-life-words'
import { fromNow, openedWords } from '#web/ui/words/when-words'

/** `chosen` null = a way to the item; else a thing that can be chosen. */
const props = defineProps<{ item: ListedItem; today: Day; chosen: boolean | null; wide: boolean }>()
const emit = defineEmits<{ choose: [] }>()
const router = useRouter()
const drawn = useWhenIdle()
const verdictOf = useVerdicts()
const under = computed(() => [props.item.maker, props.item.isBackup ? 'backup' : ''].filter(Boolean).join(', '))

function open(): void {
  if (props.chosen === null) void router.push(`/items/${props.item.id}`)
  else emit('choose')
}
</script>

<template>
  <tr class="row" :class="{ chosen }" @click="open">
    <td class="drawn hair-below overflow-hidden py-0 px-2"><ItemGauge v-if="drawn" :item="item" size="small" /></td>
    <td class="cell hair-below overflow-hidden py-0 px-2">
      <RouterLink
        v-if="chosen === null"
        class="name ink font-weight-semibold text-decoration-none text-left max-w-100 w-100 touch py-1 px-0"
        :to="`/items/${item.id}`"
        @click.stop
        >{{ fullName(item) }}<span class="quiet d-block fine font-weight-regular">{{ under }}</span></RouterLink
      >
      <button
        v-else
        type="button"
        class="name ink font-weight-semibold text-decoration-none text-left max-w-100 w-100 touch py-1"
        :aria-pressed="chosen"
        @click.stop="emit('choose')"
      >
        {{ fullName(item) }}<span class="quiet d-block fine font-weight-regular">{{ under }}</span>
      </button>
    </td>
    <td v-if="wide" class="cell hair-below overflow-hidden py-0 px-2">
      <span>{{ leftWords(item) }}</span>
      <span class="quiet fine">{{ openedWords(item) }}</span>
    </td>
    <td
      class="cell hair-below overflow-hidden py-0 px-2"
      :class="{
        alarm: item.shelfLife.state === 'past' || item.shelfLife.state === 'sign seen',
        soon: item.shelfLife.state === 'within 90 days',
      }"
    >
      <span>{{ goodTo(item, today) }}</span>
      <span class="quiet fine">{{
        item.goal
          ? [item.goal.projectName, shortVerdict(item.goal, verdictOf(item.goal))].filter(Boolean).join(': ')
          : ''
      }}</span>
    </td>
    <td v-if="wide" class="cell figures hair-below overflow-hidden py-0 px-2">
      <span>{{ usesWords(item.uses) }}</span>
      <span class="quiet fine">{{
        item.lastWorn ? `worn ${fromNow(item.lastWorn, today)}` : item.lifecycle === 'unopened' ? '' : 'not worn yet'
      }}</span>
    </td>
  </tr>
</template>

<style scoped>
.row {
  height: 58px;
  font-size: 13.5px;
  cursor: pointer;
}

.row td {
  height: 58px;
}

.row.chosen td {
  background: var(--inset);
}

.row.chosen .drawn {
  box-shadow: inset 6px 0 0 var(--primary);
}

.row:hover td {
  background: var(--inset);
}

.cell > * {
  display: block;
  line-height: 1.3;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}

.soon {
  color: var(--attention);
}
</style>
