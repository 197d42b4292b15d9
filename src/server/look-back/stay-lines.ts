import { addDays, earlier, later, type Day } from '#core/calendar/day'
import { callOf } from '#core/item/naming'
import type { LookSpan } from '#core/look-back/span'
import { gramsFound } from '#core/look-back/used-up'
import { lookBy, lookFrom } from '#core/measure/sheet'
import { itemMark } from '#core/words/told'
import type { SheetItem } from '#contract/check-in'
import type { SpanSheet } from '#contract/look-back'
import type { ItemFacts } from '../stock/item-facts.js'
import { lookView, sheetReading, costingEvent } from '../stock/measured.js'
import type { LookBackQueries, StaySpanRow } from './queries.js'
import type { WornSpan } from './worn-span.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'

/** So many of a project are laid out before and after; of more, the sheet says how many. */
const MOST_LINES = 48

/** The items of projects within a span: before and after, what was done of the goal by its end, who came and who went. */
export function stayLines(
  services: Context & { stock: Stock },
  queries: LookBackQueries,
  span: LookSpan,
  projectId: string | null,
  worn: WornSpan,
): Pick<SpanSheet, 'lines' | 'rolledIn' | 'rolledOut' | 'stays'> {
  const today = services.today()
  const rows = queries.stays.all({ ...span, projectId })
  const ids = [...new Set(rows.map((row) => row.item_id))]
  const items = new Map(services.stock.facts(ids, today).map((item) => [item.id, item]))
  const shown = [...items.values()].slice(0, MOST_LINES)
  const goals = services.stock.goalsOn(
    earlier(span.to, today),
    shown.map(({ id }) => id),
    today,
  )
  const of = (row: StaySpanRow): { itemId: string; mark: string } => {
    const item = items.get(row.item_id)
    return { itemId: row.item_id, mark: item ? itemMark(item) : '' }
  }
  const within = (day: Day | null): day is Day => day !== null && day >= span.from && day <= span.to
  return {
    lines: shown.map((item) => {
      const own = rows.filter((row) => row.item_id === item.id)
      const goal =
        (goals.get(item.id) ?? []).findLast(({ stay }) => own.some((row) => row.id === stay.id))?.goal ?? null
      return lineOf(services, span, item, own, goal, worn.uses.get(item.id) ?? 0)
    }),
    rolledIn: rows.filter((row) => within(row.rolled_in)).map((row) => ({ ...of(row), on: row.rolled_in })),
    rolledOut: rows.flatMap((row) =>
      within(row.rolled_out) ? [{ ...of(row), on: row.rolled_out, reason: row.out_reason ?? '' }] : [],
    ),
    stays: ids.length,
  }
}

function lineOf(
  services: Context & { stock: Stock },
  span: LookSpan,
  item: ItemFacts,
  stays: readonly StaySpanRow[],
  goal: SheetItem['goal'],
  uses: number,
): SheetItem {
  const { readings, events } = services.stock.measured.since(item.id, span.from)
  const all = readings.map(sheetReading)
  const grams = gramsFound(all, events.map(costingEvent), span)
  const came = stays[0]?.rolled_in ?? null
  const begin = came === null ? span.from : later(came, span.from)
  const after = lookBy(all, span.to)
  // What was never looked at before is shown as it was found first.
  const first = lookFrom(all, begin)
  const found = first !== null && after !== null && first.day < after.day ? first : null
  const before = lookBy(all, addDays(begin, -1)) ?? found
  return {
    itemId: item.id,
    name: item.shade || item.name,
    kind: callOf(item),
    before: lookView(before),
    after: lookView(after),
    uses,
    grams: grams && { ...grams, uses: usesBetween(services.stock, item.id, grams) },
    skipped: false,
    words: '',
    events: events
      .filter((event) => event.day >= span.from && event.day <= span.to)
      .map(({ kind, day }) => ({ kind, day })),
    cameIn: came !== null && came >= span.from ? came : null,
    finishedOn: item.lifecycle === 'finished' && item.endedOn !== null && item.endedOn <= span.to ? item.endedOn : null,
    goal,
    aim: null,
  }
}

/** Uses after the first of two weighings, until the second: what the grams between them went on. */
function usesBetween(stock: Stock, itemId: string, { from, to }: { readonly from: Day; readonly to: Day }): number {
  return stock.measured.since(itemId, from).days.filter((day) => day > from && day <= to).length
}
