import { z } from 'zod'
import { VERDICTS } from '#core/forecast/chance'
import { FORECAST_REASONS, ROLES } from '#core/forecast/role'
import { GOAL_KINDS } from '#core/goal/progress'
import { ChangeId, DayText, Id, NewId } from './basic.js'

const Span = z.object({ low: z.number(), middle: z.number(), high: z.number() })
/** Days of the calendar; null = more than five years ahead. */
const DaySpan = z.object({ low: DayText.nullable(), middle: DayText.nullable(), high: DayText.nullable() })

export const GuessBody = z.strictObject({
  id: NewId,
  months: z
    .number('How many months, for instance 3 or 1.5.')
    .positive('More than 0 months.')
    .max(240, 'Up to 240 months.'),
})
export const AddGuess = z.strictObject({ changeId: ChangeId, day: DayText, ...GuessBody.shape })
export const DropGuess = z.strictObject({ changeId: ChangeId })
/** How a thing stands among its like, by her word; null = as the drawer tells. */
export const SetRole = z.strictObject({ changeId: ChangeId, role: z.enum(ROLES).nullable() })
/** When it will be finished against its last good day. */
export const RaceView = z.object({
  itemId: Id,
  finish: DaySpan,
  /** Chance of being finished by each day of the curve, counted from `last`. */
  curve: z.array(z.number()),
  /** The last known day. */
  last: DayText,
  /** Chance of being finished by the day to act on; null where that day is not known. */
  chance: z.number().nullable(),
  verdict: z.enum(VERDICTS).nullable(),
  /** What would be lost, in minor units: price by what is left and by how likely it spoils; null without any price to go by. */
  stake: z.number().nullable(),
  /** What it is reckoned with; `usual` = the middle price of its category, where it has none of its own. */
  price: z.object({ minor: z.number(), usual: z.boolean() }).nullable(),
  /** Of a full one, what is likely left. */
  share: z.number(),
  uses: Span,
})
export type RaceView = z.infer<typeof RaceView>

/** When a goal will be reached, if it goes on like this. */
export const OutlookView = z.object({
  stayId: Id,
  reach: DaySpan,
  /** The day by which it is nearly sure. */
  sure: DayText.nullable(),
  chance: z.number().nullable(),
  verdict: z.enum(VERDICTS).nullable(),
  /** Uses a week: needed until its date, and kept of late. */
  needed: z.number().nullable(),
  kept: z.number(),
})
export type OutlookView = z.infer<typeof OutlookView>

/** What could be measured now, and what the finish would come to. */
export const AskedView = z.object({
  measure: z.enum(['weigh', 'look', 'weigh an empty']),
  finish: DaySpan,
})

/** The whole forecast of one thing, as its page shows it. */
export const ForecastView = z.object({
  last: DayText,
  finish: DaySpan,
  days: Span,
  uses: Span,
  grams: Span,
  share: Span,
  perUse: Span,
  /** Uses a week it is reckoned with, in the middle and as a likely span. */
  perWeek: Span,
  role: z.enum(ROLES),
  roleSaid: z.boolean(),
  /** Days that are known of it, and uses among them. */
  known: z.object({ days: z.int(), uses: z.int() }),
  /** Ways in which her habit shifts it, as factors: what a use takes, and how often. */
  habit: z.object({ amount: z.number(), rate: z.number() }),
  /** What was left along the days so far, and what will be, as shares of a full one. */
  past: z.array(z.object({ day: DayText, low: z.number(), middle: z.number(), high: z.number() })),
  fan: z.array(z.object({ day: DayText, low: z.number(), middle: z.number(), high: z.number() })),
  /** Chance of being finished by each day of the curve, counted from `last`. */
  curve: z.array(z.number()),
  /** Chance of being finished by its last good day (both ends), and what that is called. */
  inDate: z.object({ early: z.number(), late: z.number(), verdict: z.enum(VERDICTS) }).nullable(),
  asked: AskedView.nullable(),
  /** Weight when finished, by series of weighings, g. */
  packages: z.array(z.object({ mean: z.number(), sd: z.number() })),
  /** What was forecast before. */
  before: z.array(
    z.object({
      madeOn: DayText,
      why: z.enum(FORECAST_REASONS),
      share: z.number(),
      low: DayText,
      middle: DayText,
      high: DayText,
    }),
  ),
})
export type ForecastView = z.infer<typeof ForecastView>

