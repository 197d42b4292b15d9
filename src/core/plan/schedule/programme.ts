import { ModelBuilder, type LinearModel } from './linear-model.js'
import {
  isImpossible,
  milestoneOf,
  monthsOf,
  runsOf,
  worthByWeek,
  type PlanItem,
  type PlanProblem,
  type Schedule,
} from './problem.js'

/** A run of weeks that the programme looks at as one. */
export interface Segment {
  readonly from: number
  /** The first week after it. */
  readonly to: number
}

/** The programme with what it takes to read a schedule out of its columns, or to write one into them. */
export interface Programme {
  readonly model: LinearModel
  /** The columns' values for a schedule. */
  write(schedule: Schedule): number[]
  /** Which items lie in the drawer, by month. */
  readLies(values: readonly number[]): boolean[][]
  /** Which goals are met. */
  readMet(values: readonly number[]): boolean[]
  /** Uses by week; meaningful where each week stands for itself. */
  readUses(values: readonly number[]): number[][]
  /** The column that says whether an item's goal is met; null where it cannot be. */
  metColumn(item: number): number | null
}

/**
 * Builds the mixed-integer programme: what is in the drawer month by month (whole), which goals are met (whole), uses by segment
 * and what is laid in. Every week of the categories in `weekly` stands for itself; else a segment is a run of weeks (`runsOf`). `lies`,
 * where given, is settled already.
 */
export function programmeOf(
  problem: PlanProblem,
  { weekly, lies }: { readonly weekly: ReadonlySet<string>; readonly lies?: readonly (readonly boolean[])[] },
): Programme {
  const { items, monthOf, weights } = problem
  const weeks = monthOf.length
  const months = monthsOf(problem)
  const builder = new ModelBuilder()
  const segments = new Map(
    problem.categories.map((category) => [
      category.id,
      weekly.has(category.id) ? eachWeek(weeks) : runsOf(problem, category.id),
    ]),
  )
  const used = new Map<string, [number, number][][]>(
    problem.categories.map(({ id }) => [id, (segments.get(id) ?? []).map(() => [])]),
  )
  const liesAt: (number | null)[][] = []
  const laidAt: (number | null)[][] = []
  const usesAt: (number | null)[][] = []
  const metAt: (number | null)[] = []
  items.forEach((item, n) => {
    const own = segments.get(item.categoryId) ?? []
    const most = own.map(({ from, to }) => Math.min(item.uses, sum(item.most, from, to)))
    const may = Array.from({ length: months }, (_, month) =>
      own.some(({ from }, b) => monthOf[from] === month && (most[b] ?? 0) > 0),
    )
    const settled = lies?.[n]
    const layers = may.map((can, month) => {
      const said = settled ? (settled[month] ?? false) : (item.fixed[month] ?? null)
      if (said === null) return can ? builder.column(0, 0, 1, true) : null
      return said ? builder.column(0, 1, 1, true) : can ? builder.column(0, 0, 0, true) : null
    })
    liesAt.push(layers)
    laidAt.push(
      layers.map((column, month) => {
        if (column === null || weights.layIn === 0) return null
        const laid = builder.column(-weights.layIn, 0, 1)
        const before = month === 0 ? null : (layers[month - 1] ?? null)
        const terms: [number, number][] = [
          [laid, 1],
          [column, -1],
        ]
        if (before !== null) terms.push([before, 1])
        builder.row(terms, month === 0 && item.inDrawer ? -1 : 0, Infinity)
        return laid
      }),
    )
    const worth = worthByWeek(problem, item)
    const columns = own.map(({ from }, b) => {
      const bound = most[b] ?? 0
      if (bound === 0) return null
      const column = builder.column(worth[from] ?? 0, 0, bound)
      const layer = layers[monthOf[from] ?? 0] ?? null
      if (layer !== null)
        builder.row(
          [
            [column, 1],
            [layer, -bound],
          ],
          -Infinity,
          0,
        )
      used.get(item.categoryId)?.[b]?.push([column, 1])
      return column
    })
    usesAt.push(columns)
    const terms = columns.flatMap((column): [number, number][] => (column === null ? [] : [[column, 1]]))
    if (terms.length > 0) builder.row(terms, -Infinity, item.uses)
    if (settled === undefined) holdMonths(item, monthOf, own, columns, layers, builder)
    if (isImpossible(item)) return metAt.push(null)
    const met = builder.column((1 - weights.along) * item.value, 0, 1, true)
    builder.row([...terms, [met, -milestoneOf(item)]], 0, Infinity)
    // Valid for every schedule, and what the solver would else find out by trying: so many whole months it takes at least.
    const least = leastMonths(item, monthOf)
    const there = layers.flatMap((column): [number, number][] => (column === null ? [] : [[column, 1]]))
    if (settled === undefined) builder.row([...there, [met, -least]], 0, Infinity)
    return metAt.push(met)
  })
  for (const category of problem.categories)
    (segments.get(category.id) ?? []).forEach(({ from, to }, b) => {
      const terms = used.get(category.id)?.[b] ?? []
      if (terms.length > 0) builder.row(terms, -Infinity, sum(category.uses, from, to))
    })
  addRoom(problem, liesAt, builder)
  return {
    model: builder.model(),
    metColumn: (item) => metAt[item] ?? null,
    readLies: (values) =>
      liesAt.map((columns) => columns.map((column) => column !== null && (values[column] ?? 0) > 0.5)),
    readMet: (values) => metAt.map((column) => column !== null && (values[column] ?? 0) > 0.5),
    readUses: (values) =>
      items.map((item, n) => {
        const uses = Array<number>(weeks).fill(0)
        ;(segments.get(item.categoryId) ?? []).forEach(({ from }, b) => {
          const column = usesAt[n]?.[b] ?? null
          if (column !== null) uses[from] = Math.round(values[column] ?? 0)
        })
        return uses
      }),
    write: (schedule) => {
      const values = builder.model().cost.map(() => 0)
      items.forEach((item, n) => {
        const put = (column: number | null | undefined, value: number): void => {
          if (column !== null && column !== undefined) values[column] = value
        }
        const uses = schedule.uses[n] ?? []
        const lying = schedule.lies[n] ?? []
        lying.forEach((lies, month) => {
          put(liesAt[n]?.[month], Number(lies))
          const before = month === 0 ? item.inDrawer : lying[month - 1] === true
          put(laidAt[n]?.[month], Number(lies && !before))
        })
        ;(segments.get(item.categoryId) ?? []).forEach(({ from, to }, b) => put(usesAt[n]?.[b], sum(uses, from, to)))
        put(metAt[n], Number(sum(uses, 0, weeks) >= milestoneOf(item)))
      })
      return values
    },
  }
}

