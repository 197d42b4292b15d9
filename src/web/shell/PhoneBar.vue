<script setup lang="ts">
import { ref } from 'vue'
import { FRONTS } from './fronts'

defineEmits<{ jump: [] }>()
const more = ref(false)
const inBar = ['/', '/collection', '/projects', '/shelf-life']
const bar = FRONTS.filter((front) => inBar.includes(front.to))
const rest = FRONTS.filter((front) => !inBar.includes(front.to))
</script>

<template>
  <nav class="bar" aria-label="Places">
    <RouterLink v-for="front in bar" :key="front.to" :to="front.to" class="front">{{ front.name }}</RouterLink>
    <button type="button" class="front" aria-haspopup="dialog" :aria-expanded="more" @click="more = true">More</button>
    <v-dialog v-model="more" max-width="420">
      <div class="sheet rest">
        <RouterLink v-for="front in rest" :key="front.to" :to="front.to" class="row" @click="more = false">{{
          front.name
        }}</RouterLink>
        <button type="button" class="row" @click="((more = false), $emit('jump'))">Find an item</button>
      </div>
    </v-dialog>
  </nav>
</template>

<style scoped>
.bar {
  position: fixed;
  inset: auto 0 0;
  z-index: 6;
  display: flex;
  background: var(--raised);
  border-top: 1px solid var(--line);
  padding-bottom: env(safe-area-inset-bottom);
}

.front {
  flex: 1;
  min-height: 54px;
  display: grid;
  place-items: center;
  font: 600 13px var(--display);
  color: var(--quiet);
  text-decoration: none;
}

.front.router-link-exact-active {
  color: var(--primary);
  box-shadow: inset 0 3px 0 var(--primary);
}

.rest {
  display: grid;
  padding: 8px;
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
