<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useDisplay } from 'vuetify'
import { Refused } from '#web/data/client'
import { useDevice } from '#web/data/device'
import { useCheckIn, useItem } from '#web/data/reads'
import { useUnits } from '#web/data/units'
import { useOpenDrafts } from '#web/ui/form/open-drafts'
import EmptyPlace from '#web/ui/EmptyPlace.vue'
import PlaceHead from '#web/ui/PlaceHead.vue'
import { fullName, kindAndMaker } from '#web/ui/words/item-words'
import { capital } from '#core/words/capital'
import { unitOf } from '#web/ui/words/measure-words'
import { SHORTCUTS, somethingIsOpen, useShortcut, type ShortcutName } from '#web/ui/shortcuts'
import CheckInSlip from './CheckInSlip.vue'
import LookStep from './LookStep.vue'
import PackageBlock from './PackageBlock.vue'
import PhotoStep from './PhotoStep.vue'
import { beforeOf, MEASURE_WORDS, nextOf, placeIn, queueOf, slipOf, standingAt } from './queue'
import { useStep } from './use-step'
import WeighStep from './WeighStep.vue'
import WordsBlock from './WordsBlock.vue'

/** A guided pass: one thing after the other, or one measure after the other. All is kept as she goes. */
const route = useRoute()
const router = useRouter()
const id = computed(() => String(route.params['id']))
const { answer, failed } = useCheckIn(id)
const { mobile } = useDisplay()
const units = useUnits()
const unit = computed(() => unitOf(units.value))
const device = useDevice()
const missing = computed(() => (failed.value instanceof Refused ? failed.value.problem.detail : ''))
const queue = computed(() => (answer.value ? queueOf(answer.value.steps, answer.value.checkIn.way) : []))
const current = computed(() =>
  standingAt(queue.value, typeof route.query['step'] === 'string' ? route.query['step'] : null),
)
const item = computed(() => answer.value?.items.find((each) => each.id === current.value?.itemId) ?? null)
const whole = useItem(() => current.value?.itemId ?? null)
const slip = computed(() => (answer.value ? slipOf(answer.value, queue.value) : []))
const line = computed(() => answer.value?.sheet.items.find((each) => each.itemId === current.value?.itemId) ?? null)
const siblings = computed(() => queue.value.filter((each) => each.itemId === current.value?.itemId))
const next = computed(() => (current.value ? nextOf(queue.value, current.value) : null))
const nextItem = computed(() => answer.value?.items.find((each) => each.id === next.value?.itemId) ?? null)
const words = computed(
  () => answer.value?.steps.find((each) => each.itemId === current.value?.itemId && each.measure === 'words') ?? null,
)
const step = useStep({ checkInId: id, current, item, today: computed(() => answer.value?.today ?? ''), unit })
const { draft, stages, result, results, partId, stage, cause, ready, refused } = step
const packageBlock = useTemplateRef<InstanceType<typeof PackageBlock>>('packageBlock')
const wordsBlock = useTemplateRef<InstanceType<typeof WordsBlock>>('wordsBlock')
const weighStep = useTemplateRef<InstanceType<typeof WeighStep>>('weighStep')
const heading = useTemplateRef<HTMLElement>('heading')
const busy = ref(false)
const drafts = useOpenDrafts()

const nextWords = computed(() => {
  if (next.value === null) return 'To the update'
  if (next.value.itemId === current.value?.itemId) return `its ${MEASURE_WORDS[next.value.measure]}`
  return nextItem.value ? nextItem.value.shade || nextItem.value.name : ''
})
const keepLabel = computed(() =>
  step.said.value === '' ? `Next: ${nextWords.value}` : `Save ${step.said.value}, on to ${nextWords.value}`,
)

