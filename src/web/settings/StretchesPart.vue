<script setup lang="ts">
import { ref, watch } from 'vue'
import type { StretchesAnswer } from '#contract/settings'
import { get, newId } from '#web/api/client'
import { useChanges } from '#web/shell/changes'
import FormTrouble from '#web/ui/FormTrouble.vue'
import { useForm } from '#web/ui/use-form'
import { stretchWords, yearlyWords } from '#web/ui/words/when-words'

/** Days away and low seasons: when less makeup is worn than the week says; goals and pace reckon with them. */
const changes = useChanges()
const form = useForm()
const answer = ref<StretchesAnswer | null>(null)
const away = ref({ earliest: '', latest: '', words: '' })
const low = ref({ from: '', to: '', percent: '20', words: '' })
watch(
  () => changes.count,
  async () => (answer.value = await get<StretchesAnswer>('/stretches')),
  { immediate: true },
)

async function addAway(): Promise<void> {
  const done = await form.submit('POST', '/away', { changeId: newId(), id: newId(), ...away.value })
  if (done) away.value = { earliest: '', latest: '', words: '' }
}

async function addLow(): Promise<void> {
  const { from, to, percent, words } = low.value
  const body = { changeId: newId(), id: newId(), from, to, factor: Number(percent) / 100, words }
  if (await form.submit('POST', '/low-seasons', body)) low.value = { from: '', to: '', percent: '20', words: '' }
}

function drop(path: 'away' | 'low-seasons', id: string): void {
  void changes.run('POST', `/${path}/${id}/drop`, { changeId: newId() })
}
</script>

<template>
  <section class="sheet part" aria-label="Days away and low seasons">
    <h2>Days away and low seasons</h2>
    <ul v-if="answer">
      <li v-for="each in answer.away" :key="each.id">
        {{ stretchWords(each) }} <span class="quiet">{{ each.words }}</span>
        <button type="button" class="drop" @click="drop('away', each.id)">drop</button>
      </li>
      <li v-for="each in answer.lowSeasons" :key="each.id" class="figures">
        every year {{ yearlyWords(each.from) }} to {{ yearlyWords(each.to) }}: {{ Math.round(each.factor * 100) }} % of
        usual
        <span class="quiet">{{ each.words }}</span>
        <button type="button" class="drop" @click="drop('low-seasons', each.id)">drop</button>
      </li>
    </ul>
    <form class="row" @submit.prevent="addAway">
      <v-text-field
        v-model="away.earliest"
        density="compact"
        type="date"
        label="Away from"
        :error-messages="form.on('earliest')"
      />
      <v-text-field
        v-model="away.latest"
        density="compact"
        type="date"
        label="to"
        :error-messages="form.on('latest')"
      />
      <v-text-field v-model="away.words" density="compact" label="Where" />
      <v-btn type="submit" variant="outlined" color="primary" :disabled="away.earliest === '' || away.latest === ''"
        >Add</v-btn
      >
    </form>
    <form class="row" @submit.prevent="addLow">
      <v-text-field
        v-model="low.from"
        density="compact"
        label="Low from"
        placeholder="05-01"
        :error-messages="form.on('from')"
      />
      <v-text-field v-model="low.to" density="compact" label="to" placeholder="05-31" :error-messages="form.on('to')" />
      <v-text-field
        v-model="low.percent"
        density="compact"
        type="number"
        min="0"
        max="100"
        label="% of usual"
        :error-messages="form.on('factor')"
      />
      <v-btn type="submit" variant="outlined" color="primary" :disabled="low.from === '' || low.to === ''">Add</v-btn>
    </form>
    <FormTrouble :refused="form.refused.value" :out-of-reach="form.outOfReach.value" />
  </section>
</template>

<style scoped>
.part {
  padding: 16px 18px;
  display: grid;
  gap: 12px;
}

ul {
  list-style: none;
  padding: 0;
  margin: 0;
}

li {
  min-height: 36px;
  display: flex;
  gap: 8px;
  align-items: center;
}

.drop {
  color: var(--primary);
  text-decoration: underline;
  min-height: 36px;
}

.row {
  display: grid;
  grid-template-columns: 1fr 1fr 1fr auto;
  gap: 8px;
  align-items: start;
}

@media (max-width: 700px) {
  .row {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
