<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Day } from '#core/calendar/day'
import type { ItemSummary } from '#contract/item'
import type { DrawerZone } from '#contract/today'
import { get, newId } from '#web/api/client'
import { useChanges } from '#web/shell/changes'
import ItemPicker from '#web/ui/ItemPicker.vue'
import LaidZone from './LaidZone.vue'

/** Laying the drawer: what lies where, what comes in, what rests. */
const changes = useChanges()
const answer = ref<{ today: Day; zones: DrawerZone[]; items: ItemSummary[] } | null>(null)
const into = ref<DrawerZone | null>(null)
const picking = ref(false)
const items = computed(() => new Map((answer.value?.items ?? []).map((item) => [item.id, item])))
const laid = computed(() => (answer.value?.zones ?? []).flatMap((zone) => zone.itemIds))

watch(
  () => changes.count,
  async () => (answer.value = await get('/drawer')),
  { immediate: true },
)

function add(zone: DrawerZone): void {
  into.value = zone
  picking.value = true
}

async function place(item: ItemSummary, zoneId: string): Promise<void> {
  picking.value = false
  await changes.run('POST', '/drawer/place', {
    changeId: newId(),
    placementId: newId(),
    itemId: item.id,
    zoneId,
    // What does not fit under the lid stands beside it.
    beside: item.packageStates.includes('too tall for the drawer'),
  })
}

async function takeOut(item: ItemSummary): Promise<void> {
  await changes.run('POST', '/drawer/take-out', { changeId: newId(), itemId: item.id })
}

async function reorder(zone: DrawerZone, itemIds: string[]): Promise<void> {
  await changes.run('POST', '/drawer/reorder', { changeId: newId(), zoneId: zone.id, itemIds })
}

async function edit(zone: DrawerZone, name: string, slots: number): Promise<void> {
  await changes.run('PUT', `/zones/${zone.id}`, { changeId: newId(), name, slots })
}
</script>

<template>
  <div class="place-head">
    <h1>Lay the drawer</h1>
    <span class="quiet">What lies within reach, and where? What is in it gets used, what is not does not.</span>
    <v-btn variant="outlined" color="primary" to="/drawer/laying">Lay for a season</v-btn>
    <v-btn color="primary" to="/">Done</v-btn>
  </div>
  <div v-if="answer" class="zones">
    <LaidZone
      v-for="zone in answer.zones"
      :key="zone.id"
      :zone="zone"
      :zones="answer.zones"
      :items="items"
      @add="add(zone)"
      @take-out="takeOut"
      @move="place"
      @reorder="(ids) => reorder(zone, ids)"
      @edit="(name, slots) => edit(zone, name, slots)"
    />
  </div>
  <ItemPicker
    v-model="picking"
    :title="`Lay into ${into?.name ?? ''}`"
    action="Lay in"
    :exclude="laid"
    :first="(item: ItemSummary) => item.homeZoneId === into?.id && item.lifecycle === 'open'"
    @pick="(item) => into && place(item, into.id)"
  />
</template>

<style scoped>
.zones {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(340px, 1fr));
  gap: 12px;
  align-items: start;
  padding-bottom: 70px;
}
</style>
