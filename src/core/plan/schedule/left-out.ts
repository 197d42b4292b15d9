import { addDays, type Day } from '../../calendar/day.js'
import { dayOfNthWear } from '../../calendar/wear-days.js'
import type { Hemisphere } from '../../calendar/hemisphere.js'
import { seasonOn, type Season } from '../../item/traits.js'
import type { PlanBasis } from './basis.js'
import type { MadeProblem } from './problem-of.js'
import { isImpossible, milestoneOf, mostPossible, type Schedule } from './problem.js'
import { endOf } from './span.js'

/** Why an item's goal is not met by the plan. */
export type LeftOutReason =
  | { readonly code: 'she said no' }
  | { readonly code: 'past its date'; readonly day: Day }
  | { readonly code: 'out of season'; readonly seasons: readonly Season[]; readonly back: Day | null }
  | {
      readonly code: 'impossible'
      readonly need: number
      readonly possible: number
      readonly until: Day | null
      /** What holds it: the days there are, or how seldom its kind is worn. */
      readonly held: 'days' | 'kind'
      readonly rescue: Rescue
    }
  | { readonly code: 'no slot'; readonly slots: number; readonly free: number }
  | { readonly code: 'crowded out' }

/** What would make it possible: any one of these. */
export interface Rescue {
  /** A smaller goal, in uses; null where not one use is possible. */
  readonly uses: number | null
  /** A later date; null where its shelf life is in the way, or it is too far off. */
  readonly by: Day | null
  /** More uses a week than the most the user said; null where that is not what holds it. */
  readonly perWeek: number | null
}

export interface LeftOut {
  readonly itemId: string
  readonly reason: LeftOutReason
  /** It is in the drawer for some of the time all the same. */
  readonly lies: boolean
  /** What it is worth to the plan: the most is told first. */
  readonly value: number
}

const FURTHEST_DAYS = 366 * 5

/** Everything whose goal the plan does not meet, with the one reason that decides, the most worth first. */
export function leftOutOf(basis: PlanBasis, made: MadeProblem, schedule: Schedule): LeftOut[] {
  const found = made.things.flatMap((thing, n): LeftOut[] => {
    const item = made.problem.items[n]
    if (!item) return []
    const planned = (schedule.uses[n] ?? []).reduce((sum, each) => sum + each, 0)
    if (!isImpossible(item) && planned >= milestoneOf(item)) return []
    return [
      {
        itemId: thing.itemId,
        reason: reasonOf(n),
        lies: (schedule.lies[n] ?? []).includes(true),
        value: item.value,
      },
    ]
  })
  return found.sort((a, b) => b.value - a.value || (a.itemId < b.itemId ? -1 : 1))

  function reasonOf(n: number): LeftOutReason {
    const thing = made.things[n]
    const item = made.problem.items[n]
    if (!thing || !item) return { code: 'crowded out' }
    const until = made.until[n] ?? null
    if (thing.said === 'no' || (item.fixed.length > 0 && item.fixed.every((each) => each === false)))
      return { code: 'she said no' }
    if (until !== null && until < basis.today) return { code: 'past its date', day: until }
    if (
      !made.span.weeks.some(
        ({ from }) => thing.seasons.length === 0 || thing.seasons.includes(seasonOfWeek(from, basis.hemisphere)),
      )
    )
      return {
        code: 'out of season',
        seasons: thing.seasons,
        back: backOn(thing.seasons, endOf(made.span), basis.hemisphere),
      }
    if (isImpossible(item))
      return {
        code: 'impossible',
        need: milestoneOf(item),
        possible: mostPossible(item),
        until,
        held: 'days',
        rescue: rescueOf(n, thing.lastGood, mostPossible(item)),
      }
    // Alone of its kind it would have every day on which the kind is worn.
    const kind = made.problem.categories.find(({ id }) => id === item.categoryId)?.uses ?? []
    const alone = item.most.reduce((sum, each, week) => sum + Math.min(each, kind[week] ?? 0), 0)
    if (alone < milestoneOf(item))
      return {
        code: 'impossible',
        need: milestoneOf(item),
        possible: alone,
        until,
        held: 'kind',
        rescue: { ...rescueOf(n, thing.lastGood, alone), by: null, perWeek: null },
      }
    const zoneId = made.problem.categories.find(({ id }) => id === item.categoryId)?.zoneId
    const free = Math.max(
      ...(made.problem.zones.find(({ id }) => id === zoneId)?.slots ?? []).map((each) => each ?? 99),
    )
    if (free < item.slots) return { code: 'no slot', slots: item.slots, free }
    return { code: 'crowded out' }
  }

  function rescueOf(n: number, lastGood: Day | null, possible: number): Rescue {
    const item = made.problem.items[n]
    const thing = made.things[n]
    if (!item || !thing) return { uses: null, by: null, perWeek: null }
    const week = basis.week
    const perWeek = week.reduce((sum, each) => sum + each, 0)
    const rate = thing.mostAWeek === null || perWeek <= 0 ? 1 : Math.min(1, thing.mostAWeek / perWeek)
    const by = dayOfNthWear(
      item.uses / Math.max(rate, 1e-9),
      thing.from ?? basis.today,
      addDays(basis.today, FURTHEST_DAYS),
      week,
      basis.calm,
    )
    const daily = made.wearDays.reduce((sum, days, at) => sum + ((item.most[at] ?? 0) > 0 ? days : 0), 0)
    const held = thing.mostAWeek !== null && daily >= item.uses
    return {
      uses: possible > 0 ? possible : null,
      by: by !== null && (lastGood === null || by <= lastGood) ? by : null,
      perWeek: held ? Math.ceil((thing.mostAWeek * item.uses) / Math.max(1, possible)) : null,
    }
  }
}

function seasonOfWeek(from: Day, hemisphere: Hemisphere): Season {
  return seasonOn(addDays(from, 3), hemisphere)
}

/** The first day after the plan on which one of its seasons has begun. */
function backOn(seasons: readonly Season[], end: Day, hemisphere: Hemisphere): Day | null {
  for (let n = 1; n <= 366; n += 1) {
    const day = addDays(end, n)
    if (seasons.includes(seasonOn(day, hemisphere))) return day
  }
  return null
}
