<script setup lang="ts">
import { mdiCogOutline } from '@mdi/js'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { useDevices, useFronts } from '#web/data/reads'
import { placeOf, PLACES } from '#web/ui/places'
import { useWhenIdle } from '#web/ui/when-idle'

defineEmits<{ jump: [] }>()
const { answer: fronts } = useFronts()
const idle = useWhenIdle()
const { answer: phones } = useDevices(() => idle.value)
const route = useRoute()
const open = computed(() => placeOf(route.meta['place']))
const settings = PLACES.at(-1)
</script>

<template>
  <nav aria-label="Places">
    <div class="name">Seligo</div>
    <RouterLink
      v-for="place in PLACES.slice(0, -1)"
      :key="place.to"
      :to="place.to"
      class="front"
      :class="{ open: open === place }"
      :aria-current="open === place ? 'page' : undefined"
    >
      <span class="title">{{ place.name }}</span>
      <span class="figures fine">{{ (fronts && place.figure(fronts)) || place.question }}</span>
      <span class="pull" aria-hidden="true"></span>
    </RouterLink>
    <RouterLink
      v-if="settings"
      :to="settings.to"
      class="front gear"
      :class="{ open: open === settings }"
      :aria-current="open === settings ? 'page' : undefined"
    >
      <svg viewBox="0 0 24 24" width="20" height="20" aria-hidden="true">
        <path :d="mdiCogOutline" fill="currentColor" />
      </svg>
      <span class="title">{{ settings.name }}</span>
    </RouterLink>
    <button type="button" class="touch text-left quiet small mt-2 px-2" @click="$emit('jump')">
      Find an item <kbd class="ms-1 py-0 px-1">/</kbd>
    </button>
    <RouterLink v-if="phones?.picked" to="/settings/phones" class="phones">{{
      phones.url ? 'Open to phones' : 'Phone access isn’t working'
    }}</RouterLink>
  </nav>
</template>

<style scoped>
nav {
  display: flex;
  flex-direction: column;
  gap: 5px;
  padding: 12px 10px 12px 12px;
  /* On a low window it scrolls; the open drawer still reaches over its edge. */
  margin-right: -10px;
  overflow: hidden auto;
  scrollbar-width: thin;
}

.name {
  font: 700 23px/1 var(--display);
  letter-spacing: -0.02em;
  padding: 8px 6px 13px;
}

.front {
  position: relative;
  display: grid;
  padding: 8px 30px 8px 13px;
  min-height: 48px;
  background: var(--raised);
  color: var(--ink);
  border: 1px solid var(--line);
  border-radius: 8px;
  text-decoration: none;
  box-shadow: 0 1px 0 var(--shade);
}

.front:hover {
  border-color: var(--primary);
}

.front.open {
  /* A drawer pulled out: it reaches over the edge to its contents. */
  background: var(--primary);
  border-color: var(--primary);
  color: var(--on-primary);
  margin-right: -10px;
  border-radius: 8px 0 0 8px;
}

.title {
  font: 620 15px/1.2 var(--display);
}

.pull {
  position: absolute;
  right: 10px;
  top: 50%;
  width: 15px;
  height: 5px;
  margin-top: -2px;
  border-radius: 3px;
  background: var(--hair);
  box-shadow: inset 0 1px 1px var(--shade);
}

.front.open .pull {
  background: var(--on-primary);
  opacity: 0.55;
}

kbd {
  font: 600 12px var(--text);
  border: 1px solid var(--line);
  border-radius: 4px;
}

.phones:not(.v-btn) {
  display: flex;
  align-items: center;
  min-height: 32px;
  padding: 0 6px;
  font-size: 13px;
  color: var(--quiet);
}

.gear {
  grid-template-columns: auto 1fr;
  gap: 8px;
  align-items: center;
}
</style>
