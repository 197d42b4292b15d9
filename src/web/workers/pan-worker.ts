import { BARE_PAN_METHOD, measureBarePan, type BarePanFailure } from '#core/measure/bare-pan'
import { maskText } from '#core/measure/mask-text'
import type { Outline, Point } from '#core/measure/outline'
import type { Picture } from '#core/measure/rectified'
import { matchingGain, powderLight, straightened } from '#core/measure/straightened'

/** What the worker is asked, and what it answers: nothing heavy runs where the page is drawn. */
export type PanQuestion =
  | {
      readonly ask: 'measure'
      readonly url: string
      readonly outline: Outline
      readonly powderTaps: readonly Point[]
      readonly metalTaps: readonly Point[]
    }
  | { readonly ask: 'straighten'; readonly photos: readonly StraightenPhoto[] }
export interface StraightenPhoto {
  readonly url: string
  readonly outline: Outline
  readonly powderTaps: readonly Point[]
  readonly degrees: number
}
export type PanAnswer =
  | { readonly code: 'progress'; readonly share: number }
  | {
      readonly code: 'measured'
      readonly bare: number
      readonly doubt: number
      readonly refusal: 'in doubt' | 'tap not clear' | null
      readonly mask: string
      readonly method: string
      readonly ms: number
    }
  | {
      readonly code: 'straightened'
      readonly pictures: readonly ImageBitmap[]
      readonly gain: [number, number, number] | null
    }
  | { readonly code: 'failed'; readonly why: BarePanFailure | 'unreadable' }

async function pictureOf(url: string): Promise<Picture> {
  const blob = await (await fetch(url)).blob()
  const bitmap = await createImageBitmap(blob, { imageOrientation: 'from-image' })
  const canvas = new OffscreenCanvas(bitmap.width, bitmap.height)
  const context = canvas.getContext('2d', { willReadFrequently: true })
  if (!context) throw new Error('no canvas')
  context.drawImage(bitmap, 0, 0)
  const { data, width, height } = context.getImageData(0, 0, bitmap.width, bitmap.height)
  bitmap.close()
  return { width, height, channels: 4, bytes: data }
}

const answer = (each: PanAnswer, transfer: Transferable[] = []): void => {
  ;(self as unknown as { postMessage(message: unknown, transfer: Transferable[]): void }).postMessage(each, transfer)
}

self.onmessage = async ({ data: question }: MessageEvent<PanQuestion>) => {
  try {
    if (question.ask === 'measure') {
      const picture = await pictureOf(question.url)
      const begun = performance.now()
      const found = measureBarePan({ ...question, picture }, (share) => answer({ code: 'progress', share }))
      if (!found.ok) return answer({ code: 'failed', why: found.failure.code })
      const { bare, doubt, refusal, mask } = found.value
      answer({
        code: 'measured',
        bare,
        doubt,
        refusal,
        mask: maskText(mask),
        method: BARE_PAN_METHOD,
        ms: performance.now() - begun,
      })
      return
    }
    const pictures = []
    const lights = []
    for (const photo of question.photos) {
      const picture = await pictureOf(photo.url)
      const found = straightened(picture, photo.outline, photo.degrees)
      if (!found.ok) return answer({ code: 'failed', why: found.failure.code })
      lights.push(powderLight(picture, photo.powderTaps))
      pictures.push(await createImageBitmap(new ImageData(found.value as Uint8ClampedArray<ArrayBuffer>, 512, 512)))
    }
    const [before, after] = lights
    answer({ code: 'straightened', pictures, gain: before && after ? matchingGain(before, after) : null }, pictures)
  } catch {
    answer({ code: 'failed', why: 'unreadable' })
  }
}
