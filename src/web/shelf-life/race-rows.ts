import { daysBetween, type Day } from '#core/calendar/day'
import { sumBy } from '#core/lists/grouping'
import { CHANCE_WORDS, type ChanceWord } from '#core/forecast/verdict'
import type { ListedItem, ShelfLifeAnswer } from '#contract/item'

type Race = ShelfLifeAnswer['races'][number]
/** How the race of one item stands: by its chance, or why there is no race. */
export type RaceStanding = ChanceWord | 'past' | 'not known'
export interface RaceRow {
  readonly item: ListedItem
  readonly race: Race
  readonly standing: RaceStanding
}
/** Worn within so many days counts as in use. */
const IN_USE_DAYS = 28
/** In the order of the chips: what calls for an act first. */
export const STANDINGS: readonly RaceStanding[] = [...[...CHANCE_WORDS].reverse(), 'past', 'not known']
export const STATES = {
  'all open': (item: ListedItem) => item.lifecycle === 'open',
  'in use': (item: ListedItem, today: Day) =>
    item.lifecycle === 'open' &&
    (item.placement !== null ||
      item.goal !== null ||
      (item.lastWorn !== null && daysBetween(item.lastWorn, today) < IN_USE_DAYS)),
  unopened: (item: ListedItem) => item.lifecycle === 'unopened',
} as const
export type RaceState = keyof typeof STATES

export const RACE_ORDERS = ['use-by date', 'money'] as const
export type RaceOrder = (typeof RACE_ORDERS)[number]

export interface RaceWish {
  state: RaceState
  standing: RaceStanding | null
  only: 'eyes' | 'sunscreen' | null
  zoneId: string | null
  categoryId: string | null
}

/** Every thing with how its race stands; what one of the two answers does not know yet comes with the next. */
export function rowsOf(races: readonly Race[], items: readonly ListedItem[]): RaceRow[] {
  const byId = new Map(items.map((item) => [item.id, item]))
  return races.flatMap((race) => {
    const item = byId.get(race.itemId)
    return item ? [{ item, race, standing: standingOf(race) }] : []
  })
}

function standingOf({ verdict }: Race): RaceStanding {
  if (verdict === 'expired' || verdict === 'gone off') return 'past'
  return CHANCE_WORDS.find((word) => word === verdict) ?? 'not known'
}

/**
 * The order of the list, with what is not known after what has a date and what has expired last, the eyes before the rest. By use-by
 * date: those within 90 days on top, whatever they cost, since their date comes first. By money: what would expire most.
 */
export function byOrder(order: RaceOrder): (a: RaceRow, b: RaceRow) => number {
  const group = (row: RaceRow): number => (row.standing === 'past' ? 2 : row.item.shelfLife.actOn === null ? 1 : 0)
  const stake = (row: RaceRow): number => row.race.stake ?? -1
  return (a, b) => {
    const [first, second] = [group(a), group(b)]
    if (first !== second) return first - second
    if (first === 2 && a.item.eye !== b.item.eye) return a.item.eye ? -1 : 1
    const [day, other] = [a.item.shelfLife.actOn ?? '', b.item.shelfLife.actOn ?? '']
    if (order === 'use-by date' && first === 0 && day !== other) return day < other ? -1 : 1
    return stake(b) - stake(a)
  }
}

/** What fits all of the wish but for how it stands and what it is: what the chips count. */
export function narrowed(rows: readonly RaceRow[], wish: RaceWish, today: Day): RaceRow[] {
  return rows.filter(
    ({ item, race }) =>
      STATES[wish.state](item, today) &&
      (wish.zoneId === null || item.homeZoneId === wish.zoneId) &&
      (wish.categoryId === null || race.wornAsId === wish.categoryId),
  )
}

/** Those of `rows` that a chip picks. */
export function picked(rows: readonly RaceRow[], { standing, only }: RaceWish): RaceRow[] {
  return rows.filter(
    (row) =>
      (standing === null || row.standing === standing) &&
      (only === null || (only === 'eyes' ? row.item.eye : row.item.shelfLife.sun !== null)),
  )
}

/** What runs; of what won't be finished in time, or where all may be of all of it, the money left now and at its use-by date, in minor units. */
export function raceSum(rows: readonly RaceRow[]): {
  running: number
  losing: number
  stake: number
  held: number
  unpriced: number
} {
  const running = rows.filter(({ standing }) => standing !== 'past' && standing !== 'not known')
  const losing = running.filter(({ standing }) => standing === 'not in time')
  const told = losing.length > 0 ? losing : running
  return {
    running: running.length,
    losing: losing.length,
    stake: sumBy(told, ({ race }) => race.stake ?? 0),
    held: sumBy(told, ({ race }) => (race.price?.minor ?? 0) * race.share),
    unpriced: told.filter(({ race }) => race.price === null).length,
  }
}
