<script setup lang="ts">
import { ref } from 'vue'
import type { PairView } from '#contract/beside-item'
import type { ItemSummary } from '#contract/item'
import { newId } from '#web/api/client'
import { useChanges } from '#web/shell/changes'
import ChoiceRow from '#web/ui/ChoiceRow.vue'
import ItemPicker from '#web/ui/ItemPicker.vue'
import { shortName } from '#web/ui/words/item-words'

/** What it goes with and what it fights with; for two that are mixed, the ratio. */
const props = defineProps<{ item: ItemSummary; pairs: readonly PairView[] }>()
const changes = useChanges()
const picking = ref(false)
const other = ref<ItemSummary | null>(null)
const verdict = ref<'works' | 'fights' | null>('works')
const mine = ref('')
const theirs = ref('')
const unit = ref<'pumps' | 'drops'>('pumps')
const words = ref('')

async function save(): Promise<void> {
  if (!other.value) return
  const ratio = mine.value !== '' && theirs.value !== ''
  const done = await changes.run('POST', `/items/${props.item.id}/pairs`, {
    changeId: newId(),
    id: newId(),
    otherItemId: other.value.id,
    verdict: verdict.value ?? 'works',
    itemAmount: ratio ? Number(mine.value) : null,
    otherAmount: ratio ? Number(theirs.value) : null,
    amountUnit: ratio ? unit.value : null,
    words: words.value,
  })
  if (!done) return
  other.value = null
  mine.value = theirs.value = words.value = ''
}

function ratioWords(pair: PairView): string {
  return pair.amountUnit === null ? '' : `${pair.itemAmount ?? ''} to ${pair.otherAmount ?? ''} ${pair.amountUnit}`
}

function drop(pair: PairView): void {
  void changes.run('POST', `/pairs/${pair.id}/drop`, { changeId: newId() })
}
</script>

<template>
  <section aria-label="Pairs">
    <h2>Goes with, fights with</h2>
    <ul>
      <li v-for="pair in pairs" :key="pair.id">
        <strong>{{ pair.verdict === 'works' ? 'with' : 'not with' }}</strong>
        <RouterLink :to="`/items/${pair.otherItemId}`">{{ pair.other }}</RouterLink>
        <span class="quiet">{{ [ratioWords(pair), pair.words].filter(Boolean).join(', ') }}</span>
        <button type="button" class="drop" :aria-label="`Drop the pair with ${pair.other}`" @click="drop(pair)">
          drop
        </button>
      </li>
      <li v-if="pairs.length === 0" class="quiet">
        Nothing recorded yet. What peels or pills together is never suggested together.
      </li>
    </ul>
    <form v-if="other" class="inset add" @submit.prevent="save">
      <ChoiceRow
        v-model="verdict"
        :label="`With ${shortName(other)} it`"
        :options="['works', 'fights']"
        :words="{ works: 'goes well', fights: 'fights: peels, pills, patches' }"
      />
      <div v-if="verdict === 'works'" class="ratio">
        <v-text-field v-model="mine" type="number" min="0" step="0.5" density="compact" label="Of this" />
        <v-text-field v-model="theirs" type="number" min="0" step="0.5" density="compact" label="Of the other" />
        <v-select v-model="unit" density="compact" label="In" :items="['pumps', 'drops']" />
      </div>
      <v-text-field v-model="words" density="compact" label="In a few words" />
      <div class="form-acts">
        <v-btn variant="text" @click="other = null">Cancel</v-btn>
        <v-btn type="submit" color="primary">Keep the pair</v-btn>
      </div>
    </form>
    <v-btn v-else variant="outlined" color="primary" @click="picking = true">Add a pair</v-btn>
    <ItemPicker
      v-if="picking"
      v-model="picking"
      title="A pair with"
      action="Choose"
      :exclude="[item.id]"
      @pick="(each) => ((other = each), (picking = false))"
    />
  </section>
</template>

<style scoped>
h2 {
  font-size: 17px;
}

ul {
  list-style: none;
  padding: 0;
  margin: 6px 0 10px;
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

.add {
  padding: 12px;
  display: grid;
  gap: 10px;
}

.ratio {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 8px;
}
</style>
