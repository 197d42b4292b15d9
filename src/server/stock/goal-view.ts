import { addDays, later, type Day } from '#core/calendar/day'
import type { CalmStretch, PlannedWeek } from '#core/calendar/planned-week'
import { paceOf, planPaceOf, sharePaceOf } from '#core/goal/pace'
import { isCounted, progressOf, type Progress } from '#core/goal/progress'
import { baselineDay, contentOn, type DatedReading } from '#core/item/what-is-left'
import { wearsDuring } from '#core/wear/tally'
import type { GoalView } from '#contract/item'
import type { StayRow } from './rows.js'

export interface GoalContext {
  readonly today: Day
  readonly week: PlannedWeek
  readonly away: readonly CalmStretch[]
  readonly days: readonly Day[]
  /** Readings of what the goal is for, in the order of time. */
  readonly readings: readonly DatedReading[]
  /** Its shades, where the goal is for the whole of them. */
  readonly partIds: readonly string[]
  /** Where nothing was read by eye: what is left by weighings, from the first of them on. */
  readonly weighed: { readonly first: Day; readonly on: (day: Day) => number } | null
  readonly finishedOn: Day | null
  /** Nothing can be used of it any more. */
  readonly ended: boolean
  /** The current plan, where it has the item: since when, and its uses planned by today and needed in all. */
  readonly plan: { readonly since: Day; readonly planned: number; readonly needed: number } | null
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
  const progressOn = (day: Day, wears: number, content: typeof now, gone: boolean): Progress =>
    progressOf({
      kind: stay.goal_kind,
      target: stay.goal_target,
      headStart: stay.head_start,
      wearsInStay: wears,
      leftAtStart: byWeight && baseline ? byWeight.on(baseline.day) : (then?.left ?? null),
      leftNow: byWeight ? byWeight.on(day) : content.left,
      bareAtStart: then?.bare ?? null,
      bareNow: content.bare,
      panShows: content.panShows,
      finished: gone,
    })
  const progress = progressOn(today, wearsInStay, now, finished)
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
  const { plan } = context
  // A shade's goal is no matter of the plan, which knows whole items.
  const planned =
    by !== null ||
    plan === null ||
    // What began since then the plan does not know.
    stay.rolled_in > plan.since ||
    ended ||
    progress.met ||
    stay.rolled_out !== null ||
    stay.beside === 1 ||
    stay.part_id !== null
      ? null
      : againstPlan(plan)
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
    notch: planned === null ? notchShare : planned.notch,
    rolledIn: stay.rolled_in,
    by,
    standing: planned?.standing ?? pace.standing,
    difference: planned === null ? pace.difference : planned.difference,
    wearDaysLeft: pace.wearDaysLeft,
    rescue: pace.rescue,
  }

  /** Where the plan would have it by now, from where it stood when the plan was adopted. */
  function againstPlan({ since, planned, needed }: NonNullable<GoalContext['plan']>): ReturnType<typeof planPaceOf> {
    const wears = wearsDuring(days, { from: stay.rolled_in, to: addDays(since, -1) })
    const done = stay.goal_kind === 'keep using' ? null : progress.done
    return planPaceOf({
      doneThen: progressOn(since, wears, contentOn(readings, partIds, since), false).done,
      done,
      target: counted ? target : null,
      planned,
      needed,
    })
  }
}

/** The goal the gauge shows: the one the user pinned, else the earliest date, else the oldest. */
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
