import { climbedFrom, draftOf, type Valued } from './draft.js'
import { evaluateSchedule } from './evaluate.js'
import type { Solver } from './linear-model.js'
import { emptySchedule, milestoneOf, monthsOf, partsOf, type PlanProblem, type Schedule } from './problem.js'
import { programmeOf } from './programme.js'

/** What is known of how good a part of a plan is. */
export interface PartQuality {
  readonly itemIds: readonly string[]
  readonly zoneIds: readonly string[]
  readonly objective: number
  /** No plan of this part is worth more. */
  readonly bound: number
  /** It was not stopped by the clock. */
  readonly done: boolean
}

export interface SolvedPlan {
  readonly schedule: Schedule
  readonly objective: number
  readonly parts: readonly PartQuality[]
  /** It is the plan that was in force, since no other is worth much more. */
  readonly kept: boolean
}

export interface SolveOptions {
  readonly solve: Solver
  /** Seconds for all parts together. */
  readonly seconds: number
  /** A clock in milliseconds. */
  readonly now: () => number
  /** The current plan: kept unless another is worth more than `KEEP_WITHIN` more. */
  readonly inForce?: Schedule | null
  /** Share of the parts that are done. */
  readonly progress?: (share: number) => void
}

/** Solving ends this close to the best; said as "the best there is". */
export const SOLVED_WITHIN = 1e-3
/** A plan that is in force is changed only for more than this. */
export const KEEP_WITHIN = 0.01
/**
 * Above so many items times months squared the draft is climbed from before the solver begins, for this share of the time: many months make
 * it slow sooner than many items. Tuned on seeded instances (`npm run bench`).
 */
const CLIMB_ABOVE = 2000
const CLIMB_SHARE = 0.3
/** With less time than this, seconds, solving again is not begun. */
const LEAST_AGAIN = 0.15
/** Of a part's time, for giving the uses to weeks. */
const POLISH_SHARE = 0.15

/**
 * Lays a plan: part by part (zones that share nothing), a draft first, then the programme from there, then the uses of each week.
 * The better of draft and programme is kept, counted by the evaluator. The same problem gives the same plan, so long as no part is
 * stopped by the clock.
 */
export function solvePlan(problem: PlanProblem, ask: SolveOptions): SolvedPlan {
  const parts = partsOf(problem)
  const began = ask.now()
  const left = (): number => ask.seconds - (ask.now() - began) / 1000
  const index = new Map(problem.items.map(({ id }, n) => [id, n]))
  const laid = parts.map(
    (part) => new PartSolving(part, ask, ask.inForce ? scheduleOf(part, index, ask.inForce) : null),
  )
  const size = (part: PlanProblem): number => part.items.length * monthsOf(part)
  laid.forEach((own, at) => {
    const sizes = parts.slice(at).reduce((sum, part) => sum + size(part), 0)
    own.begin((Math.max(0.05, left()) * size(own.part)) / Math.max(1, sizes))
    ask.progress?.((at + 1) / (parts.length + 1))
  })
  // Time that easy parts did not take goes to the others, the one with most to gain first.
  for (const own of [...laid].sort((a, b) => b.gap() - a.gap())) if (!own.done && left() > LEAST_AGAIN) own.goOn(left())
  ask.progress?.(1)
  const results = laid.map((own) => ({ own, part: own.part, ...own.result() }))
  const schedule = together(problem, results)
  return {
    schedule,
    objective: evaluateSchedule(problem, schedule).objective,
    parts: results.map(({ own, part, objective }) => ({
      itemIds: part.items.map(({ id }) => id),
      zoneIds: part.zones.map(({ id }) => id),
      objective,
      bound: Math.max(objective, own.bound),
      done: own.done,
    })),
    kept: results.length > 0 && results.every(({ kept }) => kept),
  }
}

/** The draft of every part, at once. */
export function draftPlan(problem: PlanProblem): Schedule {
  return together(
    problem,
    partsOf(problem).map((part) => ({ part, schedule: draftOf(part).schedule })),
  )
}

