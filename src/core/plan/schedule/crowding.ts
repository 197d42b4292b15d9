import { evaluateSchedule } from './evaluate.js'
import { solvePlan, type SolveOptions } from './solve-plan.js'
import type { PlanProblem, Schedule } from './problem.js'

/** Enough to force an item in against everything else together. */
const FORCED = 1000

/**
 * One plan that includes an item which was crowded out, and what it drops for that: everything of its kind is arranged anew, the rest of
 * its zone stays as planned. Null where even then its goal is not met.
 */
export function droppedFor(
  problem: PlanProblem,
  schedule: Schedule,
  itemId: string,
  ask: Pick<SolveOptions, 'solve' | 'seconds' | 'now'>,
): readonly string[] | null {
  const wanted = problem.items.find(({ id }) => id === itemId)
  const zoneOf = new Map(problem.categories.map(({ id, zoneId }) => [id, zoneId]))
  if (!wanted) return null
  const zoneId = zoneOf.get(wanted.categoryId)
  const kept: number[] = []
  problem.items.forEach((item, n) => {
    const own = item.categoryId === wanted.categoryId
    // What the plan leaves out of other kinds stays out, and need not be looked at.
    const lies = schedule.lies[n]?.includes(true) === true
    if (own || (zoneOf.get(item.categoryId) === zoneId && lies)) kept.push(n)
  })
  const within: PlanProblem = {
    ...problem,
    grain: 'runs',
    items: kept.flatMap((n) => {
      const item = problem.items[n]
      if (!item) return []
      if (item.id === itemId) return [{ ...item, value: FORCED }]
      return [item.categoryId === wanted.categoryId ? item : { ...item, fixed: schedule.lies[n] ?? [] }]
    }),
  }
  const laid = solvePlan(within, { ...ask })
  const { met } = evaluateSchedule(within, laid.schedule)
  if (!met.includes(itemId)) return null
  const before = evaluateSchedule(problem, schedule).met
  const there = new Set(within.items.map(({ id }) => id))
  return before.filter((id) => there.has(id) && !met.includes(id))
}
