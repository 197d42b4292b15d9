<script setup lang="ts">
import PlaceHead from '#web/ui/PlaceHead.vue'
import PlaceWays from '#web/ui/PlaceWays.vue'
import type { HeadAct } from '#web/ui/head-acts'

/** The head of every room of Decide. */
withDefaults(defineProps<{ question?: string; primary?: HeadAct | null; acts?: readonly HeadAct[] }>(), {
  question: 'Does it stay?',
  primary: null,
  acts: () => [],
})
const WAYS = [
  { to: '/decide', words: 'In doubt' },
  { to: '/decide/compare', words: 'Side by side' },
  { to: '/decide/stash', words: 'From the stash' },
  { to: '/decide/aside', words: 'Set aside' },
  { to: '/decide/targets', words: 'How many' },
  { to: '/decide/letting-go', words: 'Letting go' },
  { to: '/decide/lessons', words: 'Lessons' },
] as const
</script>

<template>
  <PlaceHead title="Decide" :question="question" :primary="primary" :acts="acts"><slot /></PlaceHead>
  <PlaceWays label="Rooms of Decide" :ways="WAYS" />
</template>
