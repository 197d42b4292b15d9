<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { placeOf, PLACES } from '#web/ui/places'

defineEmits<{ jump: [] }>()
const more = ref(false)
const route = useRoute()
const open = computed(() => placeOf(route.meta['place']))
const inBar = ['/', '/collection', '/projects', '/buying']
const bar = PLACES.filter((place) => inBar.includes(place.to))
const rest = PLACES.filter((place) => !inBar.includes(place.to))
</script>

<template>
  <nav aria-label="Places">
    <v-bottom-navigation class="bar" :height="56" grow :elevation="0">
      <v-btn
        v-for="place in bar"
        :key="place.to"
        :to="place.to"
        class="front"
        :class="{ open: open === place }"
        :aria-current="open === place ? 'page' : undefined"
        >{{ place.name }}</v-btn
      >
      <v-btn
        class="front"
        :class="{ open: rest.includes(open) }"
        aria-haspopup="dialog"
        :aria-expanded="more"
        @click="more = true"
        >More</v-btn
      >
    </v-bottom-navigation>
    <v-bottom-sheet v-model="more" aria-label="More places">
      <div class="sheet rest">
        <RouterLink
          v-for="place in rest"
          :key="place.to"
          :to="place.to"
          class="row d-flex align-center ink text-decoration-none py-0 px-3"
          @click="more = false"
          >{{ place.name }}</RouterLink
        >
        <RouterLink
          to="/drawer"
          class="row d-flex align-center ink text-decoration-none py-0 px-3"
          @click="more = false"
          >Arrange the drawer</RouterLink
        >
        <button
          type="button"
          class="row d-flex align-center ink text-decoration-none px-3"
          @click="((more = false), $emit('jump'))"
        >
          Find an item
        </button>
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
  padding: 0 2px;
  border-radius: 0;
  font: 600 12.5px/1.15 var(--display);
  white-space: normal;
  letter-spacing: 0;
  text-transform: none;
  color: var(--quiet);
}

.bar .front.open {
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
  font: 600 16px var(--display);
}
</style>
