import type { Span } from './weighed.js'

/** An item in stock, as a category is used up. */
export interface InStock {
  readonly id: string
  /** Uses left. */
  readonly uses: Span
  /** Days from today until it is no longer good; null = not known. */
  readonly goodFor: number | null
  /** What it cost, in minor units; null = not known. */
  readonly price: number | null
}

export interface Supply {
  readonly items: number
  /** Middle uses left in all. */
  readonly uses: number
  /** Uses a year, of late. */
  readonly perYear: number
  /** Null where nothing of the category was used in the year. */
  readonly years: number | null
  /** Ids of those whose turn ends after their last good day. */
  readonly spoiling: readonly string[]
  /** What those cost, and how many of them without a price. */
  readonly spoilingPrice: number
  readonly spoilingUnpriced: number
  /** Days until what is in date runs out: soonest, likely, latest; null where it is not used. */
  readonly need: Span | null
}

const YEAR_DAYS = 365

/**
 * Years of supply of a category at the user's pace, and what will spoil before its turn when the one that is good for the shortest is
 * served first. What will be used up by its last good day is no loss; what is past it serves nobody.
 */
export function supplyOf(stock: readonly InStock[], perYear: number): Supply {
  const uses = stock.reduce((sum, each) => sum + each.uses.middle, 0)
  const perDay = perYear / YEAR_DAYS
  const byDate = [...stock].sort(byGood)
  const served = serve(byDate, perDay, 'middle')
  const spoiling = stock.filter(({ id }) => served.spoiling.has(id))
  return {
    items: stock.length,
    uses,
    perYear,
    years: perYear > 0 ? uses / perYear : null,
    spoiling: spoiling.map(({ id }) => id),
    spoilingPrice: spoiling.reduce((sum, { price }) => sum + (price ?? 0), 0),
    spoilingUnpriced: spoiling.filter(({ price }) => price === null).length,
    need:
      perYear > 0
        ? {
            low: serve(byDate, perDay, 'low').until,
            middle: served.until,
            high: serve(byDate, perDay, 'high').until,
          }
        : null,
  }
}

/** Ids of those whose turn ends after their last good day: of `supplyOf` the part that doubts ask for. */
export function spoilingOf(stock: readonly InStock[], perYear: number): ReadonlySet<string> {
  return serve([...stock].sort(byGood), perYear / YEAR_DAYS, 'middle').spoiling
}

/** What it came to with only so many of them. */
export interface FewSupply {
  readonly items: number
  readonly years: number | null
  readonly spoiling: number
  readonly spoilingPrice: number
}

/**
 * The same with fewer, for every number from one to one less than there are: what would spoil before its turn is the first to go, the
 * last in turn before the others.
 */
export function supplyOfFewer(stock: readonly InStock[], perYear: number, all: Supply): FewSupply[] {
  const spoiling = new Set(all.spoiling)
  const inTurn = [...stock].sort((a, b) => Number(spoiling.has(a.id)) - Number(spoiling.has(b.id)) || byGood(a, b))
  const byDate = [...stock].sort(byGood)
  const kept = new Set<InStock>()
  let uses = 0
  return inTurn.slice(0, -1).map((next, n) => {
    kept.add(next)
    uses += next.uses.middle
    const lost = serve(
      byDate.filter((each) => kept.has(each)),
      perYear / YEAR_DAYS,
      'middle',
    ).spoiling
    return {
      items: n + 1,
      years: perYear > 0 ? uses / perYear : null,
      spoiling: lost.size,
      spoilingPrice:
        lost.size === 0 ? 0 : byDate.reduce((sum, { id, price }) => sum + (lost.has(id) ? (price ?? 0) : 0), 0),
    }
  })
}

/** One after the other, the soonest to spoil first, as they are sorted. An item that spoils half used gives what it could until then. */
function serve(
  byDate: readonly InStock[],
  perDay: number,
  which: keyof Span,
): { readonly spoiling: ReadonlySet<string>; readonly until: number } {
  let day = 0
  const spoiling = new Set<string>()
  for (const { id, uses, goodFor } of byDate) {
    const end = perDay > 0 ? day + uses[which] / perDay : Infinity
    if (goodFor !== null && end > Math.max(0, goodFor)) {
      spoiling.add(id)
      day = Math.max(day, goodFor)
    } else day = end
  }
  return { spoiling, until: day }
}

/** The soonest to spoil first; what is not known last. */
function byGood(a: InStock, b: InStock): number {
  return (a.goodFor ?? Infinity) - (b.goodFor ?? Infinity) || (a.id < b.id ? -1 : 1)
}
