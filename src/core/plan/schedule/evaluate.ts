import { milestoneOf, monthsOf, worthByWeek, type PlanProblem, type Schedule } from './problem.js'

/** What a schedule comes to. */
export interface Evaluation {
  readonly objective: number
  /** Ids of what is on track or done. */
  readonly met: readonly string[]
  /** What it breaks; none in a plan that is shown. */
  readonly breaches: readonly Breach[]
}

export type Breach =
  | { readonly code: 'not in the drawer' | 'more than it can'; readonly itemId: string; readonly week: number }
  | { readonly code: 'more than it needs' | 'not whole'; readonly itemId: string }
  | { readonly code: 'category full'; readonly categoryId: string; readonly week: number }
  | { readonly code: 'zone full'; readonly zoneId: string; readonly month: number }
  | { readonly code: 'cap'; readonly most: number; readonly month: number }
  | { readonly code: 'against her word'; readonly itemId: string; readonly month: number }

/**
 * Counts a schedule by plain sums over weeks and items, and names every rule it breaks. It knows nothing of how the schedule was
 * found: every plan that is shown goes through here.
 */
export function evaluateSchedule(problem: PlanProblem, schedule: Schedule): Evaluation {
  const { items, monthOf, weights } = problem
  const months = monthsOf(problem)
  const weeks = monthOf.length
  const breaches: Breach[] = []
  const met: string[] = []
  let objective = 0
  items.forEach((item, n) => {
    const uses = schedule.uses[n] ?? []
    const lies = schedule.lies[n] ?? []
    const worth = worthByWeek(problem, item)
    let total = 0
    for (let week = 0; week < weeks; week += 1) {
      const used = uses[week] ?? 0
      if (!Number.isInteger(used) || used < 0) breaches.push({ code: 'not whole', itemId: item.id })
      if (used > 0 && lies[monthOf[week] ?? 0] !== true)
        breaches.push({ code: 'not in the drawer', itemId: item.id, week })
      if (used > (item.most[week] ?? 0)) breaches.push({ code: 'more than it can', itemId: item.id, week })
      total += used
      objective += used * (worth[week] ?? 0)
    }
    if (total > item.uses) breaches.push({ code: 'more than it needs', itemId: item.id })
    if (total >= milestoneOf(item)) {
      met.push(item.id)
      objective += (1 - weights.along) * item.value
    }
    for (let month = 0; month < months; month += 1) {
      const before = month === 0 ? item.inDrawer : lies[month - 1] === true
      if (lies[month] === true && !before) objective -= weights.layIn
      const said = item.fixed[month] ?? null
      if (said !== null && said !== (lies[month] === true))
        breaches.push({ code: 'against her word', itemId: item.id, month })
    }
  })
  for (const category of problem.categories)
    for (let week = 0; week < weeks; week += 1) {
      const used = items.reduce(
        (sum, item, n) => sum + (item.categoryId === category.id ? (schedule.uses[n]?.[week] ?? 0) : 0),
        0,
      )
      if (used > (category.uses[week] ?? 0)) breaches.push({ code: 'category full', categoryId: category.id, week })
    }
  const zoneOf = new Map(problem.categories.map(({ id, zoneId }) => [id, zoneId]))
  for (let month = 0; month < months; month += 1) {
    const lying = items.filter((_, n) => schedule.lies[n]?.[month] === true)
    for (const zone of problem.zones) {
      const taken = lying.reduce((sum, item) => sum + (zoneOf.get(item.categoryId) === zone.id ? item.slots : 0), 0)
      if (taken > (zone.slots[month] ?? Infinity)) breaches.push({ code: 'zone full', zoneId: zone.id, month })
    }
    for (const { itemIds, most } of problem.caps)
      if (lying.filter(({ id }) => itemIds.includes(id)).length > most) breaches.push({ code: 'cap', most, month })
  }
  return { objective, met, breaches }
}
