<script setup lang="ts">
import { mdiDotsHorizontal } from '@mdi/js'
import { computed } from 'vue'
import type { ListedItem } from '#contract/item'
import { callIt } from '#web/ui/words/item-words'
import { ACT_GROUPS, ACT_WORDS, actsFor, useItemActs, type ItemAct } from './item-acts'

/** Everything that can be done to a thing, one tap away wherever it is listed. */
const props = defineProps<{ item: ListedItem; without?: readonly ItemAct[] }>()
const acts = useItemActs()
const groups = computed(() => {
  const possible = actsFor(props.item).filter((act) => !(props.without ?? []).includes(act))
  return Object.values(ACT_GROUPS)
    .map((group) => group.filter((act) => possible.includes(act)))
    .filter((group) => group.length > 0)
})
</script>

<template>
  <v-menu>
    <template #activator="{ props: menu }">
      <v-btn v-bind="menu" variant="text" size="44" :icon="mdiDotsHorizontal" :aria-label="`More on ${callIt(item)}`" />
    </template>
    <v-list>
      <v-list-item :to="`/items/${item.id}`" title="Open its page" />
      <template v-for="group in groups" :key="group[0]">
        <v-divider />
        <v-list-item v-for="act in group" :key="act" :title="ACT_WORDS[act]" @click="acts.begin(act, item)" />
      </template>
    </v-list>
  </v-menu>
</template>