/** The schedules of parts as one of the whole, in the order of its items. */
function together(
  problem: PlanProblem,
  parts: readonly { readonly part: PlanProblem; readonly schedule: Schedule }[],
): Schedule {
  const found = new Map(
    parts.flatMap(({ part, schedule }) =>
      part.items.map(({ id }, n) => [id, { lies: schedule.lies[n] ?? [], uses: schedule.uses[n] ?? [] }] as const),
    ),
  )
  return {
    lies: problem.items.map(({ id }) => found.get(id)?.lies ?? []),
    uses: problem.items.map(({ id }) => found.get(id)?.uses ?? []),
  }
}

/** One part on its way: what is the best so far, and what bounds it. */
class PartSolving {
  readonly part: PlanProblem
  bound = Infinity
  done = false
  readonly #ask: SolveOptions
  readonly #inForce: Schedule | null
  #kept: Valued | null = null
  #best: Valued | null = null
  /** Categories whose weeks are looked at one by one, since runs of weeks promised there what weeks could not keep. */
  #weekly: ReadonlySet<string>

  constructor(part: PlanProblem, ask: SolveOptions, inForce: Schedule | null) {
    this.part = part
    this.#ask = ask
    this.#inForce = inForce
    this.#weekly = new Set(part.grain === 'weeks' ? part.categories.map(({ id }) => id) : [])
  }

