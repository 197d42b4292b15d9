<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { counted } from '#core/words/counted'
import { addMonths, type Day } from '#core/calendar/day'
import { SEASONS, type Season } from '#core/item/traits'
import { LAYING_CHOICES } from '#core/plan/laying-choices'
import type { LayingAnswer, LayingCandidate } from '#contract/laying'
import { get, newId } from '#web/api/client'
import { useChanges } from '#web/shell/changes'
import ChoiceRow from '#web/ui/ChoiceRow.vue'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { shortName, usesWords } from '#web/ui/words/item-words'
import { goodTo } from '#web/ui/words/shelf-life-words'
import { dateWords, fromNow } from '#web/ui/words/when-words'
import PastLayouts from './PastLayouts.vue'

/** A guided pass for a new season: the drawer and the season's candidates, one after the other, stopped and resumed at will. */
const changes = useChanges()
const answer = ref<LayingAnswer | null>(null)
const season = ref<Season | null>(null)
const done = ref<{ noRoom: string[]; brushes: { out: string[]; in: string[] } } | null>(null)
const at = ref<string | null>(null)
const candidates = computed(() => answer.value?.candidates ?? [])
const left = computed(() => candidates.value.filter((each) => each.choice === null))
const current = computed<LayingCandidate | null>(
  () => candidates.value.find((each) => each.item.id === at.value) ?? left.value[0] ?? null,
)
const WORDS: Readonly<Record<(typeof LAYING_CHOICES)[number], string>> = {
  stays: 'Stays',
  'comes in': 'Comes in',
  'put away': 'Put away till its season',
  rests: 'Rests',
  doubtful: 'Doubtful: on trial',
}
const offered = computed(() =>
  LAYING_CHOICES.filter((choice) => (current.value?.item.placement ? choice !== 'comes in' : choice !== 'stays')),
)

watch(
  () => changes.count,
  async () => {
    answer.value = await get<LayingAnswer>('/laying')
    season.value ??= answer.value.season
  },
  { immediate: true },
)

async function start(): Promise<void> {
  done.value = null
  await changes.run('POST', '/laying', { changeId: newId(), id: newId(), season: season.value })
}

async function choose(choice: (typeof LAYING_CHOICES)[number]): Promise<void> {
  const laying = answer.value?.laying
  if (!laying || !current.value || !answer.value) return
  const itemId = current.value.item.id
  at.value = null
  await changes.run('POST', `/laying/${laying.id}/choose`, {
    changeId: newId(),
    itemId,
    choice,
    // Put away until the same time next year but a season early, when the drawer is laid again.
    until: choice === 'put away' ? addMonths(answer.value.today, 9) : null,
  })
}

async function close(): Promise<void> {
  const laying = answer.value?.laying
  if (!laying) return
  const closed = await changes.run<{
    noRoom: string[]
    brushes: { out: string[]; in: string[] }
    change: { id: string; words: string; changed: boolean }
  }>('POST', `/laying/${laying.id}/close`, { changeId: newId() })
  if (closed) done.value = closed
}

function said(each: LayingCandidate, today: Day): string {
  const { item } = each
  return [
    each.why,
    item.lastWorn ? `worn ${fromNow(item.lastWorn, today)}` : 'not worn in the log',
    usesWords(item.uses),
    goodTo(item, today),
    item.brushes ? `with ${item.brushes}` : '',
  ]
    .filter(Boolean)
    .join('; ')
}
</script>

