import { z } from 'zod'
import { GOAL_KINDS } from '#core/goal/progress'
import { FORMS, PAN_STAGES } from '#core/item/form'

/** Days are whole numbers from the first of the log. */
const DayNumber = z.int()
const Range = z.object({ from: DayNumber, to: DayNumber })
const Look = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('weight'), grams: z.number(), step: z.number() }),
  z.object({ kind: z.enum(['level', 'length']), value: z.number() }),
  z.object({ kind: z.literal('stage'), stage: z.enum(PAN_STAGES) }),
])
export type LifeLook = z.infer<typeof Look>

const LifeItem = z.object({
  id: z.string(),
  maker: z.string(),
  name: z.string(),
  category: z.string(),
  form: z.enum(FORMS),
  label: z.object({ amount: z.number(), unit: z.enum(['g', 'ml']) }).nullable(),
  /** The day it is written down. */
  on: DayNumber,
  acquired: Range.nullable(),
  opened: z.discriminatedUnion('kind', [
    z.object({ kind: z.enum(['unopened', 'unknown']) }),
    z.object({ kind: z.literal('range'), ...Range.shape }),
  ]),
  usesBefore: z.int().nullable(),
  paoMonths: z.int().nullable(),
  priceMinor: z.int().nullable(),
  /** A look on the day it is written down. */
  left: Look.nullable(),
})
export type LifeItem = z.infer<typeof LifeItem>

const one = { item: z.string() }
const act = <Name extends string, Shape extends z.ZodRawShape>(name: Name, shape: Shape) =>
  z.object({ day: DayNumber, do: z.literal(name), ...shape })

const LifeEvent = z.discriminatedUnion('do', [
  act('add', one),
  act('open', one),
  act('drawer in', one),
  act('drawer out', one),
  act('wear', { of: DayNumber, items: z.array(z.string()) }),
  act('no makeup', { of: DayNumber }),
  act('away', Range.shape),
  act('low season', { from: z.string(), to: z.string(), share: z.number() }),
  act('not written down', Range.shape),
  act('project', { project: z.string(), by: DayNumber }),
  act('roll in', {
    ...one,
    project: z.string(),
    goal: z.object({ kind: z.enum(GOAL_KINDS), target: z.number().nullable() }),
    guessMonths: z.number().nullable(),
  }),
  act('roll out', { ...one, why: z.enum(['met', 'left unfinished']) }),
  act('read', { ...one, reading: Look }),
  act('empty', { ...one, weighs: z.number().nullable() }),
  act('let go', one),
])
export type LifeEvent = z.infer<typeof LifeEvent>

/** What came of an item, as it stood on the morning of a day. */
const Truth = z.object({
  grams: z.number(),
  share: z.number(),
  usesLeft: z.number(),
  /** The day it is called empty if it stays in the drawer from then on; null = not within the days followed. */
  kept: DayNumber.nullable(),
  inDrawer: z.boolean(),
  inProject: z.boolean(),
  /** The day its goal of uses or of a pan is reached, if it stays in the drawer. */
  goalDay: DayNumber.nullable(),
})
export type LifeTruth = z.infer<typeof Truth>

/** What was said of an item when it was written down: nothing, how often it was used before, about how much was left; or it was new. */
const KNOWN = ['new', 'uses', 'look', 'uses and look', 'unknown'] as const
export type Known = (typeof KNOWN)[number]

/** Two years as somebody writes them down, and what came of them. The layout is told in `docs/forecasts.md`. */
const LifeFile = z.object({
  format: z.literal('life 1'),
  seed: z.int(),
  start: z.iso.date(),
  days: z.int().positive(),
  asks: z.array(DayNumber),
  /** So many days after an ask were followed. */
  beyond: z.int().positive(),
  week: z.array(z.boolean()).length(7),
  items: z.array(LifeItem),
  events: z.array(LifeEvent),
  truth: z.object({
    things: z.record(z.string(), z.object({ known: z.enum(KNOWN), at: z.record(z.string(), Truth) })),
    usesWhenFull: z.record(z.string(), z.number()),
    /** Uses of each category in months of 30 days from each ask on. */
    categories: z.record(z.string(), z.record(z.string(), z.array(z.number()))),
  }),
})
export type LifeFile = z.infer<typeof LifeFile>

/** Reads such a file, or throws where it is none. */
export function readLifeFile(text: string): LifeFile {
  return LifeFile.parse(JSON.parse(text))
}
