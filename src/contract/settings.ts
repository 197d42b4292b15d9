import { type Day, parseDay } from '#core/calendar/day'
import { z } from 'zod'
import { HEMISPHERES } from '#core/calendar/hemisphere'
import { HEAVIEST, SCALE_STEPS } from '#core/measure/weighing'
import { LEANINGS } from '#core/decide/doubts'
import { UNIT_SYSTEMS } from '#core/settings'
import { ChangeId, DayText, NewId, Line } from './basic.js'

export const Settings = z.strictObject({
  currency: z.string().regex(/^[A-Z]{3}$/, 'A currency is three capital letters, for instance EUR.'),
  rollOverHour: z.int().min(0).max(12),
  /** Wear days the user plans, Monday first. */
  plannedWeek: z.array(z.boolean()).length(7),
  units: z.enum(UNIT_SYSTEMS),
  /** The smallest step the user's scale shows, g. */
  scaleStep: z.literal(SCALE_STEPS),
  /** What the user's scale can carry, g; null = the user never said. */
  scaleCapacity: z.number().positive('A scale carries more than 0 g.').max(HEAVIEST, `Up to ${HEAVIEST} g.`).nullable(),
  /** Which way the user leans when something is in doubt. */
  leaning: z.enum(LEANINGS),
  /** Where the user lives, for the seasons. */
  hemisphere: z.enum(HEMISPHERES),
})
export type Settings = z.infer<typeof Settings>

export const SaveSettings = z.strictObject({ changeId: ChangeId, settings: Settings, version: z.int() })

export const AddAway = z
  .strictObject({ changeId: ChangeId, id: NewId, earliest: DayText, latest: DayText, words: Line(120) })
  .refine((away) => away.earliest <= away.latest, {
    path: ['latest'],
    message: 'The last day must not be before the first.',
  })
const MonthDay = z
  .string()
  .max(5, 'Write it as month and day, for instance 05-15.')
  .refine((text) => parseDay(`2024-${text}`) !== null, 'Write it as month and day, for instance 05-15.')
/** A stretch of every year with less makeup, at a share of the usual wear days. */
export const AddLowSeason = z.strictObject({
  changeId: ChangeId,
  id: NewId,
  from: MonthDay,
  to: MonthDay,
  factor: z.number().min(0).max(1),
  words: Line(120),
})
export const AddWearLess = z.strictObject({
  changeId: ChangeId,
  id: NewId,
  /** From this day on, without an end. */
  from: DayText,
  factor: z.number().min(0).max(1),
  words: Line(120),
})
export const DropStretch = z.strictObject({ changeId: ChangeId })
export interface StretchesAnswer {
  away: { id: string; earliest: Day; latest: Day; words: string }[]
  lowSeasons: { id: string; from: string; to: string; factor: number; words: string }[]
  wearLess: { id: string; from: Day; factor: number; words: string }[]
}

/** Back to the moment before a change. */
export const GoBackBody = z.strictObject({ changeId: ChangeId })

export const UndoBody = z.strictObject({ changeId: ChangeId, withLater: z.boolean().default(false) })
