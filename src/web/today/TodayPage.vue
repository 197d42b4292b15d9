<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { computed, defineAsyncComponent, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { addDays, parseDay, type Day } from '#core/calendar/day'
import type { ItemSummary } from '#contract/item'
import { useChanges } from '#web/shell/changes'
import DayConditions from './DayConditions.vue'
import DayHeader from './DayHeader.vue'
import EmptyHouse from './EmptyHouse.vue'
import FaceLine from './FaceLine.vue'
import ReachForLip from './ReachForLip.vue'
import ZoneCompartment from './ZoneCompartment.vue'
import { useToday } from './today-store'

const ItemPicker = defineAsyncComponent(() => import('#web/ui/ItemPicker.vue'))
const ShadeSheet = defineAsyncComponent(() => import('./ShadeSheet.vue'))
const SavedFaces = defineAsyncComponent(() => import('./SavedFaces.vue'))
const SilentDays = defineAsyncComponent(() => import('./SilentDays.vue'))
const WearDetails = defineAsyncComponent(() => import('./WearDetails.vue'))

const route = useRoute()
const router = useRouter()
const changes = useChanges()
const today = useToday()
const shadesOf = ref<ItemSummary | null>(null)
/** What is open above the drawer. */
const open = ref<'elsewhere' | 'put-back' | 'faces' | 'details' | null>(null)
const picking = computed({
  get: () => open.value === 'elsewhere' || open.value === 'put-back',
  set: (wanted) => {
    if (!wanted) open.value = null
  },
})
const asked = computed<Day | null>(() => parseDay(String(route.params['day'] ?? '')))
const shown = computed(() => today.answer)
/** The day in the address: two quick steps are two days, also before the first has come. */
const dayAsked = computed(() => asked.value ?? shown.value?.today)

watch(
  asked,
  (day) =>
    today.load(day).catch((error: unknown) => {
      changes.show(error)
      void router.replace('/')
    }),
  { immediate: true },
)
watch(
  () => changes.count,
  () => void today.refresh(),
)

function go(day: Day): void {
  void router.push(day === shown.value?.today ? '/' : `/day/${day}`)
}

function tap(item: ItemSummary): void {
  today.onTheDayAsked(() => {
    if (item.parts.length > 0) shadesOf.value = item
    else today.setWorn(item, !today.worn.has(item.id))
  })
}

function wearElsewhere(item: ItemSummary): void {
  const putBack = open.value === 'put-back'
  open.value = null
  if (putBack) {
    void today.say('/put-back', { itemId: item.id, putBack: true })
    return
  }
  if (item.parts.length > 0) shadesOf.value = item
  else today.setWorn(item, true)
}

useEventListener('keydown', (event: KeyboardEvent) => {
  const typing = (event.target as HTMLElement).closest('input, textarea, [role="dialog"]') !== null
  if (!shown.value || !dayAsked.value || typing) return
  if (event.key === '[') go(addDays(dayAsked.value, -1))
  if (event.key === ']' && dayAsked.value < shown.value.today) go(addDays(dayAsked.value, 1))
})
</script>

<template>
  <div v-if="shown" class="today">
    <DayHeader :day="dayAsked ?? shown.day" :today="shown.today" @go="go">
      <DayConditions
        v-if="!shown.collectionIsEmpty"
        :conditions="shown.conditions"
        :occasions="shown.occasions"
        :is-today="shown.day === shown.today"
        @set="(conditions) => today.say('/day', conditions)"
      />
    </DayHeader>
    <EmptyHouse v-if="shown.collectionIsEmpty" />
    <template v-else>
      <SilentDays v-if="shown.silence" :silence="shown.silence" :today="shown.today" />
      <section class="drawer" aria-label="The active drawer">
        <div class="plan">
          <ZoneCompartment
            v-for="zone in shown.zones"
            :key="zone.id"
            :zone="zone"
            :items="today.items"
            :worn="today.worn"
            @tap="tap"
          />
        </div>
        <ReachForLip
          v-if="shown.day === shown.today"
          :suggestions="shown.reachFor"
          :sunscreen="shown.sunscreen"
          :items="today.items"
          :today="shown.today"
          @tap="tap"
          @not-today="(itemId) => today.say('/not-today', { itemId, notToday: true })"
        />
      </section>
      <FaceLine
        :face="today.face"
        :worn="today.wears"
        :no-makeup="shown.noMakeup"
        :earlier="shown.earlierFaces"
        :occasion="shown.conditions.occasion"
        :day="shown.day"
        :today="shown.today"
        :saving="today.waiting > 0"
        @tap="tap"
        @same="
          (face, words) => today.onTheDayAsked(() => today.putOn(face.itemIds, words, { kind: 'day', day: face.day }))
        "
        @no-makeup="today.onTheDayAsked(() => today.setNoMakeup(!today.answer?.noMakeup))"
        @act="(act) => (open = act)"
      />
    </template>
    <ShadeSheet
      v-if="shadesOf"
      :item="shadesOf"
      :worn="today.worn.get(shadesOf.id) ?? null"
      @close="shadesOf = null"
      @set="(isWorn, partIds) => shadesOf && today.setWorn(shadesOf, isWorn, partIds)"
    />
    <ItemPicker
      v-if="picking"
      v-model="picking"
      :title="open === 'put-back' ? 'Held up, looked at and put back' : 'Worn from outside the drawer'"
      :action="open === 'put-back' ? 'Put back' : 'Tick'"
      :exclude="[...today.worn.keys()]"
      @pick="wearElsewhere"
    />
    <SavedFaces
      v-if="open === 'faces'"
      :faces="shown.savedFaces"
      :face="today.face"
      :day="shown.day"
      :occasion="shown.conditions.occasion"
      @close="open = null"
      @wear="
        (face) => (today.putOn(face.itemIds, `The face ${face.name}`, { kind: 'face', id: face.id }), (open = null))
      "
    />
    <WearDetails
      v-if="open === 'details'"
      :face="today.face"
      :worn="shown.worn"
      @close="open = null"
      @details="(body) => today.say('/wear-details', body)"
      @mix="(body) => today.say('/mix', body)"
    />
  </div>
</template>

<style scoped>
.today {
  display: grid;
  gap: 9px;
}

.drawer {
  background: var(--drawer);
  border: 1px solid var(--line);
  border-radius: 14px;
  box-shadow:
    inset 0 3px 9px var(--shade),
    0 1px 0 var(--glow);
  overflow: hidden;
}

.plan {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  padding: 9px;
}

@media (max-width: 760px) {
  .plan {
    flex-direction: column;
    padding: 7px;
  }
}
</style>