export const GuessView = z.object({ id: Id, madeOn: DayText, months: z.number() })

/** Guesses and forecasts against what came of them. */
const FactorView = z.object({
  factor: z.number(),
  low: z.number(),
  high: z.number(),
  finished: z.int(),
  unfinished: z.int(),
  runsShort: z.boolean(),
})
export type FactorView = z.infer<typeof FactorView>
const ScoreView = z.object({
  /** Things finished that a forecast was kept of. */
  n: z.int(),
  inside: z.int(),
  early: z.int(),
  late: z.int(),
  /** Mean loss of the three figures, days. */
  loss: z.number().nullable(),
})
const Rates = { before: z.number(), after: z.number() }
const Counts = { expected: z.int(), came: z.int() }
const MissView = z.discriminatedUnion('code', [
  z.object({ code: z.literal('worn more often'), ...Rates }),
  z.object({ code: z.literal('worn less often'), ...Rates }),
  z.object({ code: z.literal('held more'), ...Counts }),
  z.object({ code: z.literal('held less'), ...Counts }),
])
export const LookBackAnswer = z.object({
  today: DayText,
  guesses: z.object({
    all: FactorView,
    categories: z.array(z.object({ category: z.string(), factor: FactorView })),
    each: z.array(
      z.object({
        itemId: Id,
        mark: z.string(),
        madeOn: DayText,
        months: z.number(),
        days: z.int(),
        finished: z.boolean(),
      }),
    ),
  }),
  forecasts: z.object({
    all: ScoreView,
    categories: z.array(z.object({ category: z.string(), score: ScoreView })),
    each: z.array(
      z.object({
        itemId: Id,
        mark: z.string(),
        madeOn: DayText,
        low: DayText,
        middle: DayText,
        high: DayText,
        finishedOn: DayText,
        /** Of one that did not hold, what was off more; null where it held or nothing tells. */
        miss: MissView.nullable(),
      }),
    ),
  }),
  /** Her own median time from the first use to the finish. */
  lasted: z.array(z.object({ category: z.string(), finished: z.int(), days: z.int(), uses: z.int() })),
})
export type LookBackAnswer = z.infer<typeof LookBackAnswer>

export const SupplyView = z.object({
  categoryId: Id,
  category: z.string(),
  items: z.int(),
  uses: z.number(),
  /** Null while too little is written down to know a pace. */
  perYear: z.number().nullable(),
  years: z.number().nullable(),
  spoiling: z.array(
    z.object({ itemId: Id, mark: z.string(), lastGood: DayText.nullable(), priceMinor: z.int().nullable() }),
  ),
  spoilingPrice: z.int(),
  spoilingUnpriced: z.int(),
  need: z.object({ low: DayText.nullable(), middle: DayText.nullable(), high: DayText.nullable() }).nullable(),
  /** The same if only so many were kept, for every number from one on. */
  keeping: z.array(
    z.object({ items: z.int(), years: z.number().nullable(), spoiling: z.int(), spoilingPrice: z.int() }),
  ),
})
export type SupplyView = z.infer<typeof SupplyView>
export const SupplyAnswer = z.object({ today: DayText, currency: z.string(), categories: z.array(SupplyView) })
export type SupplyAnswer = z.infer<typeof SupplyAnswer>

/** What is about to be taken on: asked before she commits. */
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
export const SetUpAnswer = z.object({
  by: DayText.nullable(),
  /** Of each kind, with what the project holds of it already; nothing without a date. */
  kinds: z.array(
    z.object({
      category: z.string(),
      zone: z.string(),
      items: z.int(),
      already: z.int(),
      needed: Span,
      /** Days until then on which she likely wears something of the zone. */
      days: z.number(),
      fits: z.boolean(),
      fewer: z.int(),
      usesEach: z.int(),
      /** Whether fewer uses are a way out: the goal is a number of uses. */
      counted: z.boolean(),
      enoughOn: DayText.nullable(),
    }),
  ),
  outlooks: z.array(z.object({ itemId: Id, ...OutlookView.omit({ stayId: true }).shape })),
})
export type SetUpAnswer = z.infer<typeof SetUpAnswer>
