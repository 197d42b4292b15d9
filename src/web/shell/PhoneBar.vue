<script setup lang="ts">
import { ref } from 'vue'
import { FRONTS } from './fronts'

defineEmits<{ jump: [] }>()
const more = ref(false)
const inBar = ['/', '/collection', '/projects', '/check-in']
const bar = FRONTS.filter((front) => inBar.includes(front.to))
const rest = FRONTS.filter((front) => !inBar.includes(front.to))
</script>

<template>
  <nav aria-label="Places">
    <v-bottom-navigation class="bar" :height="56" grow :elevation="0">
      <v-btn v-for="front in bar" :key="front.to" :to="front.to" :exact="front.to === '/'" class="front">{{
        front.name
      }}</v-btn>
      <v-btn class="front" aria-haspopup="dialog" :aria-expanded="more" @click="more = true">More</v-btn>
    </v-bottom-navigation>
    <v-bottom-sheet v-model="more" aria-label="More places">
      <div class="sheet rest">
        <RouterLink to="/drawer" class="row" @click="more = false">Lay the drawer</RouterLink>
        <RouterLink to="/buying/till" class="row" @click="more = false">Before buying</RouterLink>
        <RouterLink v-for="front in rest" :key="front.to" :to="front.to" class="row" @click="more = false">{{
          front.name
        }}</RouterLink>
        <button type="button" class="row" @click="((more = false), $emit('jump'))">Find an item</button>
      </div>
    </v-bottom-sheet>
  </nav>
</template>

<style scoped>
.bar {
  position: fixed !important;
  background: var(--raised);
  border-top: 1px solid var(--line);
  padding-bottom: env(safe-area-inset-bottom);
  box-sizing: content-box;
}

.bar .front {
  min-width: 0;
  padding: 0 4px;
  border-radius: 0;
  font: 600 13px var(--display);
  letter-spacing: 0;
  text-transform: none;
  color: var(--quiet);
}

.bar .front.v-btn--active {
  color: var(--primary);
  box-shadow: inset 0 3px 0 var(--primary);
}

.rest {
  display: grid;
  padding: 8px 8px calc(8px + env(safe-area-inset-bottom));
  border-radius: 14px 14px 0 0;
}

.row {
  min-height: 50px;
  padding: 0 14px;
  display: flex;
  align-items: center;
  color: var(--ink);
  text-decoration: none;
  font: 600 16px var(--display);
}
</style>
