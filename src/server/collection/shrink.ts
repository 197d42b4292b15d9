import { fail, ok, type Outcome } from '../failing.js'

/** Longest side of a kept picture, px: enough to see a pan's edge, small enough to keep hundreds. Assumption. */
const LONGEST_SIDE = 1600
const JPEG_QUALITY = 82
const THUMB_SIDE = 320
/** More pixels than any camera takes; JPEGs are shrunk while they are read. Assumption. */
const MOST_PIXELS = 300_000_000

export interface ShrunkPhoto {
  readonly jpeg: Buffer
  readonly width: number
  readonly height: number
}

/** What cameras and browsers make, by sharp's names. A drawing (SVG) is a program of a kind, and is not run. */
const KINDS: readonly (string | undefined)[] = ['jpeg', 'png', 'webp', 'heif', 'gif']

/** One picture at a time: decoding takes memory by the pixel. */
let before: Promise<unknown> = Promise.resolve()
function inTurn<T>(act: () => Promise<T>): Promise<T> {
  const mine = before.then(act, act)
  before = mine.catch(() => undefined)
  return mine
}

/**
 * Re-encodes a picture: turned upright, shrunk, as JPEG, without any of its metadata (the place it was taken at above all). Fails
 * where the bytes are none, break off, or hold more pixels than are read.
 */
export function shrink(bytes: Buffer): Promise<Outcome<ShrunkPhoto>> {
  return inTurn(async () => {
    try {
      // Loaded when the first picture comes: the server starts sooner without it.
      const { default: sharp } = await import('sharp')
      // sharp leaves metadata out unless it is asked to keep it.
      const read = sharp(bytes, { limitInputPixels: MOST_PIXELS, sequentialRead: true })
      const { format } = await read.metadata()
      if (!KINDS.includes(format)) return fail('not-a-picture')
      const { data, info } = await read
        .autoOrient()
        .resize({ width: LONGEST_SIDE, height: LONGEST_SIDE, fit: 'inside', withoutEnlargement: true })
        .flatten({ background: '#dfe2e5' })
        .toColourspace('srgb')
        .jpeg({ quality: JPEG_QUALITY })
        .toBuffer({ resolveWithObject: true })
      return ok({ jpeg: data, width: info.width, height: info.height })
    } catch (error) {
      const why = error instanceof Error ? error.message : ''
      if (/pixel limit/i.test(why)) return fail('picture-too-large')
      // In the words of the decoders of JPEG, PNG and WebP.
      if (/premature end|truncated|unexpected end|end of stream|libspng|unable to read/i.test(why))
        return fail('picture-broken')
      return fail('not-a-picture')
    }
  })
}

export function thumbOf(jpeg: Buffer): Promise<Buffer> {
  return inTurn(async () => {
    const { default: sharp } = await import('sharp')
    return sharp(jpeg)
      .resize({ width: THUMB_SIDE, height: THUMB_SIDE, fit: 'inside', withoutEnlargement: true })
      .jpeg({ quality: 76 })
      .toBuffer()
  })
}
