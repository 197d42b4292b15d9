import { z } from 'zod'
import { ChangeId, DayText, Id } from './basic.js'
import { ItemSummary } from './item.js'

export const SetWorn = z.strictObject({
  changeId: ChangeId,
  itemId: Id,
  day: DayText,
  worn: z.boolean(),
  /** The shades worn; empty = some shade. Only for an item that has shades. */
  partIds: z.array(Id).max(80).default([]),
})

/** Everything worn on a day, as one act: *same as last*. */
export const SetFace = z.strictObject({
  changeId: ChangeId,
  day: DayText,
  itemIds: z.array(Id).max(200),
})

export const SetNoMakeup = z.strictObject({ changeId: ChangeId, day: DayText, noMakeup: z.boolean() })

export const Worn = z.object({ itemId: Id, partIds: z.array(Id) })

export const SuggestionView = z.discriminatedUnion('reason', [
  z.object({ itemId: Id, reason: z.literal('spoils-soonest'), day: DayText, daysLeft: z.int() }),
  z.object({ itemId: Id, reason: z.literal('nearly-done'), usesLeft: z.int().nullable(), left: z.number().nullable() }),
  z.object({ itemId: Id, reason: z.literal('unworn-longest'), days: z.int(), everWorn: z.boolean() }),
])
export type SuggestionView = z.infer<typeof SuggestionView>

export const DrawerZone = z.object({
  id: Id,
  name: z.string(),
  slots: z.int(),
  taken: z.int(),
  itemIds: z.array(Id),
})
export type DrawerZone = z.infer<typeof DrawerZone>

export const TodayAnswer = z.object({
  today: DayText,
  day: DayText,
  zones: z.array(DrawerZone),
  /** Everything in the drawer and everything worn that day. */
  items: z.array(ItemSummary),
  worn: z.array(Worn),
  noMakeup: z.boolean(),
  reachFor: z.array(SuggestionView),
  /** The last day before this one with a face; null when there was none. */
  lastFace: z.object({ day: DayText, itemIds: z.array(Id), gone: z.int() }).nullable(),
  collectionIsEmpty: z.boolean(),
})
export type TodayAnswer = z.infer<typeof TodayAnswer>

export const Place = z.strictObject({ changeId: ChangeId, placementId: Id, itemId: Id, zoneId: Id })
export const TakeOut = z.strictObject({ changeId: ChangeId, itemId: Id })
export const Reorder = z.strictObject({ changeId: ChangeId, zoneId: Id, itemIds: z.array(Id).max(200) })
export const EditZone = z.strictObject({
  changeId: ChangeId,
  slots: z.int().min(0, 'A zone has 0 slots or more.').max(200),
  name: z.string().trim().min(1, 'A zone needs a name.').max(60),
})

/** The live figure on each front of the chest. */
export const Fronts = z.object({
  today: DayText,
  wornToday: z.int(),
  items: z.int(),
  inProjects: z.int(),
  spoilSoon: z.int(),
  decisionsDue: z.int(),
  trials: z.int(),
  emptiesThisYear: z.int(),
})
export type Fronts = z.infer<typeof Fronts>
