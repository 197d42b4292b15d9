import { z } from 'zod'
import { ASPECTS, FELT } from '#core/decide/feelings'
import { BUY_AGAIN, ENDED_BY, PACKAGE_GOES } from '#core/decide/review-choices'
import { DESTINATIONS, LET_GO_WHY, OTHERWISE, VERDICTS } from '#core/decide/verdict'
import { ChangeId, DayText, Id, NewId, Line } from './basic.js'
import { ItemSummary } from './item.js'
import { GoalBody } from './projects.js'

/** What she learned from it, kept with it. */
const LessonLearned = z
  .strictObject({ id: NewId, words: Line(400).min(1, 'A lesson is a sentence; write at least a word.') })
  .nullable()
  .default(null)
/** What she thought of it, when she still remembered. */
const ReviewBody = {
  wouldBuyAgain: z.enum(BUY_AGAIN),
  words: Line(2000),
  packageGoes: z.enum(PACKAGE_GOES).nullable(),
  endedBy: z.enum(ENDED_BY).nullable().default(null),
  /** Of a full one, what remained in it; null = not said. */
  remained: z.number().min(0).max(1, 'Between 0 and 100 %.').nullable().default(null),
  did: Line(500).default(''),
  forWhom: Line(300).default(''),
  dislikes: Line(500).default(''),
  againWhy: Line(300).default(''),
  /** What takes its place, in words or as a thing of the collection. */
  replacedBy: Line(200).default(''),
  replacedById: Id.nullable().default(null),
}
export const FinishItem = z.strictObject({
  changeId: ChangeId,
  reviewId: NewId,
  day: DayText,
  ...ReviewBody,
  lesson: LessonLearned,
  /** What the empty package weighs: asked for once, known of its kind from then on. */
  empty: z
    .strictObject({
      id: NewId,
      state: z.enum(['as finished', 'cleaned']),
      grams: z.number().positive('A weight is above 0 g.').max(5000),
      resolution: z.number().positive().max(10),
    })
    .nullable()
    .default(null),
})
/** One shade of it is used up; with the last one the thing is. */
export const FinishPart = z.strictObject({ changeId: ChangeId, day: DayText })

/** The review of an empty, written or changed later. */
export const PutReview = z.strictObject({
  changeId: ChangeId,
  reviewId: NewId,
  /** Of the review that stands; null where there is none. */
  version: z.int().nullable(),
  ...ReviewBody,
})

export const EmptyView = z.object({
  item: ItemSummary,
  day: DayText,
  reviewId: Id.nullable(),
  version: z.int().nullable(),
  endedBy: z.enum(ENDED_BY).nullable(),
  remained: z.number().nullable(),
  did: z.string(),
  forWhom: z.string(),
  dislikes: z.string(),
  againWhy: z.string(),
  replacedBy: z.string(),
  replacement: z.object({ itemId: Id, mark: z.string() }).nullable(),
  photo: z.object({ id: Id, words: z.string() }).nullable(),
  /** Of a full one's price, for each use. */
  costPerUse: z.number().nullable(),
  /** Against her own middle of the category: days in use and cost a use, with how many that is of; null where there are too few. */
  against: z.object({ days: z.number(), cost: z.number().nullable(), of: z.int() }).nullable(),
  /** Null = not reviewed: it came finished, with an imported sheet. */
  wouldBuyAgain: z.enum(BUY_AGAIN).nullable(),
  words: z.string(),
  packageGoes: z.enum(PACKAGE_GOES).nullable(),
  /** Days between opening and finishing: both ends when the opening is a range; null when unknown. */
  daysInUse: z.object({ least: z.int(), most: z.int() }).nullable(),
})
export type EmptyView = z.infer<typeof EmptyView>

export const EmptiesAnswer = z.object({ today: DayText, currency: z.string(), empties: z.array(EmptyView) })
export type EmptiesAnswer = z.infer<typeof EmptiesAnswer>

export const StartTrial = z.strictObject({
  changeId: ChangeId,
  trialId: NewId,
  itemId: Id,
  wearsWanted: z.int().min(1, 'A trial takes at least 1 wear.').max(365),
  dueOn: DayText,
  question: Line(300),
})
/** Several in one face: each has its own wears and its own verdict. */
export const StartTrials = z.strictObject({
  changeId: ChangeId,
  setId: NewId,
  trials: z
    .array(z.strictObject({ trialId: NewId, itemId: Id }))
    .min(1, 'Choose at least one thing.')
    .max(12, 'Up to 12 things in one face.'),
  wearsWanted: z.int().min(1, 'A trial takes at least 1 wear.').max(365),
  dueOn: DayText,
  question: Line(300),
})

