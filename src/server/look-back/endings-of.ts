import { itemMark } from '#core/words/told'
import { addDays, daysBetween, earlier, type Day } from '#core/calendar/day'
import type { LookSpan } from '#core/look-back/span'
import type { FinishView, SpanSheet } from '#contract/look-back'
import { type ItemFacts, knownUses } from '../stock/item-facts.js'
import type { LookBackQueries, ThingRow } from './queries.js'
import type { LookingBack } from '../forecast/looking-back.js'
import type { Forecasts } from '../forecast/forecasts.js'

const inside = (day: Day | null, { from, to }: LookSpan): day is Day => day !== null && day >= from && day <= to
const named = (item: { id: string; name: string; shade: string }): { itemId: string; mark: string } => ({
  itemId: item.id,
  mark: itemMark(item),
})

/** What was finished within a span, with how long it took against what was guessed and forecast. */
export function finishesOf(
  services: { lookingBack: LookingBack; forecasts: Forecasts },
  queries: LookBackQueries,
  span: LookSpan,
  items: readonly ItemFacts[],
): FinishView[] {
  const finished = items.filter(
    (item) => item.lifecycle === 'finished' && !item.endedRoughly && inside(item.endedOn, span),
  )
  if (finished.length === 0) return []
  const { guesses, forecasts } = services.lookingBack.all()
  const guessOf = new Map(guesses.each.filter((each) => each.finished).map((each) => [each.itemId, each]))
  const forecastOf = new Map(forecasts.each.map((each) => [each.itemId, each]))
  const again = new Map(
    queries.reviewsOf.all(JSON.stringify(finished.map(({ id }) => id))).map((row) => [row.item_id, row.again]),
  )
  return finished
    .map((item): FinishView => {
      const on = item.endedOn ?? span.to
      const { within } = item.opening
      const known = within !== null && within.earliest === within.latest
      const guess = guessOf.get(item.id)
      const kept = forecastOf.get(item.id)
      const at = (day: Day): number => (kept ? daysBetween(kept.madeOn, day) : 0)
      return {
        ...named(item),
        categoryId: item.categoryId,
        category: item.category,
        on,
        uses: item.uses,
        usesKnown: knownUses(item) !== null,
        days: known ? daysBetween(within.earliest, on) : null,
        guess: guess ? { months: guess.months, days: guess.days } : null,
        forecast: kept
          ? { low: at(kept.low), middle: at(kept.middle), high: at(kept.high), came: at(kept.finishedOn) }
          : null,
        priceMinor: item.priceMinor,
        again: again.get(item.id) ?? null,
      }
    })
    .sort((a, b) => (a.on === b.on ? (a.itemId < b.itemId ? -1 : 1) : a.on < b.on ? -1 : 1))
}

export function letGoOf(
  queries: LookBackQueries,
  span: LookSpan,
  items: readonly ItemFacts[],
  forecasts: Forecasts,
): SpanSheet['letGo'] {
  const words = new Map(queries.leavings.all().map((row) => [row.item_id, row]))
  return items
    .filter((item) => item.lifecycle === 'left' && !item.endedRoughly && inside(item.endedOn, span))
    .map((item) => {
      const unused = forecasts.shareLeft(item)
      return {
        ...named(item),
        on: item.endedOn ?? span.to,
        why: words.get(item.id)?.why ?? null,
        destination: words.get(item.id)?.destination ?? null,
        uses: item.uses,
        unusedMinor: item.priceMinor === null ? null : unused * item.priceMinor,
      }
    })
    .sort((a, b) => (a.on < b.on ? -1 : 1))
}

/** Less than this left, it was as good as used up. Assumption. */
const AS_GOOD_AS_USED = 0.05

/**
 * What spoiled before it was used up, on the day it did: its last good day, the day a sign was seen, or the day it was let go as spoiled.
 * Each item once, whatever came of it later; what was finished after all did not spoil.
 */
export function spoiledOf(
  queries: LookBackQueries,
  span: LookSpan,
  today: Day,
  items: readonly ItemFacts[],
  forecasts: Forecasts,
): SpanSheet['spoiled'] {
  const gone = new Map(
    queries.leavings.all().flatMap((row) => (row.why === 'expired' || row.why === 'sign' ? [[row.item_id, row]] : [])),
  )
  return items
    .flatMap((item): SpanSheet['spoiled'] => {
      if (item.setAside === 'keepsake') return []
      const leaving = item.lifecycle === 'left' ? (gone.get(item.id) ?? null) : null
      if (item.lifecycle !== 'open' && item.lifecycle !== 'unopened' && leaving === null) return []
      const { state, actOn } = item.shelfLife
      const lapsed = actOn !== null && actOn < today && (state === 'past' || state === 'sign seen') ? actOn : null
      const on = leaving === null ? lapsed : lapsed === null ? leaving.day : earlier(lapsed, leaving.day)
      if (!inside(on, span)) return []
      const unused = forecasts.shareLeft(item)
      if (unused < AS_GOOD_AS_USED) return []
      return [
        {
          ...named(item),
          on,
          how: on === lapsed ? (state === 'sign seen' ? 'sign seen' : 'past its date') : 'let go',
          uses: item.uses,
          unused,
          minor: item.priceMinor === null ? null : unused * item.priceMinor,
        },
      ]
    })
    .sort((a, b) => (a.on < b.on ? -1 : 1))
}

/** What came within a span: known only roughly, it is counted where the last day it can have come lies. */
export function cameInOf(span: LookSpan, things: Iterable<ThingRow>): SpanSheet['cameIn'] {
  const found: SpanSheet['cameIn'] = []
  for (const thing of things)
    if (thing.acquired_earliest !== null && inside(thing.acquired_latest, span))
      found.push({
        ...named(thing),
        earliest: thing.acquired_earliest,
        latest: thing.acquired_latest,
        source: thing.source,
        made: thing.made_here === 1,
        priceMinor: thing.price_minor,
        priceSaid: thing.price_said,
      })
  return found.sort((a, b) => (a.latest === b.latest ? (a.itemId < b.itemId ? -1 : 1) : a.latest < b.latest ? -1 : 1))
}

/** Opened so many days before its first tick at most, an item was new then. Assumption. */
const ABOUT_THEN_DAYS = 30

/** What was worn for the first time ever within a span, and what was worn for the last time since it ended then. */
export function firstAndLast(span: LookSpan, items: readonly ItemFacts[]): Pick<SpanSheet, 'firstTimes' | 'lastTimes'> {
  const firstTimes = items.flatMap((item) => {
    const { within } = item.opening
    // Nobody counted what came before the log: opened about then, it is taken for the first time all the same.
    const isFirst =
      knownUses(item) === item.wears ||
      (within !== null && item.firstWorn !== null && within.latest >= addDays(item.firstWorn, -ABOUT_THEN_DAYS))
    return isFirst && inside(item.firstWorn, span) ? [{ ...named(item), on: item.firstWorn }] : []
  })
  const lastTimes = items.flatMap((item) => {
    const how = item.lifecycle
    if ((how !== 'finished' && how !== 'left' && how !== 'blended') || !inside(item.lastWorn, span)) return []
    return [{ ...named(item), on: item.lastWorn, how }]
  })
  const byDay = (a: { on: Day }, b: { on: Day }): number => (a.on < b.on ? -1 : 1)
  return { firstTimes: firstTimes.sort(byDay), lastTimes: lastTimes.sort(byDay) }
}
