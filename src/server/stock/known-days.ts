import { createHash } from 'node:crypto'
import { addDays, daysBetween, type Day } from '#core/calendar/day'
import { silentStretches } from '#core/calendar/day-log'
import type { DayRange } from '#core/calendar/when'
import type { CalmStretch } from '#core/calendar/planned-week'
import type { Stretch } from '#core/forecast/rate'

/** What is known of the user's days, from the first that was ever recorded to the last. */
export interface KnownDays {
  readonly today: Day
  /** The first day with a record; today where there is none. */
  readonly first: Day
  /** The last day that tells how often items are used: yesterday, since today is not over. */
  readonly last: Day
  /** How many of the days from the first to the last tell something. */
  readonly telling: number
  /** Days that tell nothing of how often items are used: away, not written down, silent. */
  readonly out: readonly DayRange[]
  /** Days away and low seasons. */
  readonly calm: readonly CalmStretch[]
  /** Two collections with the same key compute alike. */
  readonly key: string
}

export interface DaySources {
  readonly today: Day
  readonly recorded: readonly Day[]
  readonly away: readonly DayRange[]
  readonly unwritten: readonly DayRange[]
  readonly calm: readonly CalmStretch[]
}

export function knownDaysOf({ today, recorded, away, unwritten, calm }: DaySources): KnownDays {
  const last = addDays(today, -1)
  const known = recorded.filter((day) => day <= last)
  const silent = silentStretches({ recorded: known, calm: away, unwritten, until: last })
  const out = [...away, ...unwritten, ...silent]
  return {
    today,
    first: known[0] ?? today,
    last,
    telling: known[0] === undefined ? 0 : telling(daysBetween(known[0], last), numbered(out, known[0])),
    out,
    calm,
    // Short, since every forecast that is remembered holds it.
    key: createHash('sha256')
      .update(JSON.stringify([known[0], last, out, calm]))
      .digest('base64url'),
  }
}

function telling(cut: number, out: readonly Stretch[]): number {
  let found = 0
  for (let day = 0; day <= cut; day += 1) if (!out.some(([first, last]) => day >= first && day <= last)) found += 1
  return found
}

/** Stretches as numbers of days from a day on. */
export function numbered(stretches: readonly DayRange[], from: Day): Stretch[] {
  return stretches.map(({ earliest, latest }) => [daysBetween(from, earliest), daysBetween(from, latest)] as const)
}
