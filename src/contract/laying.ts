import { z } from 'zod'
import { DESTINATIONS } from '#core/decide/verdict'
import { LAYING_CHOICES } from '#core/plan/laying-choices'
import { SEASONS } from '#core/item/traits'
import { ChangeId, DayText, Id, NewId } from './basic.js'
import { ItemSummary } from './item.js'

export const StartLaying = z.strictObject({ changeId: ChangeId, id: NewId, season: z.enum(SEASONS) })
export const ChooseInLaying = z
  .strictObject({
    changeId: ChangeId,
    itemId: Id,
    /** Null takes the choice back. */
    choice: z.enum(LAYING_CHOICES).nullable(),
    until: DayText.nullable(),
    /** Where it goes, when it is let go. */
    destination: z.enum(DESTINATIONS).nullable().default(null),
  })
  .refine((body) => (body.choice === 'let go') === (body.destination !== null), {
    path: ['destination'],
    message: 'Say where it goes; the other choices go nowhere.',
  })
  .refine((body) => (body.choice === 'put away') === (body.until !== null), {
    path: ['until'],
    message: 'Say until when it is put away; the other choices have no date.',
  })
/** Everything that is not chosen yet as the plan in force has it. */
export const ChooseAsPlanned = z.strictObject({ changeId: ChangeId })
export const CloseLaying = z.strictObject({ changeId: ChangeId })
/** Gives it up: every choice goes, nothing moves. */
export const DropLaying = z.strictObject({ changeId: ChangeId })

export const LayingCandidate = z.object({
  item: ItemSummary,
  /** Why it is looked at. */
  why: z.enum(['in the drawer', 'asks to come back', 'on the short list', 'in the plan', 'of the season']),
  /** Whether the plan in force has it in the drawer this month; null where it says nothing of it. */
  planned: z.boolean().nullable(),
  choice: z.enum(LAYING_CHOICES).nullable(),
  until: DayText.nullable(),
  destination: z.enum(DESTINATIONS).nullable(),
  /** Put away it would ask to come back on this day; null = it would be over by then. */
  awayUntil: DayText.nullable(),
  /** Where it could go. */
  destinations: z.array(z.enum(DESTINATIONS)),
  /** What it is over by: its date, or a sign. */
  spoiled: z.boolean(),
})
export type LayingCandidate = z.infer<typeof LayingCandidate>

export const LayoutChange = z.object({
  day: DayText,
  lay: z.array(ItemSummary),
  /** In it then and not now, and the other way round. */
  went: z.array(Id),
  came: z.array(Id),
})
export type LayoutChange = z.infer<typeof LayoutChange>

export const LayingAnswer = z.object({
  today: DayText,
  season: z.enum(SEASONS),
  laying: z.object({ id: Id, season: z.enum(SEASONS), startedOn: DayText }).nullable(),
  candidates: z.array(LayingCandidate),
  /** A plan is in force and knows this month. */
  hasPlan: z.boolean(),
  /** What was put away and whose date has come. */
  comeBack: z.array(ItemSummary),
  rivalries: z.array(z.object({ categoryId: Id, category: z.string(), items: z.int(), usesEach: z.number() })),
  perWeek: z.number(),
  /** Days on which the drawer was laid anew, the latest first. */
  layouts: z.array(DayText),
})
export type LayingAnswer = z.infer<typeof LayingAnswer>
