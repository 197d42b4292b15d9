import type { ListedItem } from '#contract/item'
import type { DayView, TodayAnswer, Worn } from '#contract/today'
import type { Day } from '#core/calendar/day'
import type { PendingAct } from '#web/data/pending-acts'

/** A day as it is shown: what the server said of it, with the acts on top that have not arrived. Neither is changed. */
export function dayWithPending(answer: TodayAnswer, acts: readonly PendingAct[]): TodayAnswer {
  const gone = new Set(acts.flatMap((act) => act.takesBack ?? []))
  const own = acts.filter((act) => act.day === answer.day && act.takesBack === undefined && !gone.has(act.id))
  return own.reduce(withAct, answer)
}

/** A day of which nothing is known but what lies in the drawer: she moved on to it while the server was away. */
export function freshDay(before: TodayAnswer, day: Day): TodayAnswer {
  return {
    ...before,
    today: day,
    day,
    worn: [],
    noMakeup: false,
    conditions: { skin: null, clothes: null, minutes: null, occasion: null, hands: null, weather: null, note: null },
    putBack: [],
    notToday: [],
    silence: null,
    earlierLooks: [],
    items: before.items.filter((item) => item.placement !== null),
  }
}

function withAct(day: TodayAnswer, act: PendingAct): TodayAnswer {
  const known = withItems(day, act.items ?? [])
  const { body } = act
  const itemId = String(body['itemId'])
  switch (act.path) {
    case '/wear': {
      const others = day.worn.filter((each) => each.itemId !== itemId)
      if (body['worn'] !== true) return { ...known, worn: others }
      return withWorn(known, [...others, plainWear(itemId, body['partIds'] as string[])])
    }
    case '/face': {
      const missing = (body['itemIds'] as string[]).filter((id) => !day.worn.some((each) => each.itemId === id))
      return withWorn(known, [...day.worn, ...missing.map((id) => plainWear(id, []))])
    }
    case '/no-makeup':
      return { ...known, noMakeup: body['noMakeup'] === true }
    case '/not-today':
      return {
        ...known,
        notToday: [...day.notToday, itemId],
        reachFor: day.reachFor.filter((hint) => hint.itemId !== itemId),
      }
    case '/put-back':
      return { ...known, putBack: [...new Set([...day.putBack, itemId])] }
    case '/day':
      return { ...known, conditions: { ...day.conditions, ...(body['set'] as Partial<DayView>) } }
    case '/wear-details':
      return {
        ...known,
        worn: day.worn.map((each) => (each.itemId === itemId ? { ...each, ...detailsOf(body) } : each)),
      }
    case '/mix':
      return { ...known, worn: mixed(day.worn, body) }
    default:
      return known
  }
}

/** Makeup that is worn ends a day without. */
function withWorn(day: TodayAnswer, worn: Worn[]): TodayAnswer {
  const madeUp = worn.some((each) => day.items.find((item) => item.id === each.itemId)?.makeup === true)
  return { ...day, worn, noMakeup: day.noMakeup && !madeUp }
}

function withItems(day: TodayAnswer, items: readonly ListedItem[]): TodayAnswer {
  const missing = items.filter((item) => !day.items.some((each) => each.id === item.id))
  return missing.length === 0 ? day : { ...day, items: [...day.items, ...missing] }
}

function detailsOf(body: Readonly<Record<string, unknown>>): Partial<Worn> {
  const { usedAs, amount, amountUnit, felt, version } = body
  return { usedAs, amount, amountUnit, felt: felt === '' ? null : felt, version: Number(version) + 1 } as Partial<Worn>
}

function mixed(worn: readonly Worn[], body: Readonly<Record<string, unknown>>): Worn[] {
  const itemIds = body['itemIds'] as string[]
  const mix = { id: String(body['mixId']), ratio: String(body['ratio']), itemIds }
  return worn.map((each) => (itemIds.includes(each.itemId) ? { ...each, mix } : each))
}

/** A wear of which nothing is said but its shades. */
function plainWear(itemId: string, partIds: readonly string[]): Worn {
  return {
    itemId,
    partIds: [...partIds],
    usedAs: null,
    amount: null,
    amountUnit: null,
    felt: null,
    version: 1,
    mix: null,
  }
}
