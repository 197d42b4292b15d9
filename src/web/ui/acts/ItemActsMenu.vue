<script setup lang="ts">
import { mdiDotsHorizontal } from '@mdi/js'
import { computed, ref } from 'vue'
import type { ListedItem } from '#contract/item'
import { callIt } from '#web/ui/words/item-words'
import { ACT_WORDS, itemActs, useItemActs, type ItemAct } from './item-acts'

/** Everything that can be done with an item, one tap away wherever it is listed. A long list has hundreds: the menu is made when it is first asked for. */
const props = defineProps<{ item: ListedItem; without?: readonly ItemAct[] }>()
const acts = useItemActs()
const button = ref<HTMLButtonElement | null>(null)
const wanted = ref(false)
const open = ref(true)
const groups = computed(() => itemActs(props.item, props.without))
</script>

<template>
  <button
    ref="button"
    type="button"
    class="d-inline-flex align-center justify-center rounded-lg"
    aria-haspopup="menu"
    :aria-label="`More on ${callIt(item)}`"
    @click="wanted = true"
  >
    <svg viewBox="0 0 24 24" width="24" height="24" aria-hidden="true"><path :d="mdiDotsHorizontal" /></svg>
  </button>
  <v-menu v-if="wanted && button" v-model="open" :activator="button">
    <v-list>
      <v-list-item :to="`/items/${item.id}`" title="Open its page" />
      <template v-for="(group, n) in groups" :key="group.words">
        <v-divider v-if="Math.max(group.acts.length, groups[n - 1]?.acts.length ?? 2) > 1" />
        <v-list-item v-for="act in group.acts" :key="act" :title="ACT_WORDS[act]" @click="acts.begin(act, item)" />
      </template>
    </v-list>
  </v-menu>
</template>

<style scoped>
button {
  width: 44px;
  height: 44px;
}

button:hover {
  background: var(--inset);
}

path {
  fill: currentcolor;
}
</style>
