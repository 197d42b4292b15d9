<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { bareGiveOrTake, isRealChange } from '#core/measure/bare-words'
import { MOST_DOUBT } from '#core/measure/bare-pan'
import type { OutlineShape, Point } from '#core/measure/outline'
import ChoiceRow from '#web/ui/form/ChoiceRow.vue'
import PhotoPoints from '#web/ui/reading/PhotoPoints.vue'
import {
  bareOf,
  BRUSH_METHOD,
  emptyMask,
  firstHandles,
  maskPath,
  outlineOf,
  painted,
  rimPath,
  type PanResult,
} from './pan-draft'
import { usePanWorker } from './use-pan-worker'

/** The bare area of a pan off a photo: its rim, a tap on powder, a tap on each bare patch; doubt is said, and the brush is near. */
const props = defineProps<{
  photoId: string
  width: number
  height: number
  /** What was read before, and when, in words. */
  before: { readonly bare: number; readonly words: string } | null
  /** An outline to begin with, for the same pan photographed alike. */
  drawn?: { shape: OutlineShape; handles: readonly Point[] } | null
}>()
const result = defineModel<PanResult | null>({ required: true })
const emit = defineEmits<{ another: [] }>()
type Stage = 'rim' | 'powder' | 'metal' | 'brush'
const STAGES = ['rim', 'powder', 'metal'] as const
const STAGE_WORDS = { rim: '1 The rim', powder: '2 Tap powder', metal: '3 Tap bare metal' } as const
const stage = ref<Stage>('rim')
const shape = ref<OutlineShape>(props.drawn?.shape ?? 'round')
const points = ref<Point[]>(
  props.drawn
    ? props.drawn.handles.map(([x, y]) => [x, y] as Point)
    : firstHandles(shape.value, props.width, props.height),
)
const powder = ref<Point[]>([])
const metal = ref<Point[]>([])
const { progress, ask, cancel } = usePanWorker()
const measured = ref<{ bare: number; doubt: number; refusal: string | null; mask: string; method: string } | null>(null)
const trouble = ref('')
const brushed = ref<string[]>([])
const adding = ref(true)
const typed = ref('')
const src = computed(() => `/api/photos/${props.photoId}`)
const outline = computed(() => outlineOf(shape.value, points.value))
const mask = computed(() => brushed.value.at(-1) ?? measured.value?.mask ?? '')
const shownMask = computed(() => (mask.value === '' ? '' : maskPath(mask.value, outline.value)))
const rim = computed(() => rimPath(outline.value))
const give = computed(() => (result.value ? Math.round(bareGiveOrTake(result.value.bare, result.value.how) * 100) : 0))
const change = computed(() => {
  if (!result.value || !props.before) return ''
  const points_ = Math.round((result.value.bare - props.before.bare) * 100)
  if (!isRealChange(props.before.bare, result.value.bare))
    return 'Up to 2 points could be the photograph: no real change.'
  return points_ > 0
    ? `A real change: ${points_} points more than ${props.before.words}.`
    : `${-points_} points less than ${props.before.words}: the photograph, or a repress?`
})

watch(shape, () => (points.value = firstHandles(shape.value, props.width, props.height)))
watch(
  [points, powder, metal],
  () => {
    measured.value = null
    brushed.value = []
    result.value = null
  },
  { deep: true },
)

function tap(at: Point, atCross: boolean): void {
  if (stage.value === 'brush') {
    // A pointer has painted along its way already.
    if (atCross) stroke(at, true)
    return
  }
  if (stage.value === 'powder') powder.value = [...powder.value, at]
  if (stage.value === 'metal') metal.value = [...metal.value, at]
  if (stage.value === 'powder' && metal.value.length === 0) stage.value = 'metal'
  if (powder.value.length > 0 && metal.value.length > 0) void measure()
}
function stroke(at: Point, first: boolean): void {
  if (stage.value !== 'brush') return
  const next = painted(mask.value === '' ? emptyMask() : mask.value, outline.value, at, adding.value)
  // One stroke is one step back.
  brushed.value = first ? [...brushed.value, next] : [...brushed.value.slice(0, -1), next]
  finishBrush()
}
function finishBrush(): void {
  result.value = { bare: bareOf(mask.value, shape.value), how: 'brush', pan: onPhoto(mask.value, BRUSH_METHOD) }
}
function undoBrush(): void {
  brushed.value = brushed.value.slice(0, -1)
  if (brushed.value.length > 0) finishBrush()
  else result.value = null
}
function brush(): void {
  cancel()
  stage.value = 'brush'
  brushed.value = [mask.value === '' ? emptyMask() : mask.value]
  finishBrush()
}

