import { addDays, daysBetween, type Day } from '#core/calendar/day'
import type { Span } from '#core/forecast/weighed'
import { supplyOf, supplyOfFewer, type InStock } from '#core/forecast/supply'
import { itemMark } from '#core/words/told'
import type { SupplyAnswer, SupplyView } from '#contract/forecast'
import { preparing } from '../db/query.js'
import type { House } from '../house.js'
import type { ItemFacts } from '../stock/item-facts.js'

/** Her pace is that of the last year. */
const YEAR_DAYS = 365
/** What is this far off is not dated. */
const MOST_DAYS = 365 * 30
/** A log of fewer days tells no pace. */
const LEAST_DAYS = 14

const NO_PACE = {
  perYear: null,
  years: null,
  spoiling: [],
  spoilingPrice: 0,
  spoilingUnpriced: 0,
  need: null,
  keeping: [],
}

/** By category: years of supply at her pace, what will spoil before its turn, and when something will be needed. */
export class Supplying {
  readonly #house: House
  readonly #queries

  constructor(house: House) {
    this.#house = house
    const sql = preparing(house.db)
    this.#queries = {
      /** Uses by category: of what each thing was worn as on the day. */
      pace: sql<[{ from: Day }], { category_id: string; uses: number }>(`
        SELECT coalesce(w.used_as, i.used_as, i.category_id) AS category_id, count(*) AS uses
          FROM wear w JOIN item i ON i.id = w.item_id WHERE w.day >= @from GROUP BY 1`),
      first: sql<[], { day: Day | null }>('SELECT min(day) AS day FROM wear'),
    }
  }

  /** What is kept to look at is no supply. */
  all(): SupplyAnswer {
    const today = this.#house.today()
    const items = this.#house.stock
      .facts(this.#house.stock.presentIds(), today)
      .filter((item) => item.setAside !== 'keepsake')
    const paces = this.#paces(today)
    return {
      today,
      currency: this.#house.settings().currency,
      categories: [...byKind(items)].map(([id, own]) => this.#category(id, own, paces && (paces.get(id) ?? 0), today)),
    }
  }

  /** What of these will spoil before its turn, with how many there are of its kind; nothing where no pace is known. */
  spoiling(
    items: readonly ItemFacts[],
    today: Day,
  ): Map<string, { readonly lastGood: Day | null; readonly ofCategory: number }> {
    const paces = this.#paces(today)
    const found = new Map<string, { lastGood: Day | null; ofCategory: number }>()
    if (paces === null) return found
    for (const [kind, own] of byKind(items)) {
      const byId = new Map(own.map((item) => [item.id, item]))
      for (const id of supplyOf(this.stockOf(own, today), paces.get(kind) ?? 0).spoiling)
        found.set(id, { lastGood: byId.get(id)?.shelfLife.actOn ?? null, ofCategory: own.length })
    }
    return found
  }

  /** Uses a year in a category; null while the log is too young. */
  paceOf(categoryId: string, today: Day): number | null {
    const paces = this.#paces(today)
    return paces && (paces.get(categoryId) ?? 0)
  }

  /** These things as they are used up. */
  stockOf(items: readonly ItemFacts[], today: Day): InStock[] {
    return items.map((item): InStock => {
      const { usesLeft } = this.#house.forecasts.of(item).forecast.content
      const at = (p: number): number => usesLeft[Math.floor(p * usesLeft.length)] ?? 0
      return {
        id: item.id,
        uses: { low: at(0.1), middle: at(0.5), high: at(0.9) },
        goodFor: item.shelfLife.actOn === null ? null : daysBetween(today, item.shelfLife.actOn),
        price: item.priceMinor,
      }
    })
  }

  /** Uses a year by category; null while the log is too young. One of under a year counts for as long as it is. */
  #paces(today: Day): Map<string, number> | null {
    const from = addDays(today, -YEAR_DAYS)
    const first = this.#queries.first.get()?.day ?? today
    const known = Math.min(YEAR_DAYS, daysBetween(first, today))
    if (known < LEAST_DAYS) return null
    return new Map(this.#queries.pace.all({ from }).map((row) => [row.category_id, (row.uses * YEAR_DAYS) / known]))
  }

  #category(categoryId: string, items: readonly ItemFacts[], perYear: number | null, today: Day): SupplyView {
    const byId = new Map(items.map((item) => [item.id, item]))
    const stock = this.stockOf(items, today)
    const category = items[0]?.wornAs ?? ''
    const found = supplyOf(stock, perYear ?? 0)
    const uses = Math.round(found.uses)
    // Without a pace nothing is known of turns.
    if (perYear === null) return { ...NO_PACE, categoryId, category, items: found.items, uses }
    return {
      categoryId,
      category,
      items: found.items,
      uses,
      perYear: Math.round(perYear),
      years: found.years,
      spoiling: found.spoiling.flatMap((id) => {
        const item = byId.get(id)
        return item
          ? [{ itemId: id, mark: itemMark(item), lastGood: item.shelfLife.actOn, priceMinor: item.priceMinor }]
          : []
      }),
      spoilingPrice: found.spoilingPrice,
      spoilingUnpriced: found.spoilingUnpriced,
      need: needOf(found.need, today),
      keeping: supplyOfFewer(stock, perYear, found),
    }
  }
}

/** By what they are worn as. */
function byKind(items: readonly ItemFacts[]): Map<string, ItemFacts[]> {
  const groups = new Map<string, ItemFacts[]>()
  for (const item of items) {
    const own = groups.get(item.wornAsId)
    if (own) own.push(item)
    else groups.set(item.wornAsId, [item])
  }
  return groups
}

function needOf(need: Span | null, today: Day): SupplyView['need'] {
  if (need === null) return null
  const at = (days: number): Day | null => (days > MOST_DAYS ? null : addDays(today, Math.round(days)))
  return { low: at(need.low), middle: at(need.middle), high: at(need.high) }
}
