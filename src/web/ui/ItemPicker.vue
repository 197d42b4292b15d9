<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { ItemSummary } from '#contract/item'
import ItemGauge from './gauge/ItemGauge.vue'
import { useStock } from './stock'
import { matchesWords, shortName } from './words/item-words'

/** Chooses one item of the stock by a few letters. */
const props = defineProps<{
  title: string
  action: string
  exclude?: readonly string[]
  first?: (item: ItemSummary) => boolean
}>()
const emit = defineEmits<{ pick: [item: ItemSummary] }>()
const open = defineModel<boolean>({ required: true })
const SHOWN = 40
const stock = useStock()
const text = ref('')
watch(
  open,
  (isOpen) => {
    if (!isOpen) return
    text.value = ''
    void stock.load()
  },
  { immediate: true },
)
const found = computed(() => {
  const rows = stock.items.filter(
    (item) => !(props.exclude ?? []).includes(item.id) && (text.value.trim() === '' || matchesWords(item, text.value)),
  )
  const { first } = props
  if (first) rows.sort((a, b) => Number(first(b)) - Number(first(a)))
  return rows.slice(0, SHOWN)
})
</script>

<template>
  <v-dialog v-model="open" :aria-label="title" scrollable>
    <div class="sheet box">
      <h2>{{ title }}</h2>
      <v-text-field v-model="text" autofocus label="A few letters of maker, name or shade" />
      <ul :aria-label="title">
        <li v-for="item in found" :key="item.id">
          <ItemGauge :item="item" size="small" />
          <span class="words">
            <strong>{{ shortName(item) }}</strong>
            <span class="quiet">{{ item.category }}, {{ item.maker }}</span>
          </span>
          <v-btn
            variant="outlined"
            color="primary"
            :aria-label="`${action} ${shortName(item)}`"
            @click="emit('pick', item)"
            >{{ action }}</v-btn
          >
        </li>
        <li v-if="found.length === 0" class="quiet">Nothing of that name.</li>
      </ul>
    </div>
  </v-dialog>
</template>

<style scoped>
.box {
  padding: 18px;
  display: flex;
  flex-direction: column;
  gap: 10px;
  max-height: 82vh;
}

ul {
  list-style: none;
  padding: 0;
  margin: 0;
  overflow: auto;
}

li {
  display: flex;
  align-items: center;
  gap: 12px;
  padding: 4px 2px;
  min-height: 52px;
  border-bottom: 1px solid var(--hair);
}

.words {
  flex: 1;
  display: grid;
}
</style>
