import type { LetGoWhy, Destination } from '#core/decide/verdict'
import { type PickEnding, MOST_PICKED, PICK_ENDINGS } from '#core/decide/stash-pick'
import { type Felt, type Aspect, ASPECTS, FELT } from '#core/decide/feelings'
import { type DoubtOffer, type Leaning, LEANINGS } from '#core/decide/doubts'
import type { Season, PackageState } from '#core/item/traits'
import type { Day } from '#core/calendar/day'
import { z } from 'zod'
import { SET_ASIDE } from '#core/decide/set-aside'
import { ChangeId, DayText, Id, Line, NewId } from './basic.js'
import type { ItemSummary, ListedItem } from './item.js'
import type { ReasonView } from './today.js'

/** One fact that makes an item deserve a decision, as the core says it; items it names are told by their marks. */
export type DoubtView =
  | { code: 'reaction' | 'sign'; words: string; day: Day }
  | { code: 'past at the eye' | 'past'; lastGood: Day; daysPast: number }
  | { code: 'soon past'; lastGood: Day; daysLeft: number }
  | { code: 'not reached for'; reached: number; chances: number; equalShare: number }
  | { code: 'unworn'; days: number; everWorn: boolean }
  | { code: 'put back'; times: number }
  | { code: 'survived'; clearOuts: number }
  | { code: 'spoils first'; lastGood: Day | null; ofCategory: number }
  | {
      code: 'twin'
      otherId: string
      other: string
      difference: number
      worn: number
      otherWorn: number
      otherLiked: boolean
    }
  | { code: 'only mixed'; wears: number; said: boolean }
  | { code: 'package'; states: PackageState[] }
  | { code: 'out of season'; seasons: Season[]; days: number | null }

export const DoubtsQuery = z.object({ leaning: z.enum(LEANINGS).optional() })
export interface DoubtsAnswer {
  today: Day
  currency: string
  leaning: Leaning
  inDoubt: { item: ItemSummary; doubts: DoubtView[]; offer: DoubtOffer }[]
  more: number
}

export interface FeltView {
  aspect: Aspect
  felt: Felt
}
/** How one wear felt; null takes a tap back. What is not named stays. */
export const SetFeelings = z.strictObject({
  changeId: ChangeId,
  itemId: Id,
  day: DayText,
  felt: z.array(z.strictObject({ aspect: z.enum(ASPECTS), felt: z.enum(FELT).nullable() })).max(ASPECTS.length),
  /** Null = the user's words stay as they are. */
  words: Line(300).nullable(),
})

export const CompareQuery = z.object({
  items: z
    .string()
    .transform((text) => [...new Set(text.split(',').filter((id) => id !== ''))])
    .pipe(
      z
        .array(Id)
        .min(2, 'Two to six items are compared; choose at least two.')
        .max(6, 'Two to six items are compared; choose at most six.'),
    ),
})
export interface CompareAnswer {
  today: Day
  currency: string
  /** Whether all are worn as the same; across uses a swatch tells less. */
  sameUse: boolean
  things: {
    item: ItemSummary
    /** Days worn within the last year, and of its chances. */
    worn: number
    reached: number
    chances: number
    usesLeft: number | null
    /** Minor units a use so far, and if all that is left were used. */
    costSoFar: number | null
    costAtBest: number | null
    felt: { good: number; 'so-so': number; bad: number }
    doubts: DoubtView[]
    destinations: Destination[]
    /** Its place by evidence, 1 = the one to keep first. */
    place: number
  }[]
  /** CIEDE2000 of every two that have a swatch. */
  differences: { a: string; b: string; difference: number; comparable: boolean }[]
}

export const SetAsideBody = z
  .strictObject({
    changeId: ChangeId,
    id: NewId,
    kind: z.enum(SET_ASIDE).nullable(),
    forDay: DayText.nullable(),
    words: Line(200),
  })
  .refine((body) => body.forDay === null || body.kind === 'special', {
    path: ['forDay'],
    message: 'Only what is kept for occasions is kept for a day.',
  })
