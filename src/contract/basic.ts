import { z } from 'zod'
import { parseDay, type Day } from '#core/calendar/day'

/** Ids are text made by the caller; they survive export. */
export const Id = z.string().regex(/^[A-Za-z0-9_-]{1,64}$/, 'An id is 1 to 64 letters, digits, - or _.')

export const DayText = z
  .string()
  .refine((text) => parseDay(text) !== null, 'Not a day of the calendar; write it as 2026-11-24.')
  .transform((text) => text as Day)

export const Line = (most: number): z.ZodString => z.string().trim().max(most)

export const Hex = z
  .string()
  .toLowerCase()
  .regex(/^#[0-9a-f]{6}$/, 'A colour is written as # and six hex digits.')

/** Every command carries the id of the change it makes. */
export const ChangeId = Id

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
