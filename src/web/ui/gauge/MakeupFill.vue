<script setup lang="ts">
import type { ListedItem } from '#contract/item'

/** Definitions that give a swatch its finish: what `fill="url(#id)"` and the overlay draw. */
defineProps<{
  id: string
  colour: string | null
  guess: string | null
  finish: ListedItem['finish']
  plain: boolean
  /** Something is hatched, being estimated. */
  likely?: boolean
}>()
</script>

<template>
  <defs>
    <pattern
      v-if="finish === 'shimmer' && !plain"
      :id="`${id}-grain`"
      width="13"
      height="11"
      patternUnits="userSpaceOnUse"
    >
      <g fill="#fff" fill-opacity=".8">
        <circle cx="2" cy="2.4" r=".8" />
        <circle cx="7.6" cy="4.6" r=".55" />
        <circle cx="11.2" cy="1.4" r=".6" />
        <circle cx="4.4" cy="8" r=".65" />
        <circle cx="10" cy="9.2" r=".8" />
      </g>
    </pattern>
    <linearGradient v-if="finish === 'metallic' && !plain" :id="`${id}-grain`" x1="0" y1="0" x2="1" y2="1">
      <stop offset="0" stop-color="#fff" stop-opacity=".05" />
      <stop offset=".36" stop-color="#fff" stop-opacity=".05" />
      <stop offset=".47" stop-color="#fff" stop-opacity=".62" />
      <stop offset=".58" stop-color="#fff" stop-opacity=".08" />
      <stop offset="1" stop-color="#000" stop-opacity=".14" />
    </linearGradient>
    <linearGradient v-if="finish === 'satin' && !plain" :id="`${id}-grain`" x1="0" y1="0" x2="1" y2="0.3">
      <stop offset="0" stop-color="#fff" stop-opacity=".2" />
      <stop offset=".5" stop-color="#fff" stop-opacity="0" />
    </linearGradient>
    <pattern
      v-if="likely && !plain"
      :id="`${id}-likely`"
      width="4"
      height="4"
      patternUnits="userSpaceOnUse"
      patternTransform="rotate(-45)"
    >
      <rect width="4" height="4" fill="var(--glass)" />
      <rect width="1.7" height="4" :fill="colour ?? guess ?? 'var(--line)'" />
      <rect width=".4" height="4" fill="#000" fill-opacity=".45" />
    </pattern>
    <pattern
      v-if="colour === null"
      :id="`${id}-undyed`"
      width="5"
      height="5"
      patternUnits="userSpaceOnUse"
      patternTransform="rotate(45)"
    >
      <rect width="5" height="5" :fill="guess ?? 'var(--plate)'" />
      <rect
        :width="guess ? 1.6 : 1"
        height="5"
        :fill="guess ? 'var(--plate)' : 'var(--line)'"
        :fill-opacity="guess ? 0.75 : 0.55"
      />
    </pattern>
  </defs>
</template>
