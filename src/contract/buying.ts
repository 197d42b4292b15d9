import { z } from 'zod'
import { LESSON_PROMPTS, LESSON_RULES } from '#core/decide/lessons'
import { BUY_AGAIN } from '#core/decide/review-choices'
import { FINISHES } from '#core/item/traits'
import { ChangeId, DayText, Hex, Id, Line, NewId } from './basic.js'

const Price = z.int().min(0, 'A price is not below 0.').max(1_000_000)

/** What is asked before buying: the kind, and what is known of the thing. */
export const BuyingQuery = z.object({
  category: Id,
  colour: Hex.optional(),
  finish: z.enum(FINISHES).optional(),
  price: z.coerce.number().int().min(0).max(1_000_000).optional(),
})
export const LessonShown = z.object({
  rule: z.enum(LESSON_RULES),
  about: z.string(),
  /** What it is about, in words: the category's name, the maker, the source. */
  aboutWords: z.string(),
  count: z.int(),
  mine: z.number(),
  others: z.number(),
})
export type LessonShown = z.infer<typeof LessonShown>
const LessonView = z.object({
  id: Id,
  words: z.string(),
  promptedBy: z.enum(LESSON_PROMPTS),
  keptOn: DayText,
  struckOn: DayText.nullable(),
  /** The span whose sheet made her think of it. */
  span: z.object({ from: DayText, to: DayText }).nullable(),
  item: z.object({ itemId: Id, mark: z.string() }).nullable(),
  categoryId: Id.nullable(),
  /** What her numbers show of it now; null where it came from her, or they no longer show it. */
  shown: LessonShown.nullable(),
  /** It came from her numbers and they no longer show it. */
  noLonger: z.boolean(),
})
export type LessonView = z.infer<typeof LessonView>

export const BuyingCheckAnswer = z.object({
  today: DayText,
  currency: z.string(),
  category: z.string(),
  owned: z.int(),
  unopened: z.int(),
  /** The nearest by swatch, the nearest first, and how many are near twins. */
  nearest: z.array(
    z.object({
      itemId: Id,
      mark: z.string(),
      colour: z.string(),
      difference: z.number(),
      worn: z.int(),
      lastGood: DayText.nullable(),
    }),
  ),
  twins: z.int(),
  perYear: z.number().nullable(),
  years: z.number().nullable(),
  yearsAfter: z.number().nullable(),
  /** What would spoil before its turn because this joins. */
  pushedOut: z.array(z.object({ itemId: Id, mark: z.string(), priceMinor: z.int().nullable() })),
  spoilingAlready: z.int(),
  /** When the kind is needed; null = more than 30 years ahead, or not known. */
  needed: DayText.nullable(),
  likelyUses: z.number(),
  usesGot: z.number().nullable(),
  perUse: z.number().nullable(),
  perUseAtBest: z.number().nullable(),
  /** What she pays a use in this category, in the middle of what is finished; null where there are too few. */
  usualPerUse: z.number().nullable(),
  rules: z.array(
    z.object({
      ruleId: Id,
      words: z.string(),
      left: z.int(),
      excepted: z.boolean(),
      replacing: z.boolean(),
      to: DayText,
    }),
  ),
  lessons: z.array(LessonView),
})
export type BuyingCheckAnswer = z.infer<typeof BuyingCheckAnswer>

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
const WishView = z.object({
  id: Id,
  version: z.int(),
  ...WishFields,
  category: z.string(),
  wishedOn: DayText,
  daysWaited: z.int(),
  daysToWait: z.int(),
  endedAs: z.enum(['bought', 'dropped']).nullable(),
  endedOn: DayText.nullable(),
  itemId: Id.nullable(),
})
export type WishView = z.infer<typeof WishView>

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
export const RuleView = z.object({
  id: Id,
  from: DayText,
  to: DayText,
  most: z.int(),
  category: z.string().nullable(),
  sparesReplacements: z.boolean(),
  words: z.string(),
  state: z.enum(['to come', 'in force', 'over']),
  counted: z.array(z.object({ itemId: Id, mark: z.string(), day: DayText })),
  excepted: z.int(),
  replacing: z.int(),
  unsure: z.int(),
  /** Things that came in its time of which nobody said whether they were bought. */
  sourceUnknown: z.int(),
  left: z.int(),
  exceptions: z.array(
    z.object({ categoryId: Id, category: z.string(), words: z.string(), most: z.int(), left: z.int() }),
  ),
  daysLeft: z.int(),
})
export type RuleView = z.infer<typeof RuleView>

export const BuyingAnswer = z.object({
  today: DayText,
  currency: z.string(),
  wishes: z.array(WishView),
  ended: z.array(WishView),
  rules: z.array(RuleView),
  /** What to buy again: the last of its kind in use, or finished and wanted again. */
  replacements: z.array(
    z.object({
      itemId: Id,
      mark: z.string(),
      categoryId: Id,
      category: z.string(),
      again: z.enum(BUY_AGAIN).nullable(),
      againWhy: z.string(),
      /** It is finished, or it is the last one in use. */
      finished: z.boolean(),
      /** When the next is needed; null = not within five years, or not known. */
      needed: z.object({ low: DayText.nullable(), middle: DayText.nullable() }).nullable(),
      backups: z.int(),
    }),
  ),
})
export type BuyingAnswer = z.infer<typeof BuyingAnswer>

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
    /** Offered by her numbers and turned down: kept only so that it is not offered again. */
    struck: z.boolean().default(false),
    /** The span whose sheet made her think of it. */
    span: z.strictObject({ from: DayText, to: DayText }).nullable().default(null),
  })
  .refine((lesson) => (lesson.rule === null) === (lesson.about === null), {
    path: ['about'],
    message: 'A rule is about something.',
  })
export const StrikeLesson = z.strictObject({ changeId: ChangeId, struck: z.boolean() })
export const LessonsAnswer = z.object({
  today: DayText,
  kept: z.array(LessonView),
  struck: z.array(LessonView),
  offered: z.array(LessonShown),
})
export type LessonsAnswer = z.infer<typeof LessonsAnswer>
