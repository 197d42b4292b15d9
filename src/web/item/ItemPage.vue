<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { ItemAnswer } from '#contract/item'
import type { ProjectsAnswer } from '#contract/projects'
import { get, newId, Refused } from '#web/api/client'
import { useChanges } from '#web/shell/changes'
import FinishDialog from '#web/ui/dialogs/FinishDialog.vue'
import ReadingDialog from '#web/ui/dialogs/ReadingDialog.vue'
import RollInDialog from '#web/ui/dialogs/RollInDialog.vue'
import SignDialog from '#web/ui/dialogs/SignDialog.vue'
import TrialDialog from '#web/ui/dialogs/TrialDialog.vue'
import VerdictDialog from '#web/ui/dialogs/VerdictDialog.vue'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { leftWords } from '#web/ui/words/gauge-words'
import { fullName } from '#web/ui/words/item-words'
import { dateWords } from '#web/ui/words/when-words'
import ItemFacts from './ItemFacts.vue'
import ItemPairs from './ItemPairs.vue'
import ItemPhotos from './ItemPhotos.vue'
import PutDialog from './PutDialog.vue'
import LifeLine from './LifeLine.vue'

const route = useRoute()
const router = useRouter()
const changes = useChanges()
const answer = ref<ItemAnswer | null>(null)
const missing = ref('')
const projects = ref<ProjectsAnswer | null>(null)
const dialog = ref<'reading' | 'finish' | 'sign' | 'trial' | 'verdict' | 'roll-in' | 'put' | null>(null)
const offerBackup = ref(false)
const id = computed(() => String(route.params['id']))
const item = computed(() => answer.value?.item ?? null)
const here = computed(() => item.value !== null && item.value.endedOn === null)

watch([id, () => changes.count], load, { immediate: true })

async function load(): Promise<void> {
  try {
    answer.value = await get<ItemAnswer>(`/items/${id.value}`)
    missing.value = ''
  } catch (error) {
    if (!(error instanceof Refused)) throw error
    answer.value = null
    missing.value = error.problem.detail
  }
}

async function open(): Promise<void> {
  if (answer.value) await changes.run('POST', `/items/${id.value}/open`, { changeId: newId(), day: answer.value.today })
}

async function intoDrawer(): Promise<void> {
  if (item.value)
    await changes.run('POST', '/drawer/place', {
      changeId: newId(),
      placementId: newId(),
      itemId: id.value,
      zoneId: item.value.homeZoneId,
      beside: item.value.packageStates.includes('too tall for the drawer'),
    })
}

async function outOfDrawer(): Promise<void> {
  await changes.run('POST', '/drawer/take-out', { changeId: newId(), itemId: id.value })
}

async function rollIn(): Promise<void> {
  projects.value = await get<ProjectsAnswer>('/projects')
  if (projects.value.projects.length === 0) await router.push('/projects')
  else dialog.value = 'roll-in'
}

function finished(backups: number): void {
  dialog.value = null
  offerBackup.value = backups > 0
}
</script>

