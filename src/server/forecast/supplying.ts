import { groupBy } from '#core/lists/grouping'
import { callOf } from '#core/item/naming'
import { addDays, daysBetween, type Day } from '#core/calendar/day'
import type { Span } from '#core/forecast/weighed'
import { spoilingOf, supplyOf, supplyOfFewer, type InStock } from '#core/forecast/supply'
import type { SupplyAnswer, SupplyView } from '#contract/forecast'
import { isTickOf, type TouchedRow } from '../db/journal.js'
import { preparing } from '../db/query.js'
import type { ItemFacts } from '../stock/item-facts.js'
import type { Context } from '../context.js'
import type { Forecasts } from './forecasts.js'
import type { Stock } from '../stock/stock.js'

/** The user's pace is that of the last year. */
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

/** The year up to yesterday. */
interface Past {
  readonly today: Day
  readonly first: Day | null
  readonly uses: ReadonlyMap<string, number>
  readonly wearDays: number
}

/** By category: years of supply at the user's pace, what will spoil before its turn, and when something will be needed. */
export class Supplying {
  readonly #queries
  #past: Past | null = null

  constructor(private readonly services: Context & { forecasts: Forecasts; stock: Stock }) {
    const sql = preparing(services.db)
    this.#queries = {
      pace: sql<[{ from: Day; to: Day }], { category_id: string; uses: number }>(`
        SELECT category_id, count(*) AS uses FROM worn WHERE day BETWEEN @from AND @to GROUP BY category_id`),
      wearDays: sql<[{ from: Day; to: Day }], { n: number }>(`
        SELECT count(DISTINCT w.day) AS n FROM worn w JOIN category c ON c.id = w.category_id
         WHERE c.makeup = 1 AND w.day BETWEEN @from AND @to`),
      first: sql<[], { day: Day | null }>('SELECT min(day) AS day FROM wear'),
    }
  }

  /** What is kept to look at is no supply. */
  all(): SupplyAnswer {
    const today = this.services.today()
    const items = this.#inUse(today)
    const paces = this.#paces(today)
    return {
      today,
      currency: this.services.settings().currency,
      categories: [...byKind(items)].map(([id, own]) => this.#category(id, own, paces && (paces.get(id) ?? 0), today)),
    }
  }

  /** When what is in stock of each kind that is in use has run out, and how often it is used a year. */
  needs(): { readonly categoryId: string; readonly perYear: number; readonly need: SupplyView['need'] }[] {
    const today = this.services.today()
    const paces = this.#paces(today)
    if (paces === null) return []
    return [...byKind(this.#inUse(today))].map(([categoryId, own]) => {
      const perYear = paces.get(categoryId) ?? 0
      return { categoryId, perYear, need: needOf(supplyOf(this.stockOf(own, today), perYear).need, today) }
    })
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
      for (const id of spoilingOf(this.stockOf(own, today), paces.get(kind) ?? 0))
        found.set(id, { lastGood: byId.get(id)?.shelfLife.actOn ?? null, ofCategory: own.length })
    }
    return found
  }

  paceOf(categoryId: string, today: Day): number | null {
    const paces = this.#paces(today)
    return paces && (paces.get(categoryId) ?? 0)
  }

  /** These items as they are used up. */
  stockOf(items: readonly ItemFacts[], today: Day): InStock[] {
    return items.map((item): InStock => {
      const { usesLeft } = this.services.forecasts.of(item).forecast.content
      const at = (p: number): number => usesLeft[Math.floor(p * usesLeft.length)] ?? 0
      return {
        id: item.id,
        uses: { low: at(0.1), middle: at(0.5), high: at(0.9) },
        goodFor: item.shelfLife.actOn === null ? null : daysBetween(today, item.shelfLife.actOn),
        price: item.priceMinor,
      }
    })
  }

  #inUse(today: Day): ItemFacts[] {
    return this.services.stock
      .facts(this.services.stock.presentIds(), today)
      .filter((item) => item.setAside !== 'keepsake')
  }

  /** Drops what is kept of days that are over, unless only today was ticked. */
  forget(touched: readonly TouchedRow[]): void {
    if (touched.some((row) => row.tbl === 'item' || !isTickOf(row, this.#past?.today))) this.#past = null
  }

  /** Uses a year by category; null while the log is too young. One of under a year counts for as long as it is. */
  #paces(today: Day): Map<string, number> | null {
    const { first, uses } = this.pastYear(today)
    const known = Math.min(YEAR_DAYS, first === null ? 0 : daysBetween(first, today))
    if (known < LEAST_DAYS) return null
    const all = new Map(uses)
    for (const row of this.#queries.pace.all({ from: today, to: today }))
      all.set(row.category_id, (all.get(row.category_id) ?? 0) + row.uses)
    return new Map([...all].map(([id, count]) => [id, (count * YEAR_DAYS) / known]))
  }

  /** What was worn in the year up to yesterday; kept until a day of it changes. */
  pastYear(today: Day): Past {
    if (this.#past?.today === today) return this.#past
    const year = { from: addDays(today, -YEAR_DAYS), to: addDays(today, -1) }
    const rows = this.#queries.pace.all(year)
    const past = {
      today,
      first: this.#queries.first.get()?.day ?? null,
      uses: new Map(rows.map((row) => [row.category_id, row.uses])),
      wearDays: this.#queries.wearDays.get(year)?.n ?? 0,
    }
    if (!this.services.db.inTransaction) this.#past = past
    return past
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
          ? [{ itemId: id, mark: callOf(item), lastGood: item.shelfLife.actOn, priceMinor: item.priceMinor }]
          : []
      }),
      spoilingPrice: found.spoilingPrice,
      spoilingUnpriced: found.spoilingUnpriced,
      need: needOf(found.need, today),
      keeping: supplyOfFewer(stock, perYear, found),
    }
  }
}

function byKind(items: readonly ItemFacts[]): Map<string, ItemFacts[]> {
  return groupBy(items, ({ wornAsId }) => wornAsId)
}

function needOf(need: Span | null, today: Day): SupplyView['need'] {
  if (need === null) return null
  const at = (days: number): Day | null => (days > MOST_DAYS ? null : addDays(today, Math.round(days)))
  return { low: at(need.low), middle: at(need.middle), high: at(need.high) }
}
