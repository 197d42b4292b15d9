import type { Day } from '#core/calendar/day'
import type { PlanProject } from '#core/plan/schedule/basis'
import type { ItemFacts } from '../stock/item-facts.js'
import type { ProjectRow, StayHeadRow } from './queries.js'
import { ruleBrokenBy } from './rules-of.js'

export interface ProjectForPlan extends PlanProject {
  readonly name: string
  readonly inside: readonly string[]
}

/**
 * What a plan takes from a project's rules: its date, its most items, what may roll in by theme, category and palette, and which kinds
 * rest. One out, one in and fixed sets are told in words.
 */
export function projectForPlan(
  project: ProjectRow,
  stays: readonly StayHeadRow[],
  categories: ReadonlyMap<string, string>,
  items: readonly ItemFacts[],
  today: Day,
): ProjectForPlan {
  const inside = stays.filter((stay) => stay.rolled_out === null && stay.beside === 0).map((stay) => stay.item_id)
  const open: ProjectRow = { ...project, most_items: null, at_once: null, replacing: 'as I feel' }
  const resting = new Map<string, Day>()
  const mayJoin = items.filter((item) => {
    if (inside.includes(item.id)) return true
    const breach = ruleBrokenBy(open, stays, categories, item, { day: today, beside: false })
    if (breach?.code !== 'category-rests') return breach === null
    resting.set(item.wornAsId, breach.until)
    return true
  })
  // A fixed set takes nothing more, whatever the plan would like.
  const fixed = project.replacing === 'none' && project.shape !== 'sweep' && inside.length > 0
  return {
    projectId: project.id,
    name: project.name,
    by: project.by_day,
    mostItems: project.shape === 'sweep' ? (project.at_once ?? project.most_items) : project.most_items,
    itemIds: (fixed ? items.filter((item) => inside.includes(item.id)) : mayJoin).map(({ id }) => id),
    resting: [...resting].map(([categoryId, until]) => ({ categoryId, until })),
    inside,
  }
}
