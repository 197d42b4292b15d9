import { later, type Day } from '#core/calendar/day'
import type { CalmStretch, PlannedWeek } from '#core/calendar/planned-week'
import { paceOf, sharePaceOf } from '#core/goal/pace'
import { isCounted, progressOf } from '#core/goal/progress'
import { baselineDay, contentOn, type DatedReading } from '#core/item/what-is-left'
import { wearsDuring } from '#core/wear/tally'
import type { GoalView } from '#contract/item'
import type { StayRow } from './rows.js'

export interface GoalContext {
  readonly today: Day
  readonly week: PlannedWeek
  readonly away: readonly CalmStretch[]
  /** Days on which the item was worn, each once, ascending. */
  readonly days: readonly Day[]
  /** Readings of what the goal is for, in the order of time. */
  readonly readings: readonly DatedReading[]
  /** Its shades, where the goal is for the whole of them. */
  readonly partIds: readonly string[]
  /** Where nothing was read by eye: what is left by weighings, from the first of them on. */
  readonly weighed: { readonly first: Day; readonly on: (day: Day) => number } | null
  /** The day it was finished; null while it is not. */
  readonly finishedOn: Day | null
  /** Nothing can be used of it any more. */
  readonly ended: boolean
  /** The shade the goal is for; null for the whole item. */
  readonly partName: string | null
}

/**
 * A stay's goal with its progress and standing, computed from the log. A stay that has ended is seen as on its last day: what
 * happened to the item afterwards changes nothing of it.
 */
export function goalViewOf(stay: StayRow, context: GoalContext): GoalView {
  const { week, away, days, readings, partIds } = context
  const today = stay.rolled_out !== null && stay.rolled_out < context.today ? stay.rolled_out : context.today
  const wearsInStay = wearsDuring(days, { from: stay.rolled_in, to: stay.rolled_out })
  const stillCounts = stay.rolled_out === null || stay.out_reason === 'finished' || stay.out_reason === 'met'
  const finished = context.finishedOn !== null && stillCounts && context.finishedOn <= today
  const { weighed } = context
  const byWeight = readings.length === 0 && weighed !== null && weighed.first <= today ? weighed : null
  const baseline = byWeight
    ? { day: later(byWeight.first, stay.rolled_in), late: byWeight.first > stay.rolled_in }
    : baselineDay(readings, stay.rolled_in)
  const then = baseline === null ? null : contentOn(readings, partIds, baseline.day)
  const now = contentOn(readings, partIds, today)
  const progress = progressOf({
    kind: stay.goal_kind,
    target: stay.goal_target,
    headStart: stay.head_start,
    wearsInStay,
    leftAtStart: byWeight && baseline ? byWeight.on(baseline.day) : (then?.left ?? null),
    leftNow: byWeight ? byWeight.on(today) : now.left,
    bareAtStart: then?.bare ?? null,
    bareNow: now.bare,
    panShows: now.panShows,
    finished,
  })
  // What merely goes along, or is kept in use, has nothing to be late for.
  const by =
    stay.goal_kind === 'keep using' || stay.beside === 1
      ? null
      : stay.by_kind === 'own'
        ? stay.by_day
        : stay.by_kind === 'project'
          ? stay.project_by
          : null
  const target = stay.goal_target ?? 0
  const counted = isCounted(stay.goal_kind)
  const ended = context.ended && stay.rolled_out === null
  const pace = counted
    ? paceOf({
        today,
        rolledIn: stay.rolled_in,
        by,
        target,
        headStart: stay.head_start,
        uses: progress.uses,
        wornToday: days.includes(today),
        ended,
        week,
        away,
      })
    : {
        ...sharePaceOf({
          today,
          rolledIn: stay.rolled_in,
          by,
          done: progress.done,
          met: progress.met,
          ended,
          week,
          away,
        }),
        difference: null,
        rescue: null,
      }
  const notchShare = pace.notch === null || !counted ? pace.notch : Math.min(1, pace.notch / target)
  return {
    stayId: stay.id,
    projectId: stay.project_id,
    projectName: stay.project_name,
    partId: stay.part_id,
    partName: context.partName,
    beside: stay.beside === 1,
    kind: stay.goal_kind,
    target: stay.goal_target,
    headStart: stay.head_start,
    wearsInStay,
    uses: progress.uses,
    usesLeft: progress.usesLeft,
    met: progress.met,
    done: progress.done,
    baseline: counted || stay.goal_kind === 'keep using' ? null : baseline,
    notch: notchShare,
    rolledIn: stay.rolled_in,
    by,
    standing: pace.standing,
    difference: pace.difference,
    wearDaysLeft: pace.wearDaysLeft,
    rescue: pace.rescue,
  }
}

/** The goal the gauge shows: the one she pinned, else the earliest date, else the oldest. */
export function shownGoal(goals: readonly { goal: GoalView; pinned: boolean }[]): GoalView | null {
  const sorted = [...goals].sort(
    (a, b) =>
      // A shade's goal stands for its palette only where the palette has none of its own.
      Number(a.goal.partId !== null) - Number(b.goal.partId !== null) ||
      Number(b.pinned) - Number(a.pinned) ||
      (a.goal.by ?? '9999').localeCompare(b.goal.by ?? '9999') ||
      a.goal.rolledIn.localeCompare(b.goal.rolledIn),
  )
  return sorted[0]?.goal ?? null
}
