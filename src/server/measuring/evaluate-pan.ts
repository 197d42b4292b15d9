import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { z } from 'zod'
import { measureBarePan } from '#core/measure/bare-pan'

const Spot = z.tuple([z.number(), z.number()])
const Manifest = z.array(
  z.object({
    file: z.string(),
    shape: z.enum(['round', 'rect']),
    handles: z.tuple([Spot, Spot, Spot, Spot]),
    powderTaps: z.array(Spot),
    metalTaps: z.array(Spot),
    bareFraction: z.number(),
  }),
)
/** Out by more than this many points is wrong. */
const WRONG_POINTS = 4
const LONGEST_SIDE = 1600

export interface EvaluatedPans {
  readonly n: number
  readonly accepted: number
  readonly refused: number
  readonly medianPoints: number
  readonly p90Points: number
  readonly maxPoints: number
  readonly wrongAccepted: number
}

/** Measures the photos of a folder with a manifest as the worker does, and holds them against the truth. Taps and handles that
 * make no pan count as refused. */
export async function evaluatePans(folder: string): Promise<EvaluatedPans> {
  const { default: sharp } = await import('sharp')
  const cases = Manifest.parse(JSON.parse(readFileSync(join(folder, 'manifest.json'), 'utf8')))
  const errors: number[] = []
  for (const each of cases) {
    const { data, info } = await sharp(join(folder, each.file))
      .rotate()
      .resize({ width: LONGEST_SIDE, height: LONGEST_SIDE, fit: 'inside', withoutEnlargement: true })
      .removeAlpha()
      .toColourspace('srgb')
      .raw()
      .toBuffer({ resolveWithObject: true })
    const found = measureBarePan({
      picture: { width: info.width, height: info.height, channels: 3, bytes: data },
      outline: { shape: each.shape, handles: each.handles },
      powderTaps: each.powderTaps,
      metalTaps: each.metalTaps,
    })
    if (found.ok && found.value.refusal === null) errors.push(100 * Math.abs(found.value.bare - each.bareFraction))
  }
  errors.sort((a, b) => a - b)
  return {
    n: cases.length,
    accepted: errors.length,
    refused: cases.length - errors.length,
    medianPoints: quantile(errors, 0.5),
    p90Points: quantile(errors, 0.9),
    maxPoints: errors.at(-1) ?? 0,
    wrongAccepted: errors.filter((error) => error > WRONG_POINTS).length,
  }
}

/** Type 7 of Hyndman and Fan 1996, of values ascending; 0 of none. */
function quantile(sorted: readonly number[], p: number): number {
  const at = (sorted.length - 1) * p
  const [low, high] = [sorted[Math.floor(at)] ?? 0, sorted[Math.ceil(at)] ?? 0]
  return low + (at - Math.floor(at)) * (high - low)
}
