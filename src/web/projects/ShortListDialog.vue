<script setup lang="ts">
import type { Day } from '#core/calendar/day'
import type { ListedItem } from '#contract/item'
import type { ProjectView, ShortListAnswer } from '#contract/projects'
import { useRead } from '#web/data/reads'
import FormDialog from '#web/ui/form/FormDialog.vue'
import LessonsHere from '#web/ui/acts/LessonsHere.vue'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { callIt, kindAndMaker, shortName } from '#web/ui/words/item-words'
import { whyWords } from '#web/ui/words/why-words'

/** What could roll in, each with its reason; or nothing, for a break. */
const props = defineProps<{ project: ProjectView; replacing: ListedItem | null; today: Day }>()
const emit = defineEmits<{ close: []; pick: [item: ListedItem]; search: [] }>()
const { answer: list } = useRead<ShortListAnswer>(
  () => ['short-list', props.project.id, props.replacing?.id ?? ''],
  () => `/projects/${props.project.id}/short-list${props.replacing ? `?replacing=${props.replacing.id}` : ''}`,
)
</script>

<template>
  <FormDialog
    :title="replacing ? `${shortName(replacing)} rolled out. What rolls in?` : 'What rolls in?'"
    label="What rolls in?"
    :draft="null"
    cancel="Nothing for now"
    :width="620"
    @close="emit('close')"
  >
    <ul v-if="list">
      <li class="d-grid align-center hair-below py-2 px-0 ga-3" v-for="row in list.items" :key="row.item.id">
        <div class="drawn d-grid align-center justify-items-center">
          <ItemGauge :item="row.item" size="middle" :rail="false" />
        </div>
        <span class="words d-grid">
          <strong>{{ shortName(row.item) }}</strong>
          <span class="quiet">{{ kindAndMaker(row.item) }}{{ row.sameCategory ? ', same type' : '' }}</span>
          <span>{{ row.reasons.map((reason) => whyWords(reason, new Map(), today)).join(' ') }}</span>
        </span>
        <v-btn
          variant="outlined"
          color="primary"
          :aria-label="`Roll in ${callIt(row.item)}`"
          @click="emit('pick', row.item)"
          >Roll in</v-btn
        >
      </li>
      <li v-if="list.items.length === 0" class="quiet d-grid align-center hair-below py-2 px-0 ga-3">
        Nothing is urgent. Choose what you like.
      </li>
    </ul>
    <LessonsHere :category-ids="(list?.items ?? []).map((row) => row.item.categoryId)" />
    <template #acts>
      <v-btn variant="outlined" color="primary" @click="emit('search')">Something else</v-btn>
    </template>
  </FormDialog>
</template>

<style scoped>
li {
  grid-template-columns: 180px 1fr auto;
}

.phone li {
  grid-template-columns: 1fr auto;
}

.phone .drawn {
  display: none;
}
</style>
