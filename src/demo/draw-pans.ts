import { BARE_PAN_METHOD, measureBarePan } from '#core/measure/bare-pan'
import { leftByReading } from '#core/item/what-is-left'
import { maskText } from '#core/measure/mask-text'
import type { Outline, Point } from '#core/measure/outline'
import { Random } from './random.js'

/** A drawn photo of a pan, as the house keeps photos, with what is read off it. */
export interface PanPicture {
  readonly jpeg: Buffer
  readonly width: number
  readonly height: number
  readonly bare: number
  readonly pan: {
    readonly shape: 'round' | 'rect'
    readonly handles: [[number, number], [number, number], [number, number], [number, number]]
    readonly powderTaps: [number, number][]
    readonly metalTaps: [number, number][]
    readonly mask: string
    readonly method: string
  }
}

const WIDTH = 900
const HEIGHT = 700
const CENTRE = [452, 348] as const
const RADIUS = 268
/** The patch is not quite in the middle, and its rim is uneven: so much more of the pan than its radius says is bare. Measured. */
const UNEVEN = 1.01

/** A blush on a dressing table, seen from above, with so much of it left each time: of a full one, 0..1. */
export async function drawPans(seed: number, lefts: readonly number[]): Promise<PanPicture[]> {
  const { default: sharp } = await import('sharp')
  const pictures: PanPicture[] = []
  for (const [n, left] of lefts.entries()) {
    const bytes = paint(new Random(seed + n), Math.sqrt(bareAt(left) / UNEVEN))
    const jpeg = await sharp(bytes, { raw: { width: WIDTH, height: HEIGHT, channels: 3 } })
      .jpeg({ quality: 86 })
      .toBuffer()
    // Read off what is kept, as the page does.
    const { data } = await sharp(jpeg).raw().toBuffer({ resolveWithObject: true })
    const [cx, cy] = CENTRE
    const handles: PanPicture['pan']['handles'] = [
      [cx, cy - RADIUS],
      [cx + RADIUS, cy],
      [cx, cy + RADIUS],
      [cx - RADIUS, cy],
    ]
    const powderTaps: [number, number][] = [[cx - RADIUS * 0.9, cy - 20]]
    const metalTaps: [number, number][] = [[cx + 20, cy + 10]]
    const found = measureBarePan({
      picture: { width: WIDTH, height: HEIGHT, channels: 3, bytes: data },
      outline: { shape: 'round', handles } satisfies Outline,
      powderTaps: powderTaps as Point[],
      metalTaps: metalTaps as Point[],
    })
    if (!found.ok || found.value.refusal !== null) throw new Error(`The drawn pan ${n} cannot be read`)
    pictures.push({
      jpeg,
      width: WIDTH,
      height: HEIGHT,
      bare: found.value.bare,
      pan: {
        shape: 'round',
        handles,
        powderTaps,
        metalTaps,
        mask: maskText(found.value.mask),
        method: BARE_PAN_METHOD,
      },
    })
  }
  return pictures
}

/** The share of metal that shows where so much is left: what the house reads off a photo, backwards. */
function bareAt(left: number): number {
  let [low, high] = [0, 1]
  for (let step = 0; step < 30; step += 1) {
    const middle = (low + high) / 2
    if (leftByReading({ kind: 'bare', value: middle, stage: null, word: null }) > left) low = middle
    else high = middle
  }
  return low
}

function paint(random: Random, patch: number): Buffer {
  const bytes = Buffer.alloc(WIDTH * HEIGHT * 3)
  const waves = Array.from(
    { length: 5 },
    () => [random.whole(3, 9), random.whole(0, 628) / 100, random.whole(2, 7) / 100] as const,
  )
  const light = (x: number, y: number): number => 1 + 0.1 * ((x - y) / WIDTH)
  for (let y = 0; y < HEIGHT; y++)
    for (let x = 0; x < WIDTH; x++) {
      const [dx, dy] = [x - CENTRE[0], y - CENTRE[1]]
      const r = Math.hypot(dx, dy) / RADIUS
      const angle = Math.atan2(dy - 10, dx - 20)
      const edge = patch * (1 + waves.reduce((sum, [n, phase, size]) => sum + size * Math.sin(n * angle + phase), 0))
      const fromPatch = Math.hypot(dx - 20, dy - 10) / RADIUS
      const grain = random.whole(-5, 5)
      const colour =
        r > 1.34
          ? [206, 203, 196]
          : r > 1.06
            ? [44, 45, 49]
            : r > 1
              ? [188, 191, 196]
              : fromPatch < edge
                ? metal(angle, fromPatch)
                : powder(dx, dy, grain, fromPatch - edge)
      const at = 3 * (y * WIDTH + x)
      for (let channel = 0; channel < 3; channel++)
        bytes[at + channel] = Math.min(255, Math.max(0, (colour[channel] ?? 0) * light(x, y) + grain))
    }
  return bytes
}

function metal(angle: number, r: number): number[] {
  const shine = 14 * Math.cos(2 * angle) + 3 * Math.sin(60 * r)
  return [196 + shine, 199 + shine, 205 + shine]
}

/** Pressed powder: pitted a little, thinner towards the bare patch. */
function powder(dx: number, dy: number, grain: number, off: number): number[] {
  const pits = 5 * Math.sin(dx / 17 + Math.sin(dy / 23)) + 4 * Math.sin(dy / 13)
  const slope = off < 0.06 ? -14 * (1 - off / 0.06) : 0
  return [186 + pits + slope + grain, 92 + pits * 0.7 + slope + grain, 104 + pits * 0.7 + slope + grain]
}
