import { formatHex, modeLrgb, modeRgb, parseHex, useMode } from 'culori/fn'
import { differenceOf, labOf } from './difference.js'

useMode(modeRgb)
const toLinear = useMode(modeLrgb)

/** Below this a channel absorbs everything and nothing could be mixed with it; it is under half a step of eight bits. */
const LEAST_REFLECTANCE = 1e-4
/** No more pumps or drops than a face takes. Assumption. */
const MOST_PARTS = 6

/** How two bases make a target. */
export interface Mix {
  /** Pumps or drops of the first and of the second. */
  readonly parts: readonly [number, number]
  /** What comes out, `#rrggbb`. */
  readonly colour: string
  /** CIEDE2000 to the target. */
  readonly difference: number
}

/**
 * What two swatches make when mixed, `share` (0..1) of the second: single-constant Kubelka-Munk, K/S = (1-R)^2 / 2R mixed linearly by
 * amount, for each linear RGB channel. An approximation: paint is measured by wavelength, a swatch has three numbers.
 */
export function mixed(first: string, second: string, share: number): string {
  const [a, b] = [first, second].map((swatch) => toLinear(parseHex(swatch)))
  if (a === undefined || b === undefined) throw new Error(`not swatches: ${first}, ${second}`)
  const channel = (of: 'r' | 'g' | 'b'): number =>
    reflectanceOf((1 - share) * absorptionOf(a[of]) + share * absorptionOf(b[of]))
  return formatHex({ mode: 'lrgb', r: channel('r'), g: channel('g'), b: channel('b') })
}

/** The ratio in whole pumps or drops that comes nearest to a target: where to begin; what worked on skin wins. */
export function mixTowards(first: string, second: string, target: string): Mix {
  const wanted = labOf(target)
  const tried: Mix[] = []
  for (let a = 0; a <= MOST_PARTS; a += 1)
    for (let b = 0; b <= MOST_PARTS - a; b += 1) {
      if (a + b === 0 || divisor(a, b) > 1) continue
      const colour = mixed(first, second, b / (a + b))
      tried.push({ parts: [a, b], colour, difference: differenceOf(labOf(colour), wanted) })
    }
  const [best] = tried.sort(
    (one, other) =>
      one.difference - other.difference || sum(one.parts) - sum(other.parts) || one.parts[1] - other.parts[1],
  )
  return best as Mix
}

function absorptionOf(reflectance: number): number {
  const r = Math.max(LEAST_REFLECTANCE, Math.min(1, reflectance))
  return (1 - r) ** 2 / (2 * r)
}

function reflectanceOf(absorption: number): number {
  return 1 + absorption - Math.sqrt(absorption ** 2 + 2 * absorption)
}

function divisor(a: number, b: number): number {
  return b === 0 ? a : divisor(b, a % b)
}

function sum([a, b]: readonly [number, number]): number {
  return a + b
}
