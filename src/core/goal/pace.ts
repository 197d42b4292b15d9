import { addDays, type Day } from '../calendar/day.js'
import type { CalmStretch, PlannedWeek } from '../calendar/planned-week.js'
import { wearDaysBetween } from '../calendar/wear-days.js'

/** *Ahead* and *behind* begin beyond one use. */
export const ON_PACE_WITHIN_USES = 1

export interface PaceFacts {
  readonly today: Day
  readonly rolledIn: Day
  readonly by: Day | null
  readonly target: number
  readonly headStart: number
  readonly uses: number
  readonly wornToday: boolean
  /** Nothing of it is left to use. */
  readonly ended: boolean
  readonly week: PlannedWeek
  readonly away: readonly CalmStretch[]
}

/** `missed` = its date has passed, `ended` = the item is finished: both without its being met. */
export type Standing =
  'met' | 'ahead' | 'on pace' | 'behind' | 'out of reach' | 'missed' | 'ended' | 'no date' | 'not known'

/** What an eye tells a level apart by: below this a difference is no difference (sd of a level mark .08). Assumption. */
export const EYE_ERROR = 0.08

export interface Pace {
  readonly standing: Standing
  /** Where it should be today, in uses; null when the goal has no date. */
  readonly notch: number | null
  /** Uses short of (negative) or past the notch; null when there is none. */
  readonly difference: number | null
  /** Wear days left to the date, today included while it is not yet worn; null without a date. */
  readonly wearDaysLeft: number | null
  /** What would still work when it is out of reach. */
  readonly rescue: { readonly smallerGoal: number } | null
}

/** Standing of an N-use goal against its date, from the planned week. Lost time shows. */
export function paceOf(facts: PaceFacts): Pace {
  const left = facts.target - facts.uses
  if (facts.by === null || facts.ended)
    return {
      standing: left <= 0 ? 'met' : facts.ended ? 'ended' : 'no date',
      notch: null,
      difference: null,
      wearDaysLeft: null,
      rescue: null,
    }
  const inAll = wearDaysBetween(facts.rolledIn, facts.by, facts.week, facts.away)
  const elapsed = wearDaysBetween(
    facts.rolledIn,
    facts.today < facts.by ? facts.today : facts.by,
    facts.week,
    facts.away,
  )
  const share = inAll === 0 ? 1 : elapsed / inAll
  const notch = facts.headStart + (facts.target - facts.headStart) * share
  const difference = facts.uses - notch
  const next = facts.wornToday ? addDays(facts.today, 1) : facts.today
  const wearDaysLeft = next > facts.by ? 0 : wearDaysBetween(next, facts.by, facts.week, facts.away)
  if (left <= 0) return { standing: 'met', notch, difference, wearDaysLeft, rescue: null }
  const passed = facts.today > facts.by
  // In whole days, as they are shown and planned with.
  const days = Math.round(wearDaysLeft)
  if (passed || left > days)
    return {
      standing: passed ? 'missed' : 'out of reach',
      notch,
      difference,
      wearDaysLeft,
      rescue: {
        smallerGoal: facts.uses + days,
      },
    }
  const standing = difference < -ON_PACE_WITHIN_USES ? 'behind' : difference > ON_PACE_WITHIN_USES ? 'ahead' : 'on pace'
  return { standing, notch, difference, wearDaysLeft, rescue: null }
}

/**
 * Standing of a goal read as a share done (finish, by level or stage) against its date: the notch
 * is the share of wear days elapsed. `done` is null while nothing measures it.
 */
export function sharePaceOf(facts: {
  readonly today: Day
  readonly rolledIn: Day
  readonly by: Day | null
  readonly done: number | null
  readonly met: boolean
  readonly ended: boolean
  readonly week: PlannedWeek
  readonly away: readonly CalmStretch[]
}): { standing: Standing; notch: number | null; wearDaysLeft: number | null } {
  const { by, done } = facts
  if (by === null || facts.ended)
    return {
      standing: facts.met ? 'met' : facts.ended ? 'ended' : 'no date',
      notch: null,
      wearDaysLeft: null,
    }
  const inAll = wearDaysBetween(facts.rolledIn, by, facts.week, facts.away)
  const until = facts.today < by ? facts.today : by
  const notch = inAll === 0 ? 1 : wearDaysBetween(facts.rolledIn, until, facts.week, facts.away) / inAll
  const wearDaysLeft = facts.today > by ? 0 : wearDaysBetween(facts.today, by, facts.week, facts.away)
  if (facts.met) return { standing: 'met', notch, wearDaysLeft }
  if (facts.today > by) return { standing: 'missed', notch, wearDaysLeft }
  if (done === null) return { standing: 'not known', notch, wearDaysLeft }
  const standing = done - notch > EYE_ERROR ? 'ahead' : notch - done > EYE_ERROR ? 'behind' : 'on pace'
  return { standing, notch, wearDaysLeft }
}

/**
 * Standing of a goal without a date against a plan that has it: the notch is what was done when the plan was adopted, and from there
 * the share of its uses that were planned by now. `target` = uses of a counted goal, else null.
 */
export function planPaceOf(facts: {
  readonly doneThen: number | null
  readonly done: number | null
  readonly target: number | null
  /** Uses planned by now, and in all until the goal. */
  readonly planned: number
  readonly needed: number
}): { readonly standing: Standing; readonly notch: number | null; readonly difference: number | null } {
  const { doneThen, done, target, planned, needed } = facts
  if (doneThen === null || done === null) return { standing: 'no date', notch: null, difference: null }
  const notch = doneThen + (1 - doneThen) * Math.min(1, planned / Math.max(1, needed))
  const difference = target === null ? null : (done - notch) * target
  const off = difference ?? done - notch
  const within = target === null ? EYE_ERROR : ON_PACE_WITHIN_USES
  return { standing: off > within ? 'ahead' : off < -within ? 'behind' : 'on pace', notch, difference }
}
