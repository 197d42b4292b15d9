import { addDays, daysBetween, type Day } from '../../calendar/day.js'
import type { Toward } from './basis.js'
import type { MadeProblem } from './problem-of.js'
import type { Schedule } from './problem.js'
import type { PlanMonth, PlanWeek } from './span.js'

/** A plan that was adopted, as it is kept. */
export interface AdoptedPlan {
  readonly adoptedOn: Day
  readonly months: readonly PlanMonth[]
  readonly weeks: readonly PlanWeek[]
  readonly lines: readonly AdoptedLine[]
}
export interface AdoptedLine {
  readonly itemId: string
  readonly lies: readonly boolean[]
  readonly uses: readonly number[]
  readonly needed: number
  readonly toward: Toward
  /** All its uses lie within. */
  readonly finishes: boolean
}

/** What became of an item since. */
export interface LineFacts {
  readonly itemId: string
  readonly ended: { readonly day: Day; readonly finished: boolean } | null
  /** The goal that its place in the gauge shows is met. */
  readonly met: boolean
  readonly inDrawer: boolean
  /** Days worn since the plan was adopted, that day included. */
  readonly days: readonly Day[]
}

export type PlanNews =
  | {
      readonly code: 'finished early' | 'finished late'
      readonly itemId: string
      readonly on: Day
      readonly planned: Day
    }
  | { readonly code: 'finished'; readonly itemId: string; readonly on: Day }
  | { readonly code: 'gone'; readonly itemId: string; readonly on: Day }
  | { readonly code: 'behind'; readonly itemId: string; readonly worn: number; readonly planned: number }
  | { readonly code: 'not in the drawer'; readonly itemId: string }
  | { readonly code: 'still in the drawer'; readonly itemId: string }

/** Days that a finish may be off before it is early or late. Assumption. */
const ON_TIME_DAYS = 10
/** Uses that an item may be behind before it is told: more than these, and more than a third of what was planned. Assumption. */
const BEHIND_USES = 2
const BEHIND_SHARE = 1 / 3

/** Uses planned up to a day, that day included; of the week that is not over its share. */
export function plannedUntil(plan: Pick<AdoptedPlan, 'weeks'>, uses: readonly number[], day: Day): number {
  return plan.weeks.reduce((sum, week, at) => {
    if (day < week.from) return sum
    const share = day >= week.to ? 1 : (daysBetween(week.from, day) + 1) / (daysBetween(week.from, week.to) + 1)
    return sum + share * (uses[at] ?? 0)
  }, 0)
}

/** The week of a plan that a day lies in; null before and after. */
export function weekOf({ weeks }: Pick<AdoptedPlan, 'weeks'>, day: Day): number | null {
  const at = weeks.findIndex(({ from, to }) => day >= from && day <= to)
  return at < 0 ? null : at
}

/** The last day on which a line is used as planned: when it was to be done. */
function plannedEnd(plan: AdoptedPlan, line: AdoptedLine): Day | null {
  const last = line.uses.findLastIndex((each) => each > 0)
  return line.finishes ? (plan.weeks[last]?.to ?? null) : null
}

/** The day its goal was met or it was finished; null while neither is. */
function doneOn({ toward, needed }: AdoptedLine, { ended, met, days }: LineFacts, today: Day): Day | null {
  if (ended !== null) return ended.finished ? ended.day : null
  return toward === 'goal' && met ? (days[needed - 1] ?? days.at(-1) ?? today) : null
}

/** What happened otherwise than planned, what is done first. Nothing on the day it was adopted but what is done. */
export function newsOf(plan: AdoptedPlan, facts: readonly LineFacts[], today: Day): PlanNews[] {
  const byId = new Map(facts.map((each) => [each.itemId, each]))
  const yesterday = addDays(today, -1)
  const week = weekOf(plan, today)
  const month = week === null ? null : (plan.weeks[week]?.month ?? null)
  const news = plan.lines.flatMap((line): PlanNews[] => {
    const known = byId.get(line.itemId)
    if (!known) return []
    const { itemId } = line
    const done = doneOn(line, known, today)
    if (done !== null && done >= plan.adoptedOn) {
      const planned = plannedEnd(plan, line)
      if (planned === null) return [{ code: 'finished', itemId, on: done }]
      const late = daysBetween(planned, done)
      if (Math.abs(late) <= ON_TIME_DAYS) return [{ code: 'finished', itemId, on: done }]
      return [{ code: late < 0 ? 'finished early' : 'finished late', itemId, on: done, planned }]
    }
    if (known.ended !== null)
      return known.ended.day < plan.adoptedOn ? [] : [{ code: 'gone', itemId, on: known.ended.day }]
    // Once its months are over nothing is late any more.
    if (done !== null || (plan.weeks.at(-1)?.to ?? today) < today) return []
    const planned = plannedUntil(plan, line.uses, yesterday)
    const worn = known.days.filter((day) => day <= yesterday).length
    if (planned - worn > Math.max(BEHIND_USES, planned * BEHIND_SHARE))
      return [{ code: 'behind', itemId, worn, planned: Math.round(planned) }]
    if (month === null) return []
    const lies = line.lies[month] === true
    if (lies && !known.inDrawer && plan.adoptedOn < today) return [{ code: 'not in the drawer', itemId }]
    return !lies && known.inDrawer && plan.adoptedOn < today ? [{ code: 'still in the drawer', itemId }] : []
  })
  const order: readonly PlanNews['code'][] = [
    'gone',
    'finished early',
    'finished late',
    'finished',
    'behind',
    'not in the drawer',
    'still in the drawer',
  ]
  return news.sort((a, b) => order.indexOf(a.code) - order.indexOf(b.code) || (a.itemId < b.itemId ? -1 : 1))
}

/** Only these ask for a fresh plan: the others are told. */
export function asksForFresh(news: readonly PlanNews[]): boolean {
  return news.some(
    ({ code }) => code === 'gone' || code === 'finished early' || code === 'finished late' || code === 'behind',
  )
}

/** The current plan as a schedule of a problem that begins today: where items lie by month, uses by week; null where it says nothing of it. */
export function scheduleFrom(made: MadeProblem, plan: AdoptedPlan): Schedule | null {
  if (plan.lines.length === 0) return null
  const byId = new Map(plan.lines.map((line) => [line.itemId, line]))
  const lies = made.things.map((thing) => {
    const line = byId.get(thing.itemId)
    return made.span.months.map((month, at) => {
      const said = made.problem.items.find(({ id }) => id === thing.itemId)?.fixed[at] ?? null
      if (said !== null) return said
      const then = plan.months.indexOf(month)
      // Months that the plan does not know yet go on as its last one.
      return line?.lies[then < 0 && month > (plan.months.at(-1) ?? '') ? plan.months.length - 1 : then] === true
    })
  })
  return { lies, uses: made.things.map(() => made.span.weeks.map(() => 0)) }
}
