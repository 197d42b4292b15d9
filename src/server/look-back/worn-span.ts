import type { Day } from '#core/calendar/day'
import { monthsWithin, type LookSpan } from '#core/look-back/span'
import type { LookOfDay } from '#core/look-back/looks'
import type { KindRow, LookBackQueries, ThingRow } from './queries.js'

export interface WornSpan {
  /** Uses by item, and by the kind each was worn as on its day. */
  readonly uses: ReadonlyMap<string, number>
  readonly ofKind: ReadonlyMap<string, number>
  readonly wearDays: readonly Day[]
  readonly ticked: ReadonlySet<Day>
  readonly looks: readonly LookOfDay[]
  readonly months: readonly (LookSpan & { readonly uses: ReadonlyMap<string, number>; readonly wearDays: number })[]
}

export function wornSpan(
  queries: LookBackQueries,
  span: LookSpan,
  things: ReadonlyMap<string, ThingRow>,
  kinds: ReadonlyMap<string, KindRow>,
): WornSpan {
  const ticked = new Set<Day>()
  const looks = new Map<Day, string[]>()
  const months = monthsWithin(span).map((month) => ({ ...month, uses: new Map<string, number>(), wearDays: 0 }))
  const usedAs = new Map<string, number>()
  let at = 0
  for (const { day, worn } of queries.wears.all(span)) {
    let month = months[at]
    while (month !== undefined && day > month.to) month = months[(at += 1)]
    if (month === undefined) break
    ticked.add(day)
    const look: string[] = []
    for (const each of worn.split(' ')) {
      const colon = each.indexOf(':')
      const id = colon < 0 ? each : each.slice(0, colon)
      const usual = things.get(id)?.worn_as ?? ''
      const kind = colon < 0 ? usual : each.slice(colon + 1)
      add(month.uses, id, 1)
      if (kind !== usual) {
        add(usedAs, usual, -1)
        add(usedAs, kind, 1)
      }
      if (kinds.get(kind)?.makeup === 1) look.push(id)
    }
    if (look.length === 0) continue
    looks.set(day, look)
    month.wearDays += 1
  }
  // The sums of its months are the span: counted once, added up by item and by kind.
  const uses = new Map<string, number>()
  for (const month of months) for (const [id, count] of month.uses) add(uses, id, count)
  const ofKind = new Map(usedAs)
  for (const [id, count] of uses) add(ofKind, things.get(id)?.worn_as ?? '', count)
  return {
    uses,
    ofKind,
    wearDays: [...looks.keys()],
    ticked,
    looks: [...looks].map(([day, itemIds]) => ({ day, itemIds })),
    months,
  }
}

function add(counts: Map<string, number>, key: string, by: number): void {
  counts.set(key, (counts.get(key) ?? 0) + by)
}
