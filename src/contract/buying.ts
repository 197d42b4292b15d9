import type { Day } from '#core/calendar/day'
import { type LessonPrompt, type LessonRule, LESSON_PROMPTS, LESSON_RULES } from '#core/decide/lessons'
import { z } from 'zod'
import type { BUY_AGAIN } from '#core/decide/review-choices'
import { FINISHES } from '#core/item/traits'
import { ChangeId, DayText, Hex, Id, Line, NewId } from './basic.js'

const Price = z.int().min(0, 'A price is not below 0.').max(1_000_000)

export const BuyingQuery = z.object({
  category: Id,
  colour: Hex.optional(),
  finish: z.enum(FINISHES).optional(),
  price: z.coerce.number().int().min(0).max(1_000_000).optional(),
})
export interface LessonShown {
  rule: LessonRule
  about: string
  /** What it is about, in words: the category's name, the brand, the source. */
  aboutWords: string
  count: number
  mine: number
  others: number
}
export interface LessonView {
  id: string
  words: string
  promptedBy: LessonPrompt
  keptOn: Day
  struckOn: Day | null
  /** The span whose sheet made the user's think of it. */
  span: { from: Day; to: Day } | null
  item: { itemId: string; mark: string } | null
  categoryId: string | null
  /** What the user's numbers show of it now; null where it came from the user, or they no longer show it. */
  shown: LessonShown | null
  /** It came from the user's numbers and they no longer show it. */
  noLonger: boolean
}

export interface BuyingCheckAnswer {
  today: Day
  currency: string
  category: string
  owned: number
  unopened: number
  /** The nearest by swatch, the nearest first, and how many are near twins. */
  nearest: {
    itemId: string
    mark: string
    colour: string
    difference: number
    worn: number
    lastGood: Day | null
  }[]
  twins: number
  perYear: number | null
  years: number | null
  yearsAfter: number | null
  /** What would spoil before its turn because this joins. */
  pushedOut: { itemId: string; mark: string; priceMinor: number | null }[]
  expiringAlready: number
  /** When the kind is needed; null = more than 30 years ahead, or not known. */
  needed: Day | null
  likelyUses: number
  usesGot: number | null
  perUse: number | null
  perUseAtBest: number | null
  /** What the user pays a use in this category, in the middle of what is finished; null where there are too few. */
  usualPerUse: number | null
  rules: {
    ruleId: string
    words: string
    left: number
    excepted: boolean
    replacing: boolean
    to: Day
  }[]
  lessons: LessonView[]
}

const WishFields = {
  categoryId: Id,
  maker: Line(120),
  name: Line(200).min(1, 'Give it a name; a word is enough.'),
  shade: Line(120),
  colour: Hex.nullable(),
  finish: z.enum(FINISHES).nullable(),
  priceMinor: Price.nullable(),
  reason: Line(500),
  waitUntil: DayText.nullable(),
}
export const AddWish = z.strictObject({ changeId: ChangeId, id: NewId, ...WishFields })
export const EditWish = z.strictObject({ changeId: ChangeId, version: z.int(), ...WishFields })
export const DropWish = z.strictObject({ changeId: ChangeId })
/** It was bought: it arrives in the collection with its story. */
export const BuyWish = z.strictObject({
  changeId: ChangeId,
  itemId: NewId,
  day: DayText,
  priceMinor: Price.nullable(),
})
export type WishView = z.infer<z.ZodObject<typeof WishFields>> & {
  id: string
  version: number
  category: string
  wishedOn: Day
  daysWaited: number
  daysToWait: number
  endedAs: 'bought' | 'dropped' | null
  endedOn: Day | null
  itemId: string | null
}

export const AddRule = z
  .strictObject({
    changeId: ChangeId,
    id: NewId,
    from: DayText,
    to: DayText,
    most: z.int('How many, as a whole number; 0 = none.').min(0).max(1000),
    categoryId: Id.nullable(),
    sparesReplacements: z.boolean(),
    exceptions: z
      .array(z.strictObject({ id: NewId, categoryId: Id, most: z.int().min(1).max(1000), words: Line(120) }))
      .max(20),
    words: Line(200),
  })
  .refine((rule) => rule.from <= rule.to, { path: ['to'], message: 'The last day must not be before the first.' })
export const DropRule = z.strictObject({ changeId: ChangeId })
export interface RuleView {
  id: string
  from: Day
  to: Day
  most: number
  category: string | null
  sparesReplacements: boolean
  words: string
  state: 'to come' | 'in force' | 'over'
  counted: { itemId: string; mark: string; day: Day }[]
  excepted: number
  replacing: number
  unsure: number
  /** Items that came in its time of which nobody said whether they were bought. */
  sourceUnknown: number
  left: number
  exceptions: { categoryId: string; category: string; words: string; most: number; left: number }[]
  daysLeft: number
}

export interface BuyingAnswer {
  today: Day
  currency: string
  wishes: WishView[]
  ended: WishView[]
  rules: RuleView[]
  /** What to buy again: the last of its kind in use, or finished and wanted again. */
  replacements: {
    itemId: string
    mark: string
    categoryId: string
    category: string
    again: (typeof BUY_AGAIN)[number] | null
    againWhy: string
    /** It is finished, or it is the last one in use. */
    finished: boolean
    /** When the next is needed; null = not within five years, or not known. */
    needed: { low: Day | null; middle: Day | null } | null
    backups: number
  }[]
}

export const KeepLesson = z
  .strictObject({
    changeId: ChangeId,
    id: NewId,
    words: Line(400).min(1, 'A lesson is a sentence; write at least a word.'),
    promptedBy: z.enum(LESSON_PROMPTS),
    rule: z.enum(LESSON_RULES).nullable(),
    about: Line(200).nullable(),
    itemId: Id.nullable(),
    categoryId: Id.nullable(),
    /** Offered by the user's numbers and turned down: kept only so that it is not offered again. */
    struck: z.boolean().default(false),
    /** The span whose sheet made the user's think of it. */
    span: z.strictObject({ from: DayText, to: DayText }).nullable().default(null),
  })
  .refine((lesson) => (lesson.rule === null) === (lesson.about === null), {
    path: ['about'],
    message: 'A rule is about something.',
  })
export const StrikeLesson = z.strictObject({ changeId: ChangeId, struck: z.boolean() })
export interface LessonsAnswer {
  today: Day
  kept: LessonView[]
  struck: LessonView[]
  offered: LessonShown[]
}
