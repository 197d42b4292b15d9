import { z } from 'zod'
import { VERDICTS } from '#core/decide/verdict'
import { ChangeId, DayText, Id, Line, NewId } from './basic.js'
import { RuleView } from './buying.js'
import { SheetItem } from './check-in.js'
import { ListedItem } from './item.js'

/** A span of her own, kept under a name; without an end it runs up to today. */
export const PutSpan = z
  .strictObject({
    changeId: ChangeId,
    id: NewId,
    /** Of the one that is there; null for a new one. */
    version: z.int().nullable(),
    name: Line(120).min(1, 'Give the span a name, for instance the spring project.'),
    from: DayText,
    to: DayText.nullable(),
  })
  .refine(({ from, to }) => to === null || to >= from, {
    path: ['to'],
    message: 'The last day must not be before the first.',
  })
export const DropSpan = z.strictObject({ changeId: ChangeId })

/** What she felt of a span; nothing takes it back. */
export const PutSpanWords = z
  .strictObject({
    changeId: ChangeId,
    id: NewId,
    version: z.int().nullable(),
    from: DayText,
    to: DayText,
    words: Line(4000),
  })
  .refine(({ from, to }) => to >= from, { path: ['to'], message: 'The last day must not be before the first.' })

export const PutAsk = z.strictObject({
  changeId: ChangeId,
  id: NewId,
  version: z.int().nullable(),
  question: Line(200).min(1, 'Ask something, for instance: which next?'),
  itemIds: z
    .array(Id)
    .min(2, 'Two things at least are needed to choose between.')
    .max(6, 'Six things are as many as a friend will read about.')
    .refine((ids) => new Set(ids).size === ids.length, 'One thing stands there twice.'),
})
export const AnswerAsk = z
  .strictObject({ changeId: ChangeId, version: z.int(), answer: Line(2000), chosenItemId: Id.nullable() })
  .refine(({ answer, chosenItemId }) => answer !== '' || chosenItemId !== null, {
    path: ['answer'],
    message: 'Write what was said, or choose the one they chose.',
  })
export const DropAsk = z.strictObject({ changeId: ChangeId })