async function measure(): Promise<void> {
  trouble.value = ''
  result.value = null
  const answer = await ask({
    ask: 'measure',
    url: src.value,
    outline: outline.value,
    powderTaps: powder.value,
    metalTaps: metal.value,
  })
  if (answer.code === 'failed') {
    trouble.value = TROUBLES[answer.why]
    return
  }
  if (answer.code !== 'measured') return
  measured.value = answer
  result.value =
    answer.refusal === null ? { bare: answer.bare, how: 'photo', pan: onPhoto(answer.mask, answer.method) } : null
}
function onPhoto(of: string, method: string) {
  return {
    photoId: props.photoId,
    shape: shape.value,
    handles: points.value,
    powderTaps: powder.value,
    metalTaps: metal.value,
    mask: of,
    method,
  }
}
function noMetal(): void {
  cancel()
  result.value = { bare: 0, how: 'her word', pan: null }
}
function typeIt(): void {
  const percent = Number(typed.value.replace(',', '.'))
  trouble.value = ''
  if (typed.value.trim() === '' || Number.isNaN(percent) || percent < 0 || percent > 100) {
    trouble.value = 'Write the bare share as a number from 0 to 100.'
    return
  }
  result.value = { bare: percent / 100, how: 'typed', pan: null }
}
const TROUBLES = {
  'handles-crossed': 'The points on the rim cross. Set them one after the other, once around.',
  'handles-on-a-line': 'The points on the rim lie on one line. Spread them around it.',
  'taps-missing': 'Tap powder once, and bare metal once.',
  'tap-outside': 'A tap lies outside the rim. Take the taps back and tap within it.',
  unreadable: 'The photo could not be read here. Try another one.',
} as const
const refusalWords = computed(() => {
  const found = measured.value
  if (!found?.refusal) return ''
  return found.refusal === 'in doubt'
    ? `Too much in doubt: ${(found.doubt * 100).toFixed(1)} % of the pan could be either. Up to ${MOST_DOUBT * 100} % is trusted. The brush tells it by hand.`
    : 'Powder and metal look too much alike here. The brush tells them apart by hand.'
})
</script>

