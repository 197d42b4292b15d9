import { z } from 'zod'
import { Id } from './basic.js'
import { ListedItem } from './item.js'

/** What has left the collection, and what was thought of it. */
export const GoneItem = z.object({
  item: ListedItem,
  endedAs: z.string(),
  verdict: z.object({ verdict: z.string(), destination: z.string().nullable(), reason: z.string() }).nullable(),
  review: z.object({ wouldBuyAgain: z.string().nullable(), words: z.string() }).nullable(),
})
export type GoneItem = z.infer<typeof GoneItem>

export const FindAnswer = z.object({
  /** Of what is there, the closest first. */
  ids: z.array(Id),
  gone: z.array(GoneItem),
})
export type FindAnswer = z.infer<typeof FindAnswer>
