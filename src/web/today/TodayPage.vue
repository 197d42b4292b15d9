<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useDisplay } from 'vuetify'
import { addDays, parseDay, type Day } from '#core/calendar/day'
import type { ListedItem } from '#contract/item'
import type { DrawerZone } from '#contract/today'
import { latePart } from '#web/ui/late-part'
import { useHerDay } from '#web/data/her-day'
import { useTicks } from '#web/data/ticks'
import { useShortcut } from '#web/ui/shortcuts'
import { longDay } from '#web/ui/words/when-words'
import DayConditions from './DayConditions.vue'
import DayHeader from './DayHeader.vue'
import EmptyHouse from './EmptyHouse.vue'
import type { AboveTheDrawer } from './above-the-drawer'
import LookLine from './LookLine.vue'
import ReachForLip from './ReachForLip.vue'
import { useShownDay } from './use-shown-day'
import { apartWords } from '#web/ui/words/item-words'
import ZoneCompartment from './ZoneCompartment.vue'

const DayDialogs = latePart(() => import('./DayDialogs.vue'))
const SilentDays = latePart(() => import('./SilentDays.vue'))

const route = useRoute()
const router = useRouter()
const herDay = useHerDay()
const ticks = useTicks()
const { mobile } = useDisplay()
/** The day in the address; null = today. */
const asked = computed<Day | null>(() => parseDay(String(route.params['day'] ?? '')))
const day = useShownDay(asked)
const { shown, items, worn, wears, look } = day
const today = computed(() => herDay.today ?? shown.value?.today ?? null)
/** The day of the next tap: two quick steps are two days, also before the first has come. */
const dayAsked = computed(() => asked.value ?? shown.value?.day ?? null)
/** Whether what is drawn is the day that was asked for; until it is, a tap is for nobody. */
const isHere = computed(() => shown.value !== null && shown.value.day === dayAsked.value)
/** Nothing lies in the drawer, and nothing was worn either: there is no day to draw. */
const nothingInReach = computed(
  () => shown.value !== null && shown.value.items.length === 0 && shown.value.onTrial.length === 0,
)
/** What is on trial lies within reach too, wherever it is kept, until it is decided. */
const trials = computed<DrawerZone>(() => {
  const itemIds = shown.value?.onTrial ?? []
  return { id: 'on trial', name: 'On trial', slots: itemIds.length, taken: itemIds.length, version: 1, itemIds }
})
/** Two of one name in the drawer are told apart on their tiles. */
const apart = computed(() =>
  apartWords([...items.value.values()].filter(({ placement, onTrial }) => placement !== null || onTrial)),
)
const shadesOf = ref<ListedItem | null>(null)
/** What is open above the drawer. */
const open = ref<AboveTheDrawer | null>(null)
// A day that cannot be shown is said in words; today can be.
watch(day.refused, (refused) => {
  if (refused && asked.value !== null) void router.replace('/')
})

function go(to: Day): void {
  void router.push(to === today.value ? '/' : `/day/${to}`)
}

function tap(item: ListedItem): void {
  if (!isHere.value || shown.value === null) return
  if (item.parts.length > 0) shadesOf.value = item
  else ticks.setWorn(item, shown.value.day, !worn.value.has(item.id))
}

useShortcut('day before', () => dayAsked.value && go(addDays(dayAsked.value, -1)))
useShortcut('day after', () => {
  if (dayAsked.value && today.value && dayAsked.value < today.value) go(addDays(dayAsked.value, 1))
})
</script>

<template>
  <div v-if="shown && today && dayAsked" class="today d-grid ga-2">
    <DayHeader :day="dayAsked" :today="today" @go="go">
      <DayConditions
        v-if="!shown.collectionIsEmpty"
        :conditions="shown.conditions"
        :occasions="shown.occasions"
        :day="shown.day"
        :is-today="shown.day === today"
        @set="ticks.setConditions"
      />
    </DayHeader>
    <p v-if="herDay.turnedFrom" class="inset d-flex flex-wrap align-center py-1 ps-3 pe-2 gr-1 gc-3" role="status">
      A new day has begun: this is {{ longDay(today) }}.
      <RouterLink :to="`/day/${herDay.turnedFrom}`" @click="herDay.turnedFrom = null"
        >Back to {{ longDay(herDay.turnedFrom) }}</RouterLink
      >
      <v-btn variant="text" @click="herDay.turnedFrom = null">Close</v-btn>
    </p>
    <SilentDays v-if="shown.silence" :silence="shown.silence" :today="today" />
    <EmptyHouse v-if="nothingInReach" :collection-is-empty="shown.collectionIsEmpty" />
    <template v-if="!shown.collectionIsEmpty">
      <section v-if="!nothingInReach" class="drawer" :class="{ coming: !isHere }" aria-label="The active drawer">
        <ReachForLip
          v-if="mobile && shown.day === today"
          :suggestions="shown.reachFor"
          :sunscreen="shown.sunscreen"
          :items="items"
          :today="today"
          @tap="tap"
          @not-today="(item) => shown && ticks.setNotToday(item, shown.day)"
        />
        <div class="plan d-flex flex-wrap pa-2 ga-2">
          <ZoneCompartment
            v-for="zone in shown.zones"
            :key="zone.id"
            :zone="zone"
            :items="items"
            :worn="worn"
            :apart="apart"
            @tap="tap"
          />
          <ZoneCompartment
            v-if="shown.onTrial.length > 0"
            :zone="trials"
            :items="items"
            :worn="worn"
            :apart="apart"
            @tap="tap"
          />
        </div>
        <ReachForLip
          v-if="!mobile && shown.day === today"
          :suggestions="shown.reachFor"
          :sunscreen="shown.sunscreen"
          :items="items"
          :today="today"
          @tap="tap"
          @not-today="(item) => shown && ticks.setNotToday(item, shown.day)"
        />
      </section>
      <LookLine
        :look="look"
        :worn="wears"
        :no-makeup="shown.noMakeup"
        :earlier="shown.earlierLooks"
        :occasion="shown.conditions.occasion"
        :day="shown.day"
        :today="today"
        @tap="tap"
        @same="
          (earlier, words) =>
            isHere && shown && ticks.putOn(shown.day, earlier.itemIds, words, { kind: 'day', day: earlier.day })
        "
        @no-makeup="isHere && shown && ticks.setNoMakeup(shown.day, !shown.noMakeup)"
        @act="(act) => (open = act)"
      />
    </template>
    <DayDialogs
      v-if="open || shadesOf"
      v-model:open="open"
      v-model:shades-of="shadesOf"
      :shown="shown"
      :look="look"
      :worn="worn"
    />
  </div>
</template>

<style scoped>
.today {
  grid-template-columns: minmax(0, 1fr);
}

.drawer {
  background: var(--drawer);
  border: 1px solid var(--line);
  border-radius: 14px;
  box-shadow:
    inset 0 3px 9px var(--shade),
    0 1px 0 var(--glow);
  /* Its corners are cut, and yet what sticks within it sticks to the window. */
  overflow: clip;
}

.drawer.coming {
  opacity: 0.6;
}

/* A large screen shows the things larger rather than leaving half of itself bare. */
@media (width >= 1600px) and (height >= 900px) {
  .plan {
    zoom: 1.2;
  }
}

.phone .plan {
  flex-direction: column;
  padding: 7px;
}
</style>
