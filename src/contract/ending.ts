import {
  type Destination,
  type Otherwise,
  DESTINATIONS,
  LET_GO_WHY,
  OTHERWISE,
  VERDICTS,
  type Verdict,
} from '#core/decide/verdict'
import type { Felt, Aspect } from '#core/decide/feelings'
import { type EndedBy, BUY_AGAIN, ENDED_BY, PACKAGE_GOES } from '#core/decide/review-choices'
import type { Day } from '#core/calendar/day'
import { z } from 'zod'
import { ChangeId, DayText, Id, NewId, Line } from './basic.js'
import type { ItemSummary } from './item.js'
import { GoalBody } from './projects.js'

const LessonLearned = z
  .strictObject({ id: NewId, words: Line(400).min(1, 'A lesson is a sentence; write at least a word.') })
  .nullable()
  .default(null)
/** What the user thought of it, when the user still remembered. */
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
  /** What takes its place, in words or as an item of the collection. */
  replacedBy: Line(200).default(''),
  replacedById: Id.nullable().default(null),
}
export const FinishItem = z.strictObject({
  changeId: ChangeId,
  reviewId: NewId,
  day: DayText,
  ...ReviewBody,
  lesson: LessonLearned,
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
export const FinishPart = z.strictObject({ changeId: ChangeId, day: DayText })

/** The review of an empty, written or changed later. */
export const PutReview = z.strictObject({
  changeId: ChangeId,
  reviewId: NewId,
  /** Of the review that stands; null where there is none. */
  version: z.int().nullable(),
  ...ReviewBody,
})

export interface EmptyView {
  item: ItemSummary
  day: Day
  reviewId: string | null
  version: number | null
  endedBy: EndedBy | null
  remained: number | null
  did: string
  forWhom: string
  dislikes: string
  againWhy: string
  replacedBy: string
  replacement: { itemId: string; mark: string } | null
  photo: { id: string; words: string } | null
  /** Of a full one's price, for each use. */
  costPerUse: number | null
  /** Against the user's own middle of the category: days in use and cost a use, with how many that is of; null where there are too few. */
  against: { days: number; cost: number | null; of: number } | null
  /** Null = not reviewed: it came finished, with an imported sheet. */
  wouldBuyAgain: (typeof BUY_AGAIN)[number] | null
  words: string
  packageGoes: (typeof PACKAGE_GOES)[number] | null
  /** Days between opening and finishing: both ends when the opening is a range; null when unknown. */
  daysInUse: { least: number; most: number } | null
}

export interface EmptiesAnswer {
  today: Day
  currency: string
  empties: EmptyView[]
}

export const StartTrial = z.strictObject({
  changeId: ChangeId,
  trialId: NewId,
  itemId: Id,
  wearsWanted: z.int().min(1, 'A trial takes at least 1 wear.').max(365),
  dueOn: DayText,
  question: Line(300),
})
export const StartTrials = z.strictObject({
  changeId: ChangeId,
  setId: NewId,
  trials: z
    .array(z.strictObject({ trialId: NewId, itemId: Id }))
    .min(1, 'Choose at least one item.')
    .max(12, 'Up to 12 items in one look.'),
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
    /** The project it is to be used in, with its goal; null = the user sees to it later. */
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

export interface TrialView {
  id: string
  item: ItemSummary
  startedOn: Day
  dueOn: Day
  wearsWanted: number
  question: string
  wears: number
  wearsLeft: number
  daysLeft: number
  decisionDue: boolean
  standing: 'wear it' | 'worn enough' | 'time is up'
  setId: string | null
  otherwise: Otherwise | null
  /** Wear days since it began on which the item was in the drawer. */
  chances: number
  /** What was worn with it, by where it lies in a look: beneath it, or over and beside it. */
  companions: { itemId: string; words: string; days: number; under: boolean }[]
  /** Each wear of the trial, the last first, with how it felt and what was worn under and over it. */
  days: {
    day: Day
    felt: { aspect: Aspect; felt: Felt }[]
    words: string
    under: string[]
    over: string[]
  }[]
  photos: { id: string; day: Day }[]
  before: { day: Day; verdict: Verdict; reason: string }[]
  destinations: Destination[]
}

export interface VerdictView {
  id: string
  item: ItemSummary
  day: Day
  verdict: Verdict
  reason: string
  destination: Destination | null
  until: Day | null
}

export interface DecideAnswer {
  today: Day
  trials: TrialView[]
  verdicts: VerdictView[]
  /** How many verdicts there are in all. */
  verdictsInAll: number
}
