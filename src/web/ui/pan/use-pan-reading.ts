import { computed, ref, watch, type Ref } from 'vue'
import type { OutlineShape, Point } from '#core/measure/outline'
import { parseDecimal } from '#core/quantity/decimal'
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

/** A photo to be read, and what is known of the pan. */
export interface PanPhoto {
  readonly photoId: string
  readonly width: number
  readonly height: number
  /** An outline to begin with, for the same pan photographed alike. */
  readonly drawn?: { shape: OutlineShape; handles: readonly Point[] } | null | undefined
}
type Stage = 'rim' | 'powder' | 'metal' | 'brush'

const TROUBLES = {
  'handles-crossed': 'The points on the rim cross. Set them one after the other, once around.',
  'handles-on-a-line': 'The points on the rim are on one line. Spread them around it.',
  'taps-missing': 'Tap powder once, and bare metal once.',
  'tap-outside': 'A tap is outside the rim. Undo the taps and tap inside it.',
  unreadable: 'The photo could not be read here. Try another one.',
} as const

/** Reading a pan off a photo: rim, taps, the worker's answer, the brush; whatever is moved makes what was found void. */
export function usePanReading(given: PanPhoto, result: Ref<PanResult | null>) {
  const stage = ref<Stage>('rim')
  const shape = ref<OutlineShape>(given.drawn?.shape ?? 'round')
  const points = ref<Point[]>(
    given.drawn
      ? given.drawn.handles.map(([x, y]) => [x, y] as Point)
      : firstHandles(shape.value, given.width, given.height),
  )
  const powder = ref<Point[]>([])
  const metal = ref<Point[]>([])
  const { progress, ask, cancel } = usePanWorker()
  const measured = ref<{ bare: number; doubt: number; refusal: string | null; mask: string; method: string } | null>(
    null,
  )
  const trouble = ref('')
  const brushed = ref<string[]>([])
  const adding = ref(true)
  const src = computed(() => `/api/photos/${given.photoId}`)
  const outline = computed(() => outlineOf(shape.value, points.value))
  const mask = computed(() => brushed.value.at(-1) ?? measured.value?.mask ?? '')
  const shownMask = computed(() => (mask.value === '' ? '' : maskPath(mask.value, outline.value)))
  const rim = computed(() => rimPath(outline.value))
  watch(shape, () => (points.value = firstHandles(shape.value, given.width, given.height)))
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
      photoId: given.photoId,
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
  function typeIt(words: string): void {
    const percent = parseDecimal(words)
    const fits = percent !== null && percent >= 0 && percent <= 100
    trouble.value = fits ? '' : 'Write the bare share as a number from 0 to 100.'
    if (fits) result.value = { bare: percent / 100, how: 'typed', pan: null }
  }

  return {
    stage,
    shape,
    points,
    powder,
    metal,
    measured,
    trouble,
    brushed,
    adding,
    progress,
    src,
    shownMask,
    rim,
    tap,
    stroke,
    undoBrush,
    brush,
    measure,
    noMetal,
    typeIt,
    cancel,
  }
}
export type PanReading = ReturnType<typeof usePanReading>
