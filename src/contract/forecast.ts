import { type ForecastReason, type Role, ROLES } from '#core/forecast/role'
import type { Start } from '#core/forecast/content'
import type { Asked } from '#core/forecast/asking'
import type { MarkScore } from '#core/forecast/life-table'
import type { Verdict } from '#core/forecast/verdict'
import type { Day } from '#core/calendar/day'
import { z } from 'zod'
import { GOAL_KINDS } from '#core/goal/progress'
import { ChangeId, DayText, Id, NewId } from './basic.js'

interface Span {
  low: number
  middle: number
  high: number
}
/** Days of the calendar; null = more than five years ahead. */
interface DaySpan {
  low: Day | null
  middle: Day | null
  high: Day | null
}

export const GuessBody = z.strictObject({
  id: NewId,
  months: z
    .number('How many months, for instance 3 or 1.5.')
    .positive('More than 0 months.')
    .max(240, 'Up to 240 months.'),
})
export const AddGuess = z.strictObject({ changeId: ChangeId, day: DayText, ...GuessBody.shape })
export const DropGuess = z.strictObject({ changeId: ChangeId })
/** How an item stands among its like, by the user's word; null = as the drawer tells. */
export const SetRole = z.strictObject({ changeId: ChangeId, role: z.enum(ROLES).nullable() })
/** When it will be finished against its last good day. */
export interface RaceView {
  itemId: string
  finish: DaySpan
  /** Chance of being finished by each day of the curve, counted from `last`. */
  curve: number[]
  /** The last known day. */
  last: Day
  /** Chance of being finished by the day to act on; null where that day is not known. */
  chance: number | null
  verdict: Verdict
  /** What is expected to be left at the use-by date, as a share of a full one; of what is past it, what is left. Null where no date is known. */
  leftThen: number | null
  /** What of the price that is, in minor units; null without any price to go by. */
  stake: number | null
  /** What it is computed with; `usual` = the middle price of its category, where it has none of its own. */
  price: { minor: number; usual: boolean } | null
  /** Of a full one, what is likely left. */
  share: number
  uses: Span
}

export interface OutlookView {
  stayId: string
  reach: DaySpan
  /** Chance of reaching it by its date; null without one, and where the date is past or nothing can be done by it. */
  chance: number | null
  verdict: Verdict
  /** Uses a week that it needs until its date; null without one, or with less than a week left. */
  needed: number | null
  pace: PaceView | null
}

/** The pace shown: uses on days in the drawer or a project within the last twelve weeks; null where these are too few to tell. */
export interface PaceView {
  uses: number
  days: number
  perWeek: number
}

/** The verdict on every goal that is open, for lists. */
export interface VerdictsAnswer {
  goals: (Pick<OutlookView, 'stayId' | 'verdict' | 'needed' | 'pace'> & { itemId: string })[]
}

export interface AskedView {
  measure: Asked['measure']
  finish: DaySpan
  narrows: boolean
  verdicts: Asked['verdicts']
}

export interface ForecastView {
  last: Day
  finish: DaySpan
  days: Span
  uses: Span
  grams: Span
  share: Span
  perUse: Span
  pace: PaceView | null
  role: Role
  roleSaid: boolean
  /** Days that are known of it, and uses among them. */
  known: { days: number; uses: number }
  /** Ways in which user effects shift it, as factors: what a use takes, and how often. */
  userEffects: { amount: number; rate: number }
  /** What was left along the days so far, and what will be, as shares of a full one. */
  past: { day: Day; low: number; middle: number; high: number }[]
  fan: { day: Day; low: number; middle: number; high: number }[]
  /** Chance of being finished by each day of the curve, counted from `last`. */
  curve: number[]
  /** What was said of it when the log began. */
  start: Start['kind']
  /** Whether it is finished by its use-by date. */
  verdict: Verdict
  asked: AskedView | null
  /** Weight when finished, by series of weighings, g. */
  packages: { mean: number; sd: number }[]
  before: {
    madeOn: Day
    why: ForecastReason
    share: number
    low: Day
    middle: Day
    high: Day
  }[]
}

export interface GuessView {
  id: string
  madeOn: Day
  months: number
}

/** Guesses and forecasts against what came of them. */
export interface FactorView {
  factor: number
  /** The middle of the finished ones alone. */
  middle: number | null
  low: number
  high: number
  finished: number
  unfinished: number
  runsShort: boolean
}
interface Rates {
  before: number
  after: number
}
interface Counts {
  expected: number
  came: number
}
type MissView =
  | (Rates & { code: 'worn more often' })
  | (Rates & { code: 'worn less often' })
  | (Counts & { code: 'held more' })
  | (Counts & { code: 'held less' })
export interface LookBackAnswer {
  today: Day
  guesses: {
    all: FactorView
    categories: { category: string; factor: FactorView }[]
    each: {
      itemId: string
      mark: string
      madeOn: Day
      months: number
      days: number
      finished: boolean
    }[]
  }
  forecasts: {
    /** One forecast of each item that was in use: how many were finished by each of its marks. */
    marks: MarkScore[]
    /** Of those that were finished. */
    each: {
      itemId: string
      mark: string
      madeOn: Day
      low: Day
      middle: Day
      high: Day
      finishedOn: Day
      /** Of one that did not hold, what was off more; null where it held or nothing tells. */
      miss: MissView | null
    }[]
  }
  /** The user's own median time from the first use to the finish. */
  lasted: { category: string; finished: number; days: number; uses: number }[]
}

export interface SupplyView {
  categoryId: string
  category: string
  /** In date; what is expired is counted apart. */
  items: number
  expired: number
  uses: number
  /** Wears of the type within the last three years, and the last of them. */
  worn: number
  lastWorn: Day | null
  /** Uses a year, as they are of late; null where there is no pace to tell. */
  perYear: number | null
  years: number | null
  /** Of those years, what can be used before it expires. */
  yearsInDate: number | null
  /** What expires before its turn has ended, with what of a full one is left then. */
  expiring: { itemId: string; mark: string; lastGood: Day | null; priceMinor: number | null; left: number }[]
  /** What of their prices is left then. */
  expiringPrice: number
  expiringUnpriced: number
  need: { low: Day | null; middle: Day | null; high: Day | null } | null
  /** The same if only so many were kept, for every number from one on. */
  keeping: { items: number; years: number; expiring: number; expiringPrice: number }[]
}
export interface SupplyAnswer {
  today: Day
  currency: string
  categories: SupplyView[]
}

export const SetUpQuery = z.object({
  items: z
    .string()
    .transform((text) => text.split(',').filter((id) => id !== ''))
    .pipe(z.array(Id).min(1, 'Name at least one item.').max(300)),
  project: Id.optional(),
  kind: z.enum(GOAL_KINDS),
  /** Uses, or a share of a full one. */
  target: z.coerce.number().positive().max(5000).optional(),
  headStart: z.coerce.number().int().min(0).max(5000).default(0),
  by: DayText.optional(),
})
export interface SetUpAnswer {
  by: Day | null
  /** Of each kind, with what the project holds of it already; nothing without a date. */
  kinds: {
    category: string
    zone: string
    items: number
    already: number
    needed: Span
    /** Days until then on which the user likely wears something of the zone. */
    days: number
    fits: boolean
    fewer: number
    usesEach: number
    /** Whether fewer uses are a way out: the goal is a number of uses. */
    counted: boolean
    enoughOn: Day | null
  }[]
  outlooks: (Omit<OutlookView, 'stayId'> & { itemId: string })[]
}
