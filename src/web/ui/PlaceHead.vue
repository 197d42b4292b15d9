<script setup lang="ts">
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { useDisplay } from 'vuetify'
import { useFronts } from '#web/data/reads'
import { type HeadAct, bound } from './head-acts'
import LateActsMenu from './LateActsMenu.vue'
import { placeOf } from './places'

/**
 * The head of every page: its name, its question, what can be done. One act is loud, at most two stand beside it, the rest is a
 * menu; on a phone all but the loud one are. A page that is a tab bears the name of its place, with its tabs beneath.
 */
const props = withDefaults(
  defineProps<{ title?: string; question?: string; primary?: HeadAct | null; acts?: readonly HeadAct[] }>(),
  { title: '', question: '', primary: null, acts: () => [] },
)
const MOST_BESIDE = 2
const { mobile } = useDisplay()
const route = useRoute()
const { answer: fronts } = useFronts()
const place = computed(() => placeOf(route.meta['place']))
const tabs = computed(() => (place.value.tabs.some(({ to }) => to === route.path) ? place.value.tabs : []))
const beside = computed(() => (mobile.value ? [] : props.acts.slice(0, MOST_BESIDE)))
const folded = computed(() => props.acts.slice(beside.value.length))
</script>

<template>
  <header class="place-head d-flex flex-wrap align-center justify-space-between mb-2 gr-2 gc-4">
    <div class="title">
      <slot name="title"
        ><h1>{{ title || place.name }}</h1></slot
      >
      <p v-if="question" class="quiet small tight prose">{{ question }}</p>
    </div>
    <div class="acts d-flex flex-wrap align-center ga-2">
      <slot />
      <v-btn
        v-for="each in beside"
        :key="each.words"
        variant="outlined"
        color="primary"
        v-bind="bound(each)"
        :aria-pressed="each.pressed"
        >{{ each.words }}</v-btn
      >
      <v-btn v-if="primary" color="primary" v-bind="bound(primary)">{{ primary.words }}</v-btn>
      <LateActsMenu v-if="folded.length > 0" :acts="folded" dots />
    </div>
  </header>
  <nav v-if="tabs.length > 0" class="tabs" :aria-label="`Tabs of ${place.name}`">
    <RouterLink v-for="tab in tabs" :key="tab.to" :to="tab.to" exact-active-class="here">
      {{ tab.words
      }}<small v-if="fronts && tab.figure?.(fronts)" class="figures font-weight-medium fine quiet">{{
        tab.figure(fronts)
      }}</small>
    </RouterLink>
  </nav>
</template>

<style scoped>
.place-head {
  min-height: 52px;
}

.title {
  min-width: 0;
  flex: 1 1 300px;
}

.title :deep(h1) {
  font-size: 25px;
}

p {
  margin: 1px 0 0;
}

.phone .place-head {
  flex-wrap: nowrap;
  align-items: flex-start;
}

.phone .title {
  flex: 1 1 0;
}

.phone .title :deep(h1) {
  font-size: 21px;
}

.phone .acts {
  flex-wrap: nowrap;
}
.tabs {
  display: flex;
  gap: 2px;
  margin: -4px 0 14px;
  border-bottom: 1px solid var(--line);
  overflow-x: auto;
  scrollbar-width: thin;
}

.tabs a:not(.v-btn) {
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

.tabs a:hover {
  background: var(--inset);
}

.tabs a.here {
  color: var(--ink);
  background: var(--inset);
  box-shadow: inset 0 -3px 0 var(--primary);
}

@media print {
  .tabs {
    display: none;
  }
}
</style>
