<script setup lang="ts">
import { inject, ref, watch } from 'vue'
import type { Settings } from '#contract/settings'
import { get, newId } from '#web/api/client'
import { themeChoiceKey } from '#web/shell/theme-choice'
import { useChanges } from '#web/shell/changes'
import ChoiceRow from '#web/ui/ChoiceRow.vue'
import FormTrouble from '#web/ui/FormTrouble.vue'
import { useForm } from '#web/ui/use-form'
import CategoriesPart from './CategoriesPart.vue'
import ChangeList from './ChangeList.vue'
import DataPart from './DataPart.vue'
import StretchesPart from './StretchesPart.vue'

const changes = useChanges()
const form = useForm()
const stored = ref<{ settings: Settings; version: number } | null>(null)
const draft = ref<Settings | null>(null)
const theme = inject(themeChoiceKey)
const DAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday']

watch(() => changes.count, load, { immediate: true })

async function load(): Promise<void> {
  stored.value = await get<{ settings: Settings; version: number }>('/settings')
  const { settings } = stored.value
  draft.value = { ...settings, plannedWeek: [...settings.plannedWeek] }
}

async function save(): Promise<void> {
  if (!draft.value || !stored.value) return
  const settings = { ...draft.value, rollOverHour: Number(draft.value.rollOverHour) }
  await form.submit('PUT', '/settings', { changeId: newId(), settings, version: stored.value.version })
}
</script>

<template>
  <div class="place-head">
    <h1>Settings</h1>
    <span class="quiet">My rules, my units, my data.</span>
  </div>
  <div class="columns">
    <form v-if="draft" class="sheet part" @submit.prevent="save">
      <h2>Rules</h2>
      <fieldset>
        <legend>Days on which I usually wear makeup</legend>
        <div class="choices">
          <button
            v-for="(day, n) in DAYS"
            :key="day"
            type="button"
            class="choice"
            :aria-pressed="draft.plannedWeek[n]"
            @click="draft.plannedWeek[n] = !draft.plannedWeek[n]"
          >
            {{ day }}
          </button>
        </div>
      </fieldset>
      <p class="quiet">After four weeks of log Seligo learns the week from the last twelve.</p>
      <v-text-field
        v-model="draft.currency"
        label="Currency of the collection"
        maxlength="3"
        :error-messages="form.on('settings.currency')"
      />
      <v-text-field
        v-model="draft.rollOverHour"
        type="number"
        min="0"
        max="12"
        label="The day begins at (hour)"
        hint="At 4, two in the morning still belongs to yesterday."
        persistent-hint
        :error-messages="form.on('settings.rollOverHour')"
      />
      <FormTrouble :refused="form.refused.value" :out-of-reach="form.outOfReach.value" />
      <div class="form-acts"><v-btn type="submit" color="primary" :loading="form.busy.value">Save</v-btn></div>
    </form>
    <section class="sheet part" aria-label="Look">
      <h2>Look</h2>
      <ChoiceRow
        v-if="theme"
        v-model="theme"
        label="Theme on this device"
        :options="['system', 'day', 'night']"
        :words="{ system: 'as the machine is set', day: 'day', night: 'night' }"
      />
      <p><RouterLink to="/drawer">Zones and slots are changed where the drawer is laid.</RouterLink></p>
    </section>
  </div>
  <div class="columns second">
    <DataPart />
    <StretchesPart />
  </div>
  <CategoriesPart />
  <ChangeList />
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(340px, 1fr));
  gap: 14px;
  align-items: start;
}

.second {
  margin-top: 14px;
}

.part {
  padding: 16px 18px;
  display: grid;
  gap: 12px;
  justify-items: start;
}

.part > * {
  max-width: 100%;
}

.part :deep(.v-input) {
  width: 100%;
}

p {
  margin: 0;
}

fieldset {
  border: 0;
  padding: 0;
}

legend {
  font-weight: 600;
  font-size: 13.5px;
  margin-bottom: 5px;
}
</style>
