import { sum } from '#core/lists/grouping'
import { callOf } from '#core/item/naming'
import { evennessOf } from '#core/goal/evenness'
import type { Reach } from '#core/decide/reach'
import type { Day } from '#core/calendar/day'
import type { LookSpan } from '#core/look-back/span'
import { fewestForHalf, giniOf } from '#core/look-back/spread'
import type { SpanSheet } from '#contract/look-back'
import type { ItemFacts } from '../stock/item-facts.js'
import { markOf, type KindRow, type ThingRow } from './queries.js'
import type { WornSpan } from './worn-span.js'

const MOST_LISTED = 10
const MOST_NEGLECTED = 12
/** In reach on fewer wear days than these, an item had no chance to be worn. Assumption. */
const LEAST_CHANCES = 5

export function mostWorn(
  worn: WornSpan,
  byId: ReadonlyMap<string, ItemFacts>,
  kinds: ReadonlyMap<string, KindRow>,
): SpanSheet['most'] {
  return [...worn.uses]
    .filter(([id]) => kinds.get(byId.get(id)?.wornAsId ?? '')?.makeup === 1)
    .sort(([a, one], [b, other]) => other - one || (a < b ? -1 : 1))
    .slice(0, MOST_LISTED)
    .flatMap(([id, uses]) => {
      const item = byId.get(id)
      return item ? [{ itemId: id, mark: callOf(item), uses }] : []
    })
}

/** Of the makeup that was there all along: what was worn least, the longest unworn first; backups and keepsakes are not meant to be. */
export function leastWorn(
  things: ReadonlyMap<string, ThingRow>,
  worn: WornSpan,
  kinds: ReadonlyMap<string, KindRow>,
  span: LookSpan,
  byId: ReadonlyMap<string, ItemFacts>,
  lastWorn: ReadonlyMap<string, Day>,
): { readonly listed: SpanSheet['least']; readonly here: number; readonly unworn: number } {
  const here = [...things.values()].flatMap((thing) => {
    const item = byId.get(thing.id)
    const thereAllAlong =
      (thing.acquired_latest === null || thing.acquired_latest <= span.from) &&
      (thing.ended_on === null || thing.ended_on > span.to)
    return item && thereAllAlong && kinds.get(thing.worn_as)?.makeup === 1 && thing.keepsake === 0 && !item.isBackup
      ? [{ item, uses: worn.uses.get(thing.id) ?? 0 }]
      : []
  })
  const listed = [...here]
    .sort(
      (a, b) =>
        a.uses - b.uses ||
        (lastWorn.get(a.item.id) ?? '').localeCompare(lastWorn.get(b.item.id) ?? '') ||
        (a.item.id < b.item.id ? -1 : 1),
    )
    .slice(0, MOST_LISTED)
    .map(({ item, uses }) => ({ itemId: item.id, mark: callOf(item), uses, lastWorn: lastWorn.get(item.id) ?? null }))
  return { listed, here: here.length, unworn: here.filter(({ uses }) => uses === 0).length }
}

/** Of what was in the drawer: what was never worn there, and how evenly the rest was. */
export function neglectOf(
  reach: ReadonlyMap<string, Reach>,
  worn: WornSpan,
  things: ReadonlyMap<string, ThingRow>,
  kinds: ReadonlyMap<string, KindRow>,
): Pick<SpanSheet, 'neglected' | 'evenness'> {
  const chances = [...reach].flatMap(([id, { chances: count }]) =>
    kinds.get(things.get(id)?.worn_as ?? '')?.makeup === 1 ? [[id, count] as const] : [],
  )
  const within = chances.filter(([id, count]) => count >= LEAST_CHANCES || worn.uses.has(id))
  const uses = within.map(([id]) => worn.uses.get(id) ?? 0)
  const [gini, pielou] = [giniOf(uses), evennessOf(uses)]
  return {
    neglected: within
      .filter(([id]) => !worn.uses.has(id) && things.get(id)?.ended_on === null)
      .sort(([a, one], [b, other]) => other - one || (a < b ? -1 : 1))
      .slice(0, MOST_NEGLECTED)
      .map(([id, wearDays]) => ({ itemId: id, mark: markOf(things.get(id)), wearDays })),
    evenness:
      gini === null || pielou === null
        ? null
        : { gini, pielou, things: uses.length, uses: sum(uses), fewest: fewestForHalf(uses) },
  }
}
