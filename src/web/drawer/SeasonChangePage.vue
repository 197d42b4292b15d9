<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue'
import { counted } from '#core/words/counted'
import { SEASONS, type Season } from '#core/item/traits'
import type { ChangeNote } from '#contract/basic'
import type { SeasonChangeCandidate } from '#contract/season-change'
import { newId } from '#web/data/client'
import { useChanges } from '#web/data/changes'
import { dateWords } from '#web/data/locale'
import { useSeasonChange } from '#web/data/reads'
import ChoiceRow from '#web/ui/form/ChoiceRow.vue'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import PlaceHead from '#web/ui/PlaceHead.vue'
import { callIt, shortName } from '#web/ui/words/item-words'
import SeasonChangeCard from './SeasonChangeCard.vue'
import { CHOICE_WORDS, type SeasonChangeStated } from './season-change-words'
import PastLayouts from './PastLayouts.vue'

/** A guided pass for a new season: what is over first, then the drawer and the season's candidates; stopped and resumed at will. */
const changes = useChanges()
const { answer, again: refetch } = useSeasonChange()
const chosenSeason = ref<Season | null>(null)
const season = computed({
  get: () => chosenSeason.value ?? answer.value?.season ?? null,
  set: (value) => (chosenSeason.value = value),
})
const done = ref<{ noRoom: string[]; brushes: { out: string[]; in: string[] } } | null>(null)
const at = ref<string | null>(null)
/** What she has just said and the server has not shown yet. */
const said = shallowRef(new Map<string, SeasonChangeStated>())
const candidates = computed(() =>
  (answer.value?.candidates ?? []).map((each) => ({ ...each, ...said.value.get(each.item.id) })),
)
const left = computed(() => candidates.value.filter((each) => each.choice === null))
const current = computed<SeasonChangeCandidate | null>(
  () => candidates.value.find((each) => each.item.id === at.value) ?? left.value[0] ?? null,
)

async function start(): Promise<void> {
  done.value = null
  await changes.run('POST', '/laying', { changeId: newId(), id: newId(), season: season.value })
}

async function choose(word: SeasonChangeStated): Promise<void> {
  const seasonChange = answer.value?.seasonChange
  if (!seasonChange || !current.value) return
  const itemId = current.value.item.id
  at.value = null
  said.value = new Map(said.value).set(itemId, word)
  const stored = await changes.run('POST', `/laying/${seasonChange.id}/choose`, { changeId: newId(), itemId, ...word })
  // Refused: it is asked again. Stored: the answer shows it from now on, and what is taken back in it.
  if (stored !== null) await refetch()
  if (said.value.get(itemId) === word) said.value = new Map([...said.value].filter(([id]) => id !== itemId))
}

/** What the plan in force would settle of what is not chosen yet. */
const byPlan = computed(() =>
  left.value.filter(
    (each) => each.planned === true || (each.planned === false && each.item.placement !== null && !each.spoiled),
  ),
)

async function chooseAsPlanned(): Promise<void> {
  const seasonChange = answer.value?.seasonChange
  if (seasonChange) await changes.run('POST', `/laying/${seasonChange.id}/as-planned`, { changeId: newId() })
}

async function giveUp(): Promise<void> {
  const seasonChange = answer.value?.seasonChange
  if (seasonChange && (await changes.run('POST', `/laying/${seasonChange.id}/drop`, { changeId: newId() })))
    at.value = null
}

async function close(): Promise<void> {
  const seasonChange = answer.value?.seasonChange
  if (!seasonChange) return
  const closed = await changes.run<{
    noRoom: string[]
    brushes: { out: string[]; in: string[] }
    change: ChangeNote
  }>('POST', `/laying/${seasonChange.id}/close`, { changeId: newId() })
  if (!closed) return
  done.value = closed
}
</script>

