<script setup lang="ts">
import { HEMISPHERES } from '#core/calendar/hemisphere'
import { LEANINGS } from '#core/decide/doubts'
import { ref, watch } from 'vue'
import { HEAVIEST, SCALE_STEPS } from '#core/measure/weighing'
import { DEFAULT_SETTINGS } from '#core/settings'
import type { Settings } from '#contract/settings'
import { useDevice } from '#web/data/device'
import { useSettings } from '#web/data/reads'
import ChoiceRow from '#web/ui/form/ChoiceRow.vue'
import FormTrouble from '#web/ui/form/FormTrouble.vue'
import StaleEdit from '#web/ui/form/StaleEdit.vue'
import { useDraft } from '#web/ui/form/use-draft'
import PlaceHead from '#web/ui/PlaceHead.vue'
import CalendarPart from './CalendarPart.vue'
import CategoriesPart from './CategoriesPart.vue'
import ChangeList from './ChangeList.vue'
import DataPart from './DataPart.vue'
import StretchesPart from './StretchesPart.vue'

const device = useDevice()
const { answer } = useSettings()
const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday']
const FIELDS: Readonly<Record<keyof Settings, string>> = {
  currency: 'Currency',
  rollOverHour: 'The day begins at',
  plannedWeek: 'Wear days',
  units: 'Units',
  scaleStep: 'The scale shows steps of',
  scaleCapacity: 'The scale carries up to',
  leaning: 'What counts most when deciding',
  hemisphere: 'Seasons',
}
const draft = useDraft<Settings>(() => answer.value?.settings ?? DEFAULT_SETTINGS, {
  names: FIELDS,
  theirs: (current) => (current as { settings: Settings }).settings,
})
const { typed, on } = draft
/** Of what is edited: what another window stores meanwhile is not written over unseen. */
const version = ref<number>()

// What another part of the page stored leaves alone what is typed here.
watch(
  answer,
  (now) => {
    if (draft.isTyped.value) return
    version.value = now?.version
    draft.begin()
  },
  { immediate: true },
)

async function store(): Promise<void> {
  await draft.store('PUT', '/settings', {
    settings: { ...typed.value, rollOverHour: Number(typed.value.rollOverHour) },
    version: version.value,
  })
}

function storeOver(): void {
  draft.overwrite()
  void store()
}
</script>

<template>
  <PlaceHead question="My rules, my units, my data." />
  <div class="columns d-grid align-start mb-3 ga-3">
    <form v-if="answer" class="sheet settings-part" aria-label="Rules" @submit.prevent="store()">
      <h2>Rules</h2>
      <fieldset class="choice-row">
        <legend>Days on which I usually wear makeup</legend>
        <div class="choices">
          <button
            v-for="(day, n) in DAYS"
            :key="day"
            type="button"
            class="choice"
            :aria-pressed="typed.plannedWeek[n]"
            @click="typed.plannedWeek[n] = !typed.plannedWeek[n]"
          >
            {{ day }}
          </button>
        </div>
      </fieldset>
      <p class="quiet">After four weeks of log Seligo learns the week from the last twelve.</p>
      <ChoiceRow
        v-model="typed.units"
        label="Sizes in"
        :options="['metric', 'ounces']"
        :words="{ metric: 'grams and millilitres', ounces: 'ounces, with grams and millilitres beside' }"
      />
      <ChoiceRow
        v-model="typed.leaning"
        label="When deciding"
        :options="LEANINGS"
        :words="{ thrift: 'thrift: what would be lost comes first', joy: 'joy: what isn’t enjoyed comes first' }"
      />
      <ChoiceRow
        v-model="typed.hemisphere"
        label="Seasons of the"
        :options="HEMISPHERES"
        :words="{ north: 'northern half: winter in December', south: 'southern half: summer in December' }"
      />
      <ChoiceRow
        v-model="typed.scaleStep"
        label="My scale shows steps of"
        :options="SCALE_STEPS"
        :words="{ 0.01: '0.01 g', 0.1: '0.1 g', 1: '1 g' }"
      />
      <v-number-input
        v-model="typed.scaleCapacity"
        :min="1"
        :max="HEAVIEST"
        label="It carries up to, g (optional)"
        hint="You’ll be asked about a heavier weight."
        persistent-hint
        clearable
        :error-messages="on('settings.scaleCapacity')"
      />
      <v-text-field
        v-model="typed.currency"
        label="Currency of the collection"
        maxlength="3"
        :error-messages="on('settings.currency')"
      />
      <v-number-input
        v-model="typed.rollOverHour"
        :min="0"
        :max="12"
        label="The day begins at (hour)"
        hint="At 4, two in the morning still belongs to yesterday."
        persistent-hint
        :error-messages="on('settings.rollOverHour')"
      />
      <StaleEdit
        v-if="draft.conflict.value"
        :problem="draft.conflict.value.problem"
        :differences="draft.conflict.value.differences"
        @overwrite="storeOver"
      />
      <FormTrouble :refused="draft.refused.value" :out-of-reach="draft.outOfReach.value" />
      <div class="form-acts"><v-btn type="submit" color="primary" :loading="draft.busy.value">Save</v-btn></div>
    </form>
    <section class="sheet settings-part" aria-label="This screen">
      <h2>This screen</h2>
      <ChoiceRow
        v-model="device.theme"
        label="Theme"
        :options="['system', 'day', 'night']"
        :words="{ system: 'match system', day: 'day', night: 'night' }"
      />
      <v-switch v-model="device.letterKeys" label="Single letters are shortcuts (? shows them)" />
      <p class="quiet">When off, only Ctrl or Cmd with K is left, to find an item.</p>
      <p><RouterLink to="/drawer">Zones and slots are changed in Arrange the drawer.</RouterLink></p>
    </section>
  </div>
  <div class="columns d-grid align-start mb-3 ga-3">
    <DataPart />
    <StretchesPart />
    <CalendarPart />
  </div>
  <CategoriesPart />
  <ChangeList />
</template>

<style scoped>
.columns {
  grid-template-columns: repeat(auto-fit, minmax(min(340px, 100%), 1fr));
}
</style>
