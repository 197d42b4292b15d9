<script setup lang="ts">
import { computed, shallowRef, watch } from 'vue'
import type { ListedItem } from '#contract/item'
import type { SavedLook, TodayAnswer } from '#contract/today'
import { latePart } from '#web/ui/late-part'
import { useTicks } from '#web/data/ticks'
import ItemPicker from '#web/ui/ItemPicker.vue'
import type { AboveTheDrawer } from './above-the-drawer'

const ShadeSheet = latePart(() => import('./ShadeSheet.vue'))
const SavedLooks = latePart(() => import('./SavedLooks.vue'))
const WearDetails = latePart(() => import('./WearDetails.vue'))

/** What opens above the drawer: shades of a palette, something from elsewhere, saved looks, how things were worn. */
const props = defineProps<{
  shown: TodayAnswer
  look: readonly ListedItem[]
  worn: ReadonlyMap<string, readonly string[]>
}>()
const open = defineModel<AboveTheDrawer | null>('open', { required: true })
const shadesOf = defineModel<ListedItem | null>('shadesOf', { required: true })
const ticks = useTicks()
/** The day that was on the screen when this was opened: another may begin under it. */
const { day } = props.shown
const own = shallowRef(props.shown)
watch(
  () => props.shown,
  (now) => {
    if (now.day === day) own.value = now
  },
)
const picking = computed({
  get: () => open.value === 'elsewhere' || open.value === 'put-back',
  set: (wanted) => {
    if (!wanted) open.value = null
  },
})

function pick(item: ListedItem): void {
  const putBack = open.value === 'put-back'
  open.value = null
  if (putBack) ticks.setPutBack(item, day)
  else if (item.parts.length > 0) shadesOf.value = item
  else ticks.setWorn(item, day, true)
}

function wear(saved: SavedLook): void {
  ticks.putOn(day, saved.itemIds, `The look ${saved.name}`, { kind: 'face', id: saved.id })
  open.value = null
}
</script>

<template>
  <ShadeSheet
    v-if="shadesOf"
    :item="shadesOf"
    :worn="worn.get(shadesOf.id) ?? null"
    @close="shadesOf = null"
    @set="(isWorn, partIds) => shadesOf && ticks.setWorn(shadesOf, day, isWorn, partIds)"
  />
  <ItemPicker
    v-if="picking"
    v-model="picking"
    :title="open === 'put-back' ? 'Considered, not used' : 'Worn from outside the drawer'"
    :action="open === 'put-back' ? 'Not used' : 'Tick'"
    :exclude="[...worn.keys()]"
    @pick="pick"
  />
  <SavedLooks
    v-if="open === 'faces'"
    :looks="shown.savedLooks"
    :look="look"
    :day="day"
    :occasion="shown.conditions.occasion"
    @close="open = null"
    @wear="wear"
  />
  <WearDetails v-if="open === 'details'" :look="look" :worn="own.worn" :day="day" @close="open = null" />
</template>
