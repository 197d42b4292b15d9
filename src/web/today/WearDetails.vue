<script setup lang="ts">
import { computed, ref } from 'vue'
import { AMOUNT_UNITS } from '#core/wear/day-choices'
import type { Worn } from '#contract/today'
import type { ItemSummary } from '#contract/item'
import { newId } from '#web/api/client'
import { useStock } from '#web/ui/stock'
import { shortName } from '#web/ui/words/item-words'

/** How things were worn: as what, how much, mixed with what, how it felt. One thing at a time, all optional. */
const props = defineProps<{ face: readonly ItemSummary[]; worn: readonly Worn[] }>()
const emit = defineEmits<{
  close: []
  details: [body: Record<string, unknown>]
  mix: [body: Record<string, unknown>]
}>()
const stock = useStock()
void stock.load()
const at = ref(props.face[0]?.id ?? '')
const item = computed(() => props.face.find((each) => each.id === at.value))
const wear = computed(() => props.worn.find((each) => each.itemId === at.value))
const draft = ref(draftOf())
const partner = ref<string | null>(null)
const ratio = ref('2 to 1')
const others = computed(() => props.face.filter((each) => each.id !== at.value))

function draftOf() {
  const now = props.worn.find((each) => each.itemId === at.value)
  return {
    usedAs: now?.usedAs ?? null,
    amount: (now?.amount ?? null) === null ? '' : String(now?.amount),
    amountUnit: now?.amountUnit ?? null,
    felt: now?.felt ?? '',
  }
}

function choose(id: string): void {
  at.value = id
  draft.value = draftOf()
  partner.value = null
}

function save(): void {
  const amount = draft.value.amount === '' ? null : Number(draft.value.amount)
  emit('details', {
    itemId: at.value,
    usedAs: draft.value.usedAs,
    amount,
    amountUnit: amount === null ? null : (draft.value.amountUnit ?? 'pumps'),
    felt: draft.value.felt,
  })
  if (partner.value !== null) emit('mix', { mixId: newId(), itemIds: [at.value, partner.value], ratio: ratio.value })
}
</script>

<template>
  <v-dialog :model-value="true" max-width="620" aria-label="How it was worn" @update:model-value="emit('close')">
    <form class="sheet dialog" @submit.prevent="save">
      <h2>How it was worn</h2>
      <div class="choices" role="group" aria-label="Which">
        <button
          v-for="each in face"
          :key="each.id"
          type="button"
          class="choice"
          :aria-pressed="each.id === at"
          @click="choose(each.id)"
        >
          {{ shortName(each) }}
        </button>
      </div>
      <template v-if="item">
        <v-autocomplete
          v-model="draft.usedAs"
          clearable
          :label="`Worn as (else ${item.wornAs})`"
          :items="stock.categories.map((each) => ({ title: each.name, value: each.id }))"
        />
        <div class="two">
          <v-text-field v-model="draft.amount" type="number" min="0" step="0.5" label="How much" />
          <v-select v-model="draft.amountUnit" label="of" clearable :items="AMOUNT_UNITS" />
        </div>
        <template v-if="others.length > 0">
          <p v-if="wear?.mix" class="quiet">Mixed {{ wear.mix.ratio }} already; choosing again replaces it.</p>
          <div class="two">
            <v-select
              v-model="partner"
              label="Mixed with"
              clearable
              :items="others.map((each) => ({ title: shortName(each), value: each.id }))"
            />
            <v-text-field v-model="ratio" label="Ratio" :disabled="partner === null" />
          </div>
        </template>
        <v-text-field v-model="draft.felt" label="How it felt" placeholder="patchy by noon" />
      </template>
      <div class="acts">
        <v-btn variant="text" @click="emit('close')">Close</v-btn>
        <v-btn type="submit" color="primary">Save for {{ item ? shortName(item) : '' }}</v-btn>
      </div>
    </form>
  </v-dialog>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}
</style>
