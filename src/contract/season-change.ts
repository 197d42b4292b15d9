import { type Season, SEASONS } from '#core/item/traits'
import { type Destination, DESTINATIONS } from '#core/decide/verdict'
import type { Day } from '#core/calendar/day'
import { type SeasonChangeChoice, SEASON_CHANGE_CHOICES } from '#core/plan/season-change-choices'
import { z } from 'zod'
import { ChangeId, DayText, Id, NewId } from './basic.js'
import type { ItemSummary } from './item.js'

export const StartSeasonChange = z.strictObject({ changeId: ChangeId, id: NewId, season: z.enum(SEASONS) })
export const ChooseInSeasonChange = z
  .strictObject({
    changeId: ChangeId,
    itemId: Id,
    /** Null takes the choice back. */
    choice: z.enum(SEASON_CHANGE_CHOICES).nullable(),
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
/** Everything that is not chosen yet as the current plan has it. */
export const ChooseAsPlanned = z.strictObject({ changeId: ChangeId })
export const CloseSeasonChange = z.strictObject({ changeId: ChangeId })
/** Gives it up: every choice goes, nothing moves. */
export const DropSeasonChange = z.strictObject({ changeId: ChangeId })

export interface SeasonChangeCandidate {
  item: ItemSummary
  /** Why it is looked at. */
  why: 'in the drawer' | 'asks to come back' | 'on the short list' | 'in the plan' | 'of the season'
  /** Whether the current plan has it in the drawer this month; null where it says nothing of it. */
  planned: boolean | null
  choice: SeasonChangeChoice | null
  until: Day | null
  destination: Destination | null
  /** Put away it would ask to come back on this day; null = it would be over by then. */
  awayUntil: Day | null
  destinations: Destination[]
  /** What it is over by: its date, or a sign. */
  spoiled: boolean
}

export interface LayoutChange {
  day: Day
  lay: ItemSummary[]
  /** In it then and not now, and the other way round. */
  went: string[]
  came: string[]
}

export interface SeasonChangeAnswer {
  today: Day
  season: Season
  seasonChange: { id: string; season: Season; startedOn: Day } | null
  candidates: SeasonChangeCandidate[]
  /** A plan is in force and knows this month. */
  hasPlan: boolean
  /** What was put away and whose date has come. */
  comeBack: ItemSummary[]
  rivalries: { categoryId: string; category: string; items: number; usesEach: number }[]
  perWeek: number
  layouts: Day[]
}
