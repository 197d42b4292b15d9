import { z } from 'zod'
import { ASPECTS, FELT } from '#core/decide/feelings'
import { DOUBT_OFFERS, LEANINGS } from '#core/decide/doubts'
import { SET_ASIDE } from '#core/decide/set-aside'
import { MOST_PICKED, PICK_ENDINGS } from '#core/decide/stash-pick'
import { DESTINATIONS, LET_GO_WHY } from '#core/decide/verdict'
import { PACKAGE_STATES, SEASONS } from '#core/item/traits'
import { ChangeId, DayText, Id, Line, NewId } from './basic.js'
import { ItemSummary } from './item.js'

/** One fact that makes a thing deserve a decision, as the core says it; things it names are told by their marks. */
const DoubtView = z.discriminatedUnion('code', [
  z.object({ code: z.enum(['reaction', 'sign']), words: z.string(), day: DayText }),
  z.object({ code: z.enum(['past at the eye', 'past']), lastGood: DayText, daysPast: z.int() }),
  z.object({ code: z.literal('soon past'), lastGood: DayText, daysLeft: z.int() }),
  z.object({ code: z.literal('not reached for'), reached: z.int(), chances: z.int(), equalShare: z.number() }),
  z.object({ code: z.literal('unworn'), days: z.int(), everWorn: z.boolean() }),
  z.object({ code: z.literal('put back'), times: z.int() }),
  z.object({ code: z.literal('survived'), clearOuts: z.int() }),
  z.object({ code: z.literal('spoils first'), lastGood: DayText.nullable(), ofCategory: z.int() }),
  z.object({
    code: z.literal('twin'),
    otherId: Id,
    other: z.string(),
    difference: z.number(),
    worn: z.int(),
    otherWorn: z.int(),
    otherLiked: z.boolean(),
  }),
  z.object({ code: z.literal('only mixed'), wears: z.int(), said: z.boolean() }),
  z.object({ code: z.literal('package'), states: z.array(z.enum(PACKAGE_STATES)) }),
  z.object({ code: z.literal('out of season'), seasons: z.array(z.enum(SEASONS)), days: z.int().nullable() }),
])
export type DoubtView = z.infer<typeof DoubtView>

export const DoubtsQuery = z.object({ leaning: z.enum(LEANINGS).optional() })
export const DoubtsAnswer = z.object({
  today: DayText,
  currency: z.string(),
  leaning: z.enum(LEANINGS),
  inDoubt: z.array(z.object({ item: ItemSummary, doubts: z.array(DoubtView), offer: z.enum(DOUBT_OFFERS) })),
  /** How many more there are than are listed. */
  more: z.int(),
})
export type DoubtsAnswer = z.infer<typeof DoubtsAnswer>

const FeltView = z.object({ aspect: z.enum(ASPECTS), felt: z.enum(FELT) })
export type FeltView = z.infer<typeof FeltView>
/** How one wear felt; null takes a tap back. What is not named stays. */
export const SetFeelings = z.strictObject({
  changeId: ChangeId,
  itemId: Id,
  day: DayText,
  felt: z.array(z.strictObject({ aspect: z.enum(ASPECTS), felt: z.enum(FELT).nullable() })).max(ASPECTS.length),
  /** Null = her words stay as they are. */
  words: Line(300).nullable(),
})

export const CompareQuery = z.object({
  items: z
    .string()
    .transform((text) => [...new Set(text.split(',').filter((id) => id !== ''))])
    .pipe(
      z
        .array(Id)
        .min(2, 'Two to six things are compared; choose at least two.')
        .max(6, 'Two to six things are compared; choose at most six.'),
    ),
})
export const CompareAnswer = z.object({
  today: DayText,
  currency: z.string(),
  /** Whether all are worn as the same; across uses a swatch tells less. */
  sameUse: z.boolean(),
  things: z.array(
    z.object({
      item: ItemSummary,
      /** Days worn within the last year, and of its chances. */
      worn: z.int(),
      reached: z.int(),
      chances: z.int(),
      usesLeft: z.number().nullable(),
      /** Minor units a use so far, and if all that is left were used. */
      costSoFar: z.number().nullable(),
      costAtBest: z.number().nullable(),
      felt: z.object({ good: z.int(), 'so-so': z.int(), bad: z.int() }),
      doubts: z.array(DoubtView),
      destinations: z.array(z.enum(DESTINATIONS)),
      /** Its place by evidence, 1 = the one to keep first. */
      place: z.int(),
    }),
  ),
  /** CIEDE2000 of every two that have a swatch. */
  differences: z.array(z.object({ a: Id, b: Id, difference: z.number(), comparable: z.boolean() })),
})
export type CompareAnswer = z.infer<typeof CompareAnswer>

export const SetAsideBody = z
  .strictObject({
    changeId: ChangeId,
    id: NewId,
    /** Null = used like anything else. */
    kind: z.enum(SET_ASIDE).nullable(),
    forDay: DayText.nullable(),
    words: Line(200),
  })
  .refine((body) => body.forDay === null || body.kind === 'special', {
    path: ['forDay'],
    message: 'Only what is kept for occasions is kept for a day.',
  })
export const AsideAnswer = z.object({
  today: DayText,
  currency: z.string(),
  special: z.array(ItemSummary),
  keepsakes: z.array(ItemSummary),
})
export type AsideAnswer = z.infer<typeof AsideAnswer>