  begin(seconds: number): void {
    const left = countdown(this.#ask.now, seconds)
    const { part } = this
    const large = part.items.length * monthsOf(part) ** 2 > CLIMB_ABOVE
    this.#best = large ? climbedFrom(part, () => left() > (1 - CLIMB_SHARE) * seconds) : draftOf(part)
    if (this.#inForce !== null) {
      this.#kept = polished(part, this.#inForce.lies, this.#ask.solve, Math.max(0.05, left() * POLISH_SHARE))
      this.#take(this.#kept)
    }
    this.#settle(this.#best.schedule.lies, left() * POLISH_SHARE)
    this.goOn(left())
  }

  /** Solves on from the best there is so far. */
  goOn(seconds: number): void {
    const left = countdown(this.#ask.now, seconds)
    while (!this.done && left() > 0) {
      const programme = programmeOf(this.part, { weekly: this.#weekly })
      if (programme.model.cost.length === 0) {
        // Nothing of it can be used at all: an empty drawer is the best there is.
        this.bound = this.#best?.objective ?? 0
        this.done = true
        return
      }
      const answer = this.#ask.solve(programme.model, {
        seconds: left() * (1 - POLISH_SHARE),
        gap: SOLVED_WITHIN / 2,
        ...(this.#best === null ? {} : { start: programme.write(this.#best.schedule) }),
      })
      this.bound = Math.min(this.bound, answer.bound)
      if (answer.values === null) return
      const lost = this.#settle(programme.readLies(answer.values), left(), programme.readMet(answer.values))
      this.done = answer.done && (lost.size === 0 || this.gap() <= SOLVED_WITHIN)
      if (this.done || !answer.done) return
      this.#weekly = new Set([...this.#weekly, ...lost])
    }
  }

  /** By how much a better one could be worth more at most, as a share. */
  gap(): number {
    const objective = this.#best?.objective ?? 0
    return objective <= 0 ? (this.bound > 1e-9 ? Infinity : 0) : Math.max(0, this.bound / objective - 1)
  }

  result(): Valued & { readonly kept: boolean } {
    const best = this.#best ?? { schedule: emptySchedule(this.part), objective: 0 }
    const kept = this.#kept
    const keep = kept !== null && best.objective <= kept.objective + KEEP_WITHIN * Math.abs(kept.objective) + 1e-9
    const { schedule, objective } = keep ? kept : best
    return { schedule: tidied(this.part, schedule), objective, kept: keep }
  }

  /** Gives the uses of a settled drawer to weeks; the categories in which a goal that was promised is lost by that. */
  #settle(lies: readonly (readonly boolean[])[], seconds: number, promised: readonly boolean[] = []): Set<string> {
    const found = polished(this.part, lies, this.#ask.solve, Math.max(0.05, seconds))
    this.#take(found)
    const lost = new Set<string>()
    this.part.items.forEach((item, n) => {
      const used = found?.schedule.uses[n]?.reduce((sum, each) => sum + each, 0) ?? 0
      if (promised[n] === true && used < milestoneOf(item)) lost.add(item.categoryId)
    })
    return lost
  }

  #take(found: Valued | null): void {
    if (found !== null && (this.#best === null || found.objective > this.#best.objective + 1e-9)) this.#best = found
  }
}

function countdown(now: () => number, seconds: number): () => number {
  const end = now() + seconds * 1000
  return () => (end - now()) / 1000
}

/**
 * Uses by week for a drawer that is settled: categories no longer bear on one another. Which goals are met is decided once more, since
 * runs of weeks can promise what weeks cannot keep; then the rest falls on whole uses by itself (days and items make a network).
 */
export function polished(
  part: PlanProblem,
  lies: readonly (readonly boolean[])[],
  solve: Solver,
  seconds: number,
): Valued | null {
  const uses = part.items.map(() => part.monthOf.map(() => 0))
  for (const category of part.categories) {
    const own = part.items.flatMap((item, n) => (item.categoryId === category.id ? [n] : []))
    const within: PlanProblem = {
      ...part,
      items: own.flatMap((n) => part.items[n] ?? []),
      categories: [category],
      zones: [],
      caps: [],
    }
    const settled = own.map((n) => lies[n] ?? [])
    const programme = programmeOf(within, { weekly: new Set([category.id]), lies: settled })
    if (programme.model.cost.length === 0) continue
    const answer = solve(programme.model, { seconds: Math.max(0.05, seconds / part.categories.length), gap: 0 })
    if (answer.values === null) return null
    const met = answer.values
    // Which goals are met is fixed, and the corner of what is left is whole.
    const upper = [...programme.model.upper]
    const lower = [...programme.model.lower]
    own.forEach((_, n) => {
      const column = programme.metColumn(n)
      if (column !== null) lower[column] = upper[column] = Math.round(met[column] ?? 0)
    })
    const whole = programme.model.whole.map(() => false)
    const corner = solve({ ...programme.model, lower, upper, whole }, { seconds: Math.max(0.05, seconds), gap: 0 })
    const read = programme.readUses(corner.values ?? met)
    own.forEach((n, at) => (uses[n] = read[at] ?? []))
  }
  const schedule = { lies, uses }
  const { objective, breaches } = evaluateSchedule(part, schedule)
  return breaches.length > 0 ? null : { schedule, objective }
}

/** An item lies there only as long as it is used, or as the user said: nothing is gained by its waiting. */
function tidied(part: PlanProblem, schedule: Schedule): Schedule {
  const lies = part.items.map((item, n) => {
    const used = (schedule.lies[n] ?? []).map((_, month) =>
      part.monthOf.some((each, week) => each === month && (schedule.uses[n]?.[week] ?? 0) > 0),
    )
    const first = used.indexOf(true)
    const last = used.lastIndexOf(true)
    return (schedule.lies[n] ?? []).map(
      (lying, month) =>
        item.fixed[month] ?? (lying && first >= 0 && month >= (item.inDrawer ? 0 : first) && month <= last),
    )
  })
  const found = { lies, uses: schedule.uses }
  return evaluateSchedule(part, found).objective >= evaluateSchedule(part, schedule).objective - 1e-9 ? found : schedule
}

function scheduleOf(part: PlanProblem, index: ReadonlyMap<string, number>, of: Schedule): Schedule {
  const at = (id: string): number => index.get(id) ?? -1
  return {
    lies: part.items.map(({ id }) => of.lies[at(id)] ?? []),
    uses: part.items.map(({ id }) => of.uses[at(id)] ?? []),
  }
}
