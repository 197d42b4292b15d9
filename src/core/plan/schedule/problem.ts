/** An item that could lie in the drawer, as the plan sees it. Weeks and months are numbers from 0. */
export interface PlanItem {
  readonly id: string
  readonly categoryId: string
  /** Uses until its goal is met or it is finished, a whole number from 1. */
  readonly uses: number
  /** Most uses week by week; 0 where it is not there yet, past its date, out of season or resting. */
  readonly most: readonly number[]
  /** Uses it could still get after the last week, by its last good day; 0 where that lies within. */
  readonly after: number
  /** What meeting its goal is worth, from 1. */
  readonly value: number
  /** Room it takes. */
  readonly slots: number
  /** It is in the drawer as the plan begins. */
  readonly inDrawer: boolean
  /** The user's moves, by month: it lies there, it does not, or null where the plan decides. */
  readonly fixed: readonly (boolean | null)[]
}

/** Uses of a category, week by week; no drawer week holds more. */
export interface PlanCategory {
  readonly id: string
  readonly zoneId: string
  readonly uses: readonly number[]
}

/** A zone of the drawer with its slots by month; null = as many as the user likes. */
export interface PlanZone {
  readonly id: string
  readonly slots: readonly (number | null)[]
}

/** No more than so many of these lie in the drawer in any month: a project's most items, or one of a kind. */
export interface PlanCap {
  readonly itemIds: readonly string[]
  readonly most: number
}

export interface PlanProblem {
  /** What a use is dated by: its week, or the middle of its run of weeks (`runsOf`), which is enough for many items. */
  readonly grain: 'weeks' | 'runs'
  /** The month of each week. */
  readonly monthOf: readonly number[]
  readonly items: readonly PlanItem[]
  readonly categories: readonly PlanCategory[]
  readonly zones: readonly PlanZone[]
  readonly caps: readonly PlanCap[]
  readonly weights: PlanWeights
}

export interface PlanWeights {
  /** Share of an item's value that its uses earn one by one; the goal itself earns the rest. */
  readonly along: number
  /** What a use in the last week loses against one in the first, as a share. */
  readonly later: number
  /** What laying an item in costs. */
  readonly layIn: number
}

/** alpha, delta and lambda of the programme, as the method was measured with. Tuned by simulation. */
export const PLAN_WEIGHTS: PlanWeights = { along: 0.15, later: 0.2, layIn: 0.5 }

/** Which items lie in the drawer by month, and the uses of each by week; both in the order of the problem's items. */
export interface Schedule {
  readonly lies: readonly (readonly boolean[])[]
  readonly uses: readonly (readonly number[])[]
}

export function monthsOf(problem: PlanProblem): number {
  return (problem.monthOf.at(-1) ?? -1) + 1
}

/** Most uses within the weeks of the plan, were it worn on every day it can be. */
export function mostPossible(item: PlanItem): number {
  return item.most.reduce((sum, each) => sum + each, 0)
}

/**
 * Uses within the plan by which an item is on track: all of them where it is good no longer than that; else the share of its days
 * that lie within, rounded up. At least one, and never more than it needs.
 */
export function milestoneOf(item: PlanItem): number {
  const within = mostPossible(item)
  if (item.after <= 0) return item.uses
  // Without a use nothing is on track, however far off its day is.
  return Math.min(item.uses, Math.max(1, Math.ceil((item.uses * within) / (within + item.after) - 1e-9)))
}

/** It cannot be on track even if it is worn on every day it can be. */
export function isImpossible(item: PlanItem): boolean {
  return mostPossible(item) < milestoneOf(item)
}

/**
 * The problem cut into parts that share no zone, category or cap: each is solved by itself. Parts are in the order of their first
 * item.
 */
export function partsOf(problem: PlanProblem): PlanProblem[] {
  const zoneOf = new Map(problem.categories.map(({ id, zoneId }) => [id, zoneId]))
  const leader = new Map<string, string>()
  const find = (key: string): string => {
    let at = key
    while ((leader.get(at) ?? at) !== at) at = leader.get(at) ?? at
    return at
  }
  const join = (a: string, b: string): void => void leader.set(find(a), find(b))
  const zoneOfItem = new Map(problem.items.map(({ id, categoryId }) => [id, zoneOf.get(categoryId) ?? '']))
  for (const { itemIds } of problem.caps) {
    const zones = itemIds.flatMap((id) => zoneOfItem.get(id) ?? [])
    for (const zone of zones) join(zone, zones[0] ?? zone)
  }
  const parts = new Map<string, PlanItem[]>()
  for (const item of problem.items) {
    const key = find(zoneOfItem.get(item.id) ?? '')
    const own = parts.get(key)
    if (own) own.push(item)
    else parts.set(key, [item])
  }
  return [...parts.values()].map((items) => {
    const ids = new Set(items.map(({ id }) => id))
    const kinds = new Set(items.map(({ categoryId }) => categoryId))
    const categories = problem.categories.filter(({ id }) => kinds.has(id))
    const zones = new Set(categories.map(({ zoneId }) => zoneId))
    return {
      ...problem,
      items,
      categories,
      zones: problem.zones.filter(({ id }) => zones.has(id)),
      caps: problem.caps
        .map((cap) => ({ ...cap, itemIds: cap.itemIds.filter((id) => ids.has(id)) }))
        .filter((cap) => cap.itemIds.length > 0),
    }
  })
}

/** Runs of weeks inside one month in which no item of the category becomes available, spoils or changes season: from, and before which. */
export function runsOf(
  { monthOf, items }: Pick<PlanProblem, 'monthOf' | 'items'>,
  categoryId: string,
): { readonly from: number; readonly to: number }[] {
  const own = items.filter((item) => item.categoryId === categoryId)
  const found: { from: number; to: number }[] = []
  let from = 0
  for (let week = 1; week <= monthOf.length; week += 1) {
    const same =
      week < monthOf.length &&
      monthOf[week] === monthOf[week - 1] &&
      own.every(({ most }) => (most[week] ?? 0) > 0 === (most[week - 1] ?? 0) > 0)
    if (same) continue
    found.push({ from, to: week })
    from = week
  }
  return found
}

/** What one use of an item is worth by week: a share of its value, the less the later. */
export function worthByWeek(problem: PlanProblem, item: PlanItem): number[] {
  const { grain, monthOf, weights } = problem
  const moment = monthOf.map((_, week) => week)
  if (grain === 'runs')
    for (const { from, to } of runsOf(problem, item.categoryId)) moment.fill((from + to - 1) / 2, from, to)
  const perUse = (weights.along * item.value) / item.uses
  return moment.map((each) => perUse * (1 - (weights.later * each) / monthOf.length))
}

/** An empty drawer through all the months. */
export function emptySchedule(problem: PlanProblem): Schedule {
  const months = monthsOf(problem)
  return {
    lies: problem.items.map(({ fixed }) => Array.from({ length: months }, (_, month) => fixed[month] === true)),
    uses: problem.items.map(() => problem.monthOf.map(() => 0)),
  }
}
