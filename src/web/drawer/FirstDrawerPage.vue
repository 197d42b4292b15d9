<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { counted } from '#core/words/counted'
import type { ListedItem } from '#contract/item'
import { useProposal } from '#web/data/reads'
import EmptyPlace from '#web/ui/EmptyPlace.vue'
import FormTrouble from '#web/ui/form/FormTrouble.vue'
import { useDraft } from '#web/ui/form/use-draft'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import ItemPicker from '#web/ui/ItemPicker.vue'
import PlaceHead from '#web/ui/PlaceHead.vue'
import { callIt, kindAndMaker, shortName } from '#web/ui/words/item-words'
import { whyWords } from '#web/ui/words/why-words'
import { goodTo } from '#web/ui/words/shelf-life-words'

/** A drawer to begin with: proposed from uses, openings, dates, kinds and the season; she strikes, adds, and lays it at once. */
const router = useRouter()
const { answer } = useProposal()
const draft = useDraft(() => ({ chosen: [] as { itemId: string; zoneId: string }[] }))
const { typed } = draft
/** What she put on it herself. */
const added = ref<ListedItem[]>([])
const into = ref<string | null>(null)
const items = computed(() => new Map([...(answer.value?.items ?? []), ...added.value].map((item) => [item.id, item])))
const reasons = computed(() => {
  const { picks = [], today } = answer.value ?? {}
  return new Map(today ? picks.map((pick) => [pick.itemId, whyWords(pick.reason, items.value, today)]) : [])
})

watch(
  answer,
  (proposal) => {
    if (proposal !== null && !draft.isTyped.value)
      draft.begin({ chosen: proposal.picks.map(({ itemId, zoneId }) => ({ itemId, zoneId })) })
  },
  { immediate: true },
)
const zones = computed(() =>
  (answer.value?.zones ?? []).map((zone) => {
    const rows = [
      ...(answer.value?.picks ?? []).filter((pick) => pick.zoneId === zone.id).map((pick) => pick.itemId),
      ...typed.value.chosen
        .filter((each) => each.zoneId === zone.id && !reasons.value.has(each.itemId))
        .map((each) => each.itemId),
    ].flatMap((id) => items.value.get(id) ?? [])
    const taken = rows.filter((item) => isChosen(item.id)).reduce((sum, item) => sum + item.slots, zone.taken)
    return { zone, rows, taken }
  }),
)
const tooFull = computed(() => zones.value.filter(({ zone, taken }) => taken > zone.slots))

function isChosen(itemId: string): boolean {
  return typed.value.chosen.some((each) => each.itemId === itemId)
}

function toggle(itemId: string, zoneId: string): void {
  const { chosen } = typed.value
  typed.value.chosen = isChosen(itemId)
    ? chosen.filter((each) => each.itemId !== itemId)
    : [...chosen, { itemId, zoneId }]
}

function add(item: ListedItem): void {
  const zoneId = into.value
  into.value = null
  if (zoneId === null) return
  added.value = [...added.value, item]
  if (!isChosen(item.id)) toggle(item.id, zoneId)
}

async function store(): Promise<void> {
  const placements = typed.value.chosen.map((each) => ({ placementId: draft.id(each.itemId), ...each }))
  if (await draft.store('POST', '/drawer/lay-many', { placements })) await router.push('/')
}
</script>

<template>
  <PlaceHead
    title="Starter drawer"
    question="What could be in the drawer? Untick what you don’t want, add what is missing."
    :primary="{
      words: `Put ${counted(typed.chosen.length, 'item')} in`,
      act: store,
      disabled: typed.chosen.length === 0 || tooFull.length > 0,
      busy: draft.busy.value,
    }"
    :acts="[{ words: 'Zones and slots', to: '/drawer' }]"
  />
  <FormTrouble :refused="draft.refused.value" :out-of-reach="draft.outOfReach.value" />
  <p v-if="tooFull.length > 0" class="caution">
    More than fits in {{ tooFull.map(({ zone }) => zone.name).join(' and ') }}: untick something, or give it more slots.
  </p>
  <EmptyPlace
    v-if="answer && answer.picks.length === 0 && added.length === 0"
    title="Nothing more to suggest"
    act="To the drawer"
    to="/drawer"
  >
    Everything that’s in date and in season is in the drawer already, or the slots are full.
  </EmptyPlace>
  <div v-else-if="answer" class="zones d-grid align-start ga-3">
    <section v-for="{ zone, rows, taken } in zones" :key="zone.id" class="inset zone py-2 px-3" :aria-label="zone.name">
      <header class="d-flex justify-space-between align-baseline">
        <h2 class="lead">{{ zone.name }}</h2>
        <span class="quiet figures d-block fine">{{ taken }} of {{ zone.slots }} slots</span>
      </header>
      <button
        v-for="item in rows"
        :key="item.id"
        type="button"
        class="row d-flex align-center w-100 rounded-lg text-left mt-1 py-1 px-2 ga-2"
        :class="{ struck: !isChosen(item.id) }"
        :aria-pressed="isChosen(item.id)"
        :aria-label="callIt(item)"
        @click="toggle(item.id, zone.id)"
      >
        <ItemGauge :item="item" size="small" :rail="false" />
        <span class="words flex-1-1-0 min-w-0">
          <strong>{{ shortName(item) }}</strong>
          <span class="quiet d-block fine">{{
            [kindAndMaker(item), goodTo(item, answer.today)].filter(Boolean).join(', ')
          }}</span>
          <span v-if="reasons.get(item.id)">{{ reasons.get(item.id) }}</span>
        </span>
        <span class="mark font-weight-bold text-primary" aria-hidden="true">{{ isChosen(item.id) ? '✓' : '' }}</span>
      </button>
      <v-btn variant="text" :aria-label="`Add something to ${zone.name}`" @click="into = zone.id">Add something</v-btn>
    </section>
  </div>
  <ItemPicker
    v-if="into"
    :model-value="true"
    title="What comes in?"
    action="Add"
    :exclude="[...typed.chosen.map((each) => each.itemId), ...(answer?.zones ?? []).flatMap((zone) => zone.itemIds)]"
    :first="(item: ListedItem) => item.homeZoneId === into && item.lifecycle === 'open'"
    @update:model-value="into = null"
    @pick="add"
  />
</template>

<style scoped>
.zones {
  grid-template-columns: repeat(auto-fill, minmax(300px, 1fr));
}

.row {
  min-height: 52px;
  border: 1px solid var(--hair);
  background: var(--raised);
}

.row.struck {
  background: none;
}

.row.struck strong {
  text-decoration: line-through;
  color: var(--quiet);
}

header .quiet {
  display: inline;
}

.mark {
  width: 22px;
}
</style>
