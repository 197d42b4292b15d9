<script setup lang="ts">
import { nextTick, useTemplateRef } from 'vue'
import { mdiArrowDown, mdiArrowUp } from '@mdi/js'
import { NEXT_TEN } from '#core/plan/up-next'
import type { ShortListed } from '#contract/projects'
import { newId } from '#web/data/client'
import { useChanges } from '#web/data/changes'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { callIt, kindAndMaker, shortName } from '#web/ui/words/item-words'

/** What is up next, in her own order: the first ten go before all else when something rolls in, on Today and in the plan. */
const props = defineProps<{ items: readonly ShortListed[] }>()
const emit = defineEmits<{ add: [] }>()
const changes = useChanges()
const list = useTemplateRef('list')

function takeOff(id: string): void {
  void changes.run('POST', `/short-list/${id}/take-off`, { changeId: newId() })
}

/** One place up or down; the focus goes along, so that it can be pressed again. */
async function move(at: number, by: -1 | 1): Promise<void> {
  const moved = props.items[at]
  if (!moved) return
  const before = props.items[by < 0 ? at - 1 : at + 2]?.id ?? null
  if ((await changes.run('POST', `/short-list/${moved.id}/move`, { changeId: newId(), before })) === null) return
  await nextTick()
  const [up, down] = list.value?.querySelectorAll<HTMLButtonElement>(`[data-entry="${moved.id}"] .v-btn`) ?? []
  const [wanted, other] = by < 0 ? [up, down] : [down, up]
  ;(wanted?.disabled === true ? other : wanted)?.focus()
}
</script>

<template>
  <section class="later" aria-label="Up next">
    <div class="d-flex align-center justify-space-between ga-3">
      <h2>Up next</h2>
      <v-btn variant="outlined" color="primary" @click="emit('add')">Add an item</v-btn>
    </div>
    <p class="quiet small prose">
      Your next {{ NEXT_TEN }}, in your order. They come first when something rolls in, on Today and in the plan.
    </p>
    <ol ref="list" class="rows mt-2 gc-2">
      <li
        v-for="(each, at) in items"
        :key="each.id"
        class="sheet one d-flex align-center mb-2 py-1 px-2 ga-2"
        :class="{ after: at >= NEXT_TEN }"
        :data-entry="each.id"
      >
        <span class="number figures" aria-hidden="true">{{ at + 1 }}</span>
        <ItemGauge :item="each.item" size="small" :rail="false" />
        <span class="words flex-1-1-0 min-w-0"
          ><RouterLink :to="`/items/${each.item.id}`">{{ shortName(each.item) }}</RouterLink
          ><span class="quiet d-block fine">{{
            [kindAndMaker(each.item), each.season, each.words].filter(Boolean).join(', ')
          }}</span></span
        >
        <v-btn
          variant="text"
          size="44"
          :icon="mdiArrowUp"
          :disabled="at === 0"
          :aria-label="`Move ${callIt(each.item)} up, it is number ${at + 1}`"
          @click="move(at, -1)"
        />
        <v-btn
          variant="text"
          size="44"
          :icon="mdiArrowDown"
          :disabled="at === items.length - 1"
          :aria-label="`Move ${callIt(each.item)} down, it is number ${at + 1}`"
          @click="move(at, 1)"
        />
        <button
          type="button"
          class="text-act"
          :aria-label="`Remove ${callIt(each.item)} from up next`"
          @click="takeOff(each.id)"
        >
          remove
        </button>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.later {
  margin-bottom: 30px;
}

/* Down one column, then the next: the numbers are read downwards. */
.rows {
  columns: 400px;
}

.one {
  min-height: 56px;
  break-inside: avoid;
}

.number {
  width: 22px;
  font: 650 17px var(--display);
  text-align: right;
}

/* Beyond the ten it waits. */
.after .number {
  color: var(--quiet);
  font-weight: 400;
}
</style>
