<script setup lang="ts">
import { ref } from 'vue'
import { type HeadAct, bound } from './head-acts'

/** The menu of further acts under the button that asked for it: open from the start. */
defineProps<{ acts: readonly HeadAct[]; label: string | undefined; of: HTMLElement }>()
const open = ref(true)
</script>

<template>
  <v-menu v-model="open" :activator="of">
    <v-list :aria-label="label">
      <v-list-item
        v-for="each in acts"
        :key="each.words"
        :title="each.words"
        :active="each.pressed ?? false"
        v-bind="bound(each)"
      />
    </v-list>
  </v-menu>
</template>
