import { z } from 'zod'
import { PACKAGE_EVENTS } from '#core/measure/package-events'
import { DayText, Id } from './basic.js'

export const PackageWeightView = z.object({
  id: Id,
  state: z.enum(['full', 'as finished', 'cleaned']),
  grams: z.number(),
  resolution: z.number().nullable(),
  day: DayText,
  itemId: Id.nullable(),
})
export type PackageWeightView = z.infer<typeof PackageWeightView>

export const EventView = z.object({
  id: Id,
  partId: Id.nullable(),
  checkInId: Id.nullable(),
  day: DayText,
  kind: z.enum(PACKAGE_EVENTS),
  grams: z.number().nullable(),
  share: z.number().nullable(),
  /** The mark of what it went into, or the words of the container. */
  into: z.string().nullable(),
  words: z.string(),
})
export type EventView = z.infer<typeof EventView>
