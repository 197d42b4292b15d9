<script setup lang="ts">
import { defineAsyncComponent, type Component } from 'vue'
import { useHerDay } from '#web/data/her-day'
import { useItemActs, type AskingAct } from './item-acts'

/** Where acts on a thing are asked for, whatever page they begin on. Each comes when it is first wanted. */
const DIALOGS: Readonly<Record<AskingAct, Component>> = {
  opening: defineAsyncComponent(() => import('./OpeningDialog.vue')),
  read: defineAsyncComponent(() => import('./ReadingDialog.vue')),
  happened: defineAsyncComponent(() => import('./EventDialog.vue')),
  blend: defineAsyncComponent(() => import('./BlendDialog.vue')),
  sign: defineAsyncComponent(() => import('./SignDialog.vue')),
  put: defineAsyncComponent(() => import('./PutDialog.vue')),
  'set aside': defineAsyncComponent(() => import('./SetAsideDialog.vue')),
  'roll in': defineAsyncComponent(() => import('./RollInDialog.vue')),
  trial: defineAsyncComponent(() => import('./TrialDialog.vue')),
  decide: defineAsyncComponent(() => import('./VerdictDialog.vue')),
  finish: defineAsyncComponent(() => import('./FinishDialog.vue')),
}
/** Those that ask about what they begin with. */
const WITH_CONTEXT: ReadonlySet<AskingAct> = new Set(['decide', 'roll in', 'happened', 'read', 'finish'])
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
    v-bind="WITH_CONTEXT.has(acts.opened.act) ? { context: acts.opened.context } : {}"
    @close="acts.opened.end(null)"
    @done="acts.opened.end"
  />
</template>
