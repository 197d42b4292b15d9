<script setup lang="ts">
import { computed, ref } from 'vue'
import type { ListedItem } from '#contract/item'
import type { DrawerZone } from '#contract/today'
import { newId } from '#web/data/client'
import { useChanges } from '#web/data/changes'
import { useDrawer } from '#web/data/reads'
import ItemPicker from '#web/ui/ItemPicker.vue'
import PlaceHead from '#web/ui/PlaceHead.vue'
import LaidZone from './LaidZone.vue'

/** Laying the drawer: what lies where, what comes in, what rests. */
const changes = useChanges()
const { answer } = useDrawer()
/** The zone that something is laid into. */
const into = ref<DrawerZone | null>(null)
const items = computed(() => new Map((answer.value?.items ?? []).map((item) => [item.id, item])))
const laid = computed(() => (answer.value?.zones ?? []).flatMap((zone) => zone.itemIds))

async function place(item: ListedItem, zoneId: string): Promise<void> {
  into.value = null
  await changes.run('POST', '/drawer/place', {
    changeId: newId(),
    placementId: newId(),
    itemId: item.id,
    zoneId,
    // What does not fit under the lid stands beside it.
    beside: item.packageStates.includes('too tall for the drawer'),
  })
}

async function takeOut(item: ListedItem): Promise<void> {
  await changes.run('POST', '/drawer/take-out', { changeId: newId(), itemId: item.id })
}

async function reorder(zone: DrawerZone, itemIds: string[]): Promise<void> {
  await changes.run('POST', '/drawer/reorder', { changeId: newId(), zoneId: zone.id, itemIds })
}
</script>

<template>
  <PlaceHead
    title="Arrange the drawer"
    question="What is in the drawer, and where? What’s in it gets used."
    :primary="{ words: 'Done', to: '/' }"
    :acts="[
      { words: 'Change season', to: '/drawer/season' },
      { words: 'Suggest what comes in', to: '/drawer/starter' },
    ]"
  />
  <div v-if="answer" class="zones d-grid align-start ga-3">
    <LaidZone
      v-for="zone in answer.zones"
      :key="zone.id"
      :zone="zone"
      :zones="answer.zones"
      :items="items"
      @add="into = zone"
      @take-out="takeOut"
      @move="place"
      @reorder="(ids) => reorder(zone, ids)"
    />
  </div>
  <ItemPicker
    v-if="into"
    :model-value="true"
    :title="`Put in ${into.name}`"
    action="Put in"
    :exclude="laid"
    :first="(item: ListedItem) => item.homeZoneId === into?.id && item.lifecycle === 'open'"
    @update:model-value="into = null"
    @pick="(item) => into && place(item, into.id)"
  />
</template>

<style scoped>
.zones {
  grid-template-columns: repeat(auto-fill, minmax(min(340px, 100%), 1fr));
}
</style>
