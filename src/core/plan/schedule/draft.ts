import { isImpossible, milestoneOf, monthsOf, worthByWeek, type PlanProblem, type Schedule } from './problem.js'

/** A schedule with what it is worth. */
export interface Valued {
  readonly schedule: Schedule
  readonly objective: number
}

/** A month of a slot is worth holding back for others: so much of a middling value. Tuned on seeded instances (`npm run bench`). */
const SLOT_PRICES = [0, 0.04]
/** Orders tried one after the other by the climb; a hundred cost about as much as one solving begins with. */
const CLIMB_TRIES = 6000

/**
 * The instant draft: items are put in one after the other where each gains most, in three orders (worth of a use, date, value),
 * early or late, and the best of all is kept.
 */
export function draftOf(problem: PlanProblem): Valued {
  return bestOrder(prepared(problem)).best
}

/** A draft made better by trying items in other orders: the same for the same problem, unless `goOn` ends it. */
export function climbedFrom(problem: PlanProblem, goOn: () => boolean, tries = CLIMB_TRIES): Valued {
  const made = prepared(problem)
  const begun = bestOrder(made)
  let { best } = begun
  let order = [...begun.order]
  let seed = 1
  // Numerical Recipes' linear congruence: any even spread will do, so long as it is the same every time.
  const next = (below: number): number => {
    seed = (Math.imul(seed, 1664525) + 1013904223) >>> 0
    return seed % below
  }
  for (let n = 0; n < tries && order.length > 1 && goOn(); n += 1) {
    const changed = [...order]
    const from = next(order.length)
    const [moved] = changed.splice(from, 1)
    if (moved === undefined) break
    changed.splice(next(order.length), 0, moved)
    const found = insertAll(made, changed, begun.way)
    if (found.objective < best.objective) continue
    best = found
    order = changed
  }
  return best
}

interface Way {
  readonly late: boolean
  readonly slotPrice: number
}

function bestOrder(made: Prepared): { readonly best: Valued; readonly order: readonly number[]; readonly way: Way } {
  let best: { best: Valued; order: readonly number[]; way: Way } | null = null
  for (const order of ordersOf(made.problem))
    for (const slotPrice of SLOT_PRICES)
      for (const late of [false, true]) {
        const way = { late, slotPrice }
        const found = insertAll(made, order, way)
        if (best === null || found.objective > best.best.objective + 1e-9) best = { best: found, order, way }
      }
  if (best === null) throw new Error('there is no order to try')
  return best
}

function ordersOf({ items }: PlanProblem): number[][] {
  const all = items.map((_, n) => n)
  const by = (score: (n: number) => number): number[] => [...all].sort((a, b) => score(b) - score(a) || a - b)
  const value = (n: number): number => items[n]?.value ?? 0
  const lastWeek = (n: number): number => {
    const item = items[n]
    return !item || item.after > 0 ? Infinity : item.most.findLastIndex((each) => each > 0)
  }
  return [by((n) => value(n) / Math.max(1, items[n] ? milestoneOf(items[n]) : 1)), by((n) => -lastWeek(n)), by(value)]
}

/** Puts items in, one after the other, each for the run of months in which it gains most. */
function insertAll(problem: Prepared, order: readonly number[], way: Way): Valued {
  const room = new Room(problem, way)
  for (const n of order) room.insert(n, true)
  // What is left of days and slots goes to what cannot be met in full, and to what can be used further.
  for (const n of order) room.insert(n, false)
  return { schedule: { lies: room.lies, uses: room.uses }, objective: room.objective() }
}

/** What every try asks for again, as plain lists. */
interface Prepared {
  readonly problem: PlanProblem
  readonly months: number
  readonly category: readonly number[]
  readonly zone: readonly number[]
  readonly caps: readonly (readonly number[])[]
  readonly target: readonly number[]
  readonly impossible: readonly boolean[]
  /** What a use of an item is worth by week. */
  readonly worth: readonly (readonly number[])[]
  readonly middling: number
}

