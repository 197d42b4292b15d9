<script setup lang="ts">
import type { ShortListed } from '#contract/projects'
import { newId } from '#web/data/client'
import { useChanges } from '#web/data/changes'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { callIt, kindAndMaker, shortName } from '#web/ui/words/item-words'

/** The short list for later seasons, kept all year: it comes first when something rolls in. */
defineProps<{ items: readonly ShortListed[] }>()
const emit = defineEmits<{ add: [] }>()
const changes = useChanges()

function takeOff(id: string): void {
  void changes.run('POST', `/short-list/${id}/take-off`, { changeId: newId() })
}
</script>

<template>
  <section class="later" aria-label="Short list for later">
    <div class="head">
      <h2>Short list for later</h2>
      <span class="quiet">Comes first when something rolls in or the drawer is laid.</span>
      <v-btn variant="outlined" color="primary" @click="emit('add')">Put something on it</v-btn>
    </div>
    <div class="rows">
      <div v-for="each in items" :key="each.id" class="sheet one">
        <ItemGauge :item="each.item" size="small" :rail="false" />
        <span
          ><RouterLink :to="`/items/${each.item.id}`">{{ shortName(each.item) }}</RouterLink
          ><span class="quiet">{{
            [kindAndMaker(each.item), each.season, each.words].filter(Boolean).join(', ')
          }}</span></span
        >
        <button
          type="button"
          class="off"
          :aria-label="`Take ${callIt(each.item)} off the short list`"
          @click="takeOff(each.id)"
        >
          take off
        </button>
      </div>
    </div>
  </section>
</template>

<style scoped>
.later {
  margin-bottom: 30px;
}

.head {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: center;
}

.head .quiet {
  flex: 1;
  font-size: 13.5px;
}

.rows {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(270px, 1fr));
  gap: 7px;
  margin-top: 8px;
}

.one {
  display: flex;
  gap: 10px;
  align-items: center;
  padding: 4px 10px;
  min-height: 56px;
}

.one > span:nth-child(2) {
  flex: 1;
}

.one .quiet {
  display: block;
  font-size: 12.5px;
}

.off {
  color: var(--primary);
  text-decoration: underline;
  min-height: 44px;
}
</style>
