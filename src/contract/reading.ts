import {
  type ContradictionCause,
  type ReadHow,
  type LevelWord,
  type ReadingKind,
  CONTRADICTION_CAUSES,
  LEVEL_WORDS,
  READ_HOW,
  READING_KINDS,
} from '#core/measure/reading'
import type { Day } from '#core/calendar/day'
import { type PanStage, PAN_STAGES } from '#core/item/form'
import { z } from 'zod'
import { HEAVIEST } from '#core/measure/weighing'
import { ChangeId, DayText, Id, Line, NewId } from './basic.js'

const SHARE = z.number('Say how much, between 0 and 100 %.').min(0, 'Not below 0 %.').max(1, 'Not above 100 %.')
const MM = z.number().positive('A length is above 0 mm.').max(500, 'Up to 500 mm.')
const Beside = {
  day: DayText,
  how: z.enum(READ_HOW).default('typed'),
  /** The user does not quite trust it: kept, and counted nowhere. */
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

export const Reading = z.object({
  kind: z.enum(READING_KINDS).exclude(['gross']),
  value: z.number().nullable(),
  stage: z.enum(PAN_STAGES).nullable(),
  word: z.enum(LEVEL_WORDS).nullable(),
  day: DayText,
})
export type Reading = z.infer<typeof Reading>

/** Why a reading looks wrong; the words are the page's. */
export interface ReadingDoubt {
  code:
    | 'looks like ounces'
    | 'ten times too heavy'
    | 'ten times too light'
    | 'above the capacity'
    | 'lighter than an empty'
    | 'heavier than before'
    | 'level rose'
    | 'bare area shrank'
    | 'stage went back'
  /** Grams or shares that the sentence is about. */
  value: number | null
}

export interface ReadingView {
  id: string
  version: number
  partId: string | null
  checkInId: string | null
  kind: ReadingKind
  value: number | null
  stage: PanStage | null
  word: LevelWord | null
  mm: number | null
  ofMm: number | null
  how: ReadHow
  resolution: number | null
  day: Day
  moment: 'before-use' | 'after-use'
  savedAt: string
  doubtful: boolean
  cause: ContradictionCause | null
  doubts: ReadingDoubt[]
  note: string
  /** Of weighings: which series, from 0. */
  series: number
  /** The photo its bare area was read off. */
  pan: {
    photoId: string
    shape: 'round' | 'rect'
    handles: z.infer<typeof Spot>[]
    powderTaps: z.infer<typeof Spot>[]
    metalTaps: z.infer<typeof Spot>[]
    mask: string
    method: string
  } | null
}

interface Span {
  low: number
  middle: number
  high: number
}
export interface ContentView {
  grams: Span
  share: Span
  perUse: Span
  /** Weight when finished, of the package it is in now. */
  package: { mean: number; sd: number }
  disagreement: { byScale: number; byLabel: number } | null
  /** What it was computed from. */
  from: {
    weighings: number
    marks: number
    uses: number
    label: number | null
    full: number | null
    /** An empty of its kind, as finished, g; the day it was weighed and of which item. */
    empty: { grams: number; cleaned: boolean; day: Day; itemId: string | null; own: boolean } | null
  }
}

export interface ShadeContent {
  partId: string
  grams: Span
  label: number | null
  uses: number
}