<template>
  <div class="pan-reader">
    <div class="photo">
      <div class="stages" role="group" aria-label="What to set">
        <button
          v-for="each in STAGES"
          :key="each"
          type="button"
          class="choice"
          :aria-pressed="stage === each"
          @click="stage = each"
        >
          {{ STAGE_WORDS[each] }}
          <span v-if="each === 'powder' && powder.length > 0"> · {{ powder.length }}</span>
          <span v-if="each === 'metal' && metal.length > 0"> · {{ metal.length }}</span>
        </button>
        <button v-if="stage === 'brush'" type="button" class="choice" aria-pressed="true">Brush</button>
      </div>
      <PhotoPoints
        v-model="points"
        :src="src"
        :width="width"
        :height="height"
        :names="
          shape === 'round' ? ['rim 1', 'rim 2', 'rim 3', 'rim 4'] : ['corner 1', 'corner 2', 'corner 3', 'corner 4']
        "
        :taps="stage !== 'rim'"
        @tap="tap"
        @stroke="stroke"
      >
        <path class="rim under" :d="rim" :stroke-width="width / 220" />
        <path class="rim over" :d="rim" :stroke-width="width / 560" />
        <path v-if="shownMask" class="mask under" :d="shownMask" :stroke-width="width / 130" />
        <path v-if="shownMask" class="mask over" :d="shownMask" :stroke-width="width / 260" />
        <g v-for="(spot, n) in powder" :key="`p${n}`">
          <circle class="tap dark" :cx="spot[0]" :cy="spot[1]" :r="width / 70" :stroke-width="width / 130" />
          <circle class="tap light" :cx="spot[0]" :cy="spot[1]" :r="width / 70" :stroke-width="width / 300" />
        </g>
        <g v-for="(spot, n) in metal" :key="`m${n}`" :transform="`rotate(45 ${spot[0]} ${spot[1]})`">
          <rect
            class="tap dark"
            :x="spot[0] - width / 75"
            :y="spot[1] - width / 75"
            :width="width / 37.5"
            :height="width / 37.5"
            :stroke-width="width / 130"
          />
          <rect
            class="tap light"
            :x="spot[0] - width / 75"
            :y="spot[1] - width / 75"
            :width="width / 37.5"
            :height="width / 37.5"
            :stroke-width="width / 300"
          />
        </g>
      </PhotoPoints>
      <div class="row">
        <ChoiceRow
          v-if="stage === 'rim'"
          v-model="shape"
          label="The pan is"
          :options="['round', 'rect']"
          :words="{ rect: 'square or long' }"
        />
        <template v-if="stage === 'powder' || stage === 'metal'">
          <p class="quiet">
            {{ stage === 'powder' ? 'One tap where there is powder.' : 'One tap on each bare patch.' }}
          </p>
          <v-btn
            v-if="(stage === 'powder' ? powder : metal).length > 0"
            variant="text"
            @click="stage === 'powder' ? (powder = powder.slice(0, -1)) : (metal = metal.slice(0, -1))"
            >Take the last tap back</v-btn
          >
        </template>
        <template v-if="stage === 'brush'">
          <ChoiceRow
            :model-value="adding ? 'metal' : 'powder'"
            label="The brush paints"
            :options="['metal', 'powder']"
            @update:model-value="(to) => (adding = to === 'metal')"
          />
          <v-btn variant="text" :disabled="brushed.length < 2" @click="undoBrush">Take the last stroke back</v-btn>
        </template>
        <v-btn
          v-if="powder.length > 0 && metal.length > 0 && progress === null && stage !== 'brush'"
          variant="outlined"
          color="primary"
          @click="measure"
          >Measure</v-btn
        >
      </div>
    </div>
    <div class="found">
      <div v-if="progress !== null" class="busy" role="status">
        <v-progress-linear :model-value="progress * 100" color="primary" />
        <p>Measuring. <button type="button" class="way" @click="cancel">Stop</button></p>
      </div>
      <template v-else-if="result">
        <p class="huge figures">{{ Math.round(result.bare * 100) }} <small>%</small></p>
        <p>
          <strong>of the pan is bare</strong><template v-if="give > 0">, give or take {{ give }}</template
          ><template v-else>, on your word</template>.
        </p>
        <p v-if="change">{{ change }}</p>
        <p v-else-if="before">Before: {{ before.words }}.</p>
      </template>
      <p v-else-if="!refusalWords" class="quiet">
        {{
          powder.length === 0
            ? 'Set the rim, then tap powder once and bare metal once.'
            : metal.length === 0
              ? 'Now a tap on bare metal.'
              : ''
        }}
      </p>
      <p v-if="measured && measured.refusal === null && result?.how === 'photo'" class="quiet">
        Clear enough: {{ (measured.doubt * 100).toFixed(1) }} % of the pan is in doubt. Above {{ MOST_DOUBT * 100 }} %
        this refuses and hands you the brush.
      </p>
      <p v-if="refusalWords" class="doubt" role="alert">{{ refusalWords }}</p>
      <p v-if="trouble" class="alarm" role="alert">{{ trouble }}</p>
      <div class="always">
        <v-btn variant="outlined" color="primary" @click="brush">Brush by hand</v-btn>
        <v-btn variant="outlined" color="primary" @click="noMetal">No bare metal yet</v-btn>
        <v-btn variant="outlined" color="primary" @click="emit('another')">Another photo</v-btn>
        <form class="typed" @submit.prevent.stop="typeIt">
          <v-text-field v-model="typed" label="or type it, %" inputmode="decimal" />
          <v-btn type="submit" variant="outlined" color="primary">Take it</v-btn>
        </form>
      </div>
    </div>
  </div>
</template>

<style scoped>
.pan-reader {
  display: grid;
  grid-template-columns: minmax(0, 1.5fr) minmax(240px, 1fr);
  gap: 18px;
  align-items: start;
}

.phone .pan-reader {
  grid-template-columns: minmax(0, 1fr);
}

.photo,
.found {
  display: grid;
  gap: 10px;
  min-width: 0;
}

.stages,
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: end;
}

.stages .choice {
  background: var(--raised);
}

.huge {
  font: 680 84px/1 var(--display);
  letter-spacing: -0.03em;
  margin: 0;
}

.huge small {
  font-size: 0.5em;
}

p {
  margin: 0;
}

.rim,
.mask,
.tap {
  fill: none;
}

.mask {
  stroke-linecap: round;
}

.under,
.dark {
  stroke: #000;
  stroke-opacity: 0.7;
}

.over,
.light {
  stroke: #fff;
}

.mask.over {
  stroke: #ffe08a;
}

.doubt {
  border-left: 5px solid var(--attention);
  padding-left: 12px;
}

.alarm {
  color: var(--alarm);
}

.always {
  display: grid;
  gap: 8px;
}

.typed {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 8px;
}

.way {
  color: var(--primary);
  text-decoration: underline;
  min-height: 44px;
}
</style>
