import type { Day } from '#core/calendar/day'
import { breachBy, type RuleBreach } from '#core/goal/project-rules'
import type { ItemFacts } from '../stock/item-facts.js'
import type { ProjectRow, StayHeadRow } from './queries.js'

const POWDERS = ['pressed', 'baked', 'loose']
const SAMPLES = ['mini', 'deluxe sample', 'sachet']

/** The first of the user's rules for a project that an item rolling in would break; `categories` of all that is or was in it. */
export function ruleBrokenBy(
  project: ProjectRow,
  stays: readonly StayHeadRow[],
  categories: ReadonlyMap<string, string>,
  item: ItemFacts,
  body: { readonly day: Day; readonly beside: boolean },
): RuleBreach | null {
  return breachBy(
    {
      shape: project.shape,
      startedOn: project.started_on,
      replacing: project.replacing,
      mostItems: project.most_items,
      breakDays: project.break_days,
      leavingAllowed: project.leaving_allowed === 1,
      theme: project.theme,
      categoryId: project.category_id,
      atOnce: project.at_once,
      paletteId: project.palette_id,
    },
    stays.map((stay) => ({
      itemId: stay.item_id,
      categoryId: categories.get(stay.item_id) ?? '',
      rolledIn: stay.rolled_in,
      rolledOut: stay.rolled_out,
      reached: stay.out_reason === 'met' || stay.out_reason === 'finished',
      beside: stay.beside === 1,
    })),
    {
      itemId: item.id,
      categoryId: item.categoryId,
      sample: item.format !== null && SAMPLES.includes(item.format),
      powder: POWDERS.includes(item.form),
      beside: body.beside,
    },
    body.day,
  )
}
