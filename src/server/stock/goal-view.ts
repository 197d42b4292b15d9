import type { Day } from '#core/calendar/day'
import type { CalmStretch, PlannedWeek } from '#core/calendar/planned-week'
import { paceOf, recentPace, sharePaceOf } from '#core/goal/pace'
import { isCounted, progressOf } from '#core/goal/progress'
import { wearsDuring } from '#core/wear/tally'
import type { GoalView } from '#contract/item'
import type { StayRow } from './rows.js'

export interface GoalContext {
  readonly today: Day
  readonly week: PlannedWeek
  readonly away: readonly CalmStretch[]
  /** Days on which the item was worn, each once, ascending. */
  readonly days: readonly Day[]
  readonly left: number | null
  /** Bare share of the pan, 0..1, by its last stage. */
  readonly bare: number | null
  readonly finished: boolean
  /** The shade the goal is for; null for the whole item. */
  readonly partName: string | null
}

/** A stay's goal with its progress and standing, computed from the log. */
export function goalViewOf(stay: StayRow, context: GoalContext): GoalView {
  const { today, week, away, days } = context
  const wearsInStay = wearsDuring(days, { from: stay.rolled_in, to: stay.rolled_out })
  const progress = progressOf({
    kind: stay.goal_kind,
    target: stay.goal_target,
    headStart: stay.head_start,
    wearsInStay,
    leftAtStart: stay.baseline_left,
    leftNow: context.left,
    bareAtStart: stay.baseline_bare,
    bareNow: context.bare,
    finished: context.finished,
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
  const wornToday = days.at(-1) === today
  const target = stay.goal_target ?? 0
  const counted = isCounted(stay.goal_kind)
  const pace = counted
    ? paceOf({
        today,
        rolledIn: stay.rolled_in,
        by,
        target,
        headStart: stay.head_start,
        uses: progress.uses,
        wornToday,
        week,
        away,
      })
    : {
        ...sharePaceOf({ today, rolledIn: stay.rolled_in, by, done: progress.done, met: progress.met, week, away }),
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
    notch: notchShare,
    rolledIn: stay.rolled_in,
    by,
    standing: pace.standing,
    difference: pace.difference,
    wearDaysLeft: pace.wearDaysLeft,
    rescue: pace.rescue,
    pace: recentPace(days, stay.rolled_in, today),
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
