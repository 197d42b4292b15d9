<script setup lang="ts">
import { mdiArrowDown, mdiArrowUp } from '@mdi/js'
import { computed, ref, watch } from 'vue'
import { counted } from '#core/words/counted'
import type { ItemSummary } from '#contract/item'
import type { DrawerZone } from '#contract/today'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { shortName } from '#web/ui/words/item-words'

/** One zone while the drawer is laid: every move is a button. */
const props = defineProps<{ zone: DrawerZone; zones: readonly DrawerZone[]; items: ReadonlyMap<string, ItemSummary> }>()
const emit = defineEmits<{
  add: []
  takeOut: [item: ItemSummary]
  move: [item: ItemSummary, zoneId: string]
  reorder: [ids: string[]]
  edit: [name: string, slots: number]
}>()
const editing = ref(false)
const name = ref(props.zone.name)
const slots = ref(String(props.zone.slots))
const lying = computed(() => props.zone.itemIds.flatMap((id) => props.items.get(id) ?? []))
watch(
  () => props.zone,
  (zone) => {
    name.value = zone.name
    slots.value = String(zone.slots)
  },
)

function shift(index: number, by: number): void {
  const ids = [...props.zone.itemIds]
  const [moved] = ids.splice(index, 1)
  if (moved === undefined) return
  ids.splice(index + by, 0, moved)
  emit('reorder', ids)
}

function save(): void {
  emit('edit', name.value, Number(slots.value))
  editing.value = false
}
</script>

<template>
  <section class="inset zone" :aria-label="zone.name">
    <header>
      <h2>{{ zone.name }}</h2>
      <span class="quiet figures">{{ zone.taken }} of {{ zone.slots }} slots</span>
      <v-btn variant="text" size="small" :aria-expanded="editing" @click="editing = !editing">Change</v-btn>
    </header>
    <form v-if="editing" class="edit" @submit.prevent="save">
      <v-text-field v-model="name" label="Name" />
      <v-text-field v-model="slots" type="number" min="0" max="200" label="Slots" />
      <v-btn type="submit" color="primary">Save</v-btn>
    </form>
    <ul>
      <li v-for="(item, index) in lying" :key="item.id">
        <ItemGauge :item="item" size="small" />
        <span class="name">
          <RouterLink :to="`/items/${item.id}`">{{ shortName(item) }}</RouterLink>
          <span class="quiet">{{ item.category }}{{ item.slots > 1 ? `, ${counted(item.slots, 'slot')}` : '' }}</span>
        </span>
        <v-btn
          variant="text"
          :icon="mdiArrowUp"
          size="44"
          :disabled="index === 0"
          :aria-label="`Move ${shortName(item)} forward`"
          @click="shift(index, -1)"
        />
        <v-btn
          variant="text"
          :icon="mdiArrowDown"
          size="44"
          :disabled="index === lying.length - 1"
          :aria-label="`Move ${shortName(item)} back`"
          @click="shift(index, 1)"
        />
        <v-menu>
          <template #activator="{ props: menu }">
            <v-btn v-bind="menu" variant="text" :aria-label="`Move ${shortName(item)} elsewhere`">Move</v-btn>
          </template>
          <v-list>
            <v-list-item
              v-for="other in zones.filter((each) => each.id !== zone.id)"
              :key="other.id"
              :title="other.name"
              :subtitle="`${Math.max(0, other.slots - other.taken)} free`"
              @click="emit('move', item, other.id)"
            />
            <v-list-item title="Take out, let it rest" @click="emit('takeOut', item)" />
          </v-list>
        </v-menu>
      </li>
      <li v-if="lying.length === 0" class="quiet">Nothing lies here yet.</li>
    </ul>
    <v-btn variant="outlined" color="primary" block :aria-label="`Lay something into ${zone.name}`" @click="emit('add')"
      >Lay something in</v-btn
    >
  </section>
</template>

<style scoped>
.zone {
  padding: 12px;
  display: grid;
  gap: 8px;
}

header {
  display: flex;
  align-items: baseline;
  gap: 10px;
}

header h2 {
  flex: 1;
  font-size: 17px;
}

.edit {
  display: grid;
  grid-template-columns: 1fr 90px auto;
  gap: 8px;
  align-items: start;
}

ul {
  list-style: none;
  margin: 0;
  padding: 0;
}

li {
  display: flex;
  align-items: center;
  gap: 4px;
  min-height: 50px;
}

.name {
  flex: 1;
  display: grid;
  font-size: 13px;
  padding-left: 8px;
  min-width: 0;
}

.name a {
  font-weight: 600;
  font-size: 14px;
  color: var(--ink);
}
</style>
