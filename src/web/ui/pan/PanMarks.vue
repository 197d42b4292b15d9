<script setup lang="ts">
import type { Point } from '#core/measure/outline'

/** What is drawn over a photo of a pan: the rim, the edge of the bare metal, the taps: circles on powder, diamonds on metal. */
defineProps<{ rim: string; mask: string; powder: readonly Point[]; metal: readonly Point[]; width: number }>()
</script>

<template>
  <g>
    <path class="rim under" :d="rim" :stroke-width="width / 220" />
    <path class="rim over" :d="rim" :stroke-width="width / 560" />
    <path v-if="mask" class="mask under" :d="mask" :stroke-width="width / 130" />
    <path v-if="mask" class="mask over" :d="mask" :stroke-width="width / 260" />
    <g v-for="(spot, n) in powder" :key="`p${n}`">
      <circle class="tap dark" :cx="spot[0]" :cy="spot[1]" :r="width / 70" :stroke-width="width / 130" />
      <circle class="tap light" :cx="spot[0]" :cy="spot[1]" :r="width / 70" :stroke-width="width / 300" />
    </g>
    <g v-for="(spot, n) in metal" :key="`m${n}`" :transform="`rotate(45 ${spot[0]} ${spot[1]})`">
      <rect
        class="tap dark"
        :x="spot[0] - width / 75"
        :y="spot[1] - width / 75"
        :width="width / 37.5"
        :height="width / 37.5"
        :stroke-width="width / 130"
      />
      <rect
        class="tap light"
        :x="spot[0] - width / 75"
        :y="spot[1] - width / 75"
        :width="width / 37.5"
        :height="width / 37.5"
        :stroke-width="width / 300"
      />
    </g>
  </g>
</template>

<style scoped>
.rim,
.mask,
.tap {
  fill: none;
}

.mask {
  stroke-linecap: round;
}

.under,
.dark {
  stroke: #000;
  stroke-opacity: 0.7;
}

.over,
.light {
  stroke: #fff;
}

.mask.over {
  stroke: #ffe08a;
}
</style>
