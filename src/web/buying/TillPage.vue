<script setup lang="ts">
import { mdiPlus } from '@mdi/js'
import { useSessionStorage } from '@vueuse/core'
import { computed, ref } from 'vue'
import NumberField from '#web/ui/form/NumberField.vue'
import { useBuyingCheck } from '#web/data/reads'
import { useStock } from '#web/data/stock'
import { typedPrice } from '#web/ui/form/typed-price'
import SwatchFromPhoto from '#web/ui/form/SwatchFromPhoto.vue'
import PlaceHead from '#web/ui/PlaceHead.vue'
import { costLine, nearestWords, needHeadline, ruleLine, supplyLines, twinsHeadline } from './check-words'
import WishDialog from './WishDialog.vue'

/** In a shop, with one hand: the kind, the colour off a picture of the tester, and the answer. */
const stock = useStock()
/** As many as leave room for the rest. */
const LESSONS = 2
const kind = useSessionStorage<string | null>('till type', null)
const colour = ref<string | null>(null)
const price = ref('')
const wishing = ref(false)
const paid = computed(() => typedPrice(price.value, stock.currency))
const query = computed(() => {
  if (kind.value === null) return null
  const asked = new URLSearchParams({ category: kind.value })
  if (colour.value !== null) asked.set('colour', colour.value)
  if (paid.value.minor !== null) asked.set('price', String(paid.value.minor))
  return asked.toString()
})
const { answer, failed } = useBuyingCheck(query)
const lines = computed(() => (answer.value ? supplyLines(answer.value) : []))
const strict = computed(
  () => answer.value?.rules.some((rule) => rule.left <= 0 && !rule.excepted && !rule.replacing) === true,
)
</script>

<template>
  <PlaceHead question="Do I need it?" />
  <div class="till d-grid align-start ga-4">
    <form class="asked d-grid ga-2" @submit.prevent>
      <v-autocomplete
        v-model="kind"
        label="What type"
        :items="stock.categories.map((each) => ({ title: each.name, value: each.id }))"
        hide-details
      />
      <NumberField
        text
        v-model="price"
        :label="`Price, ${stock.currency}`"
        :error-messages="paid.errors"
        hide-details="auto"
      />
      <SwatchFromPhoto class="photo across" folds label="Picture of the tester" @colour="(found) => (colour = found)" />
    </form>
    <p v-if="failed" class="caution">{{ failed.message }}</p>
    <section v-if="answer" class="sheet told py-3 px-4" aria-label="The answer" aria-live="polite">
      <h2>{{ needHeadline(answer) ?? twinsHeadline(answer, colour !== null) }}</h2>
      <p v-if="needHeadline(answer)" class="font-weight-semibold">{{ twinsHeadline(answer, colour !== null) }}.</p>
      <div v-if="answer.nearest.length > 0 && colour" class="nearest">
        <div
          class="strip d-flex rounded-lg mt-2 mb-1 mx-0 pa-2"
          role="img"
          :aria-label="`The tester beside ${answer.nearest.map((each) => each.mark).join(', ')}`"
        >
          <span class="one tester flex-1-1-0" :style="{ background: colour }"></span>
          <span
            v-for="each in answer.nearest"
            :key="each.itemId"
            class="one flex-1-1-0"
            :style="{ background: each.colour }"
          ></span>
        </div>
        <ul class="my-2">
          <li class="small tight" v-for="each in answer.nearest.slice(0, 2)" :key="each.itemId">
            <RouterLink :to="`/items/${each.itemId}`">{{ each.mark }}</RouterLink><span class="quiet"
              >, {{ nearestWords(each) }}</span
            >
          </li>
        </ul>
      </div>
      <ul class="lines figures d-grid prose my-2 ga-1">
        <li v-for="line in lines" :key="line">{{ line }}</li>
        <li>{{ costLine(answer) }}</li>
        <li
          v-for="rule in answer.rules"
          :key="rule.ruleId"
          :class="{ strict: rule.left <= 0 && !rule.excepted && !rule.replacing }"
        >
          {{ ruleLine(rule, answer) }}
        </li>
        <li v-for="lesson in answer.lessons.slice(0, LESSONS)" :key="lesson.id" class="lesson">
          You learned: {{ lesson.words }}
        </li>
      </ul>
      <v-btn
        :color="strict ? undefined : 'primary'"
        :variant="strict ? 'outlined' : 'flat'"
        :prepend-icon="mdiPlus"
        @click="wishing = true"
        >Add to wish list</v-btn
      >
    </section>
    <p v-else-if="kind === null" class="quiet hint prose">
      Choose the type; a picture of the tester shows the near twins you own.
    </p>
  </div>
  <WishDialog
    v-if="wishing && answer"
    :today="answer.today"
    :wish="null"
    :begin="{ categoryId: kind, colour, priceMinor: paid.minor }"
    @close="wishing = false"
  />
</template>

<style scoped>
.till {
  grid-template-columns: minmax(280px, 420px) minmax(0, 1fr);
}

.asked {
  grid-template-columns: 1fr 130px;
}

h2 {
  font-size: 20px;
}

.strip {
  height: 56px;
  background: #8f9498;
}

.one.tester {
  flex: 1.6;
}

.lines li {
  padding-left: 12px;
  border-left: 3px solid var(--hair);
  font-size: 14.5px;
  line-height: 1.35;
}

.lines .strict {
  border-color: var(--attention);
  color: var(--attention);
  font-weight: 600;
}

.lines .lesson {
  border-color: var(--primary);
}

.phone .till {
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
}

.phone .told {
  padding: 10px 12px 12px;
}

.phone .nearest li > a:not(.v-btn) {
  display: inline;
}

.phone .strip {
  height: 44px;
}
</style>
