<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import type { ListedItem } from '#contract/item'
import { useHerDay } from '#web/data/her-day'
import { useStock } from '#web/data/stock'
import { useUnits } from '#web/data/units'
import { useTicks } from '#web/data/ticks'
import { lastFocus } from '#web/ui/form/last-focus'
import ItemGauge from '#web/ui/gauge/ItemGauge.vue'
import { useFinding } from '#web/ui/use-finding'
import { callIt, kindAndMaker, matchesWords, shortName, twinWords } from '#web/ui/words/item-words'

/** As many as can be told apart at a glance. */
const SHOWN = 7

const open = defineModel<boolean>({ required: true })
const router = useRouter()
const stock = useStock()
const herDay = useHerDay()
const ticks = useTicks()
const text = ref<string | null>('')
const at = ref(0)
const field = ref<HTMLInputElement | null>(null)
const { words, found: all, gone } = useFinding(text, () => stock.items)
/** What is in the drawer and has the words is most often what is ticked: it comes first. */
const isFirst = (item: ListedItem): boolean => item.placement !== null && matchesWords(item, words.value)
const found = computed(() =>
  words.value === ''
    ? []
    : [
        ...all.value.filter(isFirst),
        ...all.value.filter((item) => !isFirst(item)),
        ...gone.value.map((each) => each.item),
      ].slice(0, SHOWN),
)
const units = useUnits()
const twins = computed(() => twinWords(found.value, units.value))

watch(
  open,
  async (isOpen) => {
    if (!isOpen) {
      await nextTick()
      return lastFocus()?.focus()
    }
    text.value = ''
    at.value = 0
    await nextTick()
    field.value?.focus()
  },
  { immediate: true },
)
const chosen = computed(() => found.value[at.value])
watch(words, () => (at.value = 0))

function told(item: ListedItem): string {
  return [kindAndMaker(item), twins.value.get(item.id), item.endedOn === null ? '' : 'gone'].filter(Boolean).join(', ')
}

/** Worn today from wherever it lies: the second thing this box is for. */
function tick(item: ListedItem | undefined): void {
  if (!item || herDay.today === null || item.endedOn !== null) return
  open.value = false
  ticks.setWorn(item, herDay.today, true)
}

function go(item: ListedItem | undefined): void {
  if (!item) return
  open.value = false
  void router.push(`/items/${item.id}`)
}
</script>

<template>
  <v-dialog v-model="open" max-width="520" aria-label="Find an item">
    <div class="sheet pa-4">
      <label for="jump">Find an item</label>
      <input
        class="w-100 rounded-lg ink mt-2 py-0 px-3"
        id="jump"
        ref="field"
        v-model="text"
        autocomplete="off"
        placeholder="a few letters of brand, name, shade or notes"
        role="combobox"
        aria-haspopup="grid"
        aria-controls="jump-list"
        :aria-expanded="found.length > 0"
        :aria-activedescendant="chosen ? `jump-${chosen.id}` : undefined"
        @keydown.down.prevent="at = Math.min(at + 1, found.length - 1)"
        @keydown.up.prevent="at = Math.max(at - 1, 0)"
        @keydown.enter.exact.prevent="go(chosen)"
        @keydown.enter.shift.prevent="tick(chosen)"
      />
      <ul class="mt-2" id="jump-list" role="grid" aria-label="Items found">
        <li
          class="d-flex align-center"
          v-for="(item, index) in found"
          :id="`jump-${item.id}`"
          :key="item.id"
          role="row"
          :aria-selected="index === at"
        >
          <span role="gridcell" class="found flex-1-1-0 min-w-0">
            <button
              class="d-flex align-center w-100 rounded-lg text-left py-1 px-2 ga-3"
              type="button"
              tabindex="-1"
              :class="{ chosen: index === at }"
              @click="go(item)"
            >
              <ItemGauge :item="item" size="small" />
              <span>
                <strong>{{ shortName(item) }}</strong>
                <span class="quiet kind d-block">{{ told(item) }}</span>
              </span>
            </button>
          </span>
          <span role="gridcell">
            <button
              v-if="item.endedOn === null"
              type="button"
              tabindex="-1"
              class="tick text-act d-flex align-center w-100 rounded-lg text-left py-1 px-2 ga-3"
              :aria-label="`Tick ${callIt(item)} as worn today`"
              @click="tick(item)"
            >
              worn today
            </button>
          </span>
        </li>
      </ul>
      <p v-if="found.length > 0" class="quiet keys small mt-2 mx-1">
        Enter opens it; Shift and Enter tick it as worn today.
      </p>
      <p v-if="words !== '' && found.length === 0" class="quiet">Nothing of that name is in the collection.</p>
    </div>
  </v-dialog>
</template>

<style scoped>
label {
  font: 600 15px var(--display);
}

input {
  height: 48px;
  border: 1px solid var(--line);
  background: var(--tray);
}

li button {
  min-height: 52px;
}

li button.chosen,
li button:hover {
  background: var(--inset);
}

li button.tick {
  width: auto;
  padding: 0 10px;
  min-height: 44px;
}
</style>
