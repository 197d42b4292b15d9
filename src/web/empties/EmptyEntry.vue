<script setup lang="ts">
import { computed } from 'vue'
import type { EmptyView } from '#contract/ending'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { callIt, fullName, kindAndMaker } from '#web/ui/words/item-words'
import { AGAIN_WORDS, againstWords, emptyFacts, endedWords } from './empty-words'

/** What was finished, with what was thought of it, so that it need not be bought again to remember. */
const props = defineProps<{ empty: EmptyView; currency: string }>()
defineEmits<{ review: [] }>()
const facts = computed(() => emptyFacts(props.empty, props.currency))
const told = computed(() => {
  const { did, forWhom, dislikes, againWhy } = props.empty
  return [
    ['It did', did],
    ['For', forWhom],
    ['Not so good', dislikes],
    ['Again', againWhy],
  ].filter(([, words]) => words !== '')
})
const ended = computed(() => endedWords(props.empty))
const against = computed(() => againstWords(props.empty, props.currency))
</script>

<template>
  <article class="sheet entry d-grid align-start mt-2 py-2 px-3 ga-3">
    <img
      v-if="empty.photo"
      :src="`/api/photos/${empty.photo.id}`"
      :alt="empty.photo.words || `A picture of ${callIt(empty.item)}`"
      loading="lazy"
    />
    <ItemGauge v-else :item="empty.item" size="small" :rail="false" />
    <div>
      <h3>
        <RouterLink :to="`/items/${empty.item.id}`">{{ fullName(empty.item) }}</RouterLink>
        <span class="quiet">{{ kindAndMaker(empty.item) }}</span>
      </h3>
      <p class="quiet figures small mt-1">{{ facts }}</p>
      <p v-if="against" class="quiet figures small mt-1">{{ against }}</p>
      <p class="small mt-1" v-if="ended">{{ ended }}</p>
      <p v-if="empty.words" class="words small mt-1">{{ empty.words }}</p>
      <dl class="d-grid small mt-1" v-if="told.length > 0">
        <template v-for="[name, words] in told" :key="name">
          <dt class="quiet">{{ name }}</dt>
          <dd>{{ words }}</dd>
        </template>
      </dl>
      <p class="small mt-1" v-if="empty.replacement || empty.replacedBy">
        Replaced by
        <RouterLink v-if="empty.replacement" :to="`/items/${empty.replacement.itemId}`">{{
          empty.replacement.mark
        }}</RouterLink>
        {{ empty.replacedBy }}
      </p>
    </div>
    <span class="again" :class="empty.wouldBuyAgain ?? 'none'">
      {{ empty.wouldBuyAgain ? AGAIN_WORDS[empty.wouldBuyAgain] : 'no review' }}
      <span v-if="empty.packageGoes" class="quiet">package: {{ empty.packageGoes }}</span>
      <button
        type="button"
        class="review text-act"
        :aria-label="`${empty.reviewId ? 'Change the review of' : 'Review'} ${callIt(empty.item)}`"
        @click="$emit('review')"
      >
        {{ empty.reviewId ? 'change' : 'Review' }}
      </button>
    </span>
  </article>
</template>

<style scoped>
.entry {
  grid-template-columns: 60px minmax(0, 1fr) auto;
  break-inside: avoid;
}

img {
  width: 60px;
  height: 60px;
  object-fit: cover;
  border-radius: 6px;
}

h3 {
  font-size: 15.5px;
}

h3 a:not(.v-btn) {
  color: var(--ink);
}

h3 .quiet {
  margin-left: 8px;
  font: 400 13px var(--text);
}

.words {
  max-width: 80ch;
  font-size: 14.5px;
}

dl {
  grid-template-columns: max-content minmax(0, 1fr);
  gap: 1px 10px;
}

.again {
  display: grid;
  justify-items: end;
  font-weight: 600;
  text-align: right;
  font-size: 13.5px;
}

.again .quiet {
  font-weight: 400;
}

.again.yes {
  color: var(--done);
}

.phone .entry {
  grid-template-columns: 60px minmax(0, 1fr);
}

.phone .again {
  grid-column: 2;
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  align-items: center;
  justify-self: start;
}

@media print {
  .review {
    display: none;
  }
}
</style>
