<script setup lang="ts">
import { computed } from 'vue'
import type { ItemAnswer } from '#contract/item'
import { dateWords, numberWords } from '#web/data/locale'
import { useUnits } from '#web/data/units'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { capital } from '#core/words/capital'
import { leftWords } from '#web/ui/words/gauge-words'
import { usesWords } from '#web/ui/words/item-words'
import { contentWords, massFigure, massRangeWords, massWords, readingWords, unitOf } from '#web/ui/words/measure-words'

/** What is left of it: as it was read, and as it is reckoned, on one ruler from nothing to full. */
const props = defineProps<{ answer: ItemAnswer }>()
const item = computed(() => props.answer.item)
const units = useUnits()
const unit = computed(() => unitOf(units.value))
const forecast = computed(() => props.answer.forecast)
/** Grams of a full one that can be reached, as reckoned with what is left. */
const full = computed(() => {
  const { grams, share } = forecast.value ?? { grams: null, share: null }
  return grams && share && share.middle > 0 ? grams.middle / share.middle : null
})
const step = computed(() => ((full.value ?? 10) < 1 ? 0.01 : 0.1))
const ruler = computed(() => {
  if (!forecast.value || full.value === null || item.value.parts.length > 0) return null
  const { low, middle, high } = forecast.value.share
  return { low: low * 100, middle: middle * 100, high: Math.min(100, high * 100) }
})
const seen = computed(() => {
  const { reading, parts } = item.value
  if (parts.length > 0) return 'Each shade is below.'
  if (reading === null) return ''
  const { sinceReading } = props.answer
  const since = sinceReading === null || sinceReading.uses === 0 ? '' : `, ${usesWords(sinceReading.uses)} since`
  return `${capital(readingWords(reading))} on ${dateWords(reading.day)}${since}.`
})
const reason = computed(() => {
  const { content } = props.answer
  if (content && content.from.weighings + content.from.marks > 0) return contentWords(content, unit.value)
  if (forecast.value === null || item.value.parts.length > 0) return ''
  const label = item.value.content
    ? `${numberWords(item.value.content.amount, 2)} ${item.value.content.unit} by the label`
    : 'the usual size of its type, as there’s no size on record'
  const { uses, wears } = item.value
  const { start } = forecast.value
  if (uses === 0) {
    const full = start === 'unknown' ? '; how full it is, we don’t know' : ''
    return `No measurements and no uses yet: estimated from ${label}${full}.`
  }
  const stated = start === 'stated' ? ` and about ${uses - wears} before it` : ''
  const unknown = start === 'unknown' ? '; how full it was before, we don’t know' : ''
  return `No measurements yet: estimated from ${usesWords(wears)} you’ve ticked${stated}, and ${label}${unknown}.`
})
</script>

<template>
  <div class="plate d-flex rounded-lg flex-wrap align-center py-4 px-5 gr-2 gc-6">
    <ItemGauge :item="item" size="large" />
    <div class="left d-grid min-w-0 ga-1">
      <template v-if="ruler && forecast && full !== null">
        <p class="about">
          about <strong class="figures">{{ massFigure(forecast.grams.middle, step, unit) }} {{ unit }}</strong> of
          {{ massWords(full, step, unit) }} left
        </p>
        <svg
          viewBox="0 0 200 34"
          class="ruler"
          role="img"
          :aria-label="`${capital(massRangeWords(forecast.grams.low, forecast.grams.high, step, unit))} of ${massWords(full, step, unit)} left`"
        >
          <defs>
            <pattern id="left-hatch" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
              <path d="M0 0V5" stroke="#22262b" stroke-width="1.1" />
            </pattern>
          </defs>
          <rect x="1" y="1" width="198" height="15" class="rail" />
          <rect x="1" y="1" :width="1.98 * ruler.low" height="15" :fill="item.colour ?? item.guess ?? '#8b9096'" />
          <g :transform="`translate(${1 + 1.98 * ruler.low} 1)`">
            <rect
              :width="1.98 * (ruler.high - ruler.low)"
              height="15"
              :fill="item.colour ?? item.guess ?? '#8b9096'"
              opacity=".45"
            />
            <rect :width="1.98 * (ruler.high - ruler.low)" height="15" fill="url(#left-hatch)" />
          </g>
          <path :d="`M${1 + 1.98 * ruler.middle} -2V19`" class="now" />
          <rect x="1" y="1" width="198" height="15" class="frame" />
          <text x="1" y="31">0</text>
          <text x="199" y="31" text-anchor="end">{{ massWords(full, step, unit) }}</text>
        </svg>
        <p class="figures">likely {{ massRangeWords(forecast.grams.low, forecast.grams.high, step, unit) }}</p>
      </template>
      <p v-else class="about">{{ capital(leftWords(item)) }}.</p>
      <p v-if="seen">{{ seen }}</p>
      <p class="small">{{ reason }}</p>
      <p v-if="answer.content?.disagreement" class="small odd">
        Scale and label disagree: full less empty is {{ massWords(answer.content.disagreement.byScale, 0.1, unit) }},
        the label leaves {{ massWords(answer.content.disagreement.byLabel, 0.1, unit) }} to reach. Another package, or
        another size? Until you say, the scale counts.
      </p>
    </div>
  </div>
</template>

<style scoped>
.plate {
  background: var(--plate);
  color: #22262b;
  box-shadow: inset 0 2px 6px var(--shade);
}

.left {
  flex: 1 1 200px;
}

.about strong {
  font: 720 clamp(30px, 3vw, 42px) / 1 var(--display);
  letter-spacing: -0.02em;
  margin: 0 0.1em;
}

.ruler {
  width: 100%;
  max-width: 300px;
  overflow: visible;
}

.ruler text {
  font: 12px var(--body);
  fill: #22262b;
}

.rail {
  fill: #f7f9fa;
}

.frame {
  fill: none;
  stroke: #22262b;
}

.now {
  stroke: #22262b;
  stroke-width: 2;
}

.small {
  font-size: 13px;
  color: #3b434b;
}

.odd {
  border-left: 4px solid #b45309;
  padding-left: 8px;
}
</style>
