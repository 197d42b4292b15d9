<script setup lang="ts">
import { mdiDotsHorizontal } from '@mdi/js'
import { computed, ref } from 'vue'
import type { VBtn } from 'vuetify/components/VBtn'
import { latePart } from '#web/ui/late-part'
import type { HeadAct } from './head-acts'

/**
 * What can be done besides, folded away: the words "More", or three dots where there is no room for them. The menu
 * itself is fetched when it is first asked for, so that no page waits for it.
 */
defineProps<{ acts: readonly HeadAct[]; label?: string; dots?: boolean }>()
const ActsMenu = latePart(() => import('./ActsMenu.vue'))
const button = ref<VBtn | null>(null)
const wanted = ref(false)
const element = computed(() => button.value?.$el as HTMLElement | undefined)
const DOTS = { size: 44, icon: mdiDotsHorizontal, 'aria-label': 'More' }
</script>

<template>
  <v-btn
    ref="button"
    variant="outlined"
    color="primary"
    aria-haspopup="menu"
    v-bind="dots ? DOTS : { text: 'More' }"
    @click="wanted = true"
  />
  <ActsMenu v-if="wanted && element" :acts="acts" :label="label" :of="element" />
</template>
