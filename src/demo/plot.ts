import { addDays, daysBetween, type Day } from '#core/calendar/day'
import { learnedWeek, type CalmStretch, type PlannedWeek } from '#core/calendar/planned-week'
import { wearDaysBetween } from '#core/calendar/wear-days'
import type { Role } from './cast-data.js'

/** What the goals of the cast come to, so that each stands where its part says it stands today. */
export interface Plot {
  readonly targets: Readonly<Record<'goal met' | 'on pace' | 'behind' | 'out of reach' | 'without a date', number>>
  /** Days on which each is worn while its goal runs. */
  readonly wearDays: ReadonlyMap<Role, readonly Day[]>
}

/** Of the wear days that are left this share is what a goal that is behind may still need. */
const LEAVE_SOME = 0.85
/** So many uses behind is behind whatever is rounded. */
const BEHIND_BY = 4
const TRIAL_WEARS = 4

/**
 * Reckons with the house's own sums, from the days a face is put on: where a goal should be today, and how many wear days are
 * left to its date.
 */
export function plotOf(story: {
  readonly today: Day
  readonly rolledIn: Day
  readonly by: Day
  readonly ticked: PlannedWeek
  readonly faceDays: readonly Day[]
  readonly recorded: readonly Day[]
  readonly calm: readonly CalmStretch[]
}): Plot {
  const { today, rolledIn, by, calm } = story
  const log = { recorded: story.recorded, calm, unwritten: [], until: addDays(today, -1) }
  const { week } = learnedWeek(story.ticked, new Set(story.faceDays), log)
  const inAll = wearDaysBetween(rolledIn, by, week, calm)
  const elapsed = wearDaysBetween(rolledIn, today, week, calm)
  const left = wearDaysBetween(today, by, week, calm)
  const share = elapsed / inAll
  const days = story.faceDays.filter((day) => day >= rolledIn && day < today)
  const room = Math.max(2, left * LEAVE_SOME)
  // A goal that is behind by four can still be met where the rest of it and the four fit into the days that are left.
  const behindTarget = Math.max(12, Math.min(40, Math.floor((room - BEHIND_BY - 1) / (1 - share))))
  const paceTarget = Math.max(12, Math.min(36, Math.floor(room / (1 - share))))
  const spread = (count: number): Day[] => {
    const picked = Array.from({ length: count }, (_, at) => days[Math.floor(((at + 0.5) * days.length) / count)])
    return [...new Set(picked.flatMap((day) => day ?? []))]
  }
  const recent = days.filter((day) => daysBetween(day, today) <= 24)
  return {
    targets: {
      'goal met': 10,
      'on pace': paceTarget,
      behind: behindTarget,
      'out of reach': 70,
      'without a date': 40,
    },
    wearDays: new Map<Role, readonly Day[]>([
      ['goal met', spread(12)],
      ['on pace', spread(Math.round(paceTarget * share))],
      ['behind', spread(Math.max(1, Math.floor(behindTarget * share) - BEHIND_BY))],
      ['out of reach', spread(14)],
      ['without a date', spread(17)],
      ['left unfinished', spread(9)],
      ['reached and out', days.filter((day) => daysBetween(day, today) > 45).slice(2, 10)],
      ['trial due', recent.slice(-TRIAL_WEARS)],
      ['trial running', recent.slice(-2)],
    ]),
  }
}
