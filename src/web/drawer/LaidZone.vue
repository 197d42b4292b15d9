<script setup lang="ts">
import { mdiArrowDown, mdiArrowUp } from '@mdi/js'
import { computed, ref } from 'vue'
import { counted } from '#core/words/counted'
import type { ListedItem } from '#contract/item'
import type { DrawerZone } from '#contract/today'
import ItemActsMenu from '#web/ui/acts/ItemActsMenu.vue'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { callIt, kindAndMaker, shortName } from '#web/ui/words/item-words'

/** One zone while the drawer is laid: every move is a button. */
const props = defineProps<{ zone: DrawerZone; zones: readonly DrawerZone[]; items: ReadonlyMap<string, ListedItem> }>()
const emit = defineEmits<{
  add: []
  takeOut: [item: ListedItem]
  move: [item: ListedItem, zoneId: string]
  reorder: [ids: string[]]
}>()
const editing = ref(false)
/** Of the zone as it was when the form was opened. */
const version = ref(0)
const draft = useDraft(() => ({ name: props.zone.name, slots: props.zone.slots }))
const { typed, on } = draft
const lying = computed(() => props.zone.itemIds.flatMap((id) => props.items.get(id) ?? []))
function shift(index: number, by: number): void {
  const ids = [...props.zone.itemIds]
  const [moved] = ids.splice(index, 1)
  if (moved === undefined) return
  ids.splice(index + by, 0, moved)
  emit('reorder', ids)
}

async function store(): Promise<void> {
  if (await draft.store('PUT', `/zones/${props.zone.id}`, { ...typed.value, version: version.value }))
    editing.value = false
}

function start(): void {
  version.value = props.zone.version
  draft.begin()
  editing.value = true
}
</script>

<template>
  <section class="inset zone" :aria-label="zone.name">
    <header class="d-flex flex-wrap align-baseline ga-2">
      <h2 class="flex-1-1 lead">{{ zone.name }}</h2>
      <span class="quiet figures">{{ zone.taken }} of {{ zone.slots }} slots</span>
      <v-btn variant="text" :aria-label="`Change ${zone.name}`" @click="start">Change</v-btn>
    </header>
    <FormDialog
      v-if="editing"
      :title="`The zone ${zone.name}`"
      :draft="draft"
      act="Save"
      @close="editing = false"
      @store="store"
    >
      <v-text-field v-model="typed.name" label="Name" :error-messages="on('name')" />
      <v-number-input v-model="typed.slots" :min="0" :max="200" label="Slots" :error-messages="on('slots')" />
    </FormDialog>
    <ul>
      <li class="d-grid align-center py-1 px-0 gr-0 gc-1" v-for="(item, index) in lying" :key="item.id">
        <ItemGauge :item="item" size="small" />
        <span class="name d-grid flex-1-1-0 small min-w-0 ps-2">
          <RouterLink :to="`/items/${item.id}`">{{ shortName(item) }}</RouterLink>
          <span class="quiet"
            >{{ kindAndMaker(item) }}{{ item.slots > 1 ? `, ${counted(item.slots, 'slot')}` : '' }}</span
          >
        </span>
        <span class="acts d-flex flex-wrap align-center ga-1">
          <v-btn
            variant="text"
            :icon="mdiArrowUp"
            size="44"
            :disabled="index === 0"
            :aria-label="`Move ${callIt(item)} forward`"
            @click="shift(index, -1)"
          />
          <v-btn
            variant="text"
            :icon="mdiArrowDown"
            size="44"
            :disabled="index === lying.length - 1"
            :aria-label="`Move ${callIt(item)} back`"
            @click="shift(index, 1)"
          />
          <v-menu>
            <template #activator="{ props: menu }">
              <v-btn v-bind="menu" variant="text" :aria-label="`Move ${callIt(item)} elsewhere`">Move</v-btn>
            </template>
            <v-list>
              <v-list-item
                v-for="other in zones.filter((each) => each.id !== zone.id)"
                :key="other.id"
                :title="other.name"
                :subtitle="`${Math.max(0, other.slots - other.taken)} free`"
                @click="emit('move', item, other.id)"
              />
              <v-list-item title="Take out, store away" @click="emit('takeOut', item)" />
            </v-list>
          </v-menu>
          <ItemActsMenu :item="item" :without="['take out']" />
        </span>
      </li>
      <li v-if="lying.length === 0" class="quiet d-grid align-center py-1 px-0 gr-0 gc-1">Nothing here yet.</li>
    </ul>
    <v-btn variant="outlined" color="primary" block :aria-label="`Put something in ${zone.name}`" @click="emit('add')"
      >Put something in</v-btn
    >
  </section>
</template>

<style scoped>
.zone {
  padding: 12px;
  display: grid;
  gap: 8px;
}

/* What it is above, what can be done below: beside each other there is room for neither. */
li {
  grid-template-columns: 48px minmax(0, 1fr);
}

.name a {
  font-weight: 600;
  font-size: 14px;
  color: var(--ink);
}

.acts {
  grid-column: 2;
  margin-left: -4px;
}
</style>
