<script setup lang="ts">
import { computed } from 'vue'
import type { ItemAnswer } from '#contract/item'
import { dateWords } from '#web/data/locale'
import { useUnits } from '#web/data/units'
import { useItemActs } from '#web/ui/acts/item-acts'
import { readingWords } from '#web/ui/words/measure-words'
import { usesWords } from '#web/ui/words/item-words'
import { massRangeWords, massWords, unitOf } from '#web/ui/words/measure-words'

/** The shades of a palette, each with its own uses, what is left of it, and the acts on it alone. */
const props = defineProps<{ answer: ItemAnswer }>()
const acts = useItemActs()
const units = useUnits()
const unit = computed(() => unitOf(units.value))
const rows = computed(() =>
  props.answer.item.parts.map((part) => {
    const left = props.answer.shadesLeft.find((each) => each.partId === part.id)
    const gone = part.finishedOn !== null || part.depottedOn !== null
    const share = left?.label ? ` of its ${massWords(left.label, 0.01, unit.value)}` : ''
    return {
      part,
      gone,
      said: saidOf(part),
      left: left && !gone ? `${massRangeWords(left.grams.low, left.grams.high, 0.01, unit.value)} left${share}` : '',
    }
  }),
)

function saidOf({ reading, finishedOn, depottedOn }: ItemAnswer['item']['parts'][number]): string {
  if (finishedOn) return `empty since ${dateWords(finishedOn)}`
  if (depottedOn) return `taken out on ${dateWords(depottedOn)}`
  return reading ? `${readingWords(reading)}, seen ${dateWords(reading.day)}` : 'never measured'
}
</script>

<template>
  <section class="mt-4" v-if="rows.length > 0" aria-label="Shades">
    <ul class="d-grid my-1">
      <li
        class="d-grid align-center hair-below gr-0 gc-2"
        v-for="{ part, gone, said, left } in rows"
        :key="part.id"
        :class="{ gone }"
      >
        <span class="dab" :style="{ background: part.colour ?? part.guess ?? 'var(--plate)' }"></span>
        <span class="words">
          <strong>{{ part.name }}</strong> <span class="figures">{{ usesWords(part.uses) }}</span>
          <small class="d-block quiet small">{{ said }}</small>
          <small v-if="left" class="figures d-block quiet small">{{ left }}</small>
        </span>
        <span v-if="!gone && answer.item.endedOn === null" class="acts">
          <v-btn
            variant="text"
            :aria-label="`How much is left of ${part.name}`"
            @click="acts.begin('read', answer.item, { partId: part.id })"
            >How much</v-btn
          >
          <v-btn
            variant="text"
            :aria-label="`${part.name} is empty`"
            @click="acts.begin('finish', answer.item, { partId: part.id })"
            >Finished</v-btn
          >
        </span>
      </li>
    </ul>
    <p v-if="answer.shadesLeft.length > 0" class="quiet">
      What’s left of a shade is estimated from its own readings and uses, and its share of the pans.
    </p>
  </section>
</template>

<style scoped>
ul {
  grid-template-columns: repeat(auto-fill, minmax(min(430px, 100%), 1fr));
  gap: 0 28px;
}

li {
  grid-template-columns: 28px minmax(0, 1fr) auto;
  min-height: 52px;
}

.dab {
  width: 24px;
  height: 24px;
  border-radius: 6px;
  border: 1px solid rgb(0 0 0 / 0.35);
}

.gone {
  color: var(--quiet);
}

.gone .dab {
  opacity: 0.4;
}

.phone li {
  grid-template-columns: 28px minmax(0, 1fr);
}

.phone .acts {
  grid-column: 2;
  margin-left: -14px;
}
</style>
