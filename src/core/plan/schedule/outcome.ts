import { addDays, daysBetween, type Day } from '../../calendar/day.js'
import { needsOf, type MadeProblem } from './problem-of.js'
import type { PlanSetup } from './basis.js'
import { milestoneOf, type Schedule } from './problem.js'
import { endOf } from './span.js'

/** When an item would be done if the plan is kept: a tenth, half and nine tenths of the chances. Null = not within the plan. */
export interface LikelyDays {
  readonly low: Day | null
  readonly middle: Day | null
  readonly high: Day | null
}

/** One item of the plan with what comes of it. */
export interface PlanLine {
  readonly itemId: string
  readonly lies: readonly boolean[]
  readonly uses: readonly number[]
  readonly planned: number
  readonly needed: number
  /** Uses within the plan by which it is on track. */
  readonly milestone: number
  /** All its uses lie within the plan. */
  readonly finishes: boolean
  readonly met: boolean
  readonly likely: LikelyDays
  /** Share of its likely numbers of uses that are reached within the plan and by its last day. */
  readonly chance: number
  /** The last day that counts: of its goal or of its shelf life. */
  readonly until: Day | null
}

export interface PlanOutcome {
  /** Items that the plan takes to their goal within its months. */
  readonly of: number
  /** How many of these will be: nine chances in ten that no fewer, one in ten that no more. */
  readonly low: number
  readonly high: number
  /** Money that is used up with what is planned, minor units. */
  readonly usedUp: number
  /** Items that are past their last good day within the plan and not used up by then, as likely numbers, and what is left of them. */
  readonly spoilLow: number
  readonly spoilHigh: number
  readonly spoilMoney: number
  readonly spoilUnpriced: number
}

/** Lines of everything that is in the drawer in some month. */
export function linesOf(made: MadeProblem, setup: PlanSetup, schedule: Schedule): PlanLine[] {
  return made.things.flatMap((thing, n): PlanLine[] => {
    const item = made.problem.items[n]
    const lies = schedule.lies[n] ?? []
    const uses = schedule.uses[n] ?? []
    if (!item || !lies.includes(true)) return []
    const planned = uses.reduce((sum, each) => sum + each, 0)
    const until = made.until[n] ?? null
    const milestone = milestoneOf(item)
    return [
      {
        itemId: thing.itemId,
        lies,
        uses,
        planned,
        needed: item.uses,
        milestone,
        finishes: planned >= item.uses,
        met: planned >= milestone,
        ...likelyDays(
          made,
          { lies, uses, goesOn: planned >= item.uses },
          item.most,
          needsOf(thing, setup.panInstead),
          until,
        ),
        until,
      },
    ]
  })
}

/**
 * The days on which its likely numbers of uses are reached, week by week as planned, and beyond that as often as in the last weeks
 * it was used, while it can be: what was to be done and is not is used on, anything else while it is in the drawer. What is not
 * reached by its last day or within the plan is null.
 */
function likelyDays(
  { span, wearDays }: MadeProblem,
  line: { readonly lies: readonly boolean[]; readonly uses: readonly number[]; readonly goesOn: boolean },
  most: readonly number[],
  needs: readonly number[],
  until: Day | null,
): { readonly likely: LikelyDays; readonly chance: number } {
  const at = (share: number): Day | null => days[Math.floor(share * days.length)] ?? null
  const { lies, uses, goesOn } = line
  const last = uses.findLastIndex((each) => each > 0)
  const lately = uses.slice(Math.max(0, last - 3), last + 1)
  const worn = wearDays.slice(Math.max(0, last - 3), last + 1).reduce((sum, each) => sum + each, 0)
  const perDay = last < 0 || worn === 0 ? 0 : lately.reduce((sum, each) => sum + each, 0) / worn
  const days = needs.map(dayOfUse)
  return {
    likely: { low: at(0.1), middle: at(0.5), high: at(0.9) },
    chance: days.filter((day) => day !== null).length / Math.max(1, days.length),
  }

  function dayOfUse(count: number): Day | null {
    let left = count
    for (const [at, week] of span.weeks.entries()) {
      const on = goesOn || lies[week.month] === true
      const further = on ? Math.min(most[at] ?? 0, perDay * (wearDays[at] ?? 0)) : 0
      const each = at <= last ? (uses[at] ?? 0) : further
      if (left <= each + 1e-9) {
        const length = daysBetween(week.from, week.to)
        const day = addDays(week.from, Math.ceil((length * Math.max(0, left)) / Math.max(each, 1e-9)))
        return until !== null && day > until ? null : day
      }
      left -= each
    }
    return null
  }
}

/** What the plan comes to, if it is kept. */
export function outcomeOf(made: MadeProblem, setup: PlanSetup, lines: readonly PlanLine[]): PlanOutcome {
  const byId = new Map(lines.map((line) => [line.itemId, line]))
  const end = endOf(made.span)
  const first = made.span.weeks[0]?.from ?? end
  const chances: number[] = []
  const spoil: number[] = []
  let usedUp = 0
  let spoilMoney = 0
  let spoilUnpriced = 0
  for (const thing of made.things) {
    const line = byId.get(thing.itemId)
    const needs = needsOf(thing, setup.panInstead)
    const chance = line?.chance ?? 0
    if (line?.finishes === true) chances.push(chance)
    // To show bare metal is not to have used it up.
    const toEmpty = setup.panInstead && thing.needsToPan !== null ? thing.needs : needs
    const share = Math.min(1, (line?.planned ?? 0) / Math.max(1, toEmpty[Math.floor(toEmpty.length / 2)] ?? 1))
    usedUp += (thing.moneyLeft ?? 0) * share
    // What is past already is no matter of a plan.
    if (thing.lastGood === null || thing.lastGood > end || thing.lastGood < first) continue
    const emptied = toEmpty === needs ? chance : 0
    spoil.push(1 - emptied)
    if (thing.moneyLeft === null) spoilUnpriced += 1
    else spoilMoney += thing.moneyLeft * (1 - share)
  }
  const [low, high] = tenths(chances)
  const [spoilLow, spoilHigh] = tenths(spoil)
  return {
    of: chances.length,
    low,
    high,
    usedUp: Math.round(usedUp),
    spoilLow,
    spoilHigh,
    spoilMoney: Math.round(spoilMoney),
    spoilUnpriced,
  }
}

/** Of independent items with these chances, the number that nine in ten exceed or equal, and the one that one in ten does. */
export function tenths(chances: readonly number[]): readonly [low: number, high: number] {
  let of: number[] = [1]
  for (const chance of chances) {
    const next = Array<number>(of.length + 1).fill(0)
    of.forEach((each, n) => {
      next[n] = (next[n] ?? 0) + each * (1 - chance)
      next[n + 1] = (next[n + 1] ?? 0) + each * chance
    })
    of = next
  }
  const at = (share: number): number => {
    let sum = 0
    for (const [n, each] of of.entries()) {
      sum += each
      if (sum >= share - 1e-12) return n
    }
    return chances.length
  }
  return [at(0.1), at(0.9)]
}
