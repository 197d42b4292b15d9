<script setup lang="ts">
import { computed } from 'vue'
import { addDays, daysBetween, type Day } from '#core/calendar/day'
import type { ItemSummary } from '#contract/item'
import ItemActsMenu from '#web/ui/acts/ItemActsMenu.vue'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { callIt, fullName, kindAndMaker } from '#web/ui/words/item-words'
import { goodTo, reasonWords, sunWords } from '#web/ui/words/shelf-life-words'
import { fromNow } from '#web/ui/words/when-words'

/** One item against its last good day: a line a year long from half a year back, the likely days as a bar. */
const props = defineProps<{ item: ItemSummary; today: Day }>()
defineEmits<{ sign: []; finish: [] }>()
const BACK = 180
const SPAN = 730
const place = (day: Day): number =>
  Math.min(100, Math.max(0, (daysBetween(addDays(props.today, -BACK), day) / SPAN) * 100))
const bar = computed(() => {
  const { lastGood } = props.item.shelfLife
  if (lastGood === null) return null
  const from = place(lastGood.earliest)
  return { left: `${from}%`, width: `max(4px, ${place(lastGood.latest) - from}%)` }
})
const nowAt = `${(BACK / SPAN) * 100}%`
const pastEye = computed(
  () => props.item.eye && (props.item.shelfLife.state === 'past' || props.item.shelfLife.state === 'sign seen'),
)
</script>

<template>
  <div class="row sheet">
    <ItemGauge :item="item" size="small" />
    <div class="words">
      <RouterLink :to="`/items/${item.id}`">{{ fullName(item) }}</RouterLink>
      <span class="quiet">{{ kindAndMaker(item) }}</span>
    </div>
    <div class="race">
      <div class="line" aria-hidden="true">
        <span class="now" :style="{ left: nowAt }"></span>
        <span v-if="bar" class="bar" :class="item.shelfLife.state.replaceAll(' ', '-')" :style="bar"></span>
      </div>
      <strong :class="item.shelfLife.state.replaceAll(' ', '-')"
        >{{ goodTo(item, today)
        }}<template v-if="item.shelfLife.actOn">, {{ fromNow(item.shelfLife.actOn, today) }}</template></strong
      >
      <span class="reason">{{ reasonWords(item) }}</span>
      <span v-if="pastEye" class="caution">Worn at the eye and past its date: stop using it.</span>
      <span v-if="sunWords(item)" class="caution">{{ sunWords(item) }}</span>
    </div>
    <div class="acts">
      <v-btn
        v-if="item.shelfLife.state === 'unknown'"
        variant="outlined"
        color="primary"
        :to="`/items/${item.id}/edit`"
        :aria-label="`Say when ${callIt(item)} was opened`"
        >Say when</v-btn
      >
      <v-btn
        v-else-if="item.shelfLife.state !== 'sign seen'"
        variant="text"
        :aria-label="`A sign on ${callIt(item)}`"
        @click="$emit('sign')"
        >A sign</v-btn
      >
      <v-btn variant="text" :aria-label="`${callIt(item)} is empty`" @click="$emit('finish')">Empty</v-btn>
      <ItemActsMenu :item="item" :without="['sign', 'finish']" />
    </div>
  </div>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 44px minmax(0, 0.8fr) minmax(0, 1.6fr) auto;
  gap: 14px;
  align-items: center;
  padding: 7px 12px;
  margin-bottom: 5px;
}

.words {
  display: grid;
}

.words a {
  font-weight: 650;
  color: var(--ink);
}

.race {
  display: grid;
  font-size: 13.5px;
  line-height: 1.35;
}

.line {
  position: relative;
  height: 12px;
  margin: 2px 0 4px;
  border-bottom: 1px solid var(--line);
}

.now {
  position: absolute;
  bottom: -3px;
  height: 13px;
  width: 2px;
  background: var(--primary);
}

.bar {
  position: absolute;
  bottom: 1px;
  height: 8px;
  border-radius: 2px;
  background: var(--done);
}

.bar.within-90-days {
  background: var(--attention);
}

.bar.past,
.bar.sign-seen {
  background: var(--alarm);
}

strong.within-90-days {
  color: var(--attention);
}

strong.past,
strong.sign-seen {
  color: var(--alarm);
}

.reason {
  color: var(--quiet);
}

.acts {
  display: flex;
}

.phone .row {
  grid-template-columns: 44px minmax(0, 1fr);
}

.phone .race,
.phone .acts {
  grid-column: 1 / -1;
}
</style>
