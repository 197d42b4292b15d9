<script setup lang="ts">
import { mdiChevronLeft, mdiChevronRight } from '@mdi/js'
import { computed, ref } from 'vue'
import { useDisplay } from 'vuetify'
import type { SpansAnswer } from '#contract/look-back'
import type { LookSpan } from '#core/look-back/span'
import ChooseSpanDialog from './ChooseSpanDialog.vue'
import { spanTitle } from '#web/ui/words/span-words'
import type { Mode } from './use-span'

/** Which span the sheet is of: one step back and forth for months and years, those she named and any two days for the rest. */
const props = defineProps<{
  mode: Mode
  span: LookSpan
  beside: readonly { readonly words: string; readonly act: () => void }[]
  kept: SpansAnswer
  previous: LookSpan
  next: LookSpan | null
}>()
const emit = defineEmits<{ go: [span: LookSpan]; ask: [query: Record<string, string>]; compare: [than: LookSpan] }>()
const { mobile } = useDisplay()
const choosing = ref<'span' | 'other' | null>(null)
/** Spans she named, and those that projects are. */
const named = computed(() => [
  ...props.kept.spans.map(({ id, name, from, to }) => ({ id, name, from, to: to ?? props.kept.today, project: null })),
  ...props.kept.projects.map(({ id, name, from, to }) => ({ id, name, from, to: to ?? props.kept.today, project: id })),
])
function open(each: (typeof named.value)[number]): void {
  emit('ask', {
    from: each.from,
    to: each.to,
    name: each.name,
    ...(each.project === null ? {} : { project: each.project }),
  })
}
</script>

<template>
  <div class="bar d-flex flex-wrap align-center mb-2 ga-2">
    <template v-if="mode !== 'span'">
      <v-btn
        variant="outlined"
        color="primary"
        :icon="mdiChevronLeft"
        :aria-label="`Back to ${spanTitle(previous)}`"
        @click="emit('go', previous)"
      />
      <strong class="figures">{{ spanTitle(span) }}</strong>
      <v-btn
        variant="outlined"
        color="primary"
        :icon="mdiChevronRight"
        :disabled="next === null"
        :aria-label="next ? `On to ${spanTitle(next)}` : 'Nothing is later'"
        @click="next && emit('go', next)"
      />
    </template>
    <template v-else>
      <v-btn v-for="each in named" :key="each.id" variant="outlined" color="primary" @click="open(each)">{{
        each.name
      }}</v-btn>
      <v-btn variant="outlined" color="primary" @click="choosing = 'span'">Another period</v-btn>
    </template>
    <span class="gap" />
    <template v-if="!mobile">
      <v-btn v-for="each in beside" :key="each.words" variant="text" @click="each.act()">{{ each.words }}</v-btn>
    </template>
    <v-btn v-if="mode === 'span'" variant="text" @click="choosing = 'other'">Compare with another period</v-btn>
    <ChooseSpanDialog
      v-if="choosing"
      :span="span"
      :today="kept.today"
      :keeps="choosing === 'span'"
      :kept="kept.spans"
      @close="choosing = null"
      @chosen="
        (chosen, name) => {
          if (choosing === 'other') emit('compare', chosen)
          else emit('ask', { from: chosen.from, to: chosen.to, ...(name ? { name } : {}) })
          choosing = null
        }
      "
    />
  </div>
</template>

<style scoped>
strong {
  font: 650 17px var(--display);
  min-width: 138px;
  text-align: center;
}

.gap {
  flex: 1 1 0;
}

.bar :deep(.v-btn--icon) {
  width: 44px;
  height: 44px;
  border-radius: 10px;
}

@media print {
  .bar {
    display: none;
  }
}
</style>