export interface AsideAnswer {
  today: Day
  currency: string
  special: ItemSummary[]
  keepsakes: ItemSummary[]
}

export const StartPick = z.strictObject({
  changeId: ChangeId,
  id: NewId,
  to: DayText,
  items: z
    .array(z.strictObject({ id: NewId, itemId: Id, placementId: NewId }))
    .min(1, 'Choose at least one item.')
    .max(MOST_PICKED, `Up to ${MOST_PICKED} items; more is a second drawer.`)
    .refine((items) => new Set(items.map((each) => each.itemId)).size === items.length, 'Choose each item once.'),
})
export const EndPick = z.strictObject({
  changeId: ChangeId,
  endings: z.array(z.strictObject({ itemId: Id, ending: z.enum(PICK_ENDINGS), trialId: NewId })).max(MOST_PICKED),
})
export interface PickView {
  id: string
  from: Day
  to: Day
  closedOn: Day | null
  daysLeft: number
  items: {
    item: ItemSummary
    wears: number
    felt: { good: number; 'so-so': number; bad: number }
    ending: PickEnding | null
    /** Days it had not been worn before this began; null = never. */
    unwornBefore: number | null
  }[]
}
export interface StashAnswer {
  today: Day
  now: PickView | null
  /** `withItems`: what its reasons name beside it. */
  proposed: { item: ItemSummary; reasons: ReasonView[] }[]
  withItems: ListedItem[]
  before: PickView[]
}

export const SetHanded = z.strictObject({ changeId: ChangeId, day: DayText.nullable(), toWhom: Line(80) })
export const SetRegret = z.strictObject({ changeId: ChangeId, day: DayText.nullable(), words: Line(300) })
export interface GoneView {
  verdictId: string
  item: ItemSummary
  day: Day
  destination: Destination
  why: LetGoWhy | null
  reason: string
  toWhom: string
  handedOn: Day | null
  regretOn: Day | null
  regretWords: string
  /** Grams that went unused, in the middle; null = not known. */
  grams: number | null
  /** Minor units of its price that went unused. */
  lost: number | null
}
export interface LettingGoAnswer {
  today: Day
  currency: string
  /** To be handed over, and all that has gone. */
  waiting: GoneView[]
  gone: GoneView[]
  reasons: {
    why: LetGoWhy | null
    items: number
    grams: number
    gramsUnknown: number
    lost: number
    unpriced: number
  }[]
}

export const SetTarget = z.strictObject({
  changeId: ChangeId,
  id: NewId,
  categoryId: Id,
  items: z.int('How many are to stay, as a whole number.').min(0, 'Not below 0.').max(5000),
  by: DayText,
})
export const DropTarget = z.strictObject({ changeId: ChangeId })
export interface TargetView {
  id: string
  categoryId: string
  category: string
  items: number
  by: Day
  setOn: Day
  now: number
  then: number
  tooMany: number
  daysLeft: number
  neededPerMonth: number | null
  cameIn: number
  finished: number
  letGo: number
  onTheDay: number
  standing: 'met' | 'will do' | 'not at this pace' | 'day has come'
  months: { day: Day; items: number }[]
  /** Years that so many would last; null = not known. */
  years: number | null
  yearsAtTarget: number | null
  /** Those to keep first by evidence, in order. */
  keepFirst: { item: ItemSummary; worn: number; twin: string | null; doubts: DoubtView[] }[]
}
export interface TargetsAnswer {
  today: Day
  targets: TargetView[]
  /** Categories without a target, by how many there are. */
  others: { categoryId: string; category: string; items: number }[]
}

export interface TogetherView {
  otherId: string
  other: string
  days: number
  felt: { good: number; 'so-so': number; bad: number }
}
export interface TogetherAnswer {
  learned: (TogetherView & { verdict: 'works' | 'fights' })[]
  most: TogetherView[]
}

export interface FeelingsAnswer {
  worn: { itemId: string; felt: FeltView[] }[]
}
