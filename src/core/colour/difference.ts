import { differenceCiede2000, modeLab65, modeLrgb, modeRgb, modeXyz65, parseHex, useMode } from 'culori/fn'
import type { Finish } from '../item/traits.js'

useMode(modeRgb)
useMode(modeLrgb)
useMode(modeXyz65)
const toLab = useMode(modeLab65)
const ciede2000 = differenceCiede2000()

/** A colour in CIELAB under D65. */
export interface Lab {
  readonly mode: 'lab65'
  readonly l: number
  readonly a: number
  readonly b: number
}

/** A swatch as `#rrggbb` in CIELAB. Throws on anything else: swatches are checked at the door. */
export function labOf(swatch: string): Lab {
  const lab = toLab(parseHex(swatch))
  if (lab === undefined) throw new Error(`not a swatch: ${swatch}`)
  return { mode: 'lab65', l: lab.l, a: lab.a, b: lab.b }
}

/** CIEDE2000 of two colours (Sharma, Wu and Dalal 2005), by culori. */
export function differenceOf(a: Lab, b: Lab): number {
  return ciede2000(a, b)
}

/** Words for how near two swatches are. Bounds: assumption. A swatch on a screen is itself uncertain. */
export const NEARNESS = [
  ['hard to tell apart', 2],
  ['near twins', 5],
  ['same family', 10],
] as const
export type Nearness = (typeof NEARNESS)[number][0] | 'apart'
export const TWIN_BELOW = 5

/**
 * How near two swatches are by their CIEDE2000.
 *
 * @example nearnessOf(1.9) // 'hard to tell apart'
 */
export function nearnessOf(difference: number): Nearness {
  return NEARNESS.find(([, below]) => difference < below)?.[0] ?? 'apart'
}

/** Lightness weighs at most this little: S_L is at most 1.75 (at L 0 or 100), and what hue and chroma add is never below 0. */
const MOST_LIGHTNESS_WEIGHT = 1.75

/** Whether they cannot be twins by their lightness alone: spares most pairs of a large collection the whole sum. */
export function tooFarInLightness(a: Lab, b: Lab): boolean {
  return Math.abs(a.l - b.l) > TWIN_BELOW * MOST_LIGHTNESS_WEIGHT
}

const FINISH_GROUPS: readonly (readonly Finish[])[] = [['matte', 'satin'], ['shimmer', 'metallic'], ['sheer']]

/** Whether two finishes can be compared by colour; one that nobody recorded can be any. */
export function comparableFinish(a: Finish | null, b: Finish | null): boolean {
  return a === null || b === null || FINISH_GROUPS.some((group) => group.includes(a) && group.includes(b))
}
