<script setup lang="ts">
import { ref } from 'vue'
import type { Day } from '#core/calendar/day'
import type { ItemSummary } from '#contract/item'
import type { ProjectView, ShortListAnswer } from '#contract/projects'
import { get } from '#web/api/client'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { shortName } from '#web/ui/words/item-words'
import { rollInWords } from '#web/ui/words/roll-in-words'

/** What could roll in, each with its reason; or nothing, for a break. */
const props = defineProps<{ project: ProjectView; replacing: ItemSummary | null; today: Day }>()
const emit = defineEmits<{ close: []; pick: [item: ItemSummary]; search: [] }>()
const list = ref<ShortListAnswer | null>(null)
void get<ShortListAnswer>(
  `/projects/${props.project.id}/short-list${props.replacing ? `?replacing=${props.replacing.id}` : ''}`,
).then((answer) => (list.value = answer))
</script>

<template>
  <v-dialog :model-value="true" max-width="620" aria-label="What rolls in?" @update:model-value="emit('close')">
    <div class="sheet dialog">
      <h2>{{ replacing ? `${shortName(replacing)} rolled out. What rolls in?` : 'What rolls in?' }}</h2>
      <ul v-if="list">
        <li v-for="row in list.items" :key="row.item.id">
          <div class="drawn"><ItemGauge :item="row.item" size="middle" :rail="false" /></div>
          <span class="words">
            <strong>{{ shortName(row.item) }}</strong>
            <span class="quiet"
              >{{ row.item.category }}, {{ row.item.maker }}{{ row.sameCategory ? ', like for like' : '' }}</span
            >
            <span>{{ rollInWords(row.reason, row.item, today) }}</span>
          </span>
          <v-btn
            variant="outlined"
            color="primary"
            :aria-label="`Roll in ${shortName(row.item)}`"
            @click="emit('pick', row.item)"
            >Roll in</v-btn
          >
        </li>
        <li v-if="list.items.length === 0" class="quiet">Nothing presses. Choose what you like.</li>
      </ul>
      <div class="acts">
        <v-btn variant="text" @click="emit('close')">Nothing for now</v-btn>
        <v-btn variant="outlined" color="primary" @click="emit('search')">Something else</v-btn>
      </div>
    </div>
  </v-dialog>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}

li {
  display: grid;
  grid-template-columns: 180px 1fr auto;
  gap: 14px;
  align-items: center;
  padding: 8px 0;
  border-bottom: 1px solid var(--hair);
}

.drawn {
  display: grid;
  place-items: center;
}

.words {
  display: grid;
}

@media (max-width: 760px) {
  li {
    grid-template-columns: 1fr auto;
  }

  .drawn {
    display: none;
  }
}
</style>
