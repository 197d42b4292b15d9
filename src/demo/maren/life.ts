import { fieldsOf, type Day } from '#core/calendar/day'
import type { DemoItem } from '../stash.js'
import type { LookKind } from './looks.js'
import type { LifeGoal, ProjectId, Stay, Thing } from './thing.js'

/** The project until the party began so many days ago, and ends so many days ahead; nothing is bought from its first day on. */
export const PROJECT_DAYS = 115
export const PARTY_IN_DAYS = 26
/** A season project ran before, for three months. */
export const SPRING_DAYS = 280
export const SPRING_LASTS = 90
/** Trials began so many days ago. */
export const TRIAL_DAYS = 24
export const TRIAL_KINDS = ['lipstick', 'blush', 'highlighter'] as const

export type Act =
  | { readonly do: 'add' | 'in' | 'out' | 'finish' | 'trial'; readonly item: DemoItem }
  | { readonly do: 'open'; readonly item: DemoItem; readonly said: boolean }
  | { readonly do: 'no makeup' }
  | { readonly do: 'wear'; readonly kind: LookKind; readonly worn: readonly Worn[] }
  | { readonly do: 'project' | 'close'; readonly project: ProjectId }
  | { readonly do: 'roll in'; readonly project: ProjectId; readonly item: DemoItem; readonly goal: LifeGoal }
  | { readonly do: 'roll out'; readonly item: DemoItem; readonly reason: 'met' | 'left unfinished' }
export interface Worn {
  readonly item: DemoItem
  /** Shades of a palette. */
  readonly partIds: readonly string[]
}

export interface MarenLife {
  readonly today: Day
  readonly start: Day
  readonly things: ReadonlyMap<string, Thing>
  readonly days: ReadonlyMap<Day, { readonly kind: LookKind; readonly said: boolean }>
  readonly stays: readonly Stay[]
  readonly acts: ReadonlyMap<Day, readonly Act[]>
}

/** The move was in February; of last year when this February is not in the log yet. */
export function movingDay(today: Day): Day {
  const { year } = fieldsOf(today)
  const thisYear = `${year}-02-14` as Day
  return thisYear < today ? thisYear : (`${year - 1}-02-14` as Day)
}
