import type { Verdict } from '#core/decide/verdict'
import type { Day } from '#core/calendar/day'
import { z } from 'zod'
import { ChangeId, DayText, Id, Line, NewId } from './basic.js'
import type { RuleView } from './buying.js'
import type { SheetItem } from './check-in.js'
import type { ListedItem } from './item.js'

/** A span of the user's own, kept under a name; without an end it runs up to today. */
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
    .min(2, 'Two items at least are needed to choose between.')
    .max(6, 'Six items are as many as a friend will read about.')
    .refine((ids) => new Set(ids).size === ids.length, 'One item stands there twice.'),
})
export const AnswerAsk = z
  .strictObject({ changeId: ChangeId, version: z.int(), answer: Line(2000), chosenItemId: Id.nullable() })
  .refine(({ answer, chosenItemId }) => answer !== '' || chosenItemId !== null, {
    path: ['answer'],
    message: 'Write what was said, or choose the one they chose.',
  })
export const DropAsk = z.strictObject({ changeId: ChangeId })

interface Named {
  itemId: string
  mark: string
}
interface Money {
  minor: number
  /** Items it was computed of, and items worn or gone of which no price or no content is known. */
  of: number
  unknown: number
}
export type MoneyView = Money
export type FinishView = Named & {
  categoryId: string
  category: string
  on: Day
  uses: number
  usesKnown: boolean
  /** From opened to empty; null where one of the two is not known to the day. */
  days: number | null
  guess: { months: number; days: number } | null
  /** The kept forecast that is scored, in days from the day it was made, and what came. */
  forecast: { low: number; middle: number; high: number; came: number } | null
  priceMinor: number | null
  again: string | null
}
export interface KindView {
  categoryId: string
  category: string
  /** At the end of the day before the span, what came, what went, and at its end. */
  then: number
  cameIn: number
  wentOut: number
  now: number
  finished: number
  uses: number
  target: { items: number; by: Day } | null
}
export interface TogetherView {
  one: Named
  other: Named
  days: number
  each: [number, number]
}
export interface SpanSheet {
  today: Day
  from: Day
  to: Day
  kind: 'month' | 'year' | 'own'
  /** It is not over yet: the sheet counts up to today. */
  running: boolean
  /** The first day of the log; null while nothing was ever ticked. */
  logSince: Day | null
  currency: string
  words: { id: string; version: number; words: string } | null
  /**
   * Of all days: with makeup, without by the user's word, with anything else written down, with nothing, before the log. Today is one of
   * them once anything is written down of it.
   */
  days: {
    all: number
    wear: number
    noMakeup: number
    other: number
    notRecorded: number
    beforeLog: number
    looks: number
  }
  totals: {
    uses: number
    things: number
    /** Items that were there from its first day to its last, and those of them never worn in it. */
    here: number
    unworn: number
    grams: { grams: number; giveOrTake: number; things: number } | null
    spent: Money
    /** Money used up by a use of what has a price; null where nothing has. */
    perUse: number | null
  }
  months: { from: Day; to: Day; uses: number; wearDays: number; finished: number; spent: number }[]
  project: { id: string; name: string; from: Day; to: Day | null } | null
  lines: SheetItem[]
  rolledOut: (Named & { on: Day; reason: string })[]
  rolledIn: (Named & { on: Day })[]
  stays: number
  pushes: (Named & {
    since: Day
    until: Day
    uses: number
    /** Uses in as many days before. */
    usesBefore: number
    met: boolean
    finishedOn: Day | null
  })[]
  most: (Named & { uses: number })[]
  least: (Named & { uses: number; lastWorn: Day | null })[]
  /** In reach on so many wear days of the span, and never worn. */
  neglected: (Named & { wearDays: number })[]
  evenness: { gini: number; pielou: number; things: number; uses: number; fewest: number } | null
  firstTimes: (Named & { on: Day })[]
  lastTimes: (Named & { on: Day; how: 'finished' | 'left' | 'blended' })[]
  finishes: FinishView[]
  letGo: (Named & {
    on: Day
    why: string | null
    destination: string | null
    uses: number
    unusedMinor: number | null
  })[]
  cameIn: (Named & {
    earliest: Day
    latest: Day
    source: string | null
    /** Blended, decanted or taken out of a palette here. */
    made: boolean
    priceMinor: number | null
    priceSaid: string | null
  })[]
  bought: Money & { items: number; sourceUnknown: number }
  verdicts: (Named & { on: Day; verdict: Verdict; reason: string; wears: number })[]
  spoiled: (Named & {
    on: Day
    how: 'past its date' | 'sign seen' | 'let go'
    uses: number
    unused: number
    minor: number | null
  })[]
  kinds: KindView[]
  /** How many there were at the ends of months, over the whole log up to the end of the span. */
  stock: { days: Day[]; kinds: { categoryId: string; items: number[] }[] }
  rules: RuleView[]
  pairs: TogetherView[]
  look: { itemIds: string[]; days: number } | null
  lessons: { id: string; words: string; on: Day; struck: boolean }[]
  items: ListedItem[]
  /** The pictures nearest to the two ends of the span, of what was in a project or was finished. */
  photos: (Named & {
    before: { id: string; day: Day } | null
    after: { id: string; day: Day }
  })[]
}

export interface SpansAnswer {
  today: Day
  logSince: Day | null
  spans: { id: string; version: number; name: string; from: Day; to: Day | null }[]
  projects: { id: string; name: string; from: Day; to: Day | null }[]
}

export interface LooksAnswer {
  today: Day
  from: Day
  /** Looks of days, the latest first, in makeup order. */
  days: { day: Day; itemIds: string[] }[]
  saved: {
    id: string
    name: string
    occasion: string
    itemIds: string[]
    /** Days on which all of it that was still there was worn. */
    days: number
    last: Day | null
  }[]
  often: TogetherView[]
  never: TogetherView[]
  items: ListedItem[]
}

export interface Candidate {
  item: ListedItem
  usesNeeded: number | null
  lastGood: Day | null
  worn90: number
  priceMinor: number | null
  usedMinor: number | null
  rivals: number
  pair: string | null
}
export interface AsksAnswer {
  today: Day
  currency: string
  asks: {
    id: string
    version: number
    question: string
    askedOn: Day
    answeredOn: Day | null
    answer: string
    chosenItemId: string | null
    candidates: Candidate[]
  }[]
}
export type AskView = AsksAnswer['asks'][number]
