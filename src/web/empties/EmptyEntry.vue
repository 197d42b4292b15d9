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
  <article class="sheet entry">
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
      <p class="quiet figures">{{ facts }}</p>
      <p v-if="against" class="quiet figures">{{ against }}</p>
      <p v-if="ended">{{ ended }}</p>
      <p v-if="empty.words" class="words">{{ empty.words }}</p>
      <dl v-if="told.length > 0">
        <template v-for="[name, words] in told" :key="name">
          <dt>{{ name }}</dt>
          <dd>{{ words }}</dd>
        </template>
      </dl>
      <p v-if="empty.replacement || empty.replacedBy">
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
  display: grid;
  grid-template-columns: 60px minmax(0, 1fr) auto;
  gap: 14px;
  align-items: start;
  padding: 9px 14px;
  margin-top: 6px;
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

p {
  margin: 2px 0 0;
  font-size: 13.5px;
}

.words {
  max-width: 80ch;
  font-size: 14.5px;
}

dl {
  display: grid;
  grid-template-columns: max-content minmax(0, 1fr);
  gap: 1px 10px;
  margin: 4px 0 0;
  font-size: 13.5px;
}

dt {
  color: var(--quiet);
}

dd {
  margin: 0;
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
