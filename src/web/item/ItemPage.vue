<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { Refused } from '#web/data/client'
import { dateWords } from '#web/data/locale'
import { useItem } from '#web/data/reads'
import { useUnits } from '#web/data/units'
import EmptyPlace from '#web/ui/EmptyPlace.vue'
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
const id = computed(() => String(route.params['id']))
const { answer, failed } = useItem(id)
const units = useUnits()
const item = computed(() => answer.value?.item ?? null)
const missing = computed(() => (failed.value instanceof Refused ? failed.value.problem.detail : ''))
const facts = computed(() => answer.value && factsOf(answer.value, units.value))
/** Backups that were still unopened when it was finished here. */
const backups = ref(0)
watch(id, () => (backups.value = 0))
</script>

<template>
  <EmptyPlace v-if="missing" title="This item is not here" act="Back to the collection" to="/collection">
    {{ missing }}
  </EmptyPlace>
  <article v-else-if="answer && item">
    <PlaceHead
      :title="fullName(item)"
      :question="`${capital(kindAndMaker(item))}. Where is this one up to, and will it make it?`"
      :acts="[{ words: 'Edit', to: `/items/${item.id}/edit` }]"
    />
    <p v-if="backups > 0" class="inset offer">
      You have a backup of it, still unopened.
      <RouterLink :to="{ path: '/collection', query: { words: fullName(item) } }">Find it in the collection</RouterLink>
      and open it when you want to.
    </p>
    <div class="layout">
      <ItemLeft :answer="answer" />
      <ItemForecast v-if="answer.forecast" :answer="answer" :forecast="answer.forecast" />
      <p v-else class="quiet">
        {{ item.lifecycle === 'finished' ? 'Finished' : 'Left the collection' }} on
        {{ item.endedOn ? dateWords(item.endedOn) : '' }}, after {{ usesWords(item.uses) }}.
      </p>
    </div>
    <LifeLine :answer="answer" />
    <ItemReckoned v-if="answer.forecast" :answer="answer" :forecast="answer.forecast" />
    <ItemActs v-if="item.endedOn === null" :item="item" @done="(result) => (backups = result.backups ?? 0)" />
    <ItemShades :answer="answer" />
    <ItemReadings :answer="answer" />
    <v-expansion-panels multiple variant="accordion" class="facts">
      <v-expansion-panel v-for="group in facts" :key="group.about" :title="group.about" elevation="0">
        <template #text>
          <dl>
            <div v-for="fact in group.facts" :key="fact.term">
              <dt>{{ fact.term }}</dt>
              <dd class="figures">{{ fact.words }}</dd>
            </div>
          </dl>
        </template>
      </v-expansion-panel>
    </v-expansion-panels>
    <div class="beside">
      <ItemPairs :item="item" :pairs="answer.pairs" />
      <ItemPhotos :item="item" :answer="answer" />
    </div>
  </article>
</template>

<style scoped>
.layout {
  display: grid;
  grid-template-columns: minmax(300px, 0.8fr) minmax(0, 1.2fr);
  gap: 24px;
  align-items: stretch;
}

.facts {
  margin: 16px 0;
  border-block: 1px solid var(--hair);
}

.facts :deep(.v-expansion-panel) {
  background: none;
}

.facts :deep(.v-expansion-panel-title) {
  padding: 0 4px;
  font: 620 15px var(--display);
}

dl {
  margin: 0;
  display: grid;
  gap: 10px;
}

dt {
  font: 620 13px var(--display);
  color: var(--quiet);
}

dd {
  margin: 0;
  max-width: 75ch;
  white-space: pre-line;
}

.beside {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(320px, 100%), 1fr));
  gap: 24px;
}

.offer {
  padding: 12px 16px;
}

.phone .layout {
  grid-template-columns: minmax(0, 1fr);
}
</style>
