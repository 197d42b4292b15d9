<script setup lang="ts">
import PlaceHead from '#web/ui/PlaceHead.vue'
import PlaceWays from '#web/ui/PlaceWays.vue'
import type { HeadAct } from '#web/ui/head-acts'
import { LOOK_BACK_WAYS } from './look-back-ways'

/** The head of every room of Look back. */
withDefaults(defineProps<{ question?: string; primary?: HeadAct | null; acts?: readonly HeadAct[] }>(), {
  question: 'How did it go?',
  primary: null,
  acts: () => [],
})
</script>

<template>
  <PlaceHead title="Look back" :question="question" :primary="primary" :acts="acts" />
  <PlaceWays label="Rooms of Look back" :ways="LOOK_BACK_WAYS" />
</template>
