import { z } from 'zod'
import { PAN_STAGES } from '#core/item/form'
import { CONTRADICTION_CAUSES, LEVEL_WORDS, READ_HOW, READING_KINDS } from '#core/measure/reading'
import { HEAVIEST } from '#core/measure/weighing'
import { ChangeId, DayText, Id, Line, NewId } from './basic.js'

const SHARE = z.number('Say how much, between 0 and 100 %.').min(0, 'Not below 0 %.').max(1, 'Not above 100 %.')
const MM = z.number().positive('A length is above 0 mm.').max(500, 'Up to 500 mm.')
/** What every reading carries beside its value. */
const Beside = {
  day: DayText,
  how: z.enum(READ_HOW).default('typed'),
  /** She does not quite trust it: kept, and counted nowhere. */
  doubtful: z.boolean().default(false),
  note: Line(400).default(''),
}

/** A reading of any kind with its day. */
export const ReadingBody = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('level'), value: SHARE, ...Beside }),
  z
    .strictObject({
      kind: z.literal('length'),
      value: SHARE,
      mm: MM.nullable().default(null),
      ofMm: MM.nullable().default(null),
      ...Beside,
    })
    .refine((length) => (length.mm === null) === (length.ofMm === null), {
      path: ['ofMm'],
      message: 'A length in mm needs the length of a new one beside it.',
    })
    .refine((length) => length.mm === null || length.ofMm === null || length.mm <= length.ofMm, {
      path: ['mm'],
      message: 'Longer than a new one; check both lengths.',
    }),
  z.strictObject({ kind: z.literal('stage'), stage: z.enum(PAN_STAGES), ...Beside }),
  z.strictObject({
    kind: z.literal('gross'),
    grams: z
      .number('A weight is a number of grams.')
      .positive('A weight is above 0 g.')
      .max(HEAVIEST, `Up to ${HEAVIEST} g.`),
    /** The scale's smallest step, g. */
    resolution: z.number().positive().max(10),
    ...Beside,
  }),
  z.strictObject({ kind: z.literal('bare'), value: SHARE, ...Beside }),
  z.strictObject({ kind: z.literal('word'), word: z.enum(LEVEL_WORDS), ...Beside }),
])
export type ReadingBody = z.output<typeof ReadingBody>

const Spot = z.tuple([z.number(), z.number()])
/** How a bare area was read off a photo. */
export const PanBody = z.strictObject({
  id: NewId,
  photoId: Id,
  shape: z.enum(['round', 'rect']),
  handles: z.tuple([Spot, Spot, Spot, Spot]),
  powderTaps: z.array(Spot).max(40),
  metalTaps: z.array(Spot).max(40),
  mask: z.string().max(200_000),
  method: Line(60).min(1),
})

const What = {
  partId: Id.nullable(),
  reading: ReadingBody,
  pan: PanBody.nullable().default(null),
}
export const AddReading = z.strictObject({
  changeId: ChangeId,
  id: NewId,
  checkInId: Id.nullable().default(null),
  ...What,
})
export const EditReading = z.strictObject({ changeId: ChangeId, version: z.int(), reading: ReadingBody })
export const DropReading = z.strictObject({ changeId: ChangeId })
/** Why a reading contradicts an earlier one; *repressed* and *other package* are written down as what happened. */
export const SayCause = z.strictObject({
  changeId: ChangeId,
  cause: z.enum(CONTRADICTION_CAUSES),
  eventId: NewId,
})

/** The last of a thing's readings, as everything shows it. */
export const Reading = z.object({
  kind: z.enum(READING_KINDS).exclude(['gross']),
  value: z.number().nullable(),
  stage: z.enum(PAN_STAGES).nullable(),
  word: z.enum(LEVEL_WORDS).nullable(),
  day: DayText,
})
export type Reading = z.infer<typeof Reading>

/** Why a reading looks wrong; the words are the page's. */
export const ReadingDoubt = z.object({
  code: z.enum([
    'looks like ounces',
    'ten times too heavy',
    'ten times too light',
    'above the capacity',
    'lighter than an empty',
    'heavier than before',
    'level rose',
    'bare area shrank',
    'stage went back',
  ]),
  /** Grams or shares that the sentence is about. */
  value: z.number().nullable(),
})
export type ReadingDoubt = z.infer<typeof ReadingDoubt>

/** A reading of any kind, as the page of a thing and a check-in show it. */
export const ReadingView = z.object({
  id: Id,
  version: z.int(),
  partId: Id.nullable(),
  checkInId: Id.nullable(),
  kind: z.enum(READING_KINDS),
  value: z.number().nullable(),
  stage: z.enum(PAN_STAGES).nullable(),
  word: z.enum(LEVEL_WORDS).nullable(),
  mm: z.number().nullable(),
  ofMm: z.number().nullable(),
  how: z.enum(READ_HOW),
  resolution: z.number().nullable(),
  day: DayText,
  moment: z.enum(['before-use', 'after-use']),
  savedAt: z.string(),
  doubtful: z.boolean(),
  cause: z.enum(CONTRADICTION_CAUSES).nullable(),
  doubts: z.array(ReadingDoubt),
  note: z.string(),
  /** Of weighings: which series, from 0. */
  series: z.int(),
  /** The photo its bare area was read off. */
  pan: z
    .object({
      photoId: Id,
      shape: z.enum(['round', 'rect']),
      handles: z.array(Spot),
      powderTaps: z.array(Spot),
      metalTaps: z.array(Spot),
      mask: z.string(),
      method: z.string(),
    })
    .nullable(),
})
export type ReadingView = z.infer<typeof ReadingView>

const Span = z.object({ low: z.number(), middle: z.number(), high: z.number() })
/** What is thought to be left, with how it came about. */
export const ContentView = z.object({
  grams: Span,
  share: Span,
  perUse: Span,
  /** Weight when finished, of the package it is in now. */
  package: z.object({ mean: z.number(), sd: z.number() }),
  disagreement: z.object({ byScale: z.number(), byLabel: z.number() }).nullable(),
  /** What it was reckoned from. */
  from: z.object({
    weighings: z.int(),
    marks: z.int(),
    uses: z.int(),
    label: z.number().nullable(),
    full: z.number().nullable(),
    /** An empty of its kind, as finished, g; the day it was weighed and of which thing. */
    empty: z
      .object({ grams: z.number(), cleaned: z.boolean(), day: DayText, itemId: Id.nullable(), own: z.boolean() })
      .nullable(),
  }),
})
export type ContentView = z.infer<typeof ContentView>

/** What is thought to be left of one shade, of its share of the label, g. */
export const ShadeContent = z.object({ partId: Id, grams: Span, label: z.number().nullable(), uses: z.int() })
export type ShadeContent = z.infer<typeof ShadeContent>
