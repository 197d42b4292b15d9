<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { useDisplay } from 'vuetify'
import { parseDay, type Day } from '#core/calendar/day'
import { endOf } from '#core/plan/schedule/span'
import type { PlanWord } from '#core/plan/schedule/basis'
import { newId } from '#web/data/client'
import { useChanges } from '#web/data/changes'
import { useUnits } from '#web/data/units'
import EmptyPlace from '#web/ui/EmptyPlace.vue'
import PlaceHead from '#web/ui/PlaceHead.vue'
import { apartWords, twinWords } from '#web/ui/words/item-words'
import { monthWords } from '#web/ui/words/when-words'
import { useAdopting } from './use-adopting'
import LeftOutList from './LeftOutList.vue'
import PlanDrawer from './PlanDrawer.vue'
import PlanItemDialog from './PlanItemDialog.vue'
import PlanKindsDialog from './PlanKindsDialog.vue'
import PlanLegend from './PlanLegend.vue'
import PlanMonthList from './PlanMonthList.vue'
import PlanNewsList from './PlanNewsList.vue'
import PlanSetupDialog from './PlanSetupDialog.vue'
import WhatIfStrip from './WhatIfStrip.vue'
import { otherwiseWords } from './plan-setup-words'
import { outcomeWords, qualityWords } from './plan-words'
import { LONGER, usePlan } from './use-plan'

/** The plan: what goes into the drawer when, what comes of it, what is left out and why, and what if. */
const page = usePlan()
const { answer, plan, items, leftOut, dropped, solving, trouble, progress, setup } = page
const { adopting, adopt, endPlan } = useAdopting()
const changes = useChanges()
const units = useUnits()
const router = useRouter()
const { mobile } = useDisplay()
const opened = ref<string | null>(null)
const dialog = ref<'setup' | 'kinds' | null>(null)
const month = ref(0)
watch(plan, (now) => (month.value = Math.min(month.value, (now?.made.span.months.length ?? 1) - 1)))

const today = computed<Day | null>(() => parseDay(answer.value?.today ?? ''))
/** What tells things of one short name apart: size, opening or uses; else the maker and the kind. */
const apart = computed(() => apartWords([...items.value.values()], units.value))
/** Where the maker and the kind stand beside the name. */
const twins = computed(() => twinWords([...items.value.values()], units.value))
const kinds = computed(() => new Map(answer.value?.kinds.map((kind) => [kind.id, kind])))
const zoneName = (id: string): string => answer.value?.zones.find((zone) => zone.id === id)?.name ?? ''
const moves = computed(() => {
  const found = new Map<string, Map<string, boolean>>()
  for (const { itemId, month: of, lies } of answer.value?.basis.moves ?? []) {
    const own = found.get(itemId) ?? new Map<string, boolean>()
    own.set(of, lies)
    found.set(itemId, own)
  }
  return found
})
const moved = computed(() => {
  const span = plan.value?.made.span.months ?? []
  return new Set([...moves.value].filter(([, own]) => span.some((each) => own.has(each))).map(([id]) => id))
})
const marks = computed(() => {
  const made = plan.value?.made
  const there = answer.value
  if (!made || !there) return []
  const end = endOf(made.span)
  return there.projects.flatMap(({ name, by }) => {
    const day = by === null ? null : parseDay(by)
    return day === null || day > end || day < there.basis.today ? [] : [{ day, words: name }]
  })
})
const thing = computed(() => answer.value?.basis.things.find(({ itemId }) => itemId === opened.value) ?? null)
const openedItem = computed(() => (opened.value === null ? null : (items.value.get(opened.value) ?? null)))
const otherwise = computed(() =>
  answer.value ? otherwiseWords(setup.value, answer.value, (id) => items.value.get(id) ?? null) : [],
)
const nothing = computed(() => {
  if (!plan.value) return null
  if (plan.value.made.problem.items.length === 0) return 'nothing'
  return plan.value.made.wearDays.every((days) => days === 0) ? 'no wear days' : null
})

function move(id: string, lies: readonly boolean[]): void {
  const span = plan.value?.made.span.months ?? []
  void changes.run('PUT', `/plan/moves/${id}`, {
    changeId: newId(),
    moves: span.map((each, n) => ({ month: each, lies: lies[n] === true })),
  })
}

function say(id: string, said: PlanWord | null): void {
  const own = answer.value?.basis.things.find(({ itemId }) => itemId === id)
  void changes.run('PUT', `/plan/words/${id}`, {
    changeId: newId(),
    id: newId(),
    said,
    weight: own?.weight ?? null,
    mostAWeek: own?.mostAWeek ?? null,
  })
}

async function adoptIt(): Promise<void> {
  if (plan.value && answer.value) await adopt(plan.value, answer.value.inForce?.id ?? null)
}
const isInForce = computed(() => plan.value?.kept === true && !answer.value?.inForce?.askFresh)
const fresh = computed(() => (plan.value?.lines.length ?? 0) > 0 && nothing.value === null && !isInForce.value)
/** The drawer is laid from the plan in force, also while a fresh one stands beside it. */
const layIt = { words: 'Arrange the drawer from it', act: () => void router.push('/drawer/season') }
</script>

