<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { ListedItem } from '#contract/item'
import { useChanges } from '#web/data/changes'
import { newId, Refused } from '#web/data/client'
import { dateWords } from '#web/data/locale'
import { useItem } from '#web/data/reads'
import { useUnits } from '#web/data/units'
import MergeDialog from '#web/ui/acts/MergeDialog.vue'
import EmptyPlace from '#web/ui/EmptyPlace.vue'
import ItemPicker from '#web/ui/ItemPicker.vue'
import PlaceHead from '#web/ui/PlaceHead.vue'
import { capital } from '#core/words/capital'
import { fullName, kindAndMaker, usesWords } from '#web/ui/words/item-words'
import { factsOf } from './item-facts'
import ItemActs from './ItemActs.vue'
import ItemForecast from './ItemForecast.vue'
import ItemLeft from './ItemLeft.vue'
import ItemPairs from './ItemPairs.vue'
import ItemPhotos from './ItemPhotos.vue'
import ItemReckoned from './ItemReckoned.vue'
import ItemReadings from './ItemReadings.vue'
import ItemShades from './ItemShades.vue'
import LifeLine from './LifeLine.vue'

/** Where one thing is up to, and whether it will make it. */
const route = useRoute()
const router = useRouter()
const changes = useChanges()
const id = computed(() => String(route.params['id']))
const { answer, failed } = useItem(id)
const units = useUnits()
const item = computed(() => answer.value?.item ?? null)
const missing = computed(() => (failed.value instanceof Refused ? failed.value.problem.detail : ''))
const facts = computed(() => answer.value && factsOf(answer.value, units.value))
/** Backups that were still unopened when it was finished here. */
const backups = ref(0)
/** What this one is merged with: being chosen, or chosen. */
const merging = ref<ListedItem | 'choose' | null>(null)
const isAlike = (other: ListedItem): boolean => other.name === item.value?.name

function merged(keptId: string): void {
  merging.value = null
  void router.replace(`/items/${keptId}`)
}

async function remove(): Promise<void> {
  const path = `/items/${id.value}`
  if (await changes.run('POST', `${path}/delete`, { changeId: newId() })) await router.replace('/collection')
}
/** What is unfolded: nothing but shades, and readings that are asked about. */
const unfolded = ref<string[]>([])
watch(
  () => answer.value?.item.id,
  () => {
    backups.value = 0
    merging.value = null
    if (answer.value === null) return
    const { readings, item: of } = answer.value
    unfolded.value = [
      ...(of.parts.length > 0 ? ['Shades'] : []),
      ...(readings.some(({ doubts, cause }) => doubts.length > 0 && cause === null) ? ['Readings'] : []),
    ]
  },
  { immediate: true },
)
/** A heading of what is folded, with how many are in it. */
const headed = (words: string, count: number): string => (count > 0 ? `${words} (${count})` : words)
</script>

<template>
  <EmptyPlace v-if="missing" title="This item isn’t here" act="Back to the collection" to="/collection">
    {{ missing }}
  </EmptyPlace>
  <article v-else-if="answer && item">
    <PlaceHead
      :title="fullName(item)"
      :question="`${capital(kindAndMaker(item))}. Is it finished in time?`"
      :acts="[
        { words: 'Another like this', to: `/collection/add?like=${item.id}` },
        { words: 'Edit', to: `/items/${item.id}/edit` },
        { words: 'Merge with another', act: () => (merging = 'choose') },
        { words: 'Delete', act: remove },
      ]"
    />
    <ItemPicker
      v-if="merging === 'choose'"
      :model-value="true"
      title="Which one is the same item?"
      action="Choose"
      :exclude="[item.id]"
      :first="isAlike"
      @update:model-value="merging = null"
      @pick="(other) => (merging = other)"
    />
    <MergeDialog v-else-if="merging !== null" :items="[item, merging]" @close="merging = null" @done="merged" />
    <p v-if="backups > 0" class="inset py-3 px-4">
      You have an unopened backup.
      <RouterLink :to="{ path: '/collection', query: { words: fullName(item) } }">Find it in the collection</RouterLink>
      and open it when you’re ready.
    </p>
    <div class="layout d-grid align-stretch gr-3 gc-6">
      <ItemLeft :answer="answer" class="what-is-left" />
      <ItemForecast v-if="answer.forecast" :answer="answer" :forecast="answer.forecast" />
      <p v-else class="quiet">
        {{ item.lifecycle === 'finished' ? 'Finished' : 'Left the collection' }} on
        {{ item.endedOn ? dateWords(item.endedOn) : '' }}, after {{ usesWords(item.uses) }}.
      </p>
      <ItemActs
        v-if="item.endedOn === null"
        :item="item"
        class="acts"
        @done="(result) => (backups = result.backups ?? 0)"
      />
    </div>
    <LifeLine :answer="answer" />
    <v-expansion-panels v-model="unfolded" multiple variant="accordion" class="facts">
      <v-expansion-panel v-if="item.parts.length > 0" value="Shades" :title="headed('Shades', item.parts.length)">
        <template #text><ItemShades :answer="answer" /></template>
      </v-expansion-panel>
      <v-expansion-panel v-if="answer.forecast" value="Worked out" title="How is this worked out?">
        <template #text><ItemReckoned :answer="answer" :forecast="answer.forecast" /></template>
      </v-expansion-panel>
      <v-expansion-panel value="Readings" :title="headed('Readings', answer.readings.length)">
        <template #text><ItemReadings :answer="answer" /></template>
      </v-expansion-panel>
      <v-expansion-panel value="Pictures" :title="headed('Pictures', answer.photos.length)">
        <template #text><ItemPhotos :item="item" :answer="answer" /></template>
      </v-expansion-panel>
      <v-expansion-panel value="Pairs" :title="headed('Goes with, fights with', answer.pairs.length)">
        <template #text><ItemPairs :item="item" :pairs="answer.pairs" /></template>
      </v-expansion-panel>
      <v-expansion-panel v-for="group in facts" :key="group.about" :value="group.about" :title="group.about">
        <template #text>
          <dl class="d-grid ga-2">
            <div v-for="fact in group.facts" :key="fact.term">
              <dt>{{ fact.term }}</dt>
              <dd class="figures prose">{{ fact.words }}</dd>
            </div>
          </dl>
        </template>
      </v-expansion-panel>
    </v-expansion-panels>
  </article>
</template>

<style scoped>
.layout {
  grid-template-columns: minmax(300px, 0.8fr) minmax(0, 1.2fr);
  grid-template-rows: 1fr auto;
}

.what-is-left {
  grid-row: 1 / 3;
}

.facts {
  margin: 16px 0;
  border-block: 1px solid var(--hair);
}

.facts :deep(.v-expansion-panel) {
  background: none;
}

.facts :deep(.v-expansion-panel__shadow) {
  display: none;
}

.facts :deep(.v-expansion-panel-title) {
  padding: 0 4px;
  font: 620 15px var(--display);
}

dt {
  font: 620 13px var(--display);
  color: var(--quiet);
}

dd {
  white-space: pre-line;
}

/* On a phone the answer and what can be done come before the drawing. */
.phone .layout {
  grid-template: none / minmax(0, 1fr);
}

.phone .what-is-left {
  grid-row: 3;
}
</style>
