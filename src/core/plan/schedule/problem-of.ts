import { addDays, addMonths, earlier, type Day } from '../../calendar/day.js'
import type { CalmStretch, PlannedWeek } from '../../calendar/planned-week.js'
import { wearDaysBetween } from '../../calendar/wear-days.js'
import { median } from '../../lists/median.js'
import { seasonOn } from '../../item/traits.js'
import type { PlanBasis, PlanKind, PlanSetup, PlanThing } from './basis.js'
import { PLAN_WEIGHTS, type PlanCap, type PlanItem, type PlanProblem } from './problem.js'
import { endOf, monthAt, planSpan, within, type PlanSpan, type PlanWeek } from './span.js'
import { worthOf } from './worth.js'

/** What the user wants in whatever the plan says is worth so many times the most. Assumption. */
export const WANTED = 500
/** What has no last good day is computed as good for so long beyond the plan. Assumption, as for what is unopened. */
const GOOD_MONTHS = 36
/** Above so many items times weeks, runs of weeks are looked at as one. Measured with `npm run bench`. */
const WEEKS_UP_TO = 300

/** A problem with what its numbers stand for. */
export interface MadeProblem {
  readonly span: PlanSpan
  readonly problem: PlanProblem
  /** Wear days of each week, whole ones. */
  readonly wearDays: readonly number[]
  /** In the order of the problem's items. */
  readonly things: readonly PlanThing[]
  /** Last day each can be used within its goal's date and its shelf life; null where neither is known. */
  readonly until: readonly (Day | null)[]
  /** Kinds that will have to be bought, from which month on. */
  readonly toBuy: readonly {
    readonly categoryId: string
    readonly zoneId: string
    readonly from: Day
    readonly month: number
  }[]
}

/** The uses that a plan computes with. */
export function usesNeeded(
  thing: PlanThing,
  { careful, panInstead }: Pick<PlanSetup, 'careful' | 'panInstead'>,
): number {
  const needs = needsOf(thing, panInstead)
  return Math.max(1, Math.ceil((needs[Math.floor((careful ? 0.9 : 0.5) * needs.length)] ?? 1) - 0.01))
}

export function needsOf(thing: PlanThing, panInstead: boolean): readonly number[] {
  return panInstead && thing.needsToPan !== null ? thing.needsToPan : thing.needs
}

/** The problem of a plan, from what the collection knows. The same basis and setup give the same problem. */
export function problemOf(basis: PlanBasis, setup: PlanSetup): MadeProblem {
  const span = planSpan(basis.today, setup.months)
  const week = shifted(basis.week, setup.wearDays)
  const project = basis.projects.find(({ projectId }) => projectId === setup.projectId) ?? null
  const inProject = project && new Set(project.itemIds)
  const things = basis.things.filter(
    ({ itemId }) => !setup.without.includes(itemId) && (inProject === null || inProject.has(itemId)),
  )
  const resting = new Map(project?.resting.map((each) => [each.categoryId, each.until]))
  const kinds = new Map(basis.kinds.map((kind) => [kind.categoryId, kind]))
  const calmOf = (kind: PlanKind | undefined): CalmStretch[] => {
    const until = kind === undefined ? undefined : resting.get(kind.categoryId)
    return [
      ...basis.calm,
      ...(kind?.breaks ?? []).map(({ from, to }) => ({ earliest: from, latest: to, factor: 0 })),
      ...(until === undefined ? [] : [{ earliest: basis.today, latest: until, factor: 0 }]),
    ]
  }
  const wearDays = whole(span.weeks, (each) => wearDaysBetween(each.from, each.to, week, basis.calm))
  const usualMoney = median(things.flatMap(({ moneyLeft }) => moneyLeft ?? []))
  const until = things.map((thing) => lastDay(thing, basis, setup))
  const toBuy = toBuyOf(basis, setup, span)
  const items = things.map((thing, n): PlanItem => {
    const kind = kinds.get(thing.categoryId)
    const calm = calmOf(kind)
    const rests = calm.slice(basis.calm.length)
    const last = until[n] ?? null
    const fixed = fixedOf(thing, basis, span)
    return {
      id: thing.itemId,
      categoryId: thing.categoryId,
      uses: usesNeeded(thing, setup),
      most: span.weeks.map((each, at) => {
        if (!inSeason(thing, each, basis)) return 0
        const days = within(each, thing.from, last)
        if (days === null) return 0
        const all = wearDays[at] ?? 0
        const whole =
          days.from === each.from &&
          days.to === each.to &&
          !rests.some(({ earliest, latest }) => earliest <= each.to && latest >= each.from)
        const worn = whole ? all : Math.min(all, Math.round(wearDaysBetween(days.from, days.to, week, calm)))
        return Math.min(worn, thing.mostAWeek ?? 7)
      }),
      after: afterwards(thing, last, span, week, basis.calm),
      value:
        thing.said === 'in'
          ? WANTED
          : worthOf({ ...thing, usualMoney, inProject: thing.projectIds.length > 0 }, basis.today),
      slots: thing.slots,
      inDrawer: thing.inDrawer,
      fixed,
    }
  })
  const used = new Set(things.map(({ categoryId }) => categoryId))
  const problem: PlanProblem = {
    grain: items.length * span.weeks.length <= WEEKS_UP_TO ? 'weeks' : 'runs',
    monthOf: span.weeks.map(({ month }) => month),
    items,
    categories: basis.kinds
      .filter(({ categoryId }) => used.has(categoryId))
      .map((kind) => ({
        id: kind.categoryId,
        zoneId: kind.zoneId,
        uses: whole(span.weeks, (each) => kind.perWearDay * wearDaysBetween(each.from, each.to, week, calmOf(kind))),
      })),
    zones: basis.places.map(({ zoneId, slots, staying }) => {
      const outside = inProject === null ? 0 : takenOutside(basis, zoneId, inProject)
      const free = Math.max(0, slots - staying - outside) + Number(setup.extraSlot === zoneId)
      return {
        id: zoneId,
        slots: span.months.map((_, month) => {
          const bought = toBuy.filter((each) => each.zoneId === zoneId && each.month <= month).length
          // The user's own moves come before the count of slots.
          const said = items.reduce(
            (sum, item) =>
              sum + (item.fixed[month] === true && kinds.get(item.categoryId)?.zoneId === zoneId ? item.slots : 0),
            0,
          )
          return Math.max(said, free - bought)
        }),
      }
    }),
    caps: capsOf(items, setup, project?.mostItems ?? null, span.months.length),
    weights: PLAN_WEIGHTS,
  }
  return { span, problem, wearDays, things, until, toBuy }
}

