<script setup lang="ts">
/** The rooms of a place, one of which is open: a line of ways beneath its head. */
defineProps<{
  label: string
  ways: readonly { readonly to: string; readonly words: string; readonly figure?: string }[]
}>()
</script>

<template>
  <nav class="ways" :aria-label="label">
    <RouterLink v-for="way in ways" :key="way.to" :to="way.to" exact-active-class="here">
      {{ way.words }}<small v-if="way.figure" class="figures">{{ way.figure }}</small>
    </RouterLink>
  </nav>
</template>

<style scoped>
.ways {
  display: flex;
  gap: 2px;
  margin: -4px 0 14px;
  border-bottom: 1px solid var(--line);
  overflow-x: auto;
  scrollbar-width: thin;
}

.ways a:not(.v-btn) {
  display: flex;
  gap: 6px;
  align-items: baseline;
  flex: 0 0 auto;
  padding: 11px 12px 10px;
  min-height: 44px;
  box-sizing: border-box;
  border-radius: 8px 8px 0 0;
  color: var(--quiet);
  font: 600 14px var(--text);
  text-decoration: none;
}

.ways a:hover {
  background: var(--inset);
}

.ways a.here {
  color: var(--ink);
  background: var(--inset);
  box-shadow: inset 0 -3px 0 var(--primary);
}

small {
  font-weight: 500;
  font-size: 12.5px;
  color: var(--quiet);
}

@media print {
  .ways {
    display: none;
  }
}
</style>
