<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { LEANINGS, type Leaning } from '#core/decide/doubts'
import { counted } from '#core/words/counted'
import type { ListedItem } from '#contract/item'
import { useDoubts } from '#web/data/reads'
import { useUnits } from '#web/data/units'
import { twinWords } from '#web/ui/words/item-words'
import ChoiceRow from '#web/ui/form/ChoiceRow.vue'
import { LEANING_WORDS } from '#web/ui/words/doubt-words'
import DoubtRow from './DoubtRow.vue'

/** What deserves a decision, in the order of a leaning; several can be put on trial together or laid side by side. */
defineEmits<{ trial: [items: ListedItem[]] }>()
const router = useRouter()
const chosen = ref<Leaning | null>(null)
const { answer } = useDoubts(chosen)
const leaning = computed({
  get: () => chosen.value ?? answer.value?.leaning ?? null,
  set: (value) => (chosen.value = value),
})
const picked = ref<string[]>([])
const rows = computed(() => answer.value?.inDoubt ?? [])
const items = computed(() => rows.value.map(({ item }) => item).filter(({ id }) => picked.value.includes(id)))
const units = useUnits()
/** What tells those of one name apart. */
const twins = computed(() =>
  twinWords(
    rows.value.map(({ item }) => item),
    units.value,
  ),
)
const MOST_COMPARED = 6

function pick(id: string): void {
  picked.value = picked.value.includes(id) ? picked.value.filter((each) => each !== id) : [...picked.value, id]
}
</script>

<template>
  <section v-if="answer && rows.length > 0" class="part mt-5" aria-label="To decide">
    <div class="d-flex flex-wrap justify-space-between align-end mb-2 gr-2 gc-6">
      <div>
        <h2>To decide</h2>
        <p class="quiet small mt-1">Facts, the strongest first. You decide.</p>
      </div>
      <ChoiceRow v-model="leaning" label="Ordered by" :options="LEANINGS" :words="LEANING_WORDS" />
    </div>
    <p v-if="rows.some(({ offer }) => offer === 'stop')" class="small mb-2">
      Stop using what stings or swells, and anything expired at the eye. At the eye: rinse, and see a professional if it
      goes on.
    </p>
    <div class="sheet list two-columns">
      <DoubtRow
        v-for="row in rows"
        :key="row.item.id"
        :row="row"
        :today="answer.today"
        :picked="picked.includes(row.item.id)"
        :apart="twins.get(row.item.id)"
        @pick="pick(row.item.id)"
      />
    </div>
    <p v-if="answer.more > 0" class="quiet small mt-1">
      {{ counted(answer.more, 'more item') }} with less to say. They come up as you decide on these.
    </p>
    <div
      v-if="items.length > 0"
      class="bar d-flex position-sticky flex-wrap align-center max-w-100 rounded-lg mt-3 mb-0 mx-0 py-2 px-3 ga-2"
      role="group"
      aria-label="Chosen"
    >
      <strong class="figures">{{ items.length }} chosen</strong>
      <v-btn color="primary" @click="$emit('trial', items)">{{
        items.length === 1 ? 'Put it on trial' : 'On trial in one look'
      }}</v-btn>
      <v-btn
        variant="outlined"
        color="primary"
        :disabled="items.length < 2 || items.length > MOST_COMPARED"
        @click="router.push(`/keep/compare?items=${items.map((each) => each.id).join(',')}`)"
        >Compare</v-btn
      >
      <v-btn variant="text" @click="picked = []">None</v-btn>
    </div>
  </section>
</template>

<style scoped>
.list + p {
  margin: 8px 0 0;
}

.bar {
  bottom: 12px;
  z-index: 2;
  width: max-content;
  background: var(--raised);
  border: 1px solid var(--line);
  box-shadow: 0 4px 18px var(--shade);
}

.phone .bar {
  bottom: 66px;
}
</style>
