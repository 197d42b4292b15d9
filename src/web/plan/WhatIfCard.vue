<script setup lang="ts">
import { computed } from 'vue'
import type { PlanOutcome } from '#core/plan/schedule/outcome'
import { moneyShort } from '#web/data/locale'
import { rangeOf, spoilWords } from './plan-words'

/** What one plan comes to, on the scale that all of them share. */
const props = defineProps<{
  title: string
  outcome: PlanOutcome | null
  /** The most that any of them takes to its goal. */
  most: number
  currency: string
  /** What of the plan beside it drops out, or comes to its goal as well. */
  otherwise?: readonly string[]
  now?: boolean
  waiting?: boolean
}>()
defineEmits<{ take: []; drop: [] }>()
const share = (count: number): string => `${(100 * count) / Math.max(1, props.most)}%`
const spread = computed(() =>
  props.outcome === null
    ? null
    : { low: share(props.outcome.low), high: share(props.outcome.high), of: share(props.outcome.of) },
)
</script>

<template>
  <article class="card min-w-0 py-2 px-3" :class="{ now }" :aria-label="title" :aria-busy="waiting">
    <header class="d-flex align-center touch ga-2">
      <h3>{{ title }}</h3>
      <template v-if="!now && outcome">
        <button
          type="button"
          class="text-act strong small text-no-wrap"
          :aria-label="`Use this: ${title}`"
          @click="$emit('take')"
        >
          Use this
        </button>
      </template>
      <button
        v-if="!now"
        type="button"
        class="text-act strong quiet small text-no-wrap"
        :aria-label="`Drop: ${title}`"
        @click="$emit('drop')"
      >
        Remove
      </button>
    </header>
    <template v-if="outcome && spread">
      <div class="scale position-relative mt-1 mb-2 mx-0" aria-hidden="true">
        <span class="of position-absolute top-0" :style="{ width: spread.of }" />
        <span class="likely position-absolute top-0" :style="{ width: spread.high }" />
        <span class="sure position-absolute top-0" :style="{ width: spread.low }" />
      </div>
      <p class="figures small tight">
        <strong>{{ rangeOf(outcome.low, outcome.high) }} of {{ outcome.of }}</strong> at the goal
      </p>
      <p class="figures small tight">
        {{ spoilWords(outcome, currency) }} About {{ moneyShort(outcome.usedUp, currency) }} used up.
      </p>
      <p class="small tight" v-for="words in otherwise" :key="words">{{ words }}</p>
    </template>
    <p v-else class="quiet small tight">{{ waiting ? 'Being made …' : 'It couldn’t be made.' }}</p>
  </article>
</template>

<style scoped>
.card {
  border-left: 1px solid var(--hair);
}

.card.now {
  box-shadow: inset 0 4px 0 var(--primary);
}

h3 {
  flex: 1 1 auto;
  font-size: 15px;
}

.scale {
  height: 14px;
}

.scale span {
  left: 0;
  bottom: 0;
  box-sizing: border-box;
}

.of {
  border: 1.5px solid var(--ink);
  border-right-width: 3px;
}

.likely {
  background: repeating-linear-gradient(-55deg, transparent 0 3px, var(--ink) 3px 4.2px);
  border: 1.5px solid var(--ink);
}

.sure {
  background: var(--ink);
}

p strong {
  font: 650 16px var(--display);
}
</style>