function go(stepId: string | null): void {
  if (stepId === null) void router.push(`/projects/check-in/${id.value}/update`)
  else void router.replace({ query: { step: stepId } })
}
async function keep(): Promise<void> {
  if (busy.value || !current.value) return
  // Where it was read before and nothing new was, one simply goes on.
  if (!ready.value) {
    if (current.value.state !== 'asked' && (await keepWords())) go(next.value?.id ?? null)
    return
  }
  const to = next.value?.id ?? null
  busy.value = true
  const done = (await keepWords()) && (await step.take('done'))
  busy.value = false
  if (done) go(to)
}
/** Words that are still in the field go with the thing they were typed for. */
async function keepWords(): Promise<boolean> {
  return (await wordsBlock.value?.store()) ?? true
}
async function skip(): Promise<void> {
  if (busy.value || !current.value || !(await step.mayLeave())) return
  busy.value = true
  const to = next.value?.id ?? null
  const done = (await keepWords()) && (await step.take('skipped'))
  busy.value = false
  if (done) go(to)
}
function back(): void {
  const before = current.value && beforeOf(queue.value, current.value)
  if (before) void leaveFor(before.id)
}
/** To another thing; what was read of this one and not kept is asked about first. */
async function leaveFor(stepId: string): Promise<void> {
  if (stepId === current.value?.id || !(await step.mayLeave())) return
  const same = queue.value.find((each) => each.id === stepId)?.itemId === current.value?.itemId
  if (same || (await drafts.mayLeave(() => wordsBlock.value?.isTyped === true))) go(stepId)
}
watch(
  () => current.value?.id,
  async () => {
    await nextTick()
    // A field to type in takes the focus itself; else the name of the thing is read.
    if (!(document.activeElement instanceof HTMLInputElement)) heading.value?.focus({ preventScroll: true })
  },
)

/** Letters and figures do what the buttons say, but where one types or a dialog is open. */
const acts = {
  back,
  skip: () => void skip(),
  event: () => packageBlock.value?.ask(),
  words: () => wordsBlock.value?.write(),
} satisfies Partial<Record<ShortcutName, () => void>>
const names = Object.keys(acts) as (keyof typeof acts)[]
for (const name of names) useShortcut(name, acts[name])
useEventListener('keydown', (event: KeyboardEvent) => {
  if (!device.letterKeys || event.ctrlKey || event.metaKey || event.altKey || somethingIsOpen()) return
  const target = event.target as HTMLElement
  const typing = target.matches('input, textarea, select, [contenteditable]')
  // A form of its own stores what is typed in it.
  if (
    event.key === 'Enter' &&
    (typing ? target.closest('form') === null : !target.matches('button, a, [role="button"]'))
  )
    void keep()
  else if (typing) {
    // A weight holds figures; a letter in front of its unit is meant for the page.
    const figures = target.matches('.weigh input') && !/[a-z]/i.test((target as HTMLInputElement).value)
    const name = names.find((each) => (SHORTCUTS[each].keys as readonly string[]).includes(event.key))
    if (!figures || name === undefined) return
    acts[name]()
  } else if (/^\d$/.test(event.key) && weighStep.value) weighStep.value.begin(event.key)
  else return
  event.preventDefault()
})
</script>

