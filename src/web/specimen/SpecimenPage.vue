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
      <section class="board" :class="`v-theme--${theme}`" :data-specimen="`${size}-${theme}`">
        <h2>{{ size }}, {{ theme }}</h2>
        <div v-for="row in SPECIMEN_ROWS" :key="row.name" class="row">
          <h3>{{ row.name }}</h3>
          <figure v-for="each in row.items" :key="each.words">
            <ItemGauge :item="each.item" :size="size" :worn-parts="each.wornParts ?? []" />
            <figcaption>{{ each.words }}</figcaption>
          </figure>
        </div>
      </section>
    </v-theme-provider>
  </template>
</template>

<style scoped>
.board {
  background: var(--inset);
  color: var(--ink);
  border-radius: 10px;
  padding: 14px;
  margin: 14px 0;
}

.row {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-end;
  gap: 14px 20px;
  padding: 8px 0;
  border-bottom: 1px solid var(--hair);
}

h3 {
  width: 90px;
  font-size: 14px;
}

figure {
  margin: 0;
  display: grid;
  justify-items: center;
  gap: 4px;
}

figcaption {
  font-size: 12px;
  color: var(--quiet);
}
</style>
