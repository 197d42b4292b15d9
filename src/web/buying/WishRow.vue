<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Day } from '#core/calendar/day'
import { counted } from '#core/words/counted'
import type { WishView } from '#contract/buying'
import { moneyWords } from '#web/data/locale'
import { useBuyingCheck } from '#web/data/reads'
import { shortDay } from '#web/ui/words/when-words'
import { costLine, needHeadline, ruleLine, supplyLines, twinsHeadline } from './check-words'

/** One wish: how long it waits, and what the check says of it. */
const props = defineProps<{ wish: WishView; today: Day; currency: string }>()
defineEmits<{ change: []; buy: []; drop: [] }>()
const open = ref(false)
const query = computed(() => {
  if (!open.value) return null
  const { categoryId, colour, finish, priceMinor } = props.wish
  const asked = new URLSearchParams({ category: categoryId })
  if (colour !== null) asked.set('colour', colour)
  if (finish !== null) asked.set('finish', finish)
  if (priceMinor !== null) asked.set('price', String(priceMinor))
  return asked.toString()
})
const { answer } = useBuyingCheck(query)
const name = computed(() => [props.wish.maker, props.wish.name, props.wish.shade].filter(Boolean).join(' '))
const facts = computed(() =>
  [
    props.wish.category,
    props.wish.priceMinor === null ? 'no price' : moneyWords(props.wish.priceMinor, props.currency),
    `wished for ${shortDay(props.wish.wishedOn, props.today)}`,
  ].join(' · '),
)
</script>

<template>
  <article class="wish" :aria-label="name">
    <span class="dab" :class="{ none: wish.colour === null }" :style="{ background: wish.colour ?? undefined }"></span>
    <div class="words">
      <h3 class="lead">{{ name }}</h3>
      <p class="quiet figures">{{ facts }}</p>
      <p v-if="wish.reason">“{{ wish.reason }}”</p>
      <p class="font-weight-semibold">
        {{
          wish.daysToWait > 0
            ? `Waits ${counted(wish.daysToWait, 'day')} more, until ${wish.waitUntil ? shortDay(wish.waitUntil, today) : ''}.`
            : wish.waitUntil
              ? `The wait is over. Do you still want it, after ${counted(wish.daysWaited, 'day')}?`
              : 'No wait set.'
        }}
      </p>
      <button type="button" class="check text-act small" :aria-expanded="open" @click="open = !open">
        {{ open ? 'Less' : 'Check' }}
      </button>
      <ul v-if="open && answer" class="bulleted figures prose small my-1 ps-4">
        <li v-if="needHeadline(answer)">{{ needHeadline(answer) }}.</li>
        <li>{{ twinsHeadline(answer, wish.colour !== null) }}.</li>
        <li v-for="each in answer.nearest.slice(0, 2)" :key="each.itemId">
          Nearest: <RouterLink :to="`/items/${each.itemId}`">{{ each.mark }}</RouterLink>
        </li>
        <li v-for="line in supplyLines(answer)" :key="line">{{ line }}</li>
        <li>{{ costLine(answer) }}</li>
        <li v-for="rule in answer.rules" :key="rule.ruleId">{{ ruleLine(rule, answer) }}</li>
        <li v-for="lesson in answer.lessons" :key="lesson.id">You learned: {{ lesson.words }}</li>
      </ul>
    </div>
    <div class="acts d-flex flex-wrap align-content-start ga-1">
      <v-btn variant="outlined" color="primary" :aria-label="`Let go of the wish for ${name}`" @click="$emit('drop')"
        >Remove</v-btn
      >
      <v-btn variant="text" :aria-label="`Bought: ${name}`" @click="$emit('buy')">Bought</v-btn>
      <v-btn variant="text" :aria-label="`Change the wish for ${name}`" @click="$emit('change')">Change</v-btn>
    </div>
  </article>
</template>

<style scoped>
.wish {
  display: grid;
  grid-template-columns: 44px minmax(0, 1fr) auto;
  gap: 14px;
  padding: 10px 14px;
  border-bottom: 1px solid var(--hair);
}

.wish:last-child {
  border-bottom: none;
}

.dab {
  width: 44px;
  height: 44px;
  border: 1px solid var(--line);
  border-radius: 8px;
}

.dab.none {
  background: repeating-linear-gradient(45deg, var(--plate) 0 5px, var(--line) 5px 6px);
}

p {
  margin: 1px 0;
  font-size: 14px;
}

.phone .wish {
  grid-template-columns: 44px minmax(0, 1fr);
}

.phone .acts {
  grid-column: 1 / -1;
}

.phone .check {
  min-width: 44px;
  min-height: 44px;
}
</style>
