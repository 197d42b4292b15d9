<script setup lang="ts">
import { ASPECTS, FELT, type Aspect, type Felt } from '#core/decide/feelings'
import type { FeltView } from '#contract/deciding'
import { computed, ref } from 'vue'

/** How a wear felt: one tap for all of it, and one for each thing that can be told apart. A second tap takes it back. */
const props = defineProps<{ felt: readonly FeltView[]; of: string }>()
const emit = defineEmits<{ feel: [aspect: Aspect, felt: Felt | null] }>()
const WORDS: Readonly<Record<Felt, string>> = { good: 'good', 'so-so': 'so-so', bad: 'bad' }
const closer = ref(false)
const besides = computed(() =>
  props.felt
    .filter(({ aspect }) => aspect !== 'in all')
    .map(({ aspect, felt }) => `${aspect} ${felt}`)
    .join(', '),
)
const shown = computed(() => (closer.value ? ASPECTS : ASPECTS.slice(0, 1)))
const how = (aspect: Aspect): Felt | null => props.felt.find((each) => each.aspect === aspect)?.felt ?? null

function tap(aspect: Aspect, felt: Felt): void {
  emit('feel', aspect, how(aspect) === felt ? null : felt)
}
</script>

<template>
  <div class="felt">
    <div
      v-for="aspect in shown"
      :key="aspect"
      class="line d-flex align-center ga-1"
      role="group"
      :aria-label="`${of}: ${aspect}`"
    >
      <span class="aspect" :class="{ 'visually-hidden': !closer }">{{ aspect }}</span>
      <button
        v-for="each in FELT"
        :key="each"
        type="button"
        class="tap"
        :class="each"
        :aria-pressed="how(aspect) === each"
        @click="tap(aspect, each)"
      >
        <svg viewBox="0 0 18 18" width="18" height="18" aria-hidden="true">
          <path v-if="each === 'good'" d="M3 6c2 6 10 6 12 0" />
          <path v-else-if="each === 'so-so'" d="M3 9h12" />
          <path v-else d="M3 12c2-6 10-6 12 0" />
        </svg>
        {{ WORDS[each] }}
      </button>
    </div>
    <button v-if="!closer" type="button" class="closer text-act" @click="closer = true">
      {{ besides || 'what exactly?' }}
    </button>
  </div>
</template>

<style scoped>
.felt {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: center;
}

.aspect {
  min-width: 62px;
  font-size: 13px;
  color: var(--quiet);
}

.tap {
  display: inline-flex;
  gap: 5px;
  align-items: center;
  min-height: 44px;
  padding: 0 10px;
  border: 1px solid var(--line);
  border-radius: 8px;
  font-size: 13.5px;
}

.tap svg {
  fill: none;
  stroke: currentcolor;
  stroke-width: 2;
  stroke-linecap: round;
}

.tap[aria-pressed='true'] {
  background: var(--ink);
  border-color: var(--ink);
  color: var(--tray);
  font-weight: 650;
}

.closer {
  font-size: 13.5px;
}
</style>