<template>
  <EmptyPlace v-if="missing" title="This check-in isn’t here" act="To all check-ins" to="/projects/check-in">{{
    missing
  }}</EmptyPlace>
  <template v-else-if="answer">
    <PlaceHead
      title="Check-in"
      :question="
        mobile
          ? `${answer.checkIn.name}, ${placeIn(slip, current?.itemId ?? '')} of ${slip.length}`
          : `${answer.checkIn.name}. What changed since last time?`
      "
      :acts="[
        {
          words: answer.checkIn.way === 'item by item' ? 'Measure by measure' : 'Item by item',
          act: () => step.changeWay(answer!),
        },
        { words: 'Continue later', to: '/projects/check-in' },
        { words: 'To the update', to: `/projects/check-in/${id}/update` },
      ]"
    />
    <div class="pass d-grid align-start ga-3" :class="{ photo: current?.measure === 'photo' }">
      <CheckInSlip
        :answer="answer"
        :slip="slip"
        :current="current?.itemId ?? null"
        :unit="unit"
        :strip="mobile"
        :narrow="current?.measure === 'photo'"
        class="beside"
        @go="leaveFor"
      />
      <section v-if="current && item" class="work d-grid min-w-0 ga-2" :aria-label="`Check in ${fullName(item)}`">
        <header class="thing">
          <div>
            <h2 ref="heading" tabindex="-1">{{ fullName(item) }}</h2>
            <p class="quiet">{{ placeIn(slip, item.id) }} of {{ slip.length }} · {{ capital(kindAndMaker(item)) }}</p>
          </div>
          <div class="measures d-flex ga-1" role="group" aria-label="Measures">
            <button
              class="touch font-weight-semibold quiet px-2"
              v-for="each in siblings"
              :key="each.id"
              type="button"
              :aria-current="each.id === current.id ? 'step' : undefined"
              @click="leaveFor(each.id)"
            >
              {{ MEASURE_WORDS[each.measure]
              }}<span v-if="each.state !== 'asked'" class="visually-hidden">, {{ each.state }}</span
              ><span v-if="each.state === 'done'" aria-hidden="true"> ✓</span>
            </button>
          </div>
        </header>
        <WeighStep
          v-if="current.measure === 'weigh'"
          ref="weighStep"
          :key="current.id"
          v-model="draft"
          v-model:cause="cause"
          :item="item"
          :answer="whole.answer.value"
          :line="line"
          :error="refused"
          @kept="() => undefined"
        />
        <LookStep
          v-else-if="current.measure === 'look'"
          :key="current.id"
          v-model="draft"
          v-model:stages="stages"
          :item="item"
          :line="line"
        />
        <PhotoStep
          v-else
          :key="current.id"
          v-model="result"
          v-model:part="partId"
          v-model:stage="stage"
          :item="item"
          :answer="whole.answer.value"
          :line="line"
          :today="answer.today"
          :results="results"
        />
        <p v-if="refused && current.measure !== 'weigh'" class="alarm" role="alert">{{ refused }}</p>
        <div class="blocks d-grid ga-2">
          <PackageBlock ref="packageBlock" :item="item" :line="line" :check-in-id="id" />
          <WordsBlock
            ref="wordsBlock"
            :key="item.id"
            :said="words?.words ?? ''"
            :before="answer.saidBefore[item.id] ?? null"
            :say="(said) => step.say(words, said)"
          />
        </div>
        <footer class="bar d-flex position-sticky flex-wrap align-center rounded-lg py-2 px-3 ga-2">
          <v-btn variant="outlined" color="primary" :disabled="!beforeOf(queue, current)" @click="back">Back</v-btn>
          <v-btn variant="text" :disabled="busy" @click="skip">Skip</v-btn>
          <v-btn
            class="keep max-w-100 ms-auto"
            color="primary"
            :loading="busy"
            :disabled="!ready && current.state === 'asked'"
            @click="keep"
            >{{ keepLabel }}</v-btn
          >
        </footer>
      </section>
    </div>
  </template>
</template>

<style scoped>
.pass {
  grid-template-columns: minmax(0, 1fr) minmax(290px, 350px);
}

.pass.photo {
  grid-template-columns: minmax(0, 1fr) 84px;
}

.beside {
  order: 2;
  position: sticky;
  top: 12px;
  max-height: calc(100vh - 110px);
}

.thing {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: end;
  gap: 4px 16px;
}

h2 {
  font-size: 22px;
}

/* It takes the focus so that it is read out; it is nothing to press. */
h2:focus-visible {
  outline: none;
}

.thing p {
  margin: 2px 0 0;
  font-size: 14px;
}

.measures button {
  border-bottom: 3px solid transparent;
}

.measures button[aria-current] {
  color: var(--primary);
  border-color: var(--primary);
}

.blocks {
  grid-template-columns: repeat(auto-fit, minmax(min(300px, 100%), 1fr));
}

.bar {
  bottom: 0;
  background: var(--raised);
  border: 1px solid var(--hair);
  box-shadow: 0 -4px 12px var(--shade);
  z-index: 2;
}

.phone .pass {
  grid-template-columns: minmax(0, 1fr);
}

.phone .beside {
  order: 0;
  position: static;
}

.phone .bar {
  bottom: 56px;
  flex-wrap: nowrap;
}

.phone .keep {
  flex: 1 1 auto;
  min-width: 0;
}

.phone .keep :deep(.v-btn__content) {
  white-space: normal;
  font-size: 14px;
}
</style>