<template>
  <p v-if="missing" class="inset missing">
    {{ missing }} <RouterLink to="/collection">Back to the collection</RouterLink>
  </p>
  <article v-else-if="answer && item">
    <div class="place-head">
      <div class="title">
        <h1>{{ fullName(item) }}</h1>
        <span class="quiet">{{ [item.maker, item.category].filter(Boolean).join(', ') }}</span>
      </div>
      <v-btn variant="outlined" color="primary" :to="`/items/${item.id}/edit`">Edit</v-btn>
    </div>
    <p v-if="offerBackup" class="inset offer">
      You have a backup of it, still unopened.
      <RouterLink :to="{ path: '/collection', query: {} }">Find it in the collection</RouterLink> and open it when you
      want to.
    </p>
    <div class="layout">
      <figure class="plate">
        <ItemGauge :item="item" size="large" />
        <figcaption>
          {{ leftWords(item) }}<span v-if="item.reading" class="quiet">, seen {{ dateWords(item.reading.day) }}</span>
        </figcaption>
      </figure>
      <ItemFacts :answer="answer" />
      <div class="acts" role="group" aria-label="What can be done">
        <template v-if="here">
          <v-btn v-if="item.lifecycle === 'unopened'" color="primary" @click="open">Open it today</v-btn>
          <v-btn variant="outlined" color="primary" @click="dialog = 'reading'">How much is left</v-btn>
          <v-btn v-if="item.placement === null" variant="outlined" color="primary" @click="intoDrawer"
            >Lay into the drawer</v-btn
          >
          <v-btn v-else variant="outlined" color="primary" @click="outOfDrawer">Take out of the drawer</v-btn>
          <v-btn variant="outlined" color="primary" @click="dialog = 'put'">Put it somewhere</v-btn>
          <v-btn variant="outlined" color="primary" @click="rollIn">Roll into a project</v-btn>
          <v-btn v-if="!item.onTrial" variant="outlined" color="primary" @click="dialog = 'trial'">Put on trial</v-btn>
          <v-btn variant="outlined" color="primary" @click="dialog = 'verdict'">Decide</v-btn>
          <v-btn variant="outlined" color="primary" @click="dialog = 'sign'">A sign it is over</v-btn>
          <v-btn color="primary" @click="dialog = 'finish'">It is empty</v-btn>
        </template>
        <p v-else class="quiet">
          {{ item.lifecycle === 'finished' ? 'Finished' : 'Left the collection' }} on
          {{ item.endedOn ? dateWords(item.endedOn) : '' }}.
        </p>
      </div>
    </div>
    <div class="beside">
      <ItemPairs :item="item" :pairs="answer.pairs" />
      <ItemPhotos :item="item" :photos="answer.photos" :today="answer.today" />
    </div>
    <LifeLine :answer="answer" />
    <PutDialog
      v-if="dialog === 'put'"
      :item="item"
      :today="answer.today"
      @close="dialog = null"
      @done="dialog = null"
    />
    <ReadingDialog
      v-if="dialog === 'reading'"
      :item="item"
      :today="answer.today"
      @close="dialog = null"
      @done="dialog = null"
    />
    <FinishDialog
      v-if="dialog === 'finish'"
      :item="item"
      :today="answer.today"
      @close="dialog = null"
      @done="finished"
    />
    <SignDialog
      v-if="dialog === 'sign'"
      :item="item"
      :today="answer.today"
      @close="dialog = null"
      @done="dialog = null"
    />
    <TrialDialog
      v-if="dialog === 'trial'"
      :item="item"
      :today="answer.today"
      @close="dialog = null"
      @done="dialog = null"
    />
    <VerdictDialog
      v-if="dialog === 'verdict'"
      :item="item"
      :today="answer.today"
      :trial-id="null"
      :destinations="answer.destinations"
      @close="dialog = null"
      @done="dialog = null"
    />
    <RollInDialog
      v-if="dialog === 'roll-in' && projects"
      :item="item"
      :projects="projects.projects"
      :today="answer.today"
      @close="dialog = null"
      @done="dialog = null"
    />
  </article>
</template>

<style scoped>
.title {
  flex: 1;
  display: grid;
}

.layout {
  display: grid;
  grid-template-columns: minmax(220px, auto) minmax(0, 1fr) 210px;
  gap: 22px;
  align-items: start;
}

.plate {
  margin: 0;
  padding: 26px 30px 16px;
  background: var(--plate);
  color: #22262b;
  border-radius: 12px;
  box-shadow: inset 0 2px 6px var(--shade);
  display: grid;
  justify-items: center;
  gap: 14px;
  min-height: 290px;
  align-content: end;
}

.plate .quiet {
  color: #4a525b;
}

.beside {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(320px, 1fr));
  gap: 14px;
  margin-top: 16px;
}

.acts {
  display: grid;
  gap: 7px;
}

.missing,
.offer {
  padding: 20px;
}

@media (max-width: 1000px) {
  .layout {
    grid-template-columns: 1fr;
  }
}
</style>