function prepared(problem: PlanProblem): Prepared {
  const { items, categories, zones, caps } = problem
  const category = items.map(({ categoryId }) => categories.findIndex(({ id }) => id === categoryId))
  return {
    problem,
    months: monthsOf(problem),
    category,
    zone: category.map((at) => zones.findIndex(({ id }) => id === categories[at]?.zoneId)),
    caps: items.map(({ id }) => caps.flatMap(({ itemIds }, at) => (itemIds.includes(id) ? [at] : []))),
    target: items.map(milestoneOf),
    impossible: items.map(isImpossible),
    worth: items.map((item) => worthByWeek(problem, item)),
    middling: items.reduce((sum, { value }) => sum + value, 0) / Math.max(1, items.length),
  }
}

/** Days and slots as they fill up. */
class Room {
  readonly lies: boolean[][]
  readonly uses: number[][]
  readonly #made: Prepared
  readonly #way: Way
  readonly #used: number[]
  readonly #free: number[][]
  readonly #slots: number[][]
  readonly #caps: number[][]

  constructor(made: Prepared, way: Way) {
    const { problem, months } = made
    this.#made = made
    this.#way = way
    this.#free = problem.categories.map(({ uses }) => [...uses])
    this.#slots = problem.zones.map(({ slots }) => slots.map((each) => each ?? Infinity))
    this.#caps = problem.caps.map(({ most }) => Array<number>(months).fill(most))
    this.#used = problem.items.map(() => 0)
    this.lies = problem.items.map(() => Array<boolean>(months).fill(false))
    this.uses = problem.items.map(() => Array<number>(problem.monthOf.length).fill(0))
    problem.items.forEach(({ fixed }, n) => {
      for (let month = 0; month < months; month += 1) if (fixed[month] === true) this.#lay(n, month)
    })
  }

  objective(): number {
    const { problem, worth, impossible, target } = this.#made
    const { weights } = problem
    let sum = 0
    problem.items.forEach((item, n) => {
      const used = this.#used[n] ?? 0
      if (used > 0) (this.uses[n] ?? []).forEach((each, week) => (sum += each * (worth[n]?.[week] ?? 0)))
      if (impossible[n] === false && used >= (target[n] ?? 0)) sum += (1 - weights.along) * item.value
      sum -= weights.layIn * this.#layIns(n, 0, -1)
    })
    return sum
  }

  /** Puts an item in for the best run of months; `whole` = only if its goal is met by that, and no longer than it takes. */
  insert(n: number, whole: boolean): void {
    const { problem, months, impossible, target } = this.#made
    const item = problem.items[n]
    if (!item || (whole && impossible[n] === true)) return
    const already = this.#used[n] ?? 0
    // First only what its goal takes: the days beyond are somebody's goal too.
    const wanted = whole ? Math.max(0, (target[n] ?? 0) - already) : item.uses - already
    if (wanted === 0) return
    const reached = impossible[n] === false && already >= (target[n] ?? 0)
    const { can, worth } = this.#byMonth(n)
    const lying = this.lies[n] ?? []
    const lies = lying.includes(true)
    const before = this.#layIns(n, 0, -1)
    const monthPrice = item.slots * this.#way.slotPrice * this.#made.middling
    const { along, layIn } = problem.weights
    const goal = impossible[n] === true || reached ? 0 : (1 - along) * item.value
    const short = impossible[n] === true ? Infinity : (target[n] ?? 0) - already
    let best = 1e-9
    let run: readonly [number, number] | null = null
    // Runs grow from the end at which they are filled, so that each is the one before and a month more.
    const step = this.#way.late ? -1 : 1
    for (let anchor = 0; anchor < months; anchor += 1) {
      const begin = this.#way.late ? months - 1 - anchor : anchor
      let newMonths = 0
      let added = 0
      let earned = 0
      for (let end = begin; end >= 0 && end < months && this.#mayLie(n, end); end += step) {
        const [from, to] = step > 0 ? [begin, end] : [end, begin]
        if (lying[end] !== true) newMonths += 1
        if (lies) [added, earned] = this.#filled(lying, can, worth, wanted, from, to)
        else {
          const taken = Math.min(wanted - added, can[end] ?? 0)
          added += taken
          earned += taken * (worth[end] ?? 0)
        }
        const met = added >= short
        if (whole && !met) continue
        const layIns = lies ? this.#layIns(n, from, to) - before : item.inDrawer && from === 0 ? 0 : 1
        const gain = earned + (met ? goal : 0) - newMonths * monthPrice - layIn * layIns
        if (gain <= best) continue
        best = gain + 1e-9
        run = [from, to]
        // What meets its goal gains nothing by lying there for longer.
        if (whole) break
      }
    }
    if (run !== null) this.#put(n, run[0], run[1], wanted)
  }

