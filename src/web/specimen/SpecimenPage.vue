<script setup lang="ts">
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import type { GaugeSize } from '#web/ui/gauge/gauge-model'
import { SPECIMEN_ROWS } from './specimen-data'

const sizes: readonly GaugeSize[] = ['large', 'middle', 'small']
const themes = ['day', 'night'] as const
</script>

<template>
  <h1>Specimen sheet</h1>
  <p class="quiet">Every drawing of the gauge in its states, in three sizes, by day and by night.</p>
  <template v-for="size in sizes" :key="size">
    <v-theme-provider v-for="theme in themes" :key="theme" :theme="theme">
      <section
        class="board ink rounded-lg my-3 mx-0 pa-3"
        :class="`v-theme--${theme}`"
        :data-specimen="`${size}-${theme}`"
      >
        <h2>{{ size }}, {{ theme }}</h2>
        <div
          v-for="row in SPECIMEN_ROWS"
          :key="row.name"
          class="row d-flex flex-wrap align-end hair-below py-2 px-0 gr-3 gc-5"
        >
          <h3>{{ row.name }}</h3>
          <figure class="d-grid justify-items-center ga-1" v-for="each in row.items" :key="each.words">
            <ItemGauge :item="each.item" :size="size" :worn-parts="each.wornParts ?? []" />
            <figcaption class="fine quiet">{{ each.words }}</figcaption>
          </figure>
        </div>
      </section>
    </v-theme-provider>
  </template>
</template>

<style scoped>
.board {
  background: var(--inset);
}

h3 {
  width: 90px;
  font-size: 14px;
}
</style>
