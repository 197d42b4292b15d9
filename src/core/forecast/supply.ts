import { YEAR_DAYS } from '../calendar/lengths.js'
import { sumBy } from '../lists/grouping.js'
import type { Span } from './weighed.js'

/** An item in stock, as a type is used up. */
export interface InStock {
  readonly id: string
  /** Uses left. */
  readonly uses: Span
  /** Of a full one, what is left. */
  readonly share: number
  /** Days from today until its use-by date, at the latest it can be; below 0 = expired. Null = not known at all. */
  readonly goodFor: number | null
  /** What it cost, in minor units; null = not known. */
  readonly price: number | null
}

export interface Supply {
  /** In date; the others are counted apart. */
  readonly items: number
  readonly expired: number
  /** Middle uses left in all, of what is in date. */
  readonly uses: number
  /** Uses a year, of late. */
  readonly perYear: number
  readonly years: number
  /** Of those years, what can be used before it expires. */
  readonly yearsInDate: number
  /** Ids of those that expire before their turn has ended, with what of a full one is left then. */
  readonly expiring: ReadonlyMap<string, number>
  /** What of their price is left then, and how many of them without a price. */
  readonly expiringPrice: number
  readonly expiringUnpriced: number
  /** Days until what is in date runs out: soonest, likely, latest. */
  readonly need: Span
}

/** How much there is of a type at the user's pace, and what will expire before its turn when the earliest use-by date is served first. */
export function supplyOf(stock: readonly InStock[], perYear: number): Supply {
  const inDate = servingOrder(stock)
  const perDay = perYear / YEAR_DAYS
  const served = serve(inDate, perDay, 'middle')
  const expiring = inDate.filter(({ id }) => served.left.has(id))
  const uses = sumBy(inDate, (each) => each.uses.middle)
  return {
    items: inDate.length,
    expired: stock.length - inDate.length,
    uses,
    perYear,
    years: uses / perYear,
    yearsInDate: served.used / perYear,
    expiring: served.left,
    expiringPrice: moneyLeft(expiring, served.left),
    expiringUnpriced: expiring.filter(({ price }) => price === null).length,
    need: {
      low: serve(inDate, perDay, 'low').until,
      middle: served.until,
      high: serve(inDate, perDay, 'high').until,
    },
  }
}

/** What it came to with only so many of them. */
export interface FewSupply {
  readonly items: number
  readonly years: number
  readonly expiring: number
  readonly expiringPrice: number
}

/**
 * The same with fewer, for every number from one to one less than there are: what would expire before its turn is the first to go, the
 * last in turn before the others.
 */
export function supplyOfFewer(stock: readonly InStock[], { perYear, expiring }: Supply): FewSupply[] {
  const byDate = servingOrder(stock)
  const inTurn = [...byDate].sort((a, b) => Number(expiring.has(a.id)) - Number(expiring.has(b.id)) || byGood(a, b))
  const kept = new Set<InStock>()
  let uses = 0
  return inTurn.slice(0, -1).map((next, n) => {
    kept.add(next)
    uses += next.uses.middle
    const few = byDate.filter((each) => kept.has(each))
    const { left } = serve(few, perYear / YEAR_DAYS, 'middle')
    return { items: n + 1, years: uses / perYear, expiring: left.size, expiringPrice: moneyLeft(few, left) }
  })
}

function moneyLeft(stock: readonly InStock[], left: ReadonlyMap<string, number>): number {
  return Math.round(sumBy(stock, ({ id, price }) => (price ?? 0) * (left.get(id) ?? 0)))
}

/**
 * One after the other, as they are sorted. What expires half used gives what it could until then: `left` = of a full one what is left
 * of it then, by id.
 */
function serve(
  byDate: readonly InStock[],
  perDay: number,
  which: keyof Span,
): { readonly left: ReadonlyMap<string, number>; readonly used: number; readonly until: number } {
  let day = 0
  let used = 0
  const left = new Map<string, number>()
  for (const { id, uses: span, goodFor, share } of byDate) {
    const uses = span[which]
    const end = day + uses / perDay
    // The use-by date itself is a day of use.
    const until = goodFor === null ? Infinity : goodFor + 1
    if (end > until) {
      const taken = Math.max(0, until - day) * perDay
      used += taken
      left.set(id, uses > 0 ? share * (1 - taken / uses) : 0)
      day = Math.max(day, until)
    } else {
      used += uses
      day = end
    }
  }
  return { left, used, until: day }
}

/** What is in date, the soonest to expire first; what is not known last. */
function servingOrder(stock: readonly InStock[]): InStock[] {
  return stock.filter(({ goodFor }) => goodFor === null || goodFor >= 0).sort(byGood)
}

function byGood(a: InStock, b: InStock): number {
  return (a.goodFor ?? Infinity) - (b.goodFor ?? Infinity) || (a.id < b.id ? -1 : 1)
}

/** A type has a pace from so many wears on, and while it was worn within so many days. The first is given, the second an assumption. */
export const LEAST_WEARS = 12
const LATELY_DAYS = 243

/** The pace of a type: uses by the days that are known, the latest counting most, as uses a year. Null where there is none to tell. */
export function typePace(
  worn: { readonly wears: number; readonly weight: number; readonly daysSince: number },
  dayWeight: number,
): number | null {
  if (worn.wears < LEAST_WEARS || worn.daysSince > LATELY_DAYS || dayWeight <= 0) return null
  return (worn.weight / dayWeight) * YEAR_DAYS
}
