<script setup lang="ts">
import { useRoute } from 'vue-router'
import { useDevices, useFronts } from '#web/data/reads'
import { useWhenIdle } from '#web/ui/when-idle'
import { FRONTS } from './fronts'

defineEmits<{ jump: [] }>()
const { answer: fronts } = useFronts()
const idle = useWhenIdle()
const { answer: door } = useDevices(() => idle.value)
const route = useRoute()

function isOpen(to: string): boolean {
  if (to === '/')
    return (
      route.path === '/' ||
      route.path.startsWith('/day') ||
      route.path.startsWith('/drawer') ||
      route.path === '/tally-sheet'
    )
  if (to === '/projects') return route.path.startsWith('/projects') || route.path.startsWith('/plan')
  if (to === '/collection') return route.path.startsWith('/collection') || route.path.startsWith('/items')
  return route.path.startsWith(to)
}
</script>

<template>
  <nav aria-label="Places">
    <div class="name">Seligo</div>
    <RouterLink
      v-for="front in FRONTS"
      :key="front.to"
      :to="front.to"
      class="front"
      :class="{ open: isOpen(front.to) }"
      :aria-current="isOpen(front.to) ? 'page' : undefined"
    >
      <span class="title">{{ front.name }}</span>
      <span class="figure figures">{{ fronts ? front.figure(fronts) : '' }}</span>
      <span class="pull" aria-hidden="true"></span>
    </RouterLink>
    <button type="button" class="jump" @click="$emit('jump')">Find an item <kbd>/</kbd></button>
    <RouterLink v-if="door?.picked" to="/settings/devices" class="door">{{
      door.url ? 'Open to phones' : 'Door to phones is stuck'
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

.figure {
  font-size: 12.5px;
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

.jump {
  margin-top: 8px;
  min-height: 44px;
  text-align: left;
  padding: 0 6px;
  color: var(--quiet);
  font-size: 13px;
}

kbd {
  font: 600 12px var(--text);
  border: 1px solid var(--line);
  border-radius: 4px;
  padding: 0 5px;
  margin-left: 4px;
}

.door:not(.v-btn) {
  display: flex;
  align-items: center;
  min-height: 32px;
  padding: 0 6px;
  font-size: 13px;
  color: var(--quiet);
}
</style>
