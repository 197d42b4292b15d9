import { addDays, type Day } from '#core/calendar/day'
import { stockOn, type Span } from '#core/decide/target'
import { monthsWithin, type LookSpan } from '#core/look-back/span'
import type { KindView, SpanSheet } from '#contract/look-back'
import type { KindRow, LookBackQueries, ThingRow } from './queries.js'
import type { WornSpan } from './worn-span.js'

/** A stock is drawn month by month, so many at most. */
const MOST_STOCK_MONTHS = 132

/** Everything that ever was, by what it is sold as, from when to when; what is kept to look at is no stock. */
export function stockSpans(things: ReadonlyMap<string, ThingRow>): Map<string, Span[]> {
  const found = new Map<string, Span[]>()
  for (const thing of things.values()) {
    if (thing.keepsake === 1) continue
    const span = { from: thing.acquired_latest, to: thing.ended_on, how: thing.ended_as }
    const own = found.get(thing.category_id)
    if (own) own.push(span)
    else found.set(thing.category_id, [span])
  }
  return found
}

/** How many of each kind there were at the ends of months, from the log's begin on. */
export function stockAlong(endings: ReadonlyMap<string, Span[]>, logSince: Day | null, to: Day): SpanSheet['stock'] {
  if (logSince === null || logSince > to) return { days: [], kinds: [] }
  const days = monthsWithin({ from: logSince, to })
    .map((month) => month.to)
    .slice(-MOST_STOCK_MONTHS)
  return {
    days,
    kinds: [...endings].map(([categoryId, own]) => ({ categoryId, items: days.map((day) => stockOn(own, day)) })),
  }
}

/** Kind by kind: how many then and now, what came, went and was finished, and how often the kind was worn. */
export function kindsOf(
  queries: LookBackQueries,
  span: LookSpan,
  worn: WornSpan,
  kinds: ReadonlyMap<string, KindRow>,
  endings: ReadonlyMap<string, Span[]>,
  finishes: SpanSheet['finishes'],
): KindView[] {
  const targets = new Map(queries.targets.all().map((row) => [row.category_id, row]))
  const eve = addDays(span.from, -1)
  const within = (day: Day | null): boolean => day !== null && day >= span.from && day <= span.to
  return [...kinds.values()].flatMap((kind): KindView[] => {
    const own = endings.get(kind.id) ?? []
    const target = targets.get(kind.id)
    const uses = worn.ofKind.get(kind.id) ?? 0
    if (own.length === 0 && uses === 0) return []
    return [
      {
        categoryId: kind.id,
        category: kind.name,
        then: stockOn(own, eve),
        cameIn: own.filter(({ from }) => within(from)).length,
        wentOut: own.filter(({ to }) => within(to)).length,
        now: stockOn(own, span.to),
        finished: finishes.filter(({ categoryId }) => categoryId === kind.id).length,
        uses,
        target: target ? { items: target.items, by: target.by_day } : null,
      },
    ]
  })
}
