<script setup lang="ts">
import { computed } from 'vue'
import type { ItemAnswer } from '#contract/item'
import { paceWords } from '#web/ui/words/goal-words'
import { locationWords } from '#web/ui/words/location-words'
import { contentWords, moneyWords, usesWords } from '#web/ui/words/item-words'
import { goodTo, reasonWords, sunWords } from '#web/ui/words/shelf-life-words'
import { fromNow, openedWords, rangeWords } from '#web/ui/words/when-words'

/** Where this one is up to, each fact with how it came about. */
const props = defineProps<{ answer: ItemAnswer }>()
const item = computed(() => props.answer.item)
const active = computed(() => (item.value.goal ? [item.value.goal] : []))

const uses = computed(() => {
  const { usesBefore, wears, lastWorn } = item.value
  const made =
    usesBefore === null
      ? `${wears} in the log; how many before it was never said`
      : usesBefore > 0
        ? `${usesBefore} before the log and ${wears} in it`
        : `${wears} in the log`
  const { sinceReading } = props.answer
  const looked = sinceReading === null ? '' : `; ${usesWords(sinceReading.uses)} since it was last looked at`
  return `${made}${looked}${lastWorn ? `; last worn ${fromNow(lastWorn, props.answer.today)}` : ''}.`
})
/** Who says so, in whose words. */
const saidBy = computed(() => {
  const { opened, opening } = item.value
  if (opening.by === 'tick') return ', by its first tick'
  if (opened.kind !== 'range') return ''
  return opening.by === 'sheet' ? `, as your sheet has it: “${opened.said}”` : `, as you said it: “${opened.said}”`
})
const traits = computed(() => {
  const { usedAs, wornAs, format, undertone, depth, seasons, availability, spf, packageStates, kit } = item.value
  return [
    usedAs === null ? '' : `worn as ${wornAs}`,
    format ?? '',
    undertone ?? '',
    depth ?? '',
    seasons.length === 0 ? '' : `for ${seasons.join(', ')}`,
    availability ?? '',
    spf === null ? '' : `SPF ${spf}`,
    packageStates.join(', '),
    kit === '' ? '' : `of the kit ${kit}`,
  ]
    .filter(Boolean)
    .join('; ')
})
const cost = computed(() => {
  const { priceMinor, priceSaid, source } = item.value
  if (priceMinor === null && priceSaid !== null) return `${priceSaid}, in another currency: kept as it was written.`
  if (priceMinor === null) return source === 'gift' ? 'A gift, without a price.' : null
  if (item.value.uses === 0) return `${moneyWords(priceMinor, props.answer.currency)}, not used yet.`
  const each = moneyWords(priceMinor / item.value.uses, props.answer.currency)
  return `${moneyWords(priceMinor, props.answer.currency)} over ${usesWords(item.value.uses)}: ${each} a use so far.`
})
</script>

<template>
  <dl>
    <div>
      <dt>Uses</dt>
      <dd>
        <strong class="figures">{{ usesWords(item.uses) }}</strong>: {{ uses }}
      </dd>
    </div>
    <div v-for="goal in active" :key="goal.stayId">
      <dt>{{ goal.projectName }}</dt>
      <dd>{{ paceWords(goal, answer.today) }}</dd>
    </div>
    <div>
      <dt>Shelf life</dt>
      <dd>
        <strong :class="item.shelfLife.state.replaceAll(' ', '-')">{{ goodTo(item, answer.today) }}</strong>.
        {{ reasonWords(item) }}
        <span v-if="item.eye && item.shelfLife.state === 'past'" class="caution block"
          >Past its date and worn at the eye: stop using it.</span
        >
        <span v-if="sunWords(item)" class="caution block">{{ sunWords(item) }}</span>
      </dd>
    </div>
    <div>
      <dt>Opened</dt>
      <dd>{{ openedWords(item) }}{{ saidBy }}.</dd>
    </div>
    <div v-if="item.acquired">
      <dt>Came</dt>
      <dd>
        {{ rangeWords(item.acquired) }}<template v-if="item.source"> ({{ item.source }})</template>.
      </dd>
    </div>
    <div v-if="item.content || cost">
      <dt>Content and price</dt>
      <dd>{{ contentWords(item.content) }}<template v-if="item.content && cost">. </template>{{ cost }}</dd>
    </div>
    <div v-if="item.backups > 0">
      <dt>Backups</dt>
      <dd>{{ item.backups }}, unopened.</dd>
    </div>
    <div v-if="item.parts.length > 0">
      <dt>Shades</dt>
      <dd>
        <span v-for="part in item.parts" :key="part.id" class="shade"
          >{{ part.name }} <span class="quiet figures">{{ part.uses }}</span></span
        >
      </dd>
    </div>
    <div v-if="traits">
      <dt>Of its kind</dt>
      <dd>{{ traits }}</dd>
    </div>
    <div v-if="item.endedOn === null">
      <dt>Lies</dt>
      <dd>
        {{ locationWords(item) }}<template v-if="item.brushes">, with {{ item.brushes }}</template
        >.
      </dd>
    </div>
    <div v-if="item.notes">
      <dt>Notes</dt>
      <dd class="notes">{{ item.notes }}</dd>
    </div>
    <div v-if="answer.keptText.length > 0">
      <dt>Kept from the sheet</dt>
      <dd>
        <span v-for="cell in answer.keptText" :key="cell.column">{{ cell.column }}: “{{ cell.text }}” </span>
      </dd>
    </div>
  </dl>
</template>

<style scoped>
dl {
  margin: 0;
  display: grid;
  gap: 11px;
}

dt {
  font: 620 13px var(--display);
  color: var(--quiet);
}

dd {
  margin: 0;
}

.block {
  display: block;
  margin-top: 4px;
}

.shade {
  display: inline-block;
  margin-right: 12px;
}

.notes {
  white-space: pre-line;
}

.past,
.sign-seen {
  color: var(--alarm);
}

.within-90-days {
  color: var(--attention);
}
</style>