<template>
  <div class="place-head">
    <h1>Lay for a season</h1>
    <span class="quiet"
      >What stays in reach, what comes in, what is put by? Take everything out, clean it, then one by one.</span
    >
    <v-btn variant="outlined" color="primary" to="/drawer">Zones and slots</v-btn>
  </div>
  <template v-if="answer">
    <section v-if="done" class="inset part" role="status">
      <p>The drawer is laid.</p>
      <p v-if="done.noRoom.length > 0">
        No slot was left for {{ done.noRoom.join(', ') }}: give the zone more slots, or take something out.
      </p>
      <p v-if="done.brushes.out.length > 0">Put away with them: {{ done.brushes.out.join(', ') }}.</p>
      <p v-if="done.brushes.in.length > 0">Fetch with them: {{ done.brushes.in.join(', ') }}.</p>
    </section>
    <p v-for="rivalry in answer.rivalries" :key="rivalry.categoryId" class="rivalry figures">
      {{ counted(rivalry.items, rivalry.category) }} share {{ answer.perWeek.toFixed(1) }} wear days a week: about
      {{ rivalry.usesEach.toFixed(1) }} uses each a month. Fewer in reach move faster.
    </p>
    <section v-if="answer.laying === null" class="inset part">
      <ChoiceRow v-model="season" label="For which season?" :options="SEASONS" />
      <p v-if="answer.comeBack.length > 0">
        Asks to come back: {{ answer.comeBack.map((item) => shortName(item)).join(', ') }}.
      </p>
      <v-btn color="primary" @click="start">Begin</v-btn>
    </section>
    <template v-else>
      <p class="quiet figures" role="status">
        For {{ answer.laying.season }}, begun {{ dateWords(answer.laying.startedOn) }}:
        {{ candidates.length - left.length }} of {{ candidates.length }} chosen. Stop whenever you like; nothing moves
        before the end.
      </p>
      <section v-if="current" class="sheet one" :aria-label="shortName(current.item)">
        <div class="drawn"><ItemGauge :item="current.item" size="large" /></div>
        <div class="ask">
          <h2>{{ shortName(current.item) }}</h2>
          <p class="quiet">{{ current.item.category }}, {{ current.item.maker }}</p>
          <p class="figures">{{ said(current, answer.today) }}</p>
          <div class="choices">
            <button
              v-for="choice in offered"
              :key="choice"
              type="button"
              class="choice"
              :aria-pressed="current.choice === choice"
              @click="choose(choice)"
            >
              {{ WORDS[choice] }}
            </button>
          </div>
        </div>
      </section>
      <div class="queue" role="group" aria-label="All that is looked at">
        <button
          v-for="each in candidates"
          :key="each.item.id"
          type="button"
          class="candidate"
          :class="{ current: each.item.id === current?.item.id }"
          @click="at = each.item.id"
        >
          <ItemGauge :item="each.item" size="small" :rail="false" />
          <span
            ><strong>{{ shortName(each.item) }}</strong
            ><span class="quiet">{{ each.choice === null ? each.why : WORDS[each.choice].toLowerCase() }}</span></span
          >
        </button>
      </div>
      <div class="form-acts">
        <v-btn color="primary" @click="close">{{
          left.length === 0 ? 'Lay it so' : `Lay it so; leave ${left.length} as they are`
        }}</v-btn>
      </div>
    </template>
    <PastLayouts :days="answer.layouts" />
  </template>
</template>

<style scoped>
.part {
  padding: 18px;
  display: grid;
  gap: 12px;
  justify-items: start;
  margin-bottom: 12px;
}

p {
  margin: 0 0 4px;
}

.rivalry {
  border-left: 5px solid var(--attention);
  padding: 3px 12px;
  margin-bottom: 8px;
}

.one {
  display: grid;
  grid-template-columns: 250px 1fr;
  gap: 22px;
  padding: 16px;
  margin: 8px 0 12px;
}

.drawn {
  display: grid;
  place-items: center;
  min-height: 250px;
  background: var(--plate);
  border-radius: 10px;
}

.ask {
  display: grid;
  gap: 8px;
  align-content: center;
}

.queue {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));
  gap: 5px;
}

.candidate {
  display: flex;
  gap: 9px;
  align-items: center;
  min-height: 50px;
  padding: 2px 8px;
  border: 1px solid var(--hair);
  border-radius: 8px;
  text-align: left;
  font-size: 13px;
}

.candidate .quiet {
  display: block;
  font-size: 12px;
}

.candidate.current {
  border: 2px solid var(--primary);
}

.form-acts {
  margin: 14px 0 30px;
}

@media (max-width: 760px) {
  .one {
    grid-template-columns: 1fr;
  }
}
</style>
