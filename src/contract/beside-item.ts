import { z } from 'zod'
import { DayText, Id } from './basic.js'

/** What stands beside an item: its pairs and its pictures. */

export const PairView = z.object({
  id: Id,
  otherItemId: Id,
  other: z.string(),
  verdict: z.enum(['works', 'fights']),
  /** Of this item and of the other one, whichever of them the pair was recorded at. */
  itemAmount: z.number().nullable(),
  otherAmount: z.number().nullable(),
  amountUnit: z.enum(['pumps', 'drops']).nullable(),
  words: z.string(),
  /** The colour that a mix of the two was aimed at. */
  targetColour: z.string().nullable(),
})
export type PairView = z.infer<typeof PairView>

export const PhotoView = z.object({ id: Id, day: DayText, width: z.int(), height: z.int(), words: z.string() })
export type PhotoView = z.infer<typeof PhotoView>
