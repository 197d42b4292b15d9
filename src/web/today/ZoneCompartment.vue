<script setup lang="ts">
import { computed, ref } from 'vue'
import { useDisplay } from 'vuetify'
import { counted } from '#core/words/counted'
import type { ListedItem } from '#contract/item'
import type { DrawerZone } from '#contract/today'
import DrawerItem from './DrawerItem.vue'

/** One moulded compartment: its items in her order, its free slots as bare floor. */
const props = defineProps<{
  zone: DrawerZone
  items: ReadonlyMap<string, ListedItem>
  worn: ReadonlyMap<string, readonly string[]>
  /** What tells items of one name apart, by id. */
  apart: ReadonlyMap<string, string>
}>()
const emit = defineEmits<{ tap: [item: ListedItem] }>()
/** Up to here the middle drawing with its name fits. */
const ROOMY = 6
/** Up to here the small one with its name. */
const CLOSE = 18

const { mobile: phone } = useDisplay()
const lying = computed(() => props.zone.itemIds.flatMap((id) => props.items.get(id) ?? []))
const density = computed(() =>
  phone.value ? 'row' : lying.value.length <= ROOMY ? 'roomy' : lying.value.length <= CLOSE ? 'close' : 'packed',
)
const free = computed(() => props.zone.slots - props.zone.taken)
const freeWords = computed(() => {
  if (props.zone.id === 'on trial') return 'until decided'
  if (free.value < 0) return `${-free.value} too many`
  return free.value === 0 ? 'full' : `room for ${free.value}`
})
const wornHere = computed(() => lying.value.filter((item) => props.worn.has(item.id)).length)
/** Roving focus: one Tab stop per zone, arrows inside. */
const at = ref(0)
const shelf = ref<HTMLElement | null>(null)

function move(event: KeyboardEvent): void {
  const step = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[event.key]
  if (step === undefined || lying.value.length === 0) return
  event.preventDefault()
  at.value = (Math.min(at.value, lying.value.length - 1) + step + lying.value.length) % lying.value.length
  shelf.value?.querySelectorAll<HTMLElement>('button.tile')[at.value]?.focus()
}
</script>

<template>
  <section
    class="zone inset d-flex flex-column min-w-0 pa-2"
    :class="density"
    :style="{ flex: `${Math.max(zone.slots, 2)} 1 ${Math.max(zone.slots, 3) * 74}px` }"
    :aria-label="zone.name"
  >
    <div class="head d-flex justify-space-between align-baseline fine py-0 px-2">
      <h2 class="small">{{ zone.name }}</h2>
      <span class="quiet figures">{{ phone && wornHere > 0 ? `${wornHere} worn` : freeWords }}</span>
    </div>
    <div ref="shelf" class="shelf" role="group" :aria-label="`${zone.name}, ${counted(lying.length, 'item')}`">
      <DrawerItem
        v-for="(item, index) in lying"
        :key="item.id"
        :item="item"
        :density="density"
        :worn="worn.has(item.id)"
        :worn-parts="worn.get(item.id) ?? []"
        :apart="apart.get(item.id) ?? ''"
        :tabindex="index === Math.min(at, lying.length - 1) ? 0 : -1"
        @tap="emit('tap', item)"
        @focus="at = index"
        @keydown="move"
      />
      <template v-if="density === 'roomy'">
        <span v-for="n in Math.min(Math.max(free, 0), 3)" :key="n" class="hollow" aria-hidden="true"></span>
      </template>
      <p v-if="lying.length === 0 && density !== 'roomy'" class="bare quiet">Nothing here.</p>
    </div>
  </section>
</template>

<style scoped>
.shelf {
  flex: 1;
  display: flex;
  justify-content: space-around;
  align-items: flex-end;
  gap: 2px;
  min-height: 138px;
  padding-top: 5px;
}

.close .shelf,
.packed .shelf {
  flex-wrap: wrap;
  justify-content: flex-start;
  align-content: flex-start;
  align-items: flex-start;
}

.row .shelf {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 4px;
  min-height: 0;
}

.row {
  flex: none !important;
}

.hollow {
  /* A free slot: the bare moulding of the floor. */
  align-self: flex-end;
  flex: 0 1 52px;
  height: 96px;
  margin-bottom: 38px;
  border-radius: 26px;
  background: color-mix(in srgb, var(--drawer) 45%, var(--inset));
  box-shadow: inset 0 2px 4px var(--shade);
  opacity: 0.75;
}

.bare {
  align-self: center;
  margin: 0;
  font-size: 13px;
}
</style>
