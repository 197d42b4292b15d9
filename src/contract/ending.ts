import { z } from 'zod'
import { BUY_AGAIN, PACKAGE_GOES } from '#core/decide/review-choices'
import { DESTINATIONS, VERDICTS } from '#core/decide/verdict'
import { ChangeId, DayText, Id, NewId, Line } from './basic.js'
import { ItemSummary } from './item.js'

export const FinishItem = z.strictObject({
  changeId: ChangeId,
  reviewId: NewId,
  day: DayText,
  wouldBuyAgain: z.enum(BUY_AGAIN),
  words: Line(2000),
  packageGoes: z.enum(PACKAGE_GOES).nullable(),
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

export const EmptyView = z.object({
  item: ItemSummary,
  day: DayText,
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
  /** Wear days since it began on which the item was in the drawer. */
  chances: z.int(),
  companions: z.array(z.object({ itemId: Id, words: z.string(), days: z.int() })),
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
  /** Items that a decision may be overdue for, each with why. */
  doubtful: z.array(
    z.object({ item: ItemSummary, daysUnworn: z.int().nullable(), everWorn: z.boolean(), putBack: z.int() }),
  ),
})
export type DecideAnswer = z.infer<typeof DecideAnswer>
