<script setup lang="ts">
import PlaceHead from '#web/ui/PlaceHead.vue'
import PlaceWays from '#web/ui/PlaceWays.vue'
import type { HeadAct } from '#web/ui/head-acts'

/** The head of what is asked before buying. */
withDefaults(defineProps<{ question?: string; primary?: HeadAct | null }>(), {
  question: 'What do I have like it, and when will I need one?',
  primary: null,
})
const WAYS = [
  { to: '/buying/till', words: 'At the till' },
  { to: '/buying', words: 'Wishes and limits' },
  { to: '/supply', words: 'Supply' },
  { to: '/decide/lessons', words: 'Lessons' },
] as const
</script>

<template>
  <PlaceHead title="Before buying" :question="question" :primary="primary" />
  <PlaceWays label="Rooms of Before buying" :ways="WAYS" />
</template>
