import type { DrawerReason } from '#core/plan/first-drawer'
import type { ReachReason } from '#core/plan/reach-for'
import type { MakeupStep } from '#core/plan/makeup-step'
import type { Day } from '#core/calendar/day'
import { z } from 'zod'
import { AMOUNT_UNITS, HANDS, SKINS, TONES, WEATHERS } from '#core/wear/day-choices'
import { ChangeId, DayText, Id, NewId, Line } from './basic.js'
import type { ListedItem } from './item.js'

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

export const SetLook = z.strictObject({
  changeId: ChangeId,
  day: DayText,
  itemIds: z.array(Id).max(200),
  /** Where its shades, mixes and uses come from: an earlier day, a saved look, or nowhere. */
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
export const SetMix = z.strictObject({
  changeId: ChangeId,
  mixId: NewId,
  day: DayText,
  itemIds: z.array(Id).min(2, 'A mix has at least two items.').max(6),
  ratio: Line(60).min(1, 'Say the ratio, for instance 2 to 1.'),
})
/** A recipe worn again: both of a pair, in its ratio. */
export const WearMixed = z.strictObject({ changeId: ChangeId, mixId: NewId, day: DayText, pairId: Id })
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
export const SaveLook = z.strictObject({
  changeId: ChangeId,
  id: NewId,
  /** The day whose shades and uses it keeps; null = none. */
  day: DayText.nullable().default(null),
  name: Line(80).min(1, 'Give the look a name.'),
  occasion: Line(60),
  itemIds: z.array(Id).min(1, 'A look has at least one item on it.').max(100),
})
export const DropLook = z.strictObject({ changeId: ChangeId })
/** A paper sheet typed in: for each item the days of a stretch on which it was worn. What is there already stays. */
export const TypeInSheet = z.strictObject({
  changeId: ChangeId,
  rows: z
    .array(
      z.strictObject({
        itemId: Id,
        days: z.array(DayText).max(400),
        /** Days that were ticked by mistake. */
        unticked: z.array(DayText).max(400).default([]),
      }),
    )
    .min(1, 'Nothing is ticked yet.')
    .max(700),
  despite: z.boolean().default(false),
})

/** What the user says of a stretch that nobody wrote down. */
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

export interface Worn {
  itemId: string
  partIds: string[]
  usedAs: string | null
  amount: number | null
  amountUnit: (typeof AMOUNT_UNITS)[number] | null
  felt: string | null
  version: number
  mix: { id: string; ratio: string; itemIds: string[] } | null
}

/** Why an item is proposed, in any list. */
export type ReasonView =
  ReachReason | DrawerReason | { code: 'next-in-sweep'; uses: number } | { code: 'planned-in'; month: string }
export interface SuggestionView {
  itemId: string
  step: MakeupStep
  reason: ReachReason
}

export interface DrawerZone {
  id: string
  name: string
  slots: number
  taken: number
  version: number
  itemIds: string[]
}

/** A look of an earlier day that can be put on again, without what has left since. */
export interface EarlierLook {
  like: 'last' | 'weekday' | 'occasion'
  day: Day
  itemIds: string[]
  gone: number
}

export interface SavedLook {
  id: string
  name: string
  occasion: string
  itemIds: string[]
}

export interface TodayAnswer {
  today: Day
  day: Day
  zones: DrawerZone[]
  items: ListedItem[]
  worn: Worn[]
  /** What is on trial and lies outside the drawer: in the drawer until it is decided. */
  onTrial: string[]
  noMakeup: boolean
  conditions: DayView
  /** Occasions the user has told before, the most frequent first. */
  occasions: string[]
  putBack: string[]
  notToday: string[]
  reachFor: SuggestionView[]
  /** Said when no sunscreen in date is in the drawer and none is worn: where one is, or null for nowhere. */
  sunscreen: { elsewhere: ListedItem | null } | null
  earlierLooks: EarlierLook[]
  savedLooks: SavedLook[]
  /** Days that nobody wrote down, to be asked about once. */
  silence: { earliest: Day; latest: Day } | null
  collectionIsEmpty: boolean
}

/** What ticks changed of a day: asked for once they have all arrived, instead of the whole day again. */
export type DayAfterTicks = Pick<
  TodayAnswer,
  'day' | 'worn' | 'noMakeup' | 'items' | 'conditions' | 'putBack' | 'notToday' | 'reachFor' | 'sunscreen'
> & { readonly fronts: Fronts }

export interface DrawerAnswer {
  today: Day
  zones: DrawerZone[]
  items: ListedItem[]
}

export const Place = z.strictObject({
  changeId: ChangeId,
  placementId: NewId,
  itemId: Id,
  zoneId: Id,
  /** It stands beside the drawer: in reach, in no slot. */
  beside: z.boolean().default(false),
})
/** Many items at once, as one change: a drawer to begin with. */
export const LayMany = z.strictObject({
  changeId: ChangeId,
  placements: z
    .array(z.strictObject({ placementId: NewId, itemId: Id, zoneId: Id, beside: z.boolean().default(false) }))
    .min(1, 'Nothing is chosen yet.')
    .max(400),
})
export interface ProposalAnswer {
  today: Day
  zones: DrawerZone[]
  picks: { itemId: string; zoneId: string; reason: DrawerReason }[]
  items: ListedItem[]
}
export const TakeOut = z.strictObject({ changeId: ChangeId, itemId: Id })
export const Reorder = z.strictObject({ changeId: ChangeId, zoneId: Id, itemIds: z.array(Id).max(200) })
export const EditZone = z.strictObject({
  changeId: ChangeId,
  version: z.int(),
  slots: z.int().min(0, 'A zone has 0 slots or more.').max(200),
  name: z.string().trim().min(1, 'A zone needs a name.').max(60),
})

export interface Fronts {
  today: Day
  wornToday: number
  items: number
  /** Projects that are open. */
  projects: number
  /** Open items whose use-by date is within 90 days. */
  spoilSoon: number
  decisionsDue: number
  trials: number
  emptiesThisYear: number
  /** The check-in that is under way. */
  checkIn: { items: number; done: number } | null
}
