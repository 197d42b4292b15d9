<script setup lang="ts">
import { computed, ref } from 'vue'
import type { ListedItem } from '#contract/item'
import { useStock } from '#web/data/stock'
import { useUnits } from '#web/data/units'
import FormDialog from './form/FormDialog.vue'
import ItemGauge from './gauge/ItemGauge.vue'
import { useFinding } from './use-finding'
import { callIt, kindAndMaker, shortName, twinWords } from './words/item-words'

/** Chooses one item of the stock by a few letters; all of them can be reached. */
const props = defineProps<{
  title: string
  action: string
  exclude?: readonly string[]
  first?: (item: ListedItem) => boolean
}>()
const emit = defineEmits<{ pick: [item: ListedItem] }>()
const open = defineModel<boolean>({ required: true })
const ROW = 57
const stock = useStock()
const text = ref<string | null>('')
const eligible = computed(() => {
  const left = stock.items.filter((item) => !(props.exclude ?? []).includes(item.id))
  const { first } = props
  return first ? [...left].sort((a, b) => Number(first(b)) - Number(first(a))) : left
})
const { found } = useFinding(text, eligible)
const units = useUnits()
const twins = computed(() => twinWords(eligible.value, units.value))

function told(item: ListedItem): string {
  return [kindAndMaker(item), twins.value.get(item.id)].filter(Boolean).join(', ')
}
</script>

<template>
  <FormDialog v-if="open" :title="title" :draft="null" @close="open = false">
    <v-text-field v-model="text" autofocus clearable label="A few letters of brand, name, shade or notes" />
    <v-virtual-scroll
      class="list"
      role="list"
      :aria-label="title"
      :items="found as ListedItem[]"
      :item-height="ROW"
      item-key="id"
    >
      <template #default="{ item }">
        <div class="row d-flex align-center hair-below py-0 px-1 ga-3" role="listitem">
          <ItemGauge :item="item" size="small" />
          <span class="words d-grid flex-1-1-0 min-w-0">
            <strong>{{ shortName(item) }}</strong>
            <span class="quiet">{{ told(item) }}</span>
          </span>
          <v-btn
            variant="outlined"
            color="primary"
            :aria-label="[`${action} ${callIt(item)}`, twins.get(item.id)].filter(Boolean).join(', ')"
            @click="emit('pick', item)"
            >{{ action }}</v-btn
          >
        </div>
      </template>
    </v-virtual-scroll>
    <p v-if="stock.loaded && found.length === 0" class="quiet">Nothing of that name.</p>
  </FormDialog>
</template>

<style scoped>
.list {
  height: min(52vh, 480px);
}

.row {
  height: 57px;
}

.words > * {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