<template>
  <PlaceHead
    question="What goes in the drawer when, so that it gets finished?"
    :primary="
      fresh
        ? { words: answer?.inForce ? 'Use this plan' : 'Use this plan', act: () => void adoptIt(), busy: adopting }
        : answer?.inForce
          ? layIt
          : null
    "
    :acts="[
      ...(fresh && answer?.inForce ? [layIt] : []),
      { words: 'Plan settings', act: () => (dialog = 'setup') },
      { words: 'How often each type', act: () => (dialog = 'kinds') },
      { words: 'Month to print', to: '/projects/plan/month' },
    ]"
  />
  <template v-if="answer && plan && today">
    <EmptyPlace v-if="nothing === 'nothing'" title="Nothing to plan yet" act="Add something" to="/collection/add">
      <template #drawing>
        <svg viewBox="0 0 200 110" width="200" height="110" aria-hidden="true">
          <path d="M20 24h160v66H20zM20 46h160M20 68h160M73 24v66M126 24v66" class="line" />
        </svg>
      </template>
      The plan says what to keep in the drawer each month, so that as much as possible is finished in time. It needs
      open items, and the days you wear makeup.
    </EmptyPlace>
    <EmptyPlace
      v-else-if="nothing === 'no wear days'"
      title="No wear days to plan with"
      act="Say which days"
      to="/settings"
    >
      No days with makeup are planned in the months ahead, so nothing can be used. Choose your wear days in Settings, or
      check your days away.
    </EmptyPlace>
    <template v-else>
      <PlanNewsList v-if="answer.inForce" :in-force="answer.inForce" :today="today" :kept="plan.kept" />
      <div class="outcome d-flex flex-wrap align-center touch mb-2 gr-2 gc-4" role="status">
        <p class="figures prose">
          <strong>{{ outcomeWords(plan.outcome, plan.made.span, today) }}</strong>
          {{ solving ? 'A first draft; a better one is being looked for.' : qualityWords(plan.parts, zoneName) }}
          <template v-if="trouble === 'no solver'"
            >The search for a better plan couldn’t be loaded here. The draft is a fair plan, and you can use
            it.</template
          >
          <template v-if="trouble === 'broken'">The search for a better plan failed; the draft stays.</template>
        </p>
        <span v-if="solving" class="solving d-flex align-center ga-2">
          <v-progress-linear :model-value="100 * (progress ?? 0)" color="primary" aria-label="Making the plan" />
          <v-btn variant="text" @click="page.cancel">Stop</v-btn>
        </span>
        <v-btn
          v-else-if="trouble !== 'no solver' && plan.parts?.some((part) => !part.done)"
          variant="outlined"
          color="primary"
          @click="page.thinkLonger"
          >Keep looking, {{ LONGER }} s</v-btn
        >
        <v-btn v-else-if="plan.parts === null" variant="outlined" color="primary" @click="page.again"
          >Make it again</v-btn
        >
      </div>
      <p v-for="words in otherwise" :key="words.words" class="d-inline-block mb-1 me-4">
        {{ words.words }}
        <button type="button" class="text-act strong me-3" @click="page.change(words.back)">As it was</button>
      </p>
      <div class="plan d-grid align-start ga-3" :data-breaches="page.breaches.value">
        <template v-if="mobile">
          <div class="months d-flex overflow-x-auto pb-2 ga-2" role="group" aria-label="Which month">
            <button
              v-for="(each, n) in plan.made.span.months"
              :key="each"
              type="button"
              class="choice flex-0-0"
              :aria-pressed="month === n"
              @click="month = n"
            >
              {{ monthWords(each, today) }}
            </button>
          </div>
          <PlanMonthList
            :plan="plan"
            :month="month"
            :items="items"
            :apart="apart"
            :zones="answer.zones"
            :moved="moved"
            :today="today"
            @open="opened = $event"
          />
        </template>
        <PlanDrawer
          v-else
          :plan="plan"
          :items="items"
          :apart="apart"
          :zones="answer.zones"
          :kinds="kinds"
          :moved="moved"
          :marks="marks"
          :today="today"
          @open="opened = $event"
          @move="move"
        />
        <aside>
          <LeftOutList
            :left-out="leftOut"
            :items="items"
            :apart="twins"
            :dropped="dropped"
            :not-planned="answer.notPlanned"
            :end="endOf(plan.made.span)"
            :today="today"
            @open="opened = $event"
            @want="say($event, 'in')"
            @ask="say($event, null)"
          />
          <PlanLegend v-if="!mobile" :marks="marks" :today="today" />
        </aside>
      </div>
      <WhatIfStrip
        :plan="plan"
        :answer="answer"
        :items="items"
        :what-if="page.whatIf"
        :today="today"
        @take="page.change($event.over)"
      />
      <p class="foot">
        <button
          v-if="moved.size > 0"
          type="button"
          class="text-act strong me-3"
          @click="changes.run('POST', '/plan/moves/clear', { changeId: newId() })"
        >
          Undo all my moves
        </button>
        <button v-if="answer.inForce" type="button" class="text-act strong me-3" @click="endPlan(answer.inForce.id)">
          Remove the current plan
        </button>
      </p>
    </template>
    <PlanItemDialog
      v-if="thing && openedItem"
      :item="openedItem"
      :thing="thing"
      :plan="plan"
      :moves="moves.get(thing.itemId) ?? new Map()"
      :today="today"
      @close="opened = null"
    />
    <PlanSetupDialog
      v-if="dialog === 'setup'"
      :setup="setup"
      :answer="answer"
      @close="dialog = null"
      @set="
        (over) => {
          dialog = null
          page.change(over)
        }
      "
    />
    <PlanKindsDialog v-if="dialog === 'kinds'" :answer="answer" :today="today" @close="dialog = null" />
  </template>
</template>

<style scoped>
.outcome p {
  flex: 1 1 420px;
}

.solving {
  flex: 0 1 260px;
}

.plan {
  grid-template-columns: minmax(0, 1fr) 290px;
}

.phone .plan {
  grid-template-columns: minmax(0, 1fr);
}
</style>
