import { z } from 'zod'
import { FACE_STEPS } from '#core/plan/face-step'
import { SEASONS } from '#core/item/traits'
import { REACH_REASONS } from '#core/plan/first-drawer'
import { AMOUNT_UNITS, HANDS, SKINS, TONES, WEATHERS } from '#core/wear/day-choices'
import { ChangeId, DayText, Id, NewId, Line } from './basic.js'
import { ListedItem } from './item.js'

export const SetWorn = z.strictObject({
  changeId: ChangeId,
  itemId: Id,
  day: DayText,
  worn: z.boolean(),
  /** The shades worn; empty = some shade. Only for an item that has shades. */
  partIds: z.array(Id).max(80).default([]),
  /** Asked and answered: also before it came, or after it left. */
  despite: z.boolean().default(false),
})

/** Everything worn on a day, as one act: *same as last*, or a saved face. */
export const SetFace = z.strictObject({
  changeId: ChangeId,
  day: DayText,
  itemIds: z.array(Id).max(200),
  /** Where its shades, mixes and uses come from: an earlier day, a saved face, or nowhere. */
  like: z
    .discriminatedUnion('kind', [
      z.strictObject({ kind: z.literal('day'), day: DayText }),
      z.strictObject({ kind: z.literal('face'), id: Id }),
    ])
    .nullable()
    .default(null),
  words: Line(120).default(''),
})

export const SetNoMakeup = z.strictObject({ changeId: ChangeId, day: DayText, noMakeup: z.boolean() })

/** How one thing was worn that day. */
export const SetWearDetails = z
  .strictObject({
    changeId: ChangeId,
    itemId: Id,
    day: DayText,
    usedAs: Id.nullable(),
    amount: z.number().positive('An amount is above 0.').max(100).nullable(),
    amountUnit: z.enum(AMOUNT_UNITS).nullable(),
    felt: Line(300),
    /** Of the wear as the page knew it. */
    version: z.int(),
  })
  .refine((body) => (body.amount === null) === (body.amountUnit === null), {
    path: ['amount'],
    message: 'Say the amount with its unit, or neither.',
  })
/** Two things mixed that day, with their ratio as she says it. */
export const SetMix = z.strictObject({
  changeId: ChangeId,
  mixId: NewId,
  day: DayText,
  itemIds: z.array(Id).min(2, 'A mix has at least two things.').max(6),
  ratio: Line(60).min(1, 'Say the ratio, for instance 2 to 1.'),
})
/** A recipe worn again: both of a pair, in its ratio. */
export const WearMixed = z.strictObject({ changeId: ChangeId, mixId: NewId, day: DayText, pairId: Id })
/** How a day is. */
export const DayView = z.strictObject({
  skin: z.enum(SKINS).nullable(),
  clothes: z.enum(TONES).nullable(),
  minutes: z.int().min(1).max(600).nullable(),
  occasion: Line(60).nullable(),
  hands: z.enum(HANDS).nullable(),
  weather: z.enum(WEATHERS).nullable(),
  note: Line(2000).nullable(),
})
export type DayView = z.infer<typeof DayView>
/** What changed of it, and what stood there before: what another window wrote meanwhile is not written over unseen. */
export const SetDay = z
  .strictObject({ changeId: ChangeId, day: DayText, set: DayView.partial(), was: DayView.partial() })
  .refine(({ set, was }) => Object.keys(set).every((field) => field in was), {
    path: ['was'],
    message: 'Say of each what stood there before.',
  })
export const SetPutBack = z.strictObject({ changeId: ChangeId, itemId: Id, day: DayText, putBack: z.boolean() })
export const SetNotToday = z.strictObject({ changeId: ChangeId, itemId: Id, day: DayText, notToday: z.boolean() })
export const SaveFace = z.strictObject({
  changeId: ChangeId,
  id: NewId,
  /** The day whose shades and uses it keeps; null = none. */
  day: DayText.nullable().default(null),
  name: Line(80).min(1, 'Give the face a name.'),
  occasion: Line(60),
  itemIds: z.array(Id).min(1, 'A face has at least one thing on it.').max(100),
})
export const DropFace = z.strictObject({ changeId: ChangeId })
/** A paper sheet typed in: for each item the days of a stretch on which it was worn. What is there already stays. */
export const TypeInSheet = z.strictObject({
  changeId: ChangeId,
  rows: z
    .array(z.strictObject({ itemId: Id, days: z.array(DayText).max(400) }))
    .min(1, 'Nothing is ticked yet.')
    .max(700),
  despite: z.boolean().default(false),
})

/** What she says of a stretch that nobody wrote down. */
export const SayOfSilence = z
  .strictObject({
    changeId: ChangeId,
    id: NewId,
    earliest: DayText,
    latest: DayText,
    said: z.enum(['no makeup', 'not written down']),
  })
  .refine((body) => body.earliest <= body.latest, {
    path: ['latest'],
    message: 'The last day must not be before the first.',
  })

export const Worn = z.object({
  itemId: Id,
  partIds: z.array(Id),
  usedAs: Id.nullable(),
  amount: z.number().nullable(),
  amountUnit: z.enum(AMOUNT_UNITS).nullable(),
  felt: z.string().nullable(),
  version: z.int(),
  mix: z.object({ id: Id, ratio: z.string(), itemIds: z.array(Id) }).nullable(),
})
export type Worn = z.infer<typeof Worn>

