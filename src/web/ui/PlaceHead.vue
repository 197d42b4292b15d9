<script setup lang="ts">
import { mdiDotsHorizontal } from '@mdi/js'
import { computed } from 'vue'
import { useDisplay } from 'vuetify'

/** One thing that can be done on a place: a way, or an act. */
export interface HeadAct {
  readonly words: string
  readonly to?: string
  readonly act?: () => void
  /** Of what is switched on and off. */
  readonly pressed?: boolean
  readonly disabled?: boolean
  readonly busy?: boolean
}

/** The head of every place: its name, its question, what can be done. On a phone one act stands and the rest is a menu. */
const props = withDefaults(
  defineProps<{ title: string; question?: string; primary?: HeadAct | null; acts?: readonly HeadAct[] }>(),
  { question: '', primary: null, acts: () => [] },
)
const { mobile } = useDisplay()
const beside = computed(() => (mobile.value ? [] : props.acts))
/** What a button or a row of a menu is given of an act. */
function bound({ to, disabled, busy, act }: HeadAct) {
  return {
    ...(to === undefined ? {} : { to }),
    disabled: disabled ?? false,
    loading: busy ?? false,
    onClick: () => act?.(),
  }
}
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
      <v-menu v-if="folded.length > 0">
        <template #activator="{ props: menu }">
          <v-btn
            v-bind="menu"
            variant="outlined"
            color="primary"
            size="44"
            :icon="mdiDotsHorizontal"
            aria-label="More"
          />
        </template>
        <v-list>
          <v-list-item
            v-for="each in folded"
            :key="each.words"
            :title="each.words"
            :active="each.pressed ?? false"
            v-bind="bound(each)"
          />
        </v-list>
      </v-menu>
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