<template>
  <PlaceHead
    title="Change season"
    question="What stays, what comes in, what is stored away? Take everything out, clean the drawer, then go item by item."
    :acts="[{ words: 'Zones and slots', to: '/drawer' }]"
  />
  <template v-if="answer">
    <section v-if="done" class="inset part d-grid justify-items-start mb-3 pa-4 ga-3" role="status">
      <p>The drawer is arranged.</p>
      <p v-if="done.noRoom.length > 0">
        No slot was left for {{ done.noRoom.join(', ') }}: give the zone more slots, or take something out.
      </p>
      <p v-if="done.brushes.out.length > 0">Put away with them: {{ done.brushes.out.join(', ') }}.</p>
      <p v-if="done.brushes.in.length > 0">Fetch with them: {{ done.brushes.in.join(', ') }}.</p>
    </section>
    <p v-for="rivalry in answer.rivalries" :key="rivalry.categoryId" class="rivalry figures">
      {{ counted(rivalry.items, rivalry.category) }} share {{ answer.perWeek.toFixed(1) }} wear days a week: about
      {{ rivalry.usesEach.toFixed(1) }} uses each a month. Fewer in the drawer move faster.
    </p>
    <section v-if="answer.seasonChange === null" class="inset part d-grid justify-items-start mb-3 pa-4 ga-3">
      <ChoiceRow v-model="season" label="For which season?" :options="SEASONS" />
      <p v-if="answer.comeBack.length > 0">
        Asks to come back: {{ answer.comeBack.map((item) => callIt(item)).join(', ') }}.
      </p>
      <p v-if="answer.hasPlan" class="quiet">You have a plan for this month: once you begin, it can choose for you.</p>
      <v-btn color="primary" @click="start">Begin</v-btn>
    </section>
    <template v-else>
      <p class="quiet figures" role="status">
        For {{ answer.seasonChange.season }}, begun {{ dateWords(answer.seasonChange.startedOn) }}:
        {{ candidates.length - left.length }} of {{ candidates.length }} chosen. Stop whenever you like; nothing moves
        before the end.
      </p>
      <p v-if="byPlan.length > 0" class="d-flex flex-wrap align-center gr-2 gc-3">
        <v-btn variant="outlined" color="primary" @click="chooseAsPlanned"
          >Choose for {{ byPlan.length }} as the plan has it</v-btn
        >
        <span class="quiet">What isn’t in the plan is left to you; every choice can be changed until you save.</span>
      </p>
      <SeasonChangeCard
        v-if="current"
        :key="current.item.id"
        :candidate="current"
        :today="answer.today"
        @choose="choose"
      />
      <div class="queue d-grid ga-1" role="group" aria-label="Only what’s left to choose">
        <button
          v-for="each in candidates"
          :key="each.item.id"
          type="button"
          class="candidate d-flex align-center rounded-lg text-left small py-1 px-2 ga-2"
          :class="{ current: each.item.id === current?.item.id }"
          :aria-label="`${callIt(each.item)}: ${each.choice === null ? each.why : CHOICE_WORDS[each.choice]}`"
          @click="at = each.item.id"
        >
          <ItemGauge :item="each.item" size="small" :rail="false" />
          <span
            ><strong>{{ shortName(each.item) }}</strong
            ><span class="quiet d-block fine">{{
              each.choice === null ? (each.spoiled ? 'over' : each.why) : CHOICE_WORDS[each.choice].toLowerCase()
            }}</span></span
          >
        </button>
      </div>
      <div class="mt-3 mb-5 mx-0">
        <v-btn color="primary" @click="close">{{
          left.length === 0 ? 'Save' : `Save; leave ${left.length} as they are`
        }}</v-btn>
        <v-btn variant="text" @click="giveUp">Discard</v-btn>
      </div>
    </template>
    <PastLayouts :days="answer.layouts" />
  </template>
</template>

<style scoped>
p {
  margin: 0 0 4px;
}

.rivalry {
  border-left: 5px solid var(--attention);
  padding: 3px 12px;
  margin-bottom: 8px;
}

.queue {
  grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));
}

.candidate {
  min-height: 50px;
  border: 1px solid var(--hair);
}

.candidate.current {
  border: 2px solid var(--primary);
}
</style>
