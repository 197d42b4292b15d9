<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { computed, defineAsyncComponent, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { addDays, parseDay, type Day } from '#core/calendar/day'
import type { ItemSummary } from '#contract/item'
import { useChanges } from '#web/shell/changes'
import DayHeader from './DayHeader.vue'
import EmptyHouse from './EmptyHouse.vue'
import FaceLine from './FaceLine.vue'
import ReachForLip from './ReachForLip.vue'
import ZoneCompartment from './ZoneCompartment.vue'
import { useToday } from './today-store'

const ItemPicker = defineAsyncComponent(() => import('#web/ui/ItemPicker.vue'))
const ShadeSheet = defineAsyncComponent(() => import('./ShadeSheet.vue'))

const route = useRoute()
const router = useRouter()
const changes = useChanges()
const today = useToday()
const shadesOf = ref<ItemSummary | null>(null)
const picking = ref(false)
const asked = computed<Day | null>(() => parseDay(String(route.params['day'] ?? '')))
const shown = computed(() => today.answer)

watch(asked, (day) => void today.load(day), { immediate: true })
watch(
  () => changes.count,
  () => void today.refresh(),
)

function go(day: Day): void {
  void router.push(day === shown.value?.today ? '/' : `/day/${day}`)
}

function tap(item: ItemSummary): void {
  const isWorn = today.worn.has(item.id)
  if (item.parts.length > 0) shadesOf.value = item
  else today.setWorn(item, !isWorn)
}

function wearElsewhere(item: ItemSummary): void {
  picking.value = false
  if (item.parts.length > 0) shadesOf.value = item
  else today.setWorn(item, true)
}

useEventListener('keydown', (event: KeyboardEvent) => {
  const typing = (event.target as HTMLElement).closest('input, textarea, [role="dialog"]') !== null
  if (!shown.value || typing) return
  if (event.key === '[') go(addDays(shown.value.day, -1))
  if (event.key === ']' && shown.value.day < shown.value.today) go(addDays(shown.value.day, 1))
})
</script>

<template>
  <div v-if="shown" class="today">
    <DayHeader :day="shown.day" :today="shown.today" @go="go" />
    <EmptyHouse v-if="shown.collectionIsEmpty" />
    <template v-else>
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
          :items="today.items"
          :today="shown.today"
          @tap="tap"
        />
      </section>
      <FaceLine
        :face="today.face"
        :outside="today.outside"
        :no-makeup="shown.noMakeup"
        :last-face="shown.lastFace"
        :day="shown.day"
        :today="shown.today"
        :saving="today.waiting > 0"
        @tap="tap"
        @same="today.sameAsLast()"
        @no-makeup="today.setNoMakeup(!shown.noMakeup)"
        @elsewhere="picking = true"
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
      title="Worn from outside the drawer"
      action="Tick"
      :exclude="[...today.worn.keys()]"
      @pick="wearElsewhere"
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
