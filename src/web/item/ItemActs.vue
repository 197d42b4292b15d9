<script setup lang="ts">
import { computed } from 'vue'
import type { ListedItem } from '#contract/item'
import { ACT_GROUPS, ACT_WORDS, actsFor, useItemActs, type ActGroup, type ActResult } from '#web/ui/acts/item-acts'

/** Everything that can be done, grouped by what she means by it; the last of it is not the loudest. */
const props = defineProps<{ item: ListedItem }>()
const emit = defineEmits<{ done: [result: ActResult] }>()
const acts = useItemActs()
const NAMES: Readonly<Record<ActGroup, string>> = {
  log: 'Log',
  measure: 'Measure',
  move: 'Move',
  decide: 'Decide',
  end: 'End',
}
const groups = computed(() => {
  const possible = actsFor(props.item)
  return (Object.keys(ACT_GROUPS) as ActGroup[]).map((group) => ({
    group,
    acts: ACT_GROUPS[group].filter((act) => possible.includes(act)),
  }))
})

async function begin(act: Parameters<typeof acts.begin>[0]): Promise<void> {
  const result = await acts.begin(act, props.item)
  if (result) emit('done', result)
}
</script>

<template>
  <div class="acts" role="group" aria-label="What can be done">
    <template v-for="each in groups" :key="each.group">
      <div v-if="each.acts.length > 0" class="group">
        <h2>{{ NAMES[each.group] }}</h2>
        <div class="buttons">
          <v-btn
            v-for="act in each.acts"
            :key="act"
            :variant="each.group === 'end' || each.group === 'decide' ? 'text' : 'outlined'"
            color="primary"
            @click="begin(act)"
            >{{ ACT_WORDS[act] }}</v-btn
          >
        </div>
      </div>
    </template>
  </div>
</template>

<style scoped>
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 26px;
  padding: 12px 16px;
  border-radius: 10px;
  background: var(--inset);
}

h2 {
  font: 620 13px var(--display);
  color: var(--quiet);
  margin-bottom: 4px;
}

.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
</style>
