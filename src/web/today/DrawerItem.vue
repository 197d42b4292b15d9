<script setup lang="ts">
import { mdiChevronRight } from '@mdi/js'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import type { ListedItem } from '#contract/item'
import { useDevice } from '#web/data/device'
import { usePendingActs } from '#web/data/pending-acts'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { gaugeWords, stateWords } from '#web/ui/words/gauge-words'
import { useVerdicts } from '#web/data/verdicts'
import { shortVerdict } from '#web/ui/words/goal-words'
import WornTick from './WornTick.vue'
import { callIt, shortName } from '#web/ui/words/item-words'

/** An item lying in the drawer. Tap = worn, again = take back; worn ones lie lifted, with a tick. */
const props = defineProps<{
  item: ListedItem
  density: 'roomy' | 'close' | 'packed' | 'row'
  worn: boolean
  wornParts: readonly string[]
  /** Its brand, type or product where another has its name. */
  apart: string
  tabindex: number
}>()
const emit = defineEmits<{ tap: []; focus: [] }>()
const router = useRouter()
const device = useDevice()

const pending = usePendingActs()
/** Its tick waits on this device: nobody answers. */
const waiting = computed(() => pending.away && pending.waitingItems.has(props.item.id))
const shades = computed(() =>
  props.item.parts.filter((part) => props.wornParts.includes(part.id)).map((part) => part.name),
)
const verdictOf = useVerdicts()
const verdict = computed(() => verdictOf(props.item.goal))
/** One line under the name: the most useful thing to know now. */
const caption = computed(() => {
  const { item } = props
  if (props.worn && shades.value.length > 0) return shades.value.join(', ')
  if (item.shelfLife.sun?.lapsed) return 'filter lapsed'
  const spoiled = stateWords(item)
  if (item.shelfLife.state === 'past' || item.shelfLife.state === 'sign seen') return spoiled
  if (item.goal?.kind === 'uses' && !item.goal.met) {
    const short = verdict.value === 'behind' ? shortVerdict(item.goal, verdict.value) : ''
    return short || `${item.goal.uses} of ${item.goal.target}`
  }
  if (item.placement?.beside) return 'stands beside'
  if (item.goal?.met) return 'goal met'
  return spoiled
})
const pressing = computed(() => ['past its date', 'spoiled', 'filter lapsed'].includes(caption.value))
const big = computed(() => props.density === 'roomy')
</script>

<template>
  <span class="spot d-flex position-relative min-w-0" :class="density">
    <button
      type="button"
      class="tile"
      :class="[density, { worn }]"
      :aria-pressed="worn"
      :aria-label="`${gaugeWords(item, worn, wornParts, verdict)}${waiting ? ', waits to be saved' : ''}`"
      :tabindex="tabindex"
      @click="emit('tap')"
      @focus="emit('focus')"
      @keydown.o.exact="device.letterKeys && router.push(`/items/${item.id}`)"
    >
      <span class="lying"
        ><ItemGauge :item="item" :size="big ? 'middle' : 'small'" :worn="worn" :worn-parts="wornParts"
      /></span>
      <span class="words d-grid text-center max-w-100">
        <span class="name font-weight-semibold fine tight text-truncate">{{ shortName(item) }}</span>
        <span v-if="apart && caption" class="apart tight quiet text-truncate">{{ apart }}</span>
        <span v-if="density !== 'packed'" class="caption" :class="{ pressing }">{{ caption || apart }}</span>
      </span>
      <WornTick v-if="worn || waiting" class="tick" :waiting="waiting" />
    </button>
    <RouterLink
      v-if="big"
      class="open position-absolute top-0 fine rounded-lg py-1 px-2"
      :to="`/items/${item.id}`"
      tabindex="-1"
      :aria-label="`Open ${callIt(item)}`"
      >open</RouterLink
    >
    <RouterLink
      v-else-if="density === 'row'"
      class="go d-grid flex-0-0 align-center justify-items-center quiet"
      :to="`/items/${item.id}`"
      :aria-label="`Open ${callIt(item)}`"
    >
      <svg viewBox="0 0 24 24" width="18" height="18" aria-hidden="true">
        <path :d="mdiChevronRight" fill="currentColor" />
      </svg>
    </RouterLink>
  </span>
</template>

<style scoped>
.tile {
  scroll-margin-bottom: 150px; /* clear of the lip that stays in sight */
  position: relative;
  display: flex;
  flex-direction: column;
  align-items: center;
  justify-content: flex-end;
  gap: 3px;
  min-width: 66px;
  min-height: 44px;
  padding: 7px 3px 4px;
  border-radius: 9px;
  border: 1px solid transparent;
  transition:
    transform 0.12s,
    background 0.12s;
}

.tile:hover {
  background: color-mix(in srgb, var(--raised) 55%, transparent);
}

.tile.worn {
  background: var(--raised);
  border-color: var(--hair);
  box-shadow: 0 4px 9px var(--shade);
  transform: translateY(-3px);
}

.tick {
  position: absolute;
  right: -3px;
  top: -3px;
}

/* What lies has one baseline, with a rail beneath it or without. */
.roomy .lying :deep(.gauge:not(.upright):not(:has(> .rail))) {
  padding-bottom: 19px;
}

.caption {
  font-size: 12px;
  line-height: 1.25;
  min-height: 15px;
  color: var(--quiet);
  white-space: nowrap;
}

.apart {
  font-size: 11.5px;
}

.caption.pressing {
  color: var(--alarm);
  font-weight: 600;
}

.spot.close .tile {
  width: 74px;
  min-width: 0;
  padding: 2px;
}

.spot.packed .tile {
  min-width: 44px;
  padding: 0;
}

.spot.packed .name {
  display: none;
}

.spot.packed .tile:focus .name,
.spot.packed .tile:hover .name {
  display: block;
}

.spot.row .tile {
  flex-direction: row;
  justify-content: flex-start;
  width: 100%;
  min-height: 52px;
  min-width: 0;
  padding: 2px 0 2px 4px;
  gap: 2px;
  text-align: left;
}

.spot.row .tile {
  align-items: center;
}

/* Room for the tick beside the name. */
.spot.row .tile.worn {
  padding-right: 22px;
}

.spot.row .words {
  text-align: left;
  flex: 1;
  min-width: 0;
}

.spot.row .caption:empty {
  display: none;
}

.go {
  width: 44px;
  min-height: 52px;
}

.spot.row .tick {
  right: 0;
  top: 0;
}

.open {
  left: 0;
  background: var(--raised);
  border: 1px solid var(--line);
  opacity: 0;
  pointer-events: none;
}

.spot:hover .open {
  opacity: 1;
  pointer-events: auto;
}
</style>
