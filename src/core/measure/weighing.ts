import { fail, ok, type Outcome } from '../failure.js'
import { parseDecimal } from '../quantity/decimal.js'
import { gramsFromOunces, type Grams } from '../quantity/mass-volume.js'

/** Steps of scales that are sold, g. Common practice, no source. */
export const SCALE_STEPS = [0.01, 0.1, 1] as const
export type ScaleStep = (typeof SCALE_STEPS)[number]

export type MassFailure = 'mass-unreadable' | 'mass-is-volume' | 'mass-not-positive' | 'mass-absurd'
/** Nothing on a dressing table weighs more, g. Assumption. */
export const HEAVIEST = 5000

/**
 * A weight as it is typed: `44`, `44,0 g`, `1.55 oz`. Bare numbers are in `unit`. Fluid ounces and millilitres are no mass: a scale
 * does not read them.
 *
 * @example parseMass('1.55 oz', 'g') // ok, 43.94…
 */
export function parseMass(text: string, unit: 'g' | 'oz'): Outcome<Grams, MassFailure> {
  const found = /^\s*([+-]?[\d.,\s]*\d[\d.,]*)\s*([^\d]*)$/.exec(text)
  const number = found ? parseDecimal(found[1] ?? '') : null
  if (!found || number === null) return fail('mass-unreadable', { value: text })
  const said = (found[2] ?? '').toLowerCase().replace(/[.\s]/g, '')
  if (/^(fl|ml|cl|millil|fluid)/.test(said) || said === 'l' || said === 'ozfl')
    return fail('mass-is-volume', { value: text })
  const isOunces = said === '' ? unit === 'oz' : /^(oz|ounces?)$/.test(said)
  const isGrams = said === '' ? unit === 'g' : /^(g|gr|grams?|gramm|grammes?)$/.test(said)
  if (!isOunces && !isGrams) return fail('mass-unreadable', { value: text })
  const grams = isOunces ? gramsFromOunces(number) : (number as Grams)
  if (!(grams > 0)) return fail('mass-not-positive', { value: text })
  if (grams > HEAVIEST) return fail('mass-absurd', { value: text, heaviest: HEAVIEST })
  return ok(grams)
}

/** What makes a weight look wrong, most likely first. */
export type WeighingDoubt =
  | { readonly code: 'looks like ounces'; readonly grams: number }
  | { readonly code: 'ten times too heavy'; readonly grams: number }
  | { readonly code: 'ten times too light'; readonly grams: number }
  | { readonly code: 'above the capacity'; readonly capacity: number }
  | { readonly code: 'lighter than an empty'; readonly empty: number }
  | { readonly code: 'heavier than before'; readonly before: number; readonly by: number }

export interface WeighingKnown {
  /** The last weight of the same series; null for the first. */
  readonly before: { readonly grams: number; readonly resolution: number } | null
  /** An empty of its kind, as finished, with what it may be out by; null where none is known. */
  readonly empty: { readonly grams: number; readonly sd: number } | null
  /** What the scale can carry, g; null where nobody said. */
  readonly capacity: number | null
}

/** Between what share of the weight before another weight still passes for the same item. Assumption. */
const SAME_THING = [0.75, 1.15] as const
const EMPTY_SDS = 3

/** What is odd about a weight by what is known of the item; none when nothing is. */
export function weighingDoubts(grams: number, resolution: number, known: WeighingKnown): WeighingDoubt[] {
  const { before, empty, capacity } = known
  const doubts: WeighingDoubt[] = []
  const wanted = before?.grams ?? null
  const like = (other: number): boolean =>
    wanted !== null && other >= wanted * SAME_THING[0] && other <= wanted * SAME_THING[1]
  const itself = wanted === null || like(grams)
  if (!itself && like(gramsFromOunces(grams))) doubts.push({ code: 'looks like ounces', grams: gramsFromOunces(grams) })
  else if (!itself && like(grams / 10)) doubts.push({ code: 'ten times too heavy', grams: grams / 10 })
  else if (!itself && like(grams * 10)) doubts.push({ code: 'ten times too light', grams: grams * 10 })
  if (capacity !== null && grams > capacity) doubts.push({ code: 'above the capacity', capacity })
  if (empty !== null && grams < empty.grams - EMPTY_SDS * empty.sd - resolution / 2)
    doubts.push({ code: 'lighter than an empty', empty: empty.grams })
  if (before !== null) {
    const by = grams - before.grams
    // Half a step of either weighing is no change.
    if (by > (resolution + before.resolution) / 2 + 1e-9)
      doubts.push({ code: 'heavier than before', before: before.grams, by })
  }
  return doubts
}

/** Grams gone between two weighings of a series, with what they may be out by. */
export function gramsGone(
  before: { readonly grams: number; readonly resolution: number },
  now: { readonly grams: number; readonly resolution: number },
): { readonly grams: number; readonly giveOrTake: number } {
  return { grams: before.grams - now.grams, giveOrTake: (before.resolution + now.resolution) / 2 }
}
