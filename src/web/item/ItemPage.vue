<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { Refused } from '#web/data/client'
import { dateWords } from '#web/data/locale'
import { useItem } from '#web/data/reads'
import { useUnits } from '#web/data/units'
import EmptyPlace from '#web/ui/EmptyPlace.vue'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import PlaceHead from '#web/ui/PlaceHead.vue'
import { leftWords } from '#web/ui/words/gauge-words'
import { capital } from '#web/ui/words/goal-words'
import { fullName, kindAndMaker } from '#web/ui/words/item-words'
import { factsOf } from './item-facts'
import ItemActs from './ItemActs.vue'
import ItemNow from './ItemNow.vue'
import ItemPairs from './ItemPairs.vue'
import ItemPhotos from './ItemPhotos.vue'
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
      <figure class="plate">
        <ItemGauge :item="item" size="large" />
        <figcaption>
          {{ leftWords(item) }}<span v-if="item.reading" class="quiet">, seen {{ dateWords(item.reading.day) }}</span>
        </figcaption>
      </figure>
      <div class="right">
        <ItemNow :answer="answer" />
        <ItemActs v-if="item.endedOn === null" :item="item" @done="(result) => (backups = result.backups ?? 0)" />
        <p v-else class="quiet">
          {{ item.lifecycle === 'finished' ? 'Finished' : 'Left the collection' }} on {{ dateWords(item.endedOn) }}.
        </p>
      </div>
    </div>
    <LifeLine :answer="answer" />
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
  grid-template-columns: minmax(240px, auto) minmax(0, 1fr);
  gap: 24px;
  align-items: stretch;
}

.plate {
  margin: 0;
  padding: 26px 34px 16px;
  background: var(--plate);
  color: #22262b;
  border-radius: 12px;
  box-shadow: inset 0 2px 6px var(--shade);
  display: grid;
  justify-items: center;
  gap: 14px;
  min-height: 290px;
  align-content: center;
}

.plate .quiet {
  color: #4a525b;
}

.right {
  display: grid;
  gap: 12px;
  align-content: start;
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

.phone .plate {
  min-height: 240px;
}
</style>
