import { LINEAR_OF_BYTE } from './oklab.js'
import { straighten, type Outline, type OutlineFailure, type Point } from './outline.js'
import { place, SIDE, type Picture } from './rectified.js'
import { ok, type Outcome } from '../failure.js'

/** Gains by which two photos are made alike to look at never go beyond this: what differs more is another light. */
const GAIN_RANGE = [0.67, 1.5] as const
/** Half the window about a tap whose colour is compared, px of the square. */
const PATCH = 8

/** A pan straightened to a square of 512 px for looking at: RGBA bytes. Measuring always takes the original colours. */
export function straightened(
  picture: Picture,
  outline: Outline,
  degrees: number,
): Outcome<Uint8ClampedArray, OutlineFailure> {
  const found = straighten(outline)
  if (!found.ok) return found
  const bytes = new Uint8ClampedArray(4 * SIDE * SIDE)
  const [cos, sin] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)]
  for (let row = 0; row < SIDE; row++)
    for (let column = 0; column < SIDE; column++) {
      const [x, y] = [place(column), place(row)]
      const [px, py] = found.value.toPicture(cos * x + sin * y, cos * y - sin * x)
      const at = 4 * (row * SIDE + column)
      const from =
        (Math.min(Math.max(Math.floor(py), 0), picture.height - 1) * picture.width +
          Math.min(Math.max(Math.floor(px), 0), picture.width - 1)) *
        picture.channels
      for (let channel = 0; channel < 3; channel++) bytes[at + channel] = picture.bytes[from + channel] ?? 0
      bytes[at + 3] = 255
    }
  return ok(bytes)
}

/** Mean linear light about the first powder tap, by channel; null where there is none. */
export function powderLight(picture: Picture, taps: readonly Point[]): [number, number, number] | null {
  const [tap] = taps
  if (tap === undefined) return null
  const sums: [number, number, number] = [0, 0, 0]
  let n = 0
  for (let y = Math.floor(tap[1]) - PATCH; y <= tap[1] + PATCH; y++)
    for (let x = Math.floor(tap[0]) - PATCH; x <= tap[0] + PATCH; x++) {
      if (x < 0 || y < 0 || x >= picture.width || y >= picture.height) continue
      const from = (y * picture.width + x) * picture.channels
      for (let channel = 0; channel < 3; channel++)
        sums[channel as 0 | 1 | 2] += LINEAR_OF_BYTE[picture.bytes[from + channel] ?? 0] ?? 0
      n += 1
    }
  return n === 0 ? null : [sums[0] / n, sums[1] / n, sums[2] / n]
}

/** The gain by channel that makes the powder of one photo look as in the other. */
export function matchingGain(
  from: readonly [number, number, number],
  to: readonly [number, number, number],
): [number, number, number] {
  return [0, 1, 2].map((channel) => {
    const gain = (to[channel as 0 | 1 | 2] || 1e-6) / (from[channel as 0 | 1 | 2] || 1e-6)
    // Light to signal: the gain of sRGB's curve, near enough for looking at.
    return Math.min(GAIN_RANGE[1], Math.max(GAIN_RANGE[0], gain ** (1 / 2.2)))
  }) as [number, number, number]
}