const PickReasonView = z.discriminatedUnion('code', [
  z.object({ code: z.literal('neglected'), days: z.int().nullable() }),
  z.object({ code: z.literal('liked'), liking: z.int() }),
  z.object({ code: z.literal('of the season') }),
  z.object({ code: z.literal('good until soon'), days: z.int() }),
  z.object({ code: z.literal('goes with'), otherId: Id, other: z.string() }),
])
export type PickReasonView = z.infer<typeof PickReasonView>

export const StartPick = z.strictObject({
  changeId: ChangeId,
  id: NewId,
  to: DayText,
  items: z
    .array(z.strictObject({ id: NewId, itemId: Id, placementId: NewId }))
    .min(1, 'Choose at least one thing.')
    .max(MOST_PICKED, `Up to ${MOST_PICKED} things; more is a second drawer.`)
    .refine((items) => new Set(items.map((each) => each.itemId)).size === items.length, 'Choose each thing once.'),
})
export const EndPick = z.strictObject({
  changeId: ChangeId,
  endings: z.array(z.strictObject({ itemId: Id, ending: z.enum(PICK_ENDINGS), trialId: NewId })).max(MOST_PICKED),
})
const PickView = z.object({
  id: Id,
  from: DayText,
  to: DayText,
  closedOn: DayText.nullable(),
  daysLeft: z.int(),
  items: z.array(
    z.object({
      item: ItemSummary,
      wears: z.int(),
      felt: z.object({ good: z.int(), 'so-so': z.int(), bad: z.int() }),
      ending: z.enum(PICK_ENDINGS).nullable(),
      /** Days it had not been worn before this began; null = never. */
      unwornBefore: z.int().nullable(),
    }),
  ),
})
export type PickView = z.infer<typeof PickView>
export const StashAnswer = z.object({
  today: DayText,
  now: PickView.nullable(),
  proposed: z.array(z.object({ item: ItemSummary, reasons: z.array(PickReasonView) })),
  before: z.array(PickView),
})
export type StashAnswer = z.infer<typeof StashAnswer>

export const SetHanded = z.strictObject({ changeId: ChangeId, day: DayText.nullable(), toWhom: Line(80) })
export const SetRegret = z.strictObject({ changeId: ChangeId, day: DayText.nullable(), words: Line(300) })
const GoneView = z.object({
  verdictId: Id,
  item: ItemSummary,
  day: DayText,
  destination: z.enum(DESTINATIONS),
  why: z.enum(LET_GO_WHY).nullable(),
  reason: z.string(),
  toWhom: z.string(),
  handedOn: DayText.nullable(),
  regretOn: DayText.nullable(),
  regretWords: z.string(),
  /** Grams that went unused, in the middle; null = not known. */
  grams: z.number().nullable(),
  /** Minor units of its price that went unused. */
  lost: z.number().nullable(),
})
export type GoneView = z.infer<typeof GoneView>
export const LettingGoAnswer = z.object({
  today: DayText,
  currency: z.string(),
  /** To be handed over, and all that has gone. */
  waiting: z.array(GoneView),
  gone: z.array(GoneView),
  reasons: z.array(
    z.object({
      why: z.enum(LET_GO_WHY).nullable(),
      items: z.int(),
      grams: z.number(),
      gramsUnknown: z.int(),
      lost: z.number(),
      unpriced: z.int(),
    }),
  ),
})
export type LettingGoAnswer = z.infer<typeof LettingGoAnswer>

export const SetTarget = z.strictObject({
  changeId: ChangeId,
  id: NewId,
  categoryId: Id,
  items: z.int('How many are to stay, as a whole number.').min(0, 'Not below 0.').max(5000),
  by: DayText,
})
export const DropTarget = z.strictObject({ changeId: ChangeId })
const TargetView = z.object({
  id: Id,
  categoryId: Id,
  category: z.string(),
  items: z.int(),
  by: DayText,
  setOn: DayText,
  now: z.int(),
  then: z.int(),
  tooMany: z.int(),
  daysLeft: z.int(),
  neededPerMonth: z.number().nullable(),
  cameIn: z.int(),
  finished: z.int(),
  letGo: z.int(),
  onTheDay: z.int(),
  standing: z.enum(['met', 'will do', 'not at this pace', 'day has come']),
  months: z.array(z.object({ day: DayText, items: z.int() })),
  /** Years that so many would last; null = not known. */
  years: z.number().nullable(),
  yearsAtTarget: z.number().nullable(),
  /** Those to keep first by evidence, in order. */
  keepFirst: z.array(
    z.object({ item: ItemSummary, worn: z.int(), twin: z.string().nullable(), doubts: z.array(DoubtView) }),
  ),
})
export type TargetView = z.infer<typeof TargetView>
export const TargetsAnswer = z.object({
  today: DayText,
  targets: z.array(TargetView),
  /** Categories without a target, by how many there are. */
  others: z.array(z.object({ categoryId: Id, category: z.string(), items: z.int() })),
})
export type TargetsAnswer = z.infer<typeof TargetsAnswer>

const TogetherView = z.object({
  otherId: Id,
  other: z.string(),
  days: z.int(),
  felt: z.object({ good: z.int(), 'so-so': z.int(), bad: z.int() }),
})
/** What a thing is worn with most, and what its days tell. */
export const TogetherAnswer = z.object({
  learned: z.array(TogetherView.extend({ verdict: z.enum(['works', 'fights']) })),
  most: z.array(TogetherView),
})
export type TogetherAnswer = z.infer<typeof TogetherAnswer>

/** How everything worn on a day felt. */
export const FeelingsAnswer = z.object({ worn: z.array(z.object({ itemId: Id, felt: z.array(FeltView) })) })
export type FeelingsAnswer = z.infer<typeof FeelingsAnswer>
