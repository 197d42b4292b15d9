import type { Day } from '../calendar/day.js'

/** What happens to a package. That it was opened stands with the item itself, that it was finished with its ending. */
export const PACKAGE_EVENTS = [
  'repressed',
  'decanted',
  'gave to a blend',
  'cut open',
  'stopper removed',
  'other cap',
  'depotted',
  'broken',
  'spilt',
  'pump trouble',
  'mister trouble',
  'cap lost',
] as const
export type PackageEvent = (typeof PACKAGE_EVENTS)[number]

/** What is in it weighs the same before and after; what is around it does not, so weighings begin anew. */
const STARTS_SERIES: ReadonlySet<PackageEvent> = new Set<PackageEvent>([
  'repressed',
  'decanted',
  'gave to a blend',
  'cut open',
  'stopper removed',
  'other cap',
  'depotted',
  'broken',
  'cap lost',
])

export interface DatedEvent {
  readonly day: Day
  readonly savedAt: string
  readonly kind: PackageEvent
}

export function startsSeries(kind: PackageEvent): boolean {
  return STARTS_SERIES.has(kind)
}

/**
 * The series a weighing belongs to, from 0: how many events before it changed what is around the content. Of one day, the
 * instants at which they were written down decide.
 */
export function seriesAt(events: readonly DatedEvent[], at: { readonly day: Day; readonly savedAt: string }): number {
  return events.filter(
    (event) => startsSeries(event.kind) && (event.day < at.day || (event.day === at.day && event.savedAt < at.savedAt)),
  ).length
}
