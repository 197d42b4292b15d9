import { boxCounts, boxSumsOf } from './box-sums.js'
import { LINEAR_OF_BYTE, writeOklab } from './oklab.js'
import { isOnFloor, type OutlineShape, type Point, type Straightening } from './outline.js'

/** Side of the straightened picture in px. */
export const SIDE = 512
/** Radii in px of the two box blurs that take the grain out. Tuned by simulation. */
const BLURS = [2, 1]

/** A picture as a browser or sharp decodes it: bytes of red, green, blue and, with four channels, alpha. */
export interface Picture {
  readonly width: number
  readonly height: number
  readonly channels: 3 | 4
  readonly bytes: Uint8Array | Uint8ClampedArray
}

/** The pan straightened to a square of 512 px: L, a, b in turn for every pixel, and 1 where the floor is. */
export interface Rectified {
  readonly lab: Float32Array
  readonly floor: Uint8Array
  readonly floorPixels: number
}

/** From -1 to 1 across the square, at the middle of a pixel. */
export function place(pixel: number): number {
  return ((pixel + 0.5) / SIDE) * 2 - 1
}

/** The pixel of the square that a place from -1 to 1 falls in. */
export function pixelAt(place: number): number {
  return Math.floor(((place + 1) / 2) * SIDE)
}

export function rectify(picture: Picture, shape: OutlineShape, straightening: Straightening): Rectified {
  const linear = [0, 1, 2].map(() => new Float32Array(SIDE * SIDE)) as [Float32Array, Float32Array, Float32Array]
  const floor = new Uint8Array(SIDE * SIDE)
  let floorPixels = 0
  for (let row = 0; row < SIDE; row++)
    for (let column = 0; column < SIDE; column++) {
      const at = row * SIDE + column
      const x = place(column)
      const y = place(row)
      sample(picture, straightening.toPicture(x, y), linear, at)
      if (isOnFloor(shape, x, y)) {
        floor[at] = 1
        floorPixels += 1
      }
    }
  const [r, g, b] = linear.map(blurred) as [Float32Array, Float32Array, Float32Array]
  const lab = new Float32Array(3 * SIDE * SIDE)
  for (let at = 0; at < SIDE * SIDE; at++) writeOklab(r[at] ?? 0, g[at] ?? 0, b[at] ?? 0, lab, 3 * at)
  return { lab, floor, floorPixels }
}

/** Between the four pixels around a place, in linear light; beyond the edge the edge goes on. */
function sample(
  { width, height, channels, bytes }: Picture,
  [px, py]: Point,
  planes: readonly [Float32Array, Float32Array, Float32Array],
  at: number,
): void {
  const x = Math.min(Math.max(px - 0.5, 0), width - 1)
  const y = Math.min(Math.max(py - 0.5, 0), height - 1)
  const x0 = Math.floor(x)
  const y0 = Math.floor(y)
  const right = x0 + 1 < width ? channels : 0
  const down = y0 + 1 < height ? width * channels : 0
  const first = (y0 * width + x0) * channels
  const fx = x - x0
  const fy = y - y0
  for (let channel = 0; channel < 3; channel++) {
    const corner = first + channel
    const upper = light(bytes, corner) * (1 - fx) + light(bytes, corner + right) * fx
    const lower = light(bytes, corner + down) * (1 - fx) + light(bytes, corner + down + right) * fx
    const plane = planes[channel as 0 | 1 | 2]
    plane[at] = upper * (1 - fy) + lower * fy
  }
}

function light(bytes: Picture['bytes'], at: number): number {
  return LINEAR_OF_BYTE[bytes[at] as number] as number
}

function blurred(plane: Float32Array): Float32Array {
  let current = plane
  for (const radius of BLURS) {
    const counts = boxCounts(null, SIDE, radius)
    current = boxSumsOf(current, SIDE, radius).map((sum, at) => sum / (counts[at] ?? 1))
  }
  return current
}
