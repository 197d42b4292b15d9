import { addDays, daysBetween, earlier, later, type Day } from '#core/calendar/day'
import type { LookSpan } from '#core/look-back/span'
import { itemMark } from '#core/words/told'
import type { SpanSheet } from '#contract/look-back'
import type { LookBackQueries, ThingRow } from './queries.js'
import type { Stock } from '../stock/stock.js'

/** A push that lies in a span for fewer days is another's. Assumption. */
const LEAST_DAYS = 10

/**
 * What was pushed, from the check-in that named it to the next over the same, and what became of it: uses in that time against as many
 * days before. A push belongs to every span it lies in for ten days, or all of its days where they are fewer.
 */
export function pushesOf(
  services: { stock: Stock },
  queries: LookBackQueries,
  span: LookSpan,
  today: Day,
  things: ReadonlyMap<string, ThingRow>,
): SpanSheet['pushes'] {
  const closings = queries.closings.all()
  const found = queries.pushes.all().flatMap((row) => {
    const next = closings.find(
      (each) =>
        each.day > row.since &&
        each.over === row.over &&
        each.project_id === row.project_id &&
        each.category_id === row.category_id,
    )
    const since = addDays(row.since, 1)
    const until = earlier(next?.day ?? today, today)
    const thing = things.get(row.item_id)
    if (!thing || until < since) return []
    const shared = daysBetween(later(since, span.from), earlier(until, span.to)) + 1
    return shared >= Math.min(LEAST_DAYS, daysBetween(since, until) + 1) ? [{ row, thing, since, until }] : []
  })
  return found.map(({ row, thing, since, until }) => {
    const days = daysBetween(since, until) + 1
    const uses = (from: Day, to: Day): number => queries.daysOf.get({ itemId: row.item_id, from, to })?.n ?? 0
    const goals = services.stock.goalsOn(until, [row.item_id], today).get(row.item_id) ?? []
    const ended = thing.ended_as === 'finished' ? thing.ended_on : null
    return {
      itemId: row.item_id,
      mark: itemMark(thing),
      since,
      until,
      uses: uses(since, until),
      usesBefore: uses(addDays(since, -days), addDays(since, -1)),
      met: goals.some(({ goal }) => goal.met),
      finishedOn: ended !== null && ended >= since && ended <= until ? ended : null,
    }
  })
}
