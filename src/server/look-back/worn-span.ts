import type { Day } from '#core/calendar/day'
import { monthsWithin, type LookSpan } from '#core/look-back/span'
import type { FaceOfDay } from '#core/look-back/faces'
import type { KindRow, LookBackQueries, ThingRow } from './queries.js'

/** What was worn within a span, read once and counted in every way that its sheet needs. */
export interface WornSpan {
  /** Uses by thing, and by the kind each was worn as on its day. */
  readonly uses: ReadonlyMap<string, number>
  readonly ofKind: ReadonlyMap<string, number>
  /** Days on which any makeup was worn. */
  readonly wearDays: readonly Day[]
  /** Days with any tick. */
  readonly ticked: ReadonlySet<Day>
  /** The makeup of each wear day. */
  readonly faces: readonly FaceOfDay[]
  readonly months: readonly (LookSpan & { readonly uses: ReadonlyMap<string, number>; readonly wearDays: number })[]
}

export function wornSpan(
  queries: LookBackQueries,
  span: LookSpan,
  things: ReadonlyMap<string, ThingRow>,
  kinds: ReadonlyMap<string, KindRow>,
): WornSpan {
  const uses = new Map<string, number>()
  const ofKind = new Map<string, number>()
  const ticked = new Set<Day>()
  const faces = new Map<Day, string[]>()
  const months = monthsWithin(span).map((month) => ({ ...month, uses: new Map<string, number>(), wearDays: 0 }))
  let at = 0
  for (const { day, item_id: id, used_as: usedAs } of queries.wears.all(span)) {
    let month = months[at]
    while (month !== undefined && day > month.to) month = months[(at += 1)]
    const kind = usedAs ?? things.get(id)?.worn_as ?? ''
    add(uses, id)
    add(ofKind, kind)
    if (month) add(month.uses, id)
    ticked.add(day)
    if (kinds.get(kind)?.makeup !== 1) continue
    const face = faces.get(day)
    if (face) face.push(id)
    else {
      faces.set(day, [id])
      if (month) month.wearDays += 1
    }
  }
  return {
    uses,
    ofKind,
    wearDays: [...faces.keys()],
    ticked,
    faces: [...faces].map(([day, itemIds]) => ({ day, itemIds })),
    months,
  }
}

function add(counts: Map<string, number>, key: string): void {
  counts.set(key, (counts.get(key) ?? 0) + 1)
}
