import { addDays, type Day } from '#core/calendar/day'
import type { InReach } from '#core/decide/reach'
import { neverTogether, wornTogether } from '#core/look-back/looks'
import { itemMark } from '#core/words/told'
import type { LooksAnswer, TogetherView } from '#contract/look-back'
import { listedOf } from '../stock/item-facts.js'
import { lookBackQueries } from './queries.js'
import { wornSpan } from './worn-span.js'
import type { Context } from '../context.js'
import type { SpanSheets } from './sheets.js'
import type { Stock } from '../stock/stock.js'

/** Looks are laid out over a season; what goes together is counted over a year. */
const SHOWN_DAYS = 92
const COUNTED_DAYS = 365
const MOST_PAIRS = 8
/** In the drawer together on so many wear days, two items could have met. Assumption. */
const MET_DAYS = 5

/** Looks of days, saved ones with when they were last worn whole, and what goes together and what never does. */
export function looksOf(services: Context & { spanSheets: SpanSheets; stock: Stock }, until: Day): LooksAnswer {
  const queries = lookBackQueries(services.db)
  const today = services.today()
  const things = services.spanSheets.things()
  const kinds = new Map(queries.kinds.all().map((row) => [row.id, row]))
  const from = addDays(until, 1 - SHOWN_DAYS)
  const worn = wornSpan(queries, { from: addDays(until, 1 - COUNTED_DAYS), to: until }, things, kinds)
  const days = worn.looks.filter(({ day }) => day >= from).reverse()
  const saved = queries.savedLooks
    .all()
    .map((row) => ({ ...row, itemIds: JSON.parse(row.items) as string[] }))
    .map(({ id, name, occasion, itemIds }) => {
      const there = itemIds.filter((each) => things.get(each)?.ended_on === null)
      const whole = worn.looks.filter((look) => there.length > 0 && there.every((each) => look.itemIds.includes(each)))
      return { id, name, occasion, itemIds, days: whole.length, last: (whole.at(-1)?.day ?? null) as Day | null }
    })
  // Of rivals of one kind, and of what has gone, nobody asks why they never met.
  const couldMeet = (one: string, other: string): boolean =>
    things.get(one)?.worn_as !== things.get(other)?.worn_as &&
    things.get(one)?.ended_on === null &&
    things.get(other)?.ended_on === null
  const often = wornTogether(worn.looks, couldMeet, MOST_PAIRS)
  const inDrawer = drawerDays(
    services.stock.staysIn({ from: addDays(until, 1 - COUNTED_DAYS), to: until }),
    worn.wearDays,
  )
  const layTogether = (one: string, other: string): boolean => {
    if (!couldMeet(one, other)) return false
    const days = inDrawer.get(other)
    return days !== undefined && [...(inDrawer.get(one) ?? [])].filter((day) => days.has(day)).length >= MET_DAYS
  }
  const never = neverTogether(worn.looks, layTogether, MOST_PAIRS)
  const named = (id: string): TogetherView['one'] => {
    const thing = things.get(id)
    return { itemId: id, mark: thing ? itemMark(thing) : '' }
  }
  const view = ({ itemIds: [one, other], days: n, each }: (typeof often)[number]): TogetherView => {
    return { one: named(one), other: named(other), days: n, each: [...each] }
  }
  const ids = new Set([
    ...days.flatMap((look) => look.itemIds),
    ...saved.flatMap((look) => look.itemIds),
    ...[...often, ...never].flatMap((pair) => pair.itemIds),
  ])
  const items = services.stock.facts([...ids], today)
  const order = new Map(items.map((item, at) => [item.id, at]))
  const inOrder = (own: readonly string[]): string[] =>
    own.filter((id) => order.has(id)).sort((a, b) => (order.get(a) ?? 0) - (order.get(b) ?? 0))
  return {
    today,
    from,
    days: days.map(({ day, itemIds }) => ({ day: day as Day, itemIds: inOrder(itemIds) })),
    saved: saved.map((look) => ({ ...look, itemIds: inOrder(look.itemIds) })),
    often: often.map(view),
    never: never.map(view),
    items: items.map(listedOf),
  }
}

/** By item, the wear days on which it lay in the drawer. */
function drawerDays(stays: readonly InReach[], wearDays: readonly Day[]): Map<string, Set<Day>> {
  const found = new Map<string, Set<Day>>()
  for (const { itemId, from, to } of stays) {
    const own = found.get(itemId) ?? new Set()
    for (const day of wearDays) if (from <= day && (to === null || day <= to)) own.add(day)
    found.set(itemId, own)
  }
  return found
}
