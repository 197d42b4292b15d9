<script setup lang="ts">
import { mdiDotsHorizontal } from '@mdi/js'
import { computed } from 'vue'
import type { ListedItem } from '#contract/item'
import { callIt } from '#web/ui/words/item-words'
import { ACT_WORDS, itemActs, useItemActs, type ItemAct } from './item-acts'

/** Everything that can be done to a thing, one tap away wherever it is listed. */
const props = defineProps<{ item: ListedItem; without?: readonly ItemAct[] }>()
const acts = useItemActs()
const groups = computed(() => itemActs(props.item, props.without))
</script>

<template>
  <v-menu>
    <template #activator="{ props: menu }">
      <v-btn v-bind="menu" variant="text" size="44" :icon="mdiDotsHorizontal" :aria-label="`More on ${callIt(item)}`" />
    </template>
    <v-list>
      <v-list-item :to="`/items/${item.id}`" title="Open its page" />
      <template v-for="(group, n) in groups" :key="group.words">
        <v-divider v-if="Math.max(group.acts.length, groups[n - 1]?.acts.length ?? 2) > 1" />
        <v-list-item v-for="act in group.acts" :key="act" :title="ACT_WORDS[act]" @click="acts.begin(act, item)" />
      </template>
    </v-list>
  </v-menu>
</template>