const ReachReasonView = z.discriminatedUnion('code', [
  z.object({ code: z.literal('behind'), uses: z.int(), project: z.string() }),
  z.object({ code: z.literal('out-of-reach'), usesLeft: z.int().nullable(), project: z.string() }),
  z.object({ code: z.literal('spoils-soonest'), day: DayText, daysLeft: z.int() }),
  z.object({ code: z.literal('nearly-done'), usesLeft: z.int().nullable(), left: z.number().nullable() }),
  z.object({ code: z.literal('planned'), planned: z.int(), worn: z.int() }),
  z.object({ code: z.literal('in-project'), usesLeft: z.int().nullable(), project: z.string() }),
  z.object({ code: z.literal('unworn-longest'), days: z.int(), everWorn: z.boolean() }),
  z.object({ code: z.literal('less-far-along'), thanItemId: Id }),
  z.object({ code: z.literal('like-your-clothes'), tone: z.string() }),
  z.object({ code: z.literal('for-the-season'), season: z.enum(SEASONS) }),
  z.object({ code: z.literal('for-the-occasion'), occasion: z.string() }),
  z.object({ code: z.literal('goes-with'), withItemId: Id }),
  z.object({ code: z.literal('in-date-sunscreen') }),
])
export const SuggestionView = z.object({ itemId: Id, step: z.enum(FACE_STEPS), reason: ReachReasonView })
export type SuggestionView = z.infer<typeof SuggestionView>

export const DrawerZone = z.object({
  id: Id,
  name: z.string(),
  slots: z.int(),
  taken: z.int(),
  version: z.int(),
  itemIds: z.array(Id),
})
export type DrawerZone = z.infer<typeof DrawerZone>

/** A face of an earlier day that can be put on again, without what has left since. */
export const EarlierFace = z.object({
  like: z.enum(['last', 'weekday', 'occasion']),
  day: DayText,
  itemIds: z.array(Id),
  gone: z.int(),
})
export type EarlierFace = z.infer<typeof EarlierFace>

export const SavedFace = z.object({ id: Id, name: z.string(), occasion: z.string(), itemIds: z.array(Id) })
export type SavedFace = z.infer<typeof SavedFace>

export const TodayAnswer = z.object({
  today: DayText,
  day: DayText,
  zones: z.array(DrawerZone),
  /** Everything in the drawer and everything worn that day. */
  items: z.array(ListedItem),
  worn: z.array(Worn),
  /** What is on trial and lies outside the drawer: within reach until it is decided. */
  onTrial: z.array(Id),
  noMakeup: z.boolean(),
  conditions: DayView,
  /** Occasions she has told before, the most frequent first. */
  occasions: z.array(z.string()),
  putBack: z.array(Id),
  notToday: z.array(Id),
  reachFor: z.array(SuggestionView),
  /** Said when no sunscreen in date lies in the drawer and none is worn: where one is, or null for nowhere. */
  sunscreen: z.object({ elsewhere: ListedItem.nullable() }).nullable(),
  earlierFaces: z.array(EarlierFace),
  savedFaces: z.array(SavedFace),
  /** Days that nobody wrote down, to be asked about once. */
  silence: z.object({ earliest: DayText, latest: DayText }).nullable(),
  collectionIsEmpty: z.boolean(),
})
export type TodayAnswer = z.infer<typeof TodayAnswer>

/** What ticks changed of a day: asked for once they have all arrived, instead of the whole day again. */
export const DayAfterTicks = TodayAnswer.pick({
  day: true,
  worn: true,
  noMakeup: true,
  items: true,
  conditions: true,
  putBack: true,
  notToday: true,
  reachFor: true,
  sunscreen: true,
})
export type DayAfterTicks = z.infer<typeof DayAfterTicks> & { readonly fronts: Fronts }

export const DrawerAnswer = z.object({ today: DayText, zones: z.array(DrawerZone), items: z.array(ListedItem) })
export type DrawerAnswer = z.infer<typeof DrawerAnswer>

export const Place = z.strictObject({
  changeId: ChangeId,
  placementId: NewId,
  itemId: Id,
  zoneId: Id,
  /** It stands beside the drawer: in reach, in no slot. */
  beside: z.boolean().default(false),
})
/** Many things at once, as one change: a drawer to begin with. */
export const LayMany = z.strictObject({
  changeId: ChangeId,
  placements: z
    .array(z.strictObject({ placementId: NewId, itemId: Id, zoneId: Id, beside: z.boolean().default(false) }))
    .min(1, 'Nothing is chosen yet.')
    .max(400),
})
/** What could lie within reach to begin with, by zone, each with what speaks for it. */
export const ProposalAnswer = z.object({
  today: DayText,
  zones: z.array(DrawerZone),
  picks: z.array(z.object({ itemId: Id, zoneId: Id, reason: z.enum(REACH_REASONS) })),
  items: z.array(ListedItem),
})
export type ProposalAnswer = z.infer<typeof ProposalAnswer>
export const TakeOut = z.strictObject({ changeId: ChangeId, itemId: Id })
export const Reorder = z.strictObject({ changeId: ChangeId, zoneId: Id, itemIds: z.array(Id).max(200) })
export const EditZone = z.strictObject({
  changeId: ChangeId,
  version: z.int(),
  slots: z.int().min(0, 'A zone has 0 slots or more.').max(200),
  name: z.string().trim().min(1, 'A zone needs a name.').max(60),
})

/** The live figure on each front of the chest. */
export const Fronts = z.object({
  today: DayText,
  wornToday: z.int(),
  items: z.int(),
  /** Projects that are open, and things on the go in them. */
  projects: z.int(),
  inProjects: z.int(),
  spoilSoon: z.int(),
  decisionsDue: z.int(),
  trials: z.int(),
  emptiesThisYear: z.int(),
  /** How many of her guesses are kept. */
  guesses: z.int(),
  /** The check-in that is under way, and when the last one was closed. */
  checkIn: z.object({ items: z.int(), done: z.int() }).nullable(),
  lastCheckIn: DayText.nullable(),
})
export type Fronts = z.infer<typeof Fronts>
