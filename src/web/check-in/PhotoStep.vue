<script setup lang="ts">
import { computed, ref } from 'vue'
import { PAN_STAGES, type PanStage } from '#core/item/form'
import { parseDecimal } from '#core/quantity/decimal'
import type { SheetItem } from '#contract/check-in'
import type { ItemAnswer, ListedItem } from '#contract/item'
import NumberField from '#web/ui/form/NumberField.vue'
import { dateWords } from '#web/data/locale'
import ChoiceRow from '#web/ui/form/ChoiceRow.vue'
import FileDrop from '#web/ui/form/FileDrop.vue'
import PanReader from '#web/ui/pan/PanReader.vue'
import { handlesOn, type PanResult } from '#web/ui/pan/pan-draft'
import { usePhoto } from '#web/ui/pan/use-photo'
import { readingWords } from '#web/ui/words/measure-words'

/** From above, in the same light: the bare area off a photo, or what the pan shows by eye. */
const props = defineProps<{
  item: ListedItem
  answer: ItemAnswer | null
  line: SheetItem | null
  today: string
  /** What was read so far, by shade. */
  results: Readonly<Record<string, PanResult>>
}>()
const result = defineModel<PanResult | null>({ required: true })
const partId = defineModel<string | null>('part', { required: true })
const stage = defineModel<PanStage | null>('stage', { required: true })
const { busy, add } = usePhoto()
const photoId = ref<string | null>(null)
const photo = computed(() => props.answer?.photos.find((each) => each.id === photoId.value) ?? null)
const todays = computed(() => (props.answer?.photos ?? []).filter((each) => each.day === props.today))
const own = computed(() =>
  (props.answer?.readings ?? []).filter(
    (each) => each.partId === partId.value && each.kind !== 'gross' && !each.doubtful,
  ),
)
const lastPan = computed(() => own.value.findLast((each) => each.pan !== null)?.pan ?? null)
/** The rim as it was drawn last, where that photo had the same proportions. */
const drawn = computed(() => {
  const from = props.answer?.photos.find((each) => each.id === lastPan.value?.photoId)
  if (!lastPan.value || !from || !photo.value || shades.value.length > 0) return null
  const handles = handlesOn(lastPan.value.handles, from, photo.value)
  return handles && { shape: lastPan.value.shape, handles }
})
const before = computed(() => {
  const last = own.value.findLast((each) => each.kind === 'bare')
  return last
    ? { bare: last.value ?? 0, words: `${Math.round((last.value ?? 0) * 100)} % on ${dateWords(last.day)}` }
    : null
})
const last = computed(() => {
  const reading = own.value.at(-1)
  if (!reading || reading.kind === 'gross') return 'Never measured before.'
  const { kind, value, stage: at, word } = reading
  return `Last: ${readingWords({ kind, value, stage: at, word })}, ${dateWords(reading.day)}.`
})
const shades = computed(() => props.item.parts.filter((part) => part.finishedOn === null && part.depottedOn === null))
const read = computed(() => shades.value.filter((part) => props.results[part.id] !== undefined))

async function take(file: File): Promise<void> {
  const sent = await add(props.item.id, props.today, file)
  if (sent) photoId.value = sent.photoId
}
const typed = ref('')
const wrong = ref<string[]>([])
function noMetal(): void {
  typed.value = ''
  result.value = { bare: 0, how: 'her word', pan: null }
}
function typeIt(words: string): void {
  const percent = parseDecimal(words)
  const fits = percent !== null && percent >= 0 && percent <= 100
  wrong.value = words.trim() === '' || fits ? [] : ['A number from 0 to 100.']
  result.value = fits ? { bare: percent / 100, how: 'typed', pan: null } : null
}
function another(): void {
  photoId.value = null
  result.value = null
}
</script>

<template>
  <section class="inset d-grid py-3 px-4 ga-3">
    <p class="quiet">{{ last }}</p>
    <ChoiceRow
      v-if="shades.length > 0"
      v-model="partId"
      label="Which shade"
      :options="shades.map((part) => part.id)"
      :words="Object.fromEntries(shades.map((part) => [part.id, part.name]))"
    />
    <p v-if="read.length > 0" class="figures" role="status">
      Read off:
      {{ read.map((part) => `${part.name} ${Math.round((results[part.id]?.bare ?? 0) * 100)} % bare`).join(', ') }}.
      <template v-if="photo && read.length < shades.length">Choose the next shade; the photo stays.</template>
    </p>
    <PanReader
      v-if="photo"
      :key="`${photo.id} ${partId ?? ''}`"
      v-model="result"
      :photo-id="photo.id"
      :width="photo.width"
      :height="photo.height"
      :before="before"
      :drawn="drawn"
      @another="another"
    />
    <template v-else>
      <FileDrop
        :label="busy ? 'Saving…' : 'A photo from above, no flash, the whole rim in it'"
        accept="image/*"
        button="Choose a photo"
        :disabled="busy"
        @file="take"
      />
      <p v-if="todays.length > 0" class="todays d-flex flex-wrap align-center ga-2">
        Taken today:
        <button
          v-for="each in todays"
          :key="each.id"
          type="button"
          :aria-label="`The photo of ${dateWords(each.day)}`"
          @click="photoId = each.id"
        >
          <img class="d-block rounded-lg" :src="`/api/photos/${each.id}/small`" alt="" />
        </button>
      </p>
      <ChoiceRow
        v-if="shades.length === 0"
        v-model="stage"
        label="or by eye: how much pan is showing"
        :options="PAN_STAGES"
        again
      />
      <div class="other d-grid align-start ga-2">
        <v-btn variant="outlined" color="primary" :aria-pressed="result?.how === 'her word'" @click="noMetal"
          >No pan showing yet</v-btn
        >
        <NumberField text v-model="typed" label="or bare, %" :error-messages="wrong" @update:model-value="typeIt" />
      </div>
      <p v-if="result" class="figures">
        <strong>{{ Math.round(result.bare * 100) }} % bare</strong>,
        {{ result.how === 'her word' ? 'as you said' : 'give or take 3' }}.
      </p>
    </template>
  </section>
</template>

<style scoped>
.other {
  grid-template-columns: auto minmax(140px, 220px);
}

.todays img {
  height: 72px;
}
</style>