/** Whole numbers by week whose sums stay within half of the true sums. */
function whole(weeks: readonly PlanWeek[], of: (week: PlanWeek) => number): number[] {
  let sum = 0
  let given = 0
  return weeks.map((week) => {
    sum += of(week)
    const each = Math.max(0, Math.round(sum) - given)
    given += each
    return each
  })
}

/** The week with so many wear days more or fewer, spread as they are. */
function shifted(week: PlannedWeek, by: number): PlannedWeek {
  if (by === 0) return week
  const sum = week.reduce((total, each) => total + each, 0)
  const wanted = Math.min(7, Math.max(0, sum + by))
  // More go to the days that have room for them, fewer come off those that have them.
  const share = by > 0 ? (wanted - sum) / Math.max(1e-9, 7 - sum) : 1 - wanted / Math.max(1e-9, sum)
  return week.map((each) => (by > 0 ? each + share * (1 - each) : each * (1 - share))) as unknown as PlannedWeek
}

function inSeason({ seasons }: PlanThing, week: PlanWeek, { hemisphere }: PlanBasis): boolean {
  return seasons.length === 0 || seasons.includes(seasonOn(addDays(week.from, 3), hemisphere))
}

function lastDay(thing: PlanThing, { projects }: PlanBasis, { deadline, projectId }: PlanSetup): Day | null {
  const { lastGood } = thing
  const own = projects.find((each) => each.projectId === projectId)
  const dated = deadline !== null && (thing.projectIds.length > 0 || projectId !== null)
  const by = dated ? deadline : (thing.by ?? (projectId === null ? null : (own?.by ?? null)))
  if (by === null) return lastGood
  return lastGood === null ? by : earlier(by, lastGood)
}

/** Wear days after the plan on which it is still good and in season. */
function afterwards(
  thing: PlanThing,
  until: Day | null,
  span: PlanSpan,
  week: PlannedWeek,
  calm: readonly CalmStretch[],
): number {
  const end = endOf(span)
  const last = until ?? addMonths(end, GOOD_MONTHS)
  if (last <= end) return 0
  const share = thing.seasons.length === 0 ? 1 : thing.seasons.length / 4
  const days = wearDaysBetween(addDays(end, 1), last, week, calm) * share
  const perWeek = week.reduce((sum, each) => sum + each, 0)
  const slow = thing.mostAWeek === null || perWeek <= 0 ? 1 : Math.min(1, thing.mostAWeek / perWeek)
  return Math.floor(days * slow)
}

function fixedOf(thing: PlanThing, { moves }: PlanBasis, span: PlanSpan): (boolean | null)[] {
  return span.months.map((month) => {
    if (thing.said === 'no') return false
    return moves.find((move) => move.itemId === thing.itemId && move.month === month)?.lies ?? null
  })
}

/** What lies in a zone and belongs to another project than the one that is planned stays where it is. */
function takenOutside(basis: PlanBasis, zoneId: string, inProject: ReadonlySet<string>): number {
  const zoneOf = new Map(basis.kinds.map((kind) => [kind.categoryId, kind.zoneId]))
  return basis.things.reduce(
    (sum, thing) =>
      sum +
      (thing.inDrawer && !inProject.has(thing.itemId) && zoneOf.get(thing.categoryId) === zoneId ? thing.slots : 0),
    0,
  )
}

function toBuyOf(basis: PlanBasis, setup: PlanSetup, span: PlanSpan): MadeProblem['toBuy'] {
  if (setup.projectId !== null) return []
  const end = endOf(span)
  return basis.kinds.flatMap(({ categoryId, zoneId, need }) => {
    if (need === null) return []
    const first = need < basis.today ? basis.today : need
    const from = setup.noBuyingUntil !== null && setup.noBuyingUntil > first ? setup.noBuyingUntil : first
    const month = from > end ? null : monthAt(span, from)
    return month === null ? [] : [{ categoryId, zoneId, from, month }]
  })
}

function capsOf(items: readonly PlanItem[], { focus }: PlanSetup, most: number | null, months: number): PlanCap[] {
  const caps: PlanCap[] = []
  const fixedMost = (own: readonly PlanItem[]): number =>
    Math.max(
      0,
      ...Array.from({ length: months }, (_, month) => own.filter(({ fixed }) => fixed[month] === true).length),
    )
  const add = (own: readonly PlanItem[], cap: number): void => {
    if (own.length > cap) caps.push({ itemIds: own.map(({ id }) => id), most: Math.max(cap, fixedMost(own)) })
  }
  if (most !== null) add(items, most)
  if (focus)
    for (const kind of new Set(items.map(({ categoryId }) => categoryId)))
      add(
        items.filter(({ categoryId }) => categoryId === kind),
        1,
      )
  return caps
}