const Named = { itemId: Id, mark: z.string() }
const Money = z.object({
  minor: z.number(),
  /** Things it was reckoned of, and things worn or gone of which no price or no content is known. */
  of: z.int(),
  unknown: z.int(),
})
export type MoneyView = z.infer<typeof Money>
const FinishView = z.object({
  ...Named,
  categoryId: Id,
  category: z.string(),
  on: DayText,
  uses: z.int(),
  usesKnown: z.boolean(),
  /** From opened to empty; null where one of the two is not known to the day. */
  days: z.int().nullable(),
  guess: z.object({ months: z.number(), days: z.int() }).nullable(),
  /** The kept forecast that is scored, in days from the day it was made, and what came. */
  forecast: z.object({ low: z.number(), middle: z.number(), high: z.number(), came: z.int() }).nullable(),
  priceMinor: z.int().nullable(),
  again: z.string().nullable(),
})
export type FinishView = z.infer<typeof FinishView>
const KindView = z.object({
  categoryId: Id,
  category: z.string(),
  /** At the end of the day before the span, what came, what went, and at its end. */
  then: z.int(),
  cameIn: z.int(),
  wentOut: z.int(),
  now: z.int(),
  finished: z.int(),
  uses: z.int(),
  target: z.object({ items: z.int(), by: DayText }).nullable(),
})
export type KindView = z.infer<typeof KindView>
const TogetherView = z.object({
  one: z.object(Named),
  other: z.object(Named),
  days: z.int(),
  each: z.tuple([z.int(), z.int()]),
})
export type TogetherView = z.infer<typeof TogetherView>
export const SpanSheet = z.object({
  today: DayText,
  from: DayText,
  to: DayText,
  kind: z.enum(['month', 'year', 'own']),
  /** It is not over yet: the sheet counts up to today. */
  running: z.boolean(),
  /** The first day of the log; null while nothing was ever ticked. */
  logSince: DayText.nullable(),
  currency: z.string(),
  words: z.object({ id: Id, version: z.int(), words: z.string() }).nullable(),
  days: z.object({ all: z.int(), wear: z.int(), noMakeup: z.int(), notRecorded: z.int(), faces: z.int() }),
  totals: z.object({
    uses: z.int(),
    things: z.int(),
    /** Things that were there from its first day to its last, and those of them never worn in it. */
    here: z.int(),
    unworn: z.int(),
    grams: z.object({ grams: z.number(), giveOrTake: z.number(), things: z.int() }).nullable(),
    spent: Money,
    /** Money used up by a use of what has a price; null where nothing has. */
    perUse: z.number().nullable(),
  }),
  months: z.array(
    z.object({ from: DayText, to: DayText, uses: z.int(), wearDays: z.int(), finished: z.int(), spent: z.number() }),
  ),
  project: z.object({ id: Id, name: z.string(), from: DayText, to: DayText.nullable() }).nullable(),
  lines: z.array(SheetItem),
  rolledOut: z.array(z.object({ ...Named, on: DayText, reason: z.string() })),
  rolledIn: z.array(z.object({ ...Named, on: DayText })),
  stays: z.int(),
  pushes: z.array(
    z.object({
      ...Named,
      since: DayText,
      until: DayText,
      uses: z.int(),
      /** Uses in as many days before. */
      usesBefore: z.int(),
      met: z.boolean(),
      finishedOn: DayText.nullable(),
    }),
  ),
  most: z.array(z.object({ ...Named, uses: z.int() })),
  least: z.array(z.object({ ...Named, uses: z.int(), lastWorn: DayText.nullable() })),
  /** In reach on so many wear days of the span, and never worn. */
  neglected: z.array(z.object({ ...Named, wearDays: z.int() })),
  evenness: z
    .object({ gini: z.number(), pielou: z.number(), things: z.int(), uses: z.int(), fewest: z.int() })
    .nullable(),
  firstTimes: z.array(z.object({ ...Named, on: DayText })),
  lastTimes: z.array(z.object({ ...Named, on: DayText, how: z.enum(['finished', 'left', 'blended']) })),
  finishes: z.array(FinishView),
  letGo: z.array(
    z.object({
      ...Named,
      on: DayText,
      why: z.string().nullable(),
      destination: z.string().nullable(),
      uses: z.int(),
      unusedMinor: z.number().nullable(),
    }),
  ),
  cameIn: z.array(
    z.object({
      ...Named,
      earliest: DayText,
      latest: DayText,
      source: z.string().nullable(),
      /** Blended, decanted or taken out of a palette here. */
      made: z.boolean(),
      priceMinor: z.int().nullable(),
      priceSaid: z.string().nullable(),
    }),
  ),
  bought: Money.extend({ items: z.int(), sourceUnknown: z.int() }),
  verdicts: z.array(z.object({ ...Named, on: DayText, verdict: z.enum(VERDICTS), reason: z.string(), wears: z.int() })),
  spoiled: z.array(
    z.object({
      ...Named,
      on: DayText,
      how: z.enum(['past its date', 'sign seen', 'let go']),
      uses: z.int(),
      unused: z.number().nullable(),
      minor: z.number().nullable(),
    }),
  ),
  kinds: z.array(KindView),
  /** How many there were at the ends of months, over the whole log up to the end of the span. */
  stock: z.object({ days: z.array(DayText), kinds: z.array(z.object({ categoryId: Id, items: z.array(z.int()) })) }),
  rules: z.array(RuleView),
  pairs: z.array(TogetherView),
  face: z.object({ itemIds: z.array(Id), days: z.int() }).nullable(),
  lessons: z.array(z.object({ id: Id, words: z.string(), on: DayText, struck: z.boolean() })),
  /** What is drawn. */
  items: z.array(ListedItem),
  /** The pictures nearest to the two ends of the span, of what was in a project or was finished. */
  photos: z.array(
    z.object({
      ...Named,
      before: z.object({ id: Id, day: DayText }).nullable(),
      after: z.object({ id: Id, day: DayText }),
    }),
  ),
})
export type SpanSheet = z.infer<typeof SpanSheet>

export const SpansAnswer = z.object({
  today: DayText,
  logSince: DayText.nullable(),
  spans: z.array(z.object({ id: Id, version: z.int(), name: z.string(), from: DayText, to: DayText.nullable() })),
  projects: z.array(z.object({ id: Id, name: z.string(), from: DayText, to: DayText.nullable() })),
})
export type SpansAnswer = z.infer<typeof SpansAnswer>

export const FacesAnswer = z.object({
  today: DayText,
  from: DayText,
  /** Faces of days, the latest first, in the order of a face. */
  days: z.array(z.object({ day: DayText, itemIds: z.array(Id) })),
  saved: z.array(
    z.object({
      id: Id,
      name: z.string(),
      occasion: z.string(),
      itemIds: z.array(Id),
      /** Days on which all of it that was still there was worn. */
      days: z.int(),
      last: DayText.nullable(),
    }),
  ),
  often: z.array(TogetherView),
  never: z.array(TogetherView),
  items: z.array(ListedItem),
})
export type FacesAnswer = z.infer<typeof FacesAnswer>

/** The evidence for one candidate, to be told in sentences. */
const Candidate = z.object({
  item: ListedItem,
  usesNeeded: z.number().nullable(),
  lastGood: DayText.nullable(),
  worn90: z.int(),
  priceMinor: z.int().nullable(),
  usedMinor: z.number().nullable(),
  rivals: z.int(),
  pair: z.string().nullable(),
})
export type Candidate = z.infer<typeof Candidate>
export const AsksAnswer = z.object({
  today: DayText,
  currency: z.string(),
  asks: z.array(
    z.object({
      id: Id,
      version: z.int(),
      question: z.string(),
      askedOn: DayText,
      answeredOn: DayText.nullable(),
      answer: z.string(),
      chosenItemId: Id.nullable(),
      candidates: z.array(Candidate),
    }),
  ),
})
export type AsksAnswer = z.infer<typeof AsksAnswer>
export type AskView = AsksAnswer['asks'][number]
