<script setup lang="ts">
import { mdiDotsHorizontal } from '@mdi/js'
import { computed, nextTick, ref, useTemplateRef } from 'vue'
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
/** A list of hundreds has a menu for each: one is made when it is first wanted. */
const wanted = ref(false)
const shown = ref(false)
const button = useTemplateRef<HTMLElement>('button')
async function toggle(): Promise<void> {
  if (!wanted.value) {
    wanted.value = true
    await nextTick()
  }
  shown.value = !shown.value
}
</script>

<template>
  <button
    ref="button"
    type="button"
    class="dots"
    :aria-label="`More on ${callIt(item)}`"
    aria-haspopup="menu"
    :aria-expanded="shown"
    @click="toggle"
  >
    <svg viewBox="0 0 24 24" width="24" height="24" aria-hidden="true"><path :d="mdiDotsHorizontal" /></svg>
  </button>
  <v-menu v-if="wanted" v-model="shown" :activator="button ?? undefined" :open-on-click="false">
    <v-list>
      <v-list-item :to="`/items/${item.id}`" title="Open its page" />
      <template v-for="group in groups" :key="group[0]">
        <v-divider />
        <v-list-item v-for="act in group" :key="act" :title="ACT_WORDS[act]" @click="acts.begin(act, item)" />
      </template>
    </v-list>
  </v-menu>
</template>

<style scoped>
.dots {
  display: grid;
  place-items: center;
  flex: none;
  width: 44px;
  height: 44px;
  border-radius: 50%;
}

.dots:hover {
  background: var(--inset);
}

.dots svg {
  fill: currentcolor;
}
</style>