  /** Uses, and what they are worth, of an item that lies there in other months as well. */
  #filled(
    lying: readonly boolean[],
    can: readonly number[],
    worth: readonly number[],
    wanted: number,
    from: number,
    to: number,
  ): [number, number] {
    const months = lying.length
    let left = wanted
    let earned = 0
    for (let step = 0; step < months && left > 0; step += 1) {
      const month = this.#way.late ? months - 1 - step : step
      if ((month < from || month > to) && lying[month] !== true) continue
      const taken = Math.min(left, can[month] ?? 0)
      left -= taken
      earned += taken * (worth[month] ?? 0)
    }
    return [wanted - left, earned]
  }

  /** What each month could still give an item, and what a use of it is worth there in the middle. */
  #byMonth(n: number): { readonly can: readonly number[]; readonly worth: readonly number[] } {
    const { problem, months, category, worth } = this.#made
    const free = this.#free[category[n] ?? 0] ?? []
    const most = problem.items[n]?.most ?? []
    const had = this.uses[n] ?? []
    const can = Array<number>(months).fill(0)
    const sum = Array<number>(months).fill(0)
    problem.monthOf.forEach((month, week) => {
      const each = Math.min((most[week] ?? 0) - (had[week] ?? 0), free[week] ?? 0)
      if (each <= 0) return
      can[month] = (can[month] ?? 0) + each
      sum[month] = (sum[month] ?? 0) + each * (worth[n]?.[week] ?? 0)
    })
    return { can, worth: sum.map((each, month) => each / Math.max(1, can[month] ?? 0)) }
  }

  #put(n: number, from: number, to: number, wanted: number): void {
    const { problem, category } = this.#made
    const uses = this.uses[n] ?? []
    const most = problem.items[n]?.most ?? []
    const free = this.#free[category[n] ?? 0] ?? []
    for (let month = from; month <= to; month += 1) if (this.lies[n]?.[month] !== true) this.#lay(n, month)
    const weeks = problem.monthOf.length
    let left = wanted
    for (let step = 0; step < weeks && left > 0; step += 1) {
      const week = this.#way.late ? weeks - 1 - step : step
      if (this.lies[n]?.[problem.monthOf[week] ?? 0] !== true) continue
      const taken = Math.min((most[week] ?? 0) - (uses[week] ?? 0), free[week] ?? 0, left)
      if (taken <= 0) continue
      uses[week] = (uses[week] ?? 0) + taken
      free[week] = (free[week] ?? 0) - taken
      left -= taken
    }
    this.#used[n] = (this.#used[n] ?? 0) + wanted - left
  }

  #mayLie(n: number, month: number): boolean {
    if (this.lies[n]?.[month] === true) return true
    const { problem, zone, caps } = this.#made
    const item = problem.items[n]
    if (!item || item.fixed[month] === false) return false
    if ((this.#slots[zone[n] ?? 0]?.[month] ?? Infinity) < item.slots) return false
    return (caps[n] ?? []).every((at) => (this.#caps[at]?.[month] ?? 0) >= 1)
  }

  #lay(n: number, month: number): void {
    const { problem, zone, caps } = this.#made
    const lies = this.lies[n]
    if (lies) lies[month] = true
    const slots = this.#slots[zone[n] ?? 0]
    if (slots) slots[month] = (slots[month] ?? 0) - (problem.items[n]?.slots ?? 0)
    for (const at of caps[n] ?? []) {
      const left = this.#caps[at]
      if (left) left[month] = (left[month] ?? 0) - 1
    }
  }

  /** How often it would be laid in, were it there from one month to another as well. */
  #layIns(n: number, from: number, to: number): number {
    const lies = this.lies[n] ?? []
    let before = this.#made.problem.items[n]?.inDrawer === true
    let count = 0
    for (let month = 0; month < lies.length; month += 1) {
      const there = (month >= from && month <= to) || lies[month] === true
      if (there && !before) count += 1
      before = there
    }
    return count
  }
}
