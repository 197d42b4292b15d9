<script setup lang="ts">
import { defineAsyncComponent, type Component } from 'vue'
import { useHerDay } from '#web/data/her-day'
import { useItemActs, type AskingAct } from './item-acts'

/** Where acts on a thing are asked for, whatever page they begin on. Each comes when it is first wanted. */
const DIALOGS: Readonly<Record<AskingAct, Component>> = {
  read: defineAsyncComponent(() => import('./ReadingDialog.vue')),
  happened: defineAsyncComponent(() => import('./EventDialog.vue')),
  blend: defineAsyncComponent(() => import('./BlendDialog.vue')),
  sign: defineAsyncComponent(() => import('./SignDialog.vue')),
  put: defineAsyncComponent(() => import('./PutDialog.vue')),
  'roll in': defineAsyncComponent(() => import('./RollInDialog.vue')),
  trial: defineAsyncComponent(() => import('./TrialDialog.vue')),
  decide: defineAsyncComponent(() => import('./VerdictDialog.vue')),
  finish: defineAsyncComponent(() => import('./FinishDialog.vue')),
}
const acts = useItemActs()
const herDay = useHerDay()
</script>

<template>
  <component
    :is="DIALOGS[acts.opened.act]"
    v-if="acts.opened && herDay.today"
    :key="`${acts.opened.act} ${acts.opened.item.id}`"
    :item="acts.opened.item"
    :today="herDay.today"
    v-bind="
      acts.opened.act === 'decide' || acts.opened.act === 'roll in' || acts.opened.act === 'happened'
        ? { context: acts.opened.context }
        : {}
    "
    @close="acts.opened.end(null)"
    @done="acts.opened.end"
  />
</template>
