import type { Hemisphere } from './calendar/hemisphere.js'
import type { Leaning } from './decide/doubts.js'
import type { ScaleStep } from './measure/weighing.js'

/** Units in which sizes are shown. */
export const UNIT_SYSTEMS = ['metric', 'ounces'] as const
export type UnitSystem = (typeof UNIT_SYSTEMS)[number]

/** What holds until the user says otherwise. */
export const DEFAULT_SETTINGS: {
  currency: string
  rollOverHour: number
  plannedWeek: boolean[]
  units: UnitSystem
  scaleStep: ScaleStep
  scaleCapacity: number | null
  leaning: Leaning
  hemisphere: Hemisphere
} = {
  currency: 'EUR',
  rollOverHour: 4,
  plannedWeek: [true, true, true, true, true, true, true],
  units: 'metric',
  scaleStep: 0.1,
  scaleCapacity: null,
  leaning: 'thrift',
  hemisphere: 'north',
}
