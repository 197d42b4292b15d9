import { z } from 'zod'
import { ChangeId } from './basic.js'

export const Settings = z.strictObject({
  currency: z.string().regex(/^[A-Z]{3}$/, 'A currency is three capital letters, for instance EUR.'),
  rollOverHour: z.int().min(0).max(12),
  /** Wear days she plans, Monday first. */
  plannedWeek: z.array(z.boolean()).length(7),
  units: z.enum(['metric', 'ounces']),
})
export type Settings = z.infer<typeof Settings>

export const DEFAULT_SETTINGS: Settings = {
  currency: 'EUR',
  rollOverHour: 4,
  plannedWeek: [true, true, true, true, true, true, true],
  units: 'metric',
}

export const SaveSettings = z.strictObject({ changeId: ChangeId, settings: Settings, version: z.int() })

export const UndoBody = z.strictObject({ changeId: ChangeId, withLater: z.boolean().default(false) })
