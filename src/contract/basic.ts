import { z } from 'zod'
import { parseDay, type Day } from '#core/calendar/day'

/** The id of something that is there: those made by earlier versions are longer and have dots. */
export const Id = z.string().regex(/^[A-Za-z0-9._-]{1,120}$/, 'An id is letters, digits, dots, - or _.')

/** An id for something new: opaque text made by the caller, that survives export. */
export const NewId = z.string().regex(/^[A-Za-z0-9_-]{1,40}$/, 'A new id is 1 to 40 letters, digits, - or _.')

const NO_DAY = 'Not a day of the calendar between 1970 and 2199; write it as 2026-11-24.'
export const DayText = z
  .string()
  .max(10, { error: NO_DAY, abort: true })
  .refine((text) => parseDay(text) !== null, NO_DAY)
  .transform((text) => text as Day)

/** Signs that no keyboard writes and no file should hold: control characters but for line breaks and tabs, halves of signs. */
const UNWRITABLE =
  /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f]|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/ // eslint-disable-line no-control-regex -- these are what is looked for

export function isWritable(text: string): boolean {
  return !UNWRITABLE.test(text)
}

/** Words as they are typed, up to a length. */
export const Line = (most: number): z.ZodString =>
  z
    .string()
    .trim()
    .max(most, `Up to ${most} characters.`)
    .refine(isWritable, 'There are signs in it that can’t be saved; type it again.')

export const Hex = z
  .string()
  .toLowerCase()
  .regex(/^#[0-9a-f]{6}$/, 'A colour is written as # and six hex digits.')

export const ChangeId = NewId

/** What a failed request answers (RFC 9457, problem+json, with the fields that are wrong). */
export interface Problem {
  readonly type: 'about:blank'
  readonly title: string
  readonly status: number
  readonly code: string
  readonly detail: string
  readonly errors: readonly FieldError[]
  /** What stands now, when an edit was stale. */
  readonly current?: unknown
}

export interface FieldError {
  readonly field: string
  readonly value: string
  readonly message: string
}

export interface ChangeNote {
  readonly id: string
  readonly words: string
  readonly changed: boolean
}
