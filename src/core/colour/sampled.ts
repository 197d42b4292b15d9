import { formatHex, modeLrgb, modeRgb, useMode } from 'culori/fn'
import { fail, ok, type Outcome } from '../failure.js'

useMode(modeRgb)
const toLinear = useMode(modeLrgb)

/** Pixels as a canvas gives them: red, green, blue and opacity, 0..255, one after the other. */
export type Pixels = ArrayLike<number>

/** From here on a channel is as good as clipped. */
const CLIPPED = 250
/** More of it than this, and what is seen is the lamp. Assumption. */
const MOST_CLIPPED = 0.15
/** A colour is not judged by less than a few pixels. */
const LEAST_PIXELS = 9
/** A neutral spot darker than this (linear) says nothing of the light. Assumption. */
const LEAST_NEUTRAL = 0.02

/**
 * The mean colour of a tapped spot, averaged as light is (linear), as `#rrggbb`. With a spot that is grey or white in truth
 * (`neutral`) its cast is taken off. Fails with `on-highlight` where the spot shines, `neutral-unusable` where the neutral spot is
 * clipped or all but black, and `too-few-pixels`.
 */
export function sampledColour(
  spot: Pixels,
  neutral: Pixels | null = null,
): Outcome<string, 'on-highlight' | 'neutral-unusable' | 'too-few-pixels'> {
  if (spot.length / 4 < LEAST_PIXELS) return fail('too-few-pixels')
  if (clippedShare(spot) > MOST_CLIPPED) return fail('on-highlight')
  const seen = meanOf(spot)
  const cast = neutral === null ? [1, 1, 1] : castOf(neutral)
  if (cast === null) return fail('neutral-unusable')
  const at = (n: 0 | 1 | 2): number => Math.max(0, Math.min(1, seen[n] / (cast[n] ?? 1)))
  return ok(formatHex({ mode: 'lrgb', r: at(0), g: at(1), b: at(2) }))
}

/** What the light does to each channel, beside its brightness. */
function castOf(neutral: Pixels): readonly number[] | null {
  const mean = meanOf(neutral)
  const level = (mean[0] + mean[1] + mean[2]) / 3
  if (clippedShare(neutral) > MOST_CLIPPED || Math.min(...mean) < LEAST_NEUTRAL) return null
  return mean.map((each) => each / level)
}

function clippedShare(pixels: Pixels): number {
  let clipped = 0
  for (let n = 0; n < pixels.length; n += 4)
    if (Math.max(pixels[n] ?? 0, pixels[n + 1] ?? 0, pixels[n + 2] ?? 0) >= CLIPPED) clipped += 1
  return (clipped * 4) / Math.max(4, pixels.length)
}

function meanOf(pixels: Pixels): [number, number, number] {
  const sums: [number, number, number] = [0, 0, 0]
  for (let n = 0; n < pixels.length; n += 4) {
    const { r, g, b } = toLinear({
      mode: 'rgb',
      r: (pixels[n] ?? 0) / 255,
      g: (pixels[n + 1] ?? 0) / 255,
      b: (pixels[n + 2] ?? 0) / 255,
    })
    sums[0] += r
    sums[1] += g
    sums[2] += b
  }
  const count = pixels.length / 4
  return [sums[0] / count, sums[1] / count, sums[2] / count]
}
