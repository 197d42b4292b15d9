import { daysBetween, type Day } from '#core/calendar/day'
import type { PlanLine } from '#core/plan/schedule/outcome'
import { endOf, type PlanSpan } from '#core/plan/schedule/span'
import type { MadeProblem } from '#core/plan/schedule/problem-of'

/** A line with the months it lies there, from the first to the one after the last. */
export interface ScheduleLine {
  readonly line: PlanLine
  readonly from: number
  readonly to: number
}
/** A kind that will have to be bought: a place kept for it. */
export interface KeptPlace {
  readonly categoryId: string
  readonly day: Day
  readonly from: number
}
export interface Lane {
  readonly lines: readonly ScheduleLine[]
  readonly toBuy: KeptPlace | null
}
export interface PlanZoneView {
  readonly zoneId: string
  readonly lanes: readonly Lane[]
  /** What lies there through all the months and has no end in them. */
  readonly staying: readonly PlanLine[]
}

/** Whether a line is news to nobody: there from first to last, with nothing that ends within. */
function stays(line: PlanLine, end: Day, moved: boolean): boolean {
  return (
    !moved &&
    line.lies.every(Boolean) &&
    line.likely.low === null &&
    (line.until === null || line.until > end) &&
    line.met
  )
}

/** Lanes of the zones: a thing has its lane as long as it lies there, and leaves it to the next. */
export function zonesOf(made: MadeProblem, lines: readonly PlanLine[], unfold: ReadonlySet<string>): PlanZoneView[] {
  const end = endOf(made.span)
  const zoneOf = new Map(made.problem.categories.map(({ id, zoneId }) => [id, zoneId]))
  const things = new Map(made.things.map((thing, n) => [thing.itemId, { thing, item: made.problem.items[n] }]))
  const zones = made.problem.zones.map(({ id }) => id)
  return zones.flatMap((zoneId) => {
    const own = lines.filter((line) => zoneOf.get(things.get(line.itemId)?.thing.categoryId ?? '') === zoneId)
    const isStaying = (line: PlanLine): boolean =>
      !unfold.has(zoneId) &&
      stays(line, end, things.get(line.itemId)?.item?.fixed.some((each) => each !== null) === true)
    const staying = own.filter(isStaying)
    const lanes: { lines: ScheduleLine[]; toBuy: KeptPlace | null }[] = []
    const laid = own
      .filter((line) => !isStaying(line))
      .map((line) => ({ line, from: line.lies.indexOf(true), to: line.lies.lastIndexOf(true) + 1 }))
      .sort((a, b) => a.from - b.from || a.to - b.to || (a.line.itemId < b.line.itemId ? -1 : 1))
    for (const each of laid) {
      const free = lanes.find((lane) => (lane.lines.at(-1)?.to ?? 0) <= each.from)
      if (free) free.lines.push(each)
      else lanes.push({ lines: [each], toBuy: null })
    }
    for (const { categoryId, from: day, month } of made.toBuy.filter((each) => each.zoneId === zoneId)) {
      const free = lanes.find((lane) => lane.toBuy === null && (lane.lines.at(-1)?.to ?? 0) <= month)
      const place = { categoryId, day, from: month }
      if (free) free.toBuy = place
      else lanes.push({ lines: [], toBuy: place })
    }
    return lanes.length + staying.length === 0 ? [] : [{ zoneId, lanes, staying }]
  })
}

/** Where a day lies along the months, 0..1: each month takes the same room, its weeks share it. */
export function placeOf(span: PlanSpan, day: Day): number {
  const months = span.months.length
  for (const week of span.weeks) {
    if (day > week.to) continue
    const own = span.weeks.filter(({ month }) => month === week.month)
    const at = own.indexOf(week)
    const within = Math.min(1, Math.max(0, daysBetween(week.from, day) / (daysBetween(week.from, week.to) + 1)))
    return (week.month + (at + within) / own.length) / months
  }
  return 1
}

/** Uses of each month of a line. */
export function usesByMonth(line: Pick<PlanLine, 'uses'>, span: PlanSpan): number[] {
  return span.months.map((_, month) =>
    span.weeks.reduce((sum, week, at) => sum + (week.month === month ? (line.uses[at] ?? 0) : 0), 0),
  )
}

/** Weeks of a month in which a line can be used. */
export function weeksIn(span: PlanSpan, month: number): number {
  return span.weeks.filter((week) => week.month === month).length
}
