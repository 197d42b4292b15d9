<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Day } from '#core/calendar/day'
import type { DayRange } from '#core/calendar/when'
import type { ListedItem } from '#contract/item'
import { newId } from '#web/data/client'
import { useChanges } from '#web/data/changes'
import LandmarkFields from '#web/ui/acts/LandmarkFields.vue'
import { openingAnswers, typedOpening } from '#web/ui/acts/opening-answers'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { useDevice } from '#web/data/device'
import { useStock } from '#web/data/stock'
import { fullName, usesWords } from '#web/ui/words/item-words'
import { rangeWords } from '#web/ui/words/when-words'
import { dateWords, herOrder } from '#web/data/locale'
import PlaceHead from '#web/ui/PlaceHead.vue'

/** One thing after the other whose opening nobody wrote down: a rough answer is worth more than none. */
const stock = useStock()
const changes = useChanges()
const device = useDevice()
const passed = ref<string[]>([])
const typed = ref('')
const wrong = ref('')
const rest = computed(() =>
  stock.items.filter((item) => item.opening.kind === 'unknown' && !passed.value.includes(item.id)),
)
const item = computed<ListedItem | null>(() => rest.value[0] ?? null)
const latest = computed<Day | null>(() => item.value?.firstWorn ?? stock.today)

/** Answers that need no typing. */
const quick = computed(() =>
  stock.today === null || latest.value === null ? [] : openingAnswers(stock.today, latest.value, device.landmark),
)

async function answer(opened: Record<string, unknown>): Promise<void> {
  const { value } = item
  if (value === null) return
  const done = await changes.run('POST', '/openings', {
    changeId: newId(),
    answers: [{ itemId: value.id, opened }],
  })
  if (!done) return
  passed.value = [...passed.value, value.id]
  typed.value = ''
  wrong.value = ''
}

function say(range: DayRange, said: string): void {
  void answer({ kind: 'range', ...range, said })
}

function type(): void {
  if (stock.today === null) return
  const { range, wrong: why } = typedOpening(typed.value, herOrder(), stock.today)
  wrong.value = why
  if (range !== null) say(range, typed.value)
}
</script>

<template>
  <PlaceHead
    title="When was it opened?"
    :question="`${rest.length} to go. About is good enough; stop whenever you like.`"
    :primary="{ words: 'Done', to: '/collection' }"
  />
  <section v-if="stock.today" class="sheet mb-3 py-3 px-4" aria-label="Something you remember">
    <LandmarkFields :today="stock.today" />
  </section>
  <section v-if="item" class="sheet card d-grid pa-5 ga-5" :aria-label="fullName(item)">
    <div class="drawn d-grid align-center justify-items-center rounded-lg">
      <ItemGauge :item="item" size="large" :rail="false" />
    </div>
    <div class="ask d-grid align-content-center ga-3">
      <h2>{{ fullName(item) }}</h2>
      <p class="quiet figures">
        {{ [item.maker, item.category].filter(Boolean).join(', ') }}; {{ usesWords(item.uses)
        }}{{ item.firstWorn ? `, first ticked on ${dateWords(item.firstWorn)}` : ''
        }}{{ item.acquired ? `; came ${rangeWords(item.acquired)}` : '' }}
      </p>
      <div class="choices">
        <button
          v-for="each in quick"
          :key="each.words"
          type="button"
          class="choice"
          @click="say(each.range, each.said)"
        >
          {{ each.words }}
        </button>
        <button v-if="item.uses === 0" type="button" class="choice" @click="answer({ kind: 'unopened' })">
          Not opened yet
        </button>
      </div>
      <form class="typed d-grid align-start ga-2" @submit.prevent="type">
        <v-text-field
          v-model="typed"
          label="Or as you remember it"
          placeholder="spring 2024"
          :error-messages="wrong ? [wrong] : []"
        />
        <v-btn type="submit" variant="outlined" color="primary" :disabled="typed.trim() === ''">Save</v-btn>
        <v-btn variant="text" @click="passed = [...passed, item.id]">No idea</v-btn>
      </form>
    </div>
  </section>
  <p v-else-if="stock.loaded" class="inset done pa-6">That’s all. What you skipped stays unknown.</p>
</template>

<style scoped>
.card {
  grid-template-columns: 240px 1fr;
}

.drawn {
  background: var(--plate);
  min-height: 250px;
}

.typed {
  grid-template-columns: minmax(160px, 320px) auto auto;
  justify-content: start;
}

.phone .card,
.phone .typed {
  grid-template-columns: 1fr;
}
</style>
