<script setup lang="ts">
import { computed } from 'vue'
import { useDisplay } from 'vuetify'
import { type HeadAct, bound } from './head-acts'
import LateActsMenu from './LateActsMenu.vue'

/** The head of every place: its name, its question, what can be done. On a phone one act stands and the rest is a menu. */
const props = withDefaults(
  defineProps<{ title: string; question?: string; primary?: HeadAct | null; acts?: readonly HeadAct[] }>(),
  { question: '', primary: null, acts: () => [] },
)
const { mobile } = useDisplay()
const beside = computed(() => (mobile.value ? [] : props.acts))
const folded = computed(() => (mobile.value ? props.acts : []))
</script>

<template>
  <header class="place-head">
    <div class="title">
      <slot name="title"
        ><h1>{{ title }}</h1></slot
      >
      <p v-if="question" class="quiet">{{ question }}</p>
    </div>
    <div class="acts">
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
</template>

<style scoped>
.place-head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 6px 16px;
  min-height: 52px;
  margin-bottom: 10px;
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
  font-size: 13.5px;
  line-height: 1.3;
  max-width: 75ch;
}

.acts {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
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
</style>