/** The fewest months in which an item's goal can be met. */
function leastMonths(item: PlanItem, monthOf: readonly number[]): number {
  const most: number[] = []
  item.most.forEach((each, week) => (most[monthOf[week] ?? 0] = (most[monthOf[week] ?? 0] ?? 0) + each))
  most.sort((a, b) => b - a)
  let left = milestoneOf(item)
  let months = 0
  for (const each of most) {
    if (left <= 0) break
    left -= each
    months += 1
  }
  return months
}

/** All uses of a month together want the item to lie there: a tighter word than that of each segment. */
function holdMonths(
  item: PlanItem,
  monthOf: readonly number[],
  own: readonly Segment[],
  columns: readonly (number | null)[],
  layers: readonly (number | null)[],
  builder: ModelBuilder,
): void {
  layers.forEach((layer, month) => {
    const within = own.flatMap(({ from }, b): [number, number][] => {
      const column = columns[b] ?? null
      return monthOf[from] === month && column !== null ? [[column, 1]] : []
    })
    const most = item.most.reduce((sum, each, week) => sum + (monthOf[week] === month ? each : 0), 0)
    if (layer !== null && within.length > 1) builder.row([...within, [layer, -Math.min(item.uses, most)]], -Infinity, 0)
  })
}

/** Slots of the zones and caps, month by month. */
function addRoom(problem: PlanProblem, liesAt: readonly (readonly (number | null)[])[], builder: ModelBuilder): void {
  const { items } = problem
  const zoneOf = new Map(problem.categories.map(({ id, zoneId }) => [id, zoneId]))
  for (let month = 0; month < monthsOf(problem); month += 1) {
    const lying = (of: (n: number) => number): [number, number][] =>
      items.flatMap((_, n): [number, number][] => {
        const column = liesAt[n]?.[month] ?? null
        return column === null || of(n) === 0 ? [] : [[column, of(n)]]
      })
    for (const zone of problem.zones) {
      const slots = zone.slots[month] ?? null
      const terms = lying((n) => (zoneOf.get(items[n]?.categoryId ?? '') === zone.id ? (items[n]?.slots ?? 0) : 0))
      if (slots !== null && terms.length > 0) builder.row(terms, -Infinity, slots)
    }
    for (const { itemIds, most } of problem.caps) {
      const within = new Set(itemIds)
      const terms = lying((n) => Number(within.has(items[n]?.id ?? '')))
      if (terms.length > 0) builder.row(terms, -Infinity, most)
    }
  }
}

function eachWeek(weeks: number): Segment[] {
  return Array.from({ length: weeks }, (_, week) => ({ from: week, to: week + 1 }))
}

function sum(values: readonly number[], from: number, to: number): number {
  let total = 0
  for (let at = from; at < to; at += 1) total += values[at] ?? 0
  return total
}
