<script setup lang="ts">
import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useDisplay } from 'vuetify'
import { counted } from '#core/words/counted'
import { newId, Refused } from '#web/data/client'
import { useCopying } from '#web/ui/use-copying'
import { useChanges } from '#web/data/changes'
import { dateWords } from '#web/data/locale'
import { useCheckIn } from '#web/data/reads'
import { useUnits } from '#web/data/units'
import EmptyPlace from '#web/ui/EmptyPlace.vue'
import PlaceHead from '#web/ui/PlaceHead.vue'
import { anyReadingWords, massWords, unitOf } from '#web/ui/words/measure-words'
import { sheetMarkdown } from '#web/ui/words/sheet-words'
import OutAndIn from './OutAndIn.vue'
import SheetPush from './SheetPush.vue'
import SheetShelves from '#web/ui/SheetShelves.vue'

/** The sheet a check-in closes with: before and after on two shelves, the sums, what comes next. Closed, it stays as it was. */
const route = useRoute()
const router = useRouter()
const id = computed(() => String(route.params['id']))
const { answer, failed } = useCheckIn(id)
const changes = useChanges()
const { mobile } = useDisplay()
const units = useUnits()
const unit = computed(() => unitOf(units.value))
const missing = computed(() => (failed.value instanceof Refused ? failed.value.problem.detail : ''))
const sheet = computed(() => answer.value?.sheet ?? null)
/** So many stand beside each other, on the screen and on paper. */
const ON_A_SHELF = 12
const shelves = computed(() => {
  const items = sheet.value?.items ?? []
  const count = Math.ceil(items.length / ON_A_SHELF)
  const each = Math.ceil(items.length / Math.max(1, count))
  return Array.from({ length: count }, (_, n) => items.slice(n * each, (n + 1) * each))
})
const closed = computed(() => answer.value?.checkIn.closedOn !== null)
const copying = useCopying()
/** What was corrected since it was closed, by thing. */
const corrected = computed(
  () =>
    new Map(
      (answer.value?.corrections ?? []).map(({ itemId, now }) => [
        itemId,
        now === null
          ? 'since then: this reading was removed'
          : now.doubtful
            ? 'since then: marked as doubtful'
            : `since then: corrected to ${anyReadingWords(now, unit.value)}`,
      ]),
    ),
)

async function copy(): Promise<void> {
  if (!answer.value || !sheet.value) return
  await copying(sheetMarkdown(answer.value.checkIn.name, sheet.value, unit.value), 'Copied as words.')
}
function print(): void {
  window.print()
}
async function close(): Promise<void> {
  if (!answer.value) return
  const { checkIn, today } = answer.value
  await changes.run('POST', `/check-ins/${checkIn.id}/close`, {
    changeId: newId(),
    version: checkIn.version,
    day: today,
  })
}
async function giveUp(): Promise<void> {
  if (!answer.value) return
  const done = await changes.run('POST', `/check-ins/${answer.value.checkIn.id}/drop`, { changeId: newId() })
  if (done) await router.push('/projects/check-in')
}
</script>

<template>
  <EmptyPlace v-if="missing" title="This update isn’t here" act="To all check-ins" to="/projects/check-in">{{
    missing
  }}</EmptyPlace>
  <article v-else-if="answer && sheet" class="sheet-page">
    <PlaceHead
      title="Check-in"
      question="What changed since last time?"
      :acts="[
        { words: 'Copy as text', act: copy },
        { words: 'Print', act: print },
        ...(closed ? [{ words: 'All updates', to: '/projects/check-in' }] : [{ words: 'Discard', act: giveUp }]),
      ]"
    />
    <section class="sheet paper overflow-hidden" aria-label="Monthly update">
      <header class="name d-flex flex-wrap align-baseline py-3 px-4 gr-1 gc-3">
        <h2>{{ answer.checkIn.name }}</h2>
        <p class="quiet">
          {{ dateWords(sheet.from) }} to {{ dateWords(sheet.to) }} · {{ sheet.totals.looked }} of
          {{ sheet.totals.asked }} looked at{{ closed ? '' : ' · not finished yet' }}
        </p>
      </header>
      <SheetShelves
        :live="!closed"
        v-for="lines in shelves"
        :key="lines[0]?.itemId ?? ''"
        :lines="lines"
        :sheet="sheet"
        :items="answer.items"
        :unit="unit"
        :corrected="corrected"
      />
      <div class="columns d-grid hair-above">
        <section aria-label="In all">
          <h3 class="lead mb-2">This period</h3>
          <div class="sums d-flex flex-wrap gr-1 gc-5">
            <p class="d-grid small">
              <strong class="figures">{{ sheet.totals.uses }}</strong> {{ sheet.totals.uses === 1 ? 'use' : 'uses' }}
            </p>
            <p class="d-grid small" v-if="sheet.totals.weighed > 0">
              <strong class="figures">{{ massWords(sheet.totals.grams, 0.1, unit) }}</strong> of
              {{ sheet.totals.weighed }} weighed
            </p>
            <p class="d-grid small">
              <strong class="figures">{{ sheet.totals.wearDays }}</strong> wear
              {{ sheet.totals.wearDays === 1 ? 'day' : 'days' }}
            </p>
            <p class="d-grid small">
              <strong class="figures">{{ sheet.totals.finished }}</strong> finished
            </p>
          </div>
          <p v-if="sheet.previous" class="quiet">
            The time before {{ counted(sheet.previous.uses, 'use')
            }}<template v-if="sheet.previous.weighed > 0">, {{ massWords(sheet.previous.grams, 0.1, unit) }}</template
            >, {{ counted(sheet.previous.wearDays, 'wear day') }}.
          </p>
          <p v-if="sheet.totals.weighed > 0" class="quiet">
            Grams count what was weighed both times in the same package, give or take
            {{ massWords(sheet.totals.giveOrTake, 0.1, unit) }} in all.
          </p>
        </section>
        <SheetPush :answer="answer" :closed="closed" />
        <OutAndIn v-if="answer.checkIn.projectId" :answer="answer" :closed="closed" />
      </div>
    </section>
    <footer
      v-if="!closed"
      class="bar d-flex position-sticky justify-space-between rounded-lg mt-2 py-2 px-3 ga-2"
      :class="{ mobile }"
    >
      <v-btn variant="outlined" color="primary" :to="`/projects/check-in/${id}`">Back to the items</v-btn>
      <v-btn class="close" color="primary" :disabled="sheet.totals.looked === 0" @click="close"
        >Finish the check-in</v-btn
      >
    </footer>
  </article>
</template>

<style scoped>
h2 {
  font-size: 20px;
}

.columns {
  grid-template-columns: repeat(auto-fit, minmax(min(280px, 100%), 1fr));
}

.columns > :deep(section) {
  padding: 12px 16px 16px;
  border-right: 1px solid var(--hair);
  min-width: 0;
}

.columns > :deep(section:last-child) {
  border-right: 0;
}

.sums strong {
  font: 660 30px/1.1 var(--display);
}

.columns p {
  margin: 6px 0 0;
}

.bar {
  bottom: 0;
  background: var(--raised);
  border: 1px solid var(--hair);
}

.bar.mobile {
  bottom: 56px;
}

@media print {
  .bar {
    display: none;
  }

  .paper {
    border: 0;
  }

  .columns {
    grid-template-columns: repeat(3, minmax(0, 1fr));
    font-size: 12.5px;
  }

  .sums strong {
    font-size: 22px;
  }
}
</style>
