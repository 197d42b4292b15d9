<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { addDays, addMonths } from '#core/calendar/day'
import { MOST_PICKED, PICK_ENDINGS, type PickEnding } from '#core/decide/stash-pick'
import { counted } from '#core/words/counted'
import type { ItemSummary, ListedItem } from '#contract/item'
import { useStash } from '#web/data/reads'
import { useUnits } from '#web/data/units'
import ChoiceRow from '#web/ui/form/ChoiceRow.vue'
import FormTrouble from '#web/ui/form/FormTrouble.vue'
import { useDraft } from '#web/ui/form/use-draft'
import ItemPicker from '#web/ui/ItemPicker.vue'
import { callIt, shortName, twinWords } from '#web/ui/words/item-words'
import { stretchWords } from '#web/ui/words/when-words'
import PlaceHead from '#web/ui/PlaceHead.vue'
import ThingRow from './ThingRow.vue'
import { whyWords } from '#web/ui/words/why-words'
import { rediscoveredWords, stashItemWords } from './stash-words'

/** A few neglected things she likes, in reach for a while instead of buying. */
const { answer } = useStash()
const picking = ref(false)
const draft = useDraft(() => ({
  chosen: [] as string[],
  more: [] as ItemSummary[],
  span: 'a week' as 'a week' | 'a month' | null,
}))
const { typed } = draft
const ending = useDraft(() => ({ endings: {} as Record<string, PickEnding> }))
const today = computed(() => answer.value?.today ?? null)
const now = computed(() => answer.value?.now ?? null)
const named = computed(() => new Map((answer.value?.withItems ?? []).map((item) => [item.id, item])))
const listed = computed(() => [
  ...(answer.value?.proposed ?? []),
  ...typed.value.more.map((item) => ({ item, reasons: [] })),
])
const units = useUnits()
/** What tells those of one name apart. */
const twins = computed(() =>
  twinWords(
    listed.value.map(({ item }) => item),
    units.value,
  ),
)
const FIRST = 4
// The first few of what is proposed are chosen until she says otherwise.
watch(
  answer,
  (there) => {
    if (!draft.isTyped.value)
      draft.begin({ ...typed.value, chosen: (there?.proposed ?? []).slice(0, FIRST).map(({ item }) => item.id) })
  },
  { immediate: true },
)

function toggle(id: string): void {
  const { chosen } = typed.value
  typed.value = { ...typed.value, chosen: chosen.includes(id) ? chosen.filter((each) => each !== id) : [...chosen, id] }
}

function add(item: ListedItem): void {
  picking.value = false
  const { chosen, more } = typed.value
  typed.value = { ...typed.value, chosen: [...chosen, item.id], more: [...more, item as ItemSummary] }
}

async function start(): Promise<void> {
  if (today.value === null) return
  const to = typed.value.span === 'a month' ? addMonths(today.value, 1) : addDays(today.value, 7)
  const items = typed.value.chosen.map((itemId) => ({
    id: draft.id(`item ${itemId}`),
    itemId,
    placementId: draft.id(`place ${itemId}`),
  }))
  if (await draft.store('POST', '/stash', { id: draft.id('pick'), to, items }))
    draft.begin({ chosen: [], more: [], span: 'a week' })
}

async function end(): Promise<void> {
  const pick = now.value
  if (!pick) return
  const endings = pick.items.map(({ item }) => ({
    itemId: item.id,
    ending: ending.typed.value.endings[item.id] ?? 'goes back',
    trialId: ending.id(`trial ${item.id}`),
  }))
  if (await ending.store('POST', `/stash/${pick.id}/end`, { endings })) ending.begin({ endings: {} })
}
</script>

<template>
  <PlaceHead title="Shop my stash" question="What do I already own that I would love to wear?" />
  <template v-if="answer">
    <section v-if="now" aria-label="In the drawer now">
      <h2>In the drawer {{ stretchWords({ earliest: now.from, latest: now.to }, answer.today) }}</h2>
      <p class="quiet small mt-1 mb-2">
        {{
          now.daysLeft > 0
            ? `${counted(now.daysLeft, 'day')} to go. They’re beside the drawer.`
            : 'Time’s up. What happens to each?'
        }}
      </p>
      <div class="sheet two-columns">
        <ThingRow v-for="row in now.items" :key="row.item.id" :item="row.item">
          <p>{{ stashItemWords(row) }}</p>
          <template #acts>
            <ChoiceRow
              :model-value="ending.typed.value.endings[row.item.id] ?? 'goes back'"
              :label="`What becomes of ${shortName(row.item)}`"
              :options="PICK_ENDINGS"
              @update:model-value="(each) => (ending.typed.value.endings[row.item.id] = each ?? 'goes back')"
            />
          </template>
        </ThingRow>
      </div>
      <FormTrouble :refused="ending.refused.value" :out-of-reach="ending.outOfReach.value" />
      <v-btn class="mt-3" color="primary" :loading="ending.busy.value" @click="end">Save</v-btn>
    </section>
    <section v-else aria-label="Suggested">
      <h2>Three to six for a while</h2>
      <p class="quiet small mt-1 mb-2">
        Items you like and haven’t worn for a while: in season, in date, one of a type.
      </p>
      <div v-if="listed.length > 0" class="sheet two-columns">
        <ThingRow v-for="row in listed" :key="row.item.id" :item="row.item" :apart="twins.get(row.item.id)">
          <template #before>
            <label class="pick"
              ><input
                type="checkbox"
                :checked="typed.chosen.includes(row.item.id)"
                :disabled="!typed.chosen.includes(row.item.id) && typed.chosen.length >= MOST_PICKED"
                :aria-label="`Choose ${callIt(row.item)}`"
                @change="toggle(row.item.id)"
            /></label>
          </template>
          <p>{{ row.reasons.map((reason) => whyWords(reason, named, today!)).join(' ') || 'Your own choice.' }}</p>
        </ThingRow>
      </div>
      <p class="small mt-1 mb-2" v-else>
        Nothing you like has gone unworn for long. Choose some yourself, if you like.
      </p>
      <div class="choices align-end my-3 mx-0 ga-3">
        <ChoiceRow v-model="typed.span" label="In the drawer for" :options="['a week', 'a month']" />
        <v-btn variant="outlined" color="primary" :disabled="typed.chosen.length >= MOST_PICKED" @click="picking = true"
          >Add another</v-btn
        >
        <v-btn color="primary" :loading="draft.busy.value" :disabled="typed.chosen.length === 0" @click="start"
          >Put {{ counted(typed.chosen.length, 'item') }} in the drawer</v-btn
        >
      </div>
      <FormTrouble :refused="draft.refused.value" :out-of-reach="draft.outOfReach.value" />
    </section>
    <section v-if="answer.before.length > 0" class="before" aria-label="Before">
      <h2>Rediscovered</h2>
      <ul class="bulleted small prose ps-4">
        <li v-for="pick in answer.before" :key="pick.id">
          <strong class="figures">{{ stretchWords({ earliest: pick.from, latest: pick.closedOn ?? pick.to }) }}</strong>
          {{ rediscoveredWords(pick) }}
        </li>
      </ul>
    </section>
    <ItemPicker
      v-if="picking"
      v-model="picking"
      title="In the drawer"
      action="Choose"
      :exclude="listed.map(({ item }) => item.id)"
      @pick="add"
    />
  </template>
</template>

<style scoped>
.before {
  margin-top: 28px;
}
</style>
