<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Day } from '#core/calendar/day'
import type { DayRange } from '#core/calendar/when'
import type { ListedItem } from '#contract/item'
import { herOrder } from '#web/data/locale'
import { useDevice } from '#web/data/device'
import FormDialog from '#web/ui/form/FormDialog.vue'
import { useDraft } from '#web/ui/form/use-draft'
import { callIt, shortName } from '#web/ui/words/item-words'
import { openedWords } from '#web/ui/words/when-words'
import type { ActResult } from './item-acts'
import LandmarkFields from './LandmarkFields.vue'
import { openingAnswers, typedOpening } from './opening-answers'

/** When a thing was opened, as closely as she knows: a rough answer keeps its range. */
const props = defineProps<{ item: ListedItem; today: Day }>()
const emit = defineEmits<{ close: []; done: [result: ActResult] }>()
const device = useDevice()
const draft = useDraft(() => ({ words: '' }))
const { typed } = draft
const wrong = ref('')
const latest = computed<Day>(() => props.item.firstWorn ?? props.today)
const quick = computed(() => openingAnswers(props.today, latest.value, device.landmark))

async function store(opened: Record<string, unknown>): Promise<void> {
  if (await draft.store('POST', '/openings', { answers: [{ itemId: props.item.id, opened }] })) emit('done', {})
}

function say(range: DayRange, said: string): Promise<void> {
  return store({ kind: 'range', ...range, said })
}

function read(): void {
  const { range, wrong: why } = typedOpening(typed.value.words, herOrder(), props.today)
  wrong.value = why
  if (range !== null) void say(range, typed.value.words)
}
</script>

<template>
  <FormDialog
    :title="`When was ${shortName(item)} opened?`"
    :label="`When ${callIt(item)} was opened`"
    :draft="draft"
    act="Save"
    :ready="typed.words.trim() !== ''"
    @close="emit('close')"
    @store="read"
  >
    <p class="quiet">Now it says: {{ openedWords(item) }}. About is good enough; a year or a season keeps its range.</p>
    <v-text-field
      v-model="typed.words"
      label="As you remember it"
      placeholder="spring 2024"
      :error-messages="wrong ? [wrong] : []"
      @update:model-value="wrong = ''"
    />
    <div class="choices" role="group" aria-label="Or one of these">
      <button v-for="each in quick" :key="each.words" type="button" class="choice" @click="say(each.range, each.said)">
        {{ each.words }}
      </button>
      <button v-if="item.uses === 0" type="button" class="choice" @click="store({ kind: 'unopened' })">
        Not opened yet
      </button>
    </div>
    <LandmarkFields :today="today" />
  </FormDialog>
</template>