export const GiveVerdict = z
  .strictObject({
    changeId: ChangeId,
    verdictId: NewId,
    itemId: Id,
    trialId: Id.nullable(),
    verdict: z.enum(VERDICTS),
    reason: Line(1000),
    destination: z.enum(DESTINATIONS).nullable(),
    until: DayText.nullable(),
    usedAs: Id.nullable(),
    why: z.enum(LET_GO_WHY).nullable().default(null),
    toWhom: Line(80).default(''),
    lesson: LessonLearned,
    /** The project it is to be used in, with its goal; null = she sees to it later. */
    into: z.strictObject({ projectId: Id, stayId: NewId, goal: GoalBody }).nullable().default(null),
    /** The trial that follows, under other conditions. */
    again: z
      .strictObject({
        trialId: NewId,
        otherwise: z.enum(OTHERWISE),
        wearsWanted: z.int().min(1, 'A trial takes at least 1 wear.').max(365),
        dueOn: DayText,
        question: Line(300),
      })
      .nullable()
      .default(null),
  })
  .superRefine((body, context) => {
    const need = (field: 'destination' | 'until' | 'usedAs', verdict: string, message: string): void => {
      const there = body[field] !== null
      if ((body.verdict === verdict) === there) return
      context.addIssue({ code: 'custom', path: [field], message: there ? `Only with "${verdict}".` : message })
    }
    need('destination', 'let go', 'Say where it goes.')
    need('until', 'rest until a date', 'Say until when it rests.')
    need('usedAs', 'use up as something else', 'Say what it is used up as.')
    const only = (field: 'into' | 'again' | 'why', verdict: string): void => {
      if (body[field] !== null && body.verdict !== verdict)
        context.addIssue({ code: 'custom', path: [field], message: `Only with "${verdict}".` })
    }
    only('into', 'keep and use')
    only('again', 'once more, otherwise')
    only('why', 'let go')
  })

export const TrialView = z.object({
  id: Id,
  item: ItemSummary,
  startedOn: DayText,
  dueOn: DayText,
  wearsWanted: z.int(),
  question: z.string(),
  wears: z.int(),
  wearsLeft: z.int(),
  daysLeft: z.int(),
  decisionDue: z.boolean(),
  standing: z.enum(['wear it', 'worn enough', 'time is up']),
  /** Those held in one face have one. */
  setId: Id.nullable(),
  otherwise: z.enum(OTHERWISE).nullable(),
  /** Wear days since it began on which the item was in the drawer. */
  chances: z.int(),
  /** What was worn with it, by where it lies in a face: beneath it, or over and beside it. */
  companions: z.array(z.object({ itemId: Id, words: z.string(), days: z.int(), under: z.boolean() })),
  /** Each wear of the trial, the last first, with how it felt and what was worn under and over it. */
  days: z.array(
    z.object({
      day: DayText,
      felt: z.array(z.object({ aspect: z.enum(ASPECTS), felt: z.enum(FELT) })),
      words: z.string(),
      under: z.array(z.string()),
      over: z.array(z.string()),
    }),
  ),
  photos: z.array(z.object({ id: Id, day: DayText })),
  /** Verdicts given on it before, the last first. */
  before: z.array(z.object({ day: DayText, verdict: z.enum(VERDICTS), reason: z.string() })),
  destinations: z.array(z.enum(DESTINATIONS)),
})
export type TrialView = z.infer<typeof TrialView>

export const VerdictView = z.object({
  id: Id,
  item: ItemSummary,
  day: DayText,
  verdict: z.enum(VERDICTS),
  reason: z.string(),
  destination: z.enum(DESTINATIONS).nullable(),
  until: DayText.nullable(),
})
export type VerdictView = z.infer<typeof VerdictView>

export const DecideAnswer = z.object({
  today: DayText,
  trials: z.array(TrialView),
  verdicts: z.array(VerdictView),
  /** How many verdicts there are in all. */
  verdictsInAll: z.int(),
})
export type DecideAnswer = z.infer<typeof DecideAnswer>
