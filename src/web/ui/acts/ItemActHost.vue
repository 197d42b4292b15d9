<script setup lang="ts">
import type { Component } from 'vue'
import { latePart } from '#web/ui/late-part'
import { useHerDay } from '#web/data/her-day'
import { useItemActs, type AskingAct } from './item-acts'

/** Where acts on a thing are asked for, whatever page they begin on. Each comes when it is first wanted. */
const DIALOGS: Readonly<Record<AskingAct, Component>> = {
  opening: latePart(() => import('./OpeningDialog.vue')),
  read: latePart(() => import('./ReadingDialog.vue')),
  happened: latePart(() => import('./EventDialog.vue')),
  blend: latePart(() => import('./BlendDialog.vue')),
  sign: latePart(() => import('./SignDialog.vue')),
  put: latePart(() => import('./PutDialog.vue')),
  'set aside': latePart(() => import('./SetAsideDialog.vue')),
  'roll in': latePart(() => import('./RollInDialog.vue')),
  trial: latePart(() => import('./TrialDialog.vue')),
  decide: latePart(() => import('./VerdictDialog.vue')),
  finish: latePart(() => import('./FinishDialog.vue')),
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
