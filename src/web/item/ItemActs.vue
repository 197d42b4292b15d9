<script setup lang="ts">
import { computed } from 'vue'
import type { ListedItem } from '#contract/item'
import { ACT_WORDS, itemActs, useItemActs, type ActResult, type ItemAct } from '#web/ui/acts/item-acts'

/** The eight acts; one that holds several opens a menu of them. */
const props = defineProps<{ item: ListedItem }>()
const emit = defineEmits<{ done: [result: ActResult] }>()
const acts = useItemActs()
const eight = computed(() => itemActs(props.item))

async function begin(act: ItemAct): Promise<void> {
  const result = await acts.begin(act, props.item)
  if (result) emit('done', result)
}
</script>

<template>
  <div class="acts" role="group" aria-label="What can be done">
    <template v-for="each in eight" :key="each.words">
      <v-btn
        v-if="each.acts.length === 1"
        :variant="each.acts[0] === 'wear' ? 'flat' : 'outlined'"
        color="primary"
        @click="begin(each.acts[0]!)"
        >{{ each.words }}</v-btn
      >
      <v-menu v-else>
        <template #activator="{ props: menu }">
          <v-btn v-bind="menu" variant="outlined" color="primary">{{ each.words }}</v-btn>
        </template>
        <v-list :aria-label="each.words">
          <v-list-item v-for="act in each.acts" :key="act" :title="ACT_WORDS[act]" @click="begin(act)" />
        </v-list>
      </v-menu>
    </template>
  </div>
</template>

<style scoped>
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}

.phone .acts {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
}

.phone .acts > * {
  padding: 0 6px;
  letter-spacing: 0;
}
</style>
