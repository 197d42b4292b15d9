import type { PackageEvent } from '#core/measure/package-events'
import type { Day } from '#core/calendar/day'

export interface PackageWeightView {
  id: string
  state: 'full' | 'as finished' | 'cleaned'
  grams: number
  resolution: number | null
  day: Day
  itemId: string | null
}

export interface EventView {
  id: string
  partId: string | null
  checkInId: string | null
  day: Day
  kind: PackageEvent
  grams: number | null
  share: number | null
  /** The mark of what it went into, or the words of the container. */
  into: string | null
  words: string
}
