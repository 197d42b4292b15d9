<script setup lang="ts">
import { computed, nextTick, onMounted, useTemplateRef } from 'vue'
import { onBeforeRouteLeave } from 'vue-router'
import { useDisplay } from 'vuetify'
import type { Day } from '#core/calendar/day'
import type { ListedItem } from '#contract/item'
import CollectionRow from './CollectionRow.vue'

/** The items as a table of any length, with its headers in sight; it comes back where it was left. */
defineProps<{ items: readonly ListedItem[]; today: Day; chosen: readonly string[] | null }>()
const emit = defineEmits<{ choose: [id: string] }>()
const ROW = 58
const FRAMES = 60
const { mobile } = useDisplay()
const table = useTemplateRef<HTMLElement>('table')
const headers = computed(() =>
  [
    { title: '', key: 'gauge', width: 58, sortable: false },
    { title: 'Item', key: 'name', sortable: false },
    { title: 'Left and opened', key: 'left', sortable: false, wide: true },
    { title: 'Use by', key: 'good', sortable: false },
    { title: 'Uses', key: 'uses', width: 158, sortable: false, wide: true },
  ].filter((header) => !mobile.value || header.wide !== true),
)
const scroller = (): HTMLElement | null => table.value?.querySelector<HTMLElement>('.v-table__wrapper') ?? null

/** Rows are drawn over some frames; until they are, the list is too short to stand where it stood. */
function comeBackTo(top: number, framesLeft: number): void {
  const element = scroller()
  if (element === null) return
  element.scrollTop = top
  if (element.scrollTop < top && framesLeft > 0) requestAnimationFrame(() => comeBackTo(top, framesLeft - 1))
}

onMounted(async () => {
  await nextTick()
  const top = (history.state as { listTop?: number } | null)?.listTop
  if (top !== undefined) comeBackTo(top, FRAMES)
})
onBeforeRouteLeave(() => {
  history.replaceState({ ...(history.state as object | null), listTop: scroller()?.scrollTop ?? 0 }, '')
})
</script>

<template>
  <div ref="table">
    <v-data-table-virtual
      class="list"
      :headers="headers"
      :items="items as ListedItem[]"
      :item-height="ROW"
      item-value="id"
      fixed-header
      :mobile="false"
    >
      <template #item="{ item }">
        <CollectionRow
          :key="item.id"
          :item="item"
          :today="today"
          :wide="!mobile"
          :chosen="chosen === null ? null : chosen.includes(item.id)"
          @choose="emit('choose', item.id)"
        />
      </template>
    </v-data-table-virtual>
  </div>
</template>

<style scoped>
.list {
  height: calc(100vh - 232px);
  min-height: 320px;
  background: var(--raised);
  border: 1px solid var(--hair);
  border-radius: 10px;
}

.list :deep(table) {
  table-layout: fixed;
}

.list :deep(th) {
  height: 34px !important;
  padding: 0 10px !important;
  background: var(--inset) !important;
  font: 620 12.5px var(--display);
  color: var(--quiet);
}

.phone .list {
  height: calc(100vh - 300px);
}
</style>
