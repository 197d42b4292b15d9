import { groupBy, sumBy } from '#core/lists/grouping'
import { YEAR_DAYS } from '#core/calendar/lengths'
import { forgottenSums } from '#core/forecast/rate'
import { isSpoiled } from '#core/shelf-life/last-good-day'
import { numbered } from '../stock/known-days.js'
import { callOf } from '#core/item/naming'
import { addDays, daysBetween, later, type Day } from '#core/calendar/day'
import type { Span } from '#core/forecast/weighed'
import { supplyOf, supplyOfFewer, typePace, type InStock } from '#core/forecast/supply'
import type { SupplyAnswer, SupplyView } from '#contract/forecast'
import { isTickOf, type TouchedRow } from '../db/journal.js'
import { preparing } from '../db/query.js'
import type { ItemFacts } from '../stock/item-facts.js'
import type { Context } from '../context.js'
import type { Forecasts } from './forecasts.js'
import type { Stock } from '../stock/stock.js'

/** What was worn longer ago weighs next to nothing in a pace. */
const LOOKED_BACK_DAYS = 3 * 365
/** The days of a plan's year. */
const PLAN_DAYS = 365
/** What is this far off is not dated. */
const MOST_DAYS = 30 * YEAR_DAYS

const NO_PACE = {
  perYear: null,
  years: null,
  yearsInDate: null,
  expiring: [],
  expiringPrice: 0,
  expiringUnpriced: 0,
  need: null,
  keeping: [],
}

/** What was worn of each type up to yesterday, and what the days weigh. */
interface Past {
  readonly key: string
  readonly worn: ReadonlyMap<
    string,
    { readonly wears: number; readonly lastWorn: Day; readonly perYear: number | null }
  >
}

/** By category: years of supply at the user's pace, what will spoil before its turn, and when something will be needed. */
export class Supplying {
  readonly #queries
  #past: Past | null = null
  #year: { readonly today: Day; readonly uses: ReadonlyMap<string, number>; readonly wearDays: number } | null = null

  constructor(private readonly services: Context & { forecasts: Forecasts; stock: Stock }) {
    const sql = preparing(services.db)
    this.#queries = {
      pace: sql<[{ from: Day; to: Day }], { category_id: string; uses: number }>(`
        SELECT category_id, count(*) AS uses FROM worn WHERE day BETWEEN @from AND @to GROUP BY category_id`),
      wearDays: sql<[{ from: Day; to: Day }], { n: number }>(`
        SELECT count(DISTINCT w.day) AS n FROM worn w JOIN category c ON c.id = w.category_id
         WHERE c.makeup = 1 AND w.day BETWEEN @from AND @to`),
      byDay: sql<[{ from: Day; to: Day }], { category_id: string; day: Day; uses: number }>(`
        SELECT category_id, day, count(*) AS uses FROM worn WHERE day BETWEEN @from AND @to GROUP BY category_id, day`),
    }
  }

  /** What is kept to look at is no supply. */
  all(): SupplyAnswer {
    const today = this.services.today()
    return {
      today,
      currency: this.services.settings().currency,
      categories: [...byKind(this.#inUse(today))].map(([id, own]) => this.#category(id, own, today)),
    }
  }

  /** When what is in date of each type that has a pace has run out, and how often it is used a year. */
  needs(): { readonly categoryId: string; readonly perYear: number; readonly need: DaySpan }[] {
    const today = this.services.today()
    return [...byKind(this.#inUse(today))].flatMap(([categoryId, own]) => {
      const perYear = this.paceOf(categoryId, today)
      if (perYear === null) return []
      return [{ categoryId, perYear, need: needOf(supplyOf(this.stockOf(own, today), perYear).need, today) }]
    })
  }

  /** What of these will expire before its turn among others of its type; nothing where no pace is known. */
  expiring(
    items: readonly ItemFacts[],
    today: Day,
  ): Map<string, { readonly lastGood: Day | null; readonly ofCategory: number }> {
    const found = new Map<string, { lastGood: Day | null; ofCategory: number }>()
    for (const [kind, own] of byKind(items)) {
      const perYear = this.paceOf(kind, today)
      const supply = perYear === null ? null : supplyOf(this.stockOf(own, today), perYear)
      // One alone has no turn to wait for.
      if (supply === null || supply.items < 2) continue
      for (const item of own)
        if (supply.expiring.has(item.id))
          found.set(item.id, { lastGood: item.shelfLife.actOn, ofCategory: supply.items })
    }
    return found
  }

  /** Uses of a type a year, as they are of late: the one pace of a type. Null while there is none to tell. */
  paceOf(categoryId: string, today: Day): number | null {
    return this.#worn(today).get(categoryId)?.perYear ?? null
  }

  /** These items as they are used up. */
  stockOf(items: readonly ItemFacts[], today: Day): InStock[] {
    return items.map((item): InStock => {
      const { usesLeft, share } = this.services.forecasts.of(item).forecast.content
      const at = (p: number): number => usesLeft[Math.floor(p * usesLeft.length)] ?? 0
      return {
        id: item.id,
        uses: { low: at(0.1), middle: at(0.5), high: at(0.9) },
        share: share.middle,
        goodFor: isSpoiled(item.shelfLife) ? -1 : daysBetween(today, item.useByAtLatest),
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
    if (touched.every((row) => row.tbl !== 'item' && isTickOf(row, this.services.today()))) return
    this.#past = null
    this.#year = null
  }

  /** Days by what they weigh, as the rate of a forecast weighs them; those that tell nothing weigh nothing. */
  #worn(today: Day): Past['worn'] {
    const days = this.services.forecasts.days()
    if (this.#past?.key === days.key) return this.#past.worn
    const from = later(days.first, addDays(today, -LOOKED_BACK_DAYS))
    const cut = daysBetween(from, days.last)
    const out = numbered(days.out, from)
    const log = { cut, out, weights: [[0, cut, 1] as const] }
    const paceKnown = this.services.forecasts.paceKnown()
    const dayWeight = forgottenSums({ ...log, uses: [] }).unused
    const rows = groupBy(this.#queries.byDay.all({ from, to: days.last }), (row) => row.category_id)
    const worn = new Map(
      [...rows].map(([id, own]) => {
        const wears = sumBy(own, ({ uses }) => uses)
        // A day of several uses of the type counts each of them.
        const weight = sumBy(
          own,
          ({ day, uses }) => uses * forgottenSums({ ...log, uses: [daysBetween(from, day)] }).used,
        )
        const lastWorn = own.reduce((last, { day }) => later(last, day), from)
        const daysSince = daysBetween(lastWorn, today)
        const perYear = paceKnown ? typePace({ wears, weight, daysSince }, dayWeight) : null
        return [id, { wears, lastWorn, perYear }] as const
      }),
    )
    if (!this.services.db.inTransaction) this.#past = { key: days.key, worn }
    return worn
  }

  /** What was worn in the year up to yesterday, for the plan; kept until a day of it changes. */
  pastYear(today: Day): { readonly uses: ReadonlyMap<string, number>; readonly wearDays: number } {
    if (this.#year?.today === today) return this.#year
    const year = { from: addDays(today, -PLAN_DAYS), to: addDays(today, -1) }
    const found = {
      today,
      uses: new Map(this.#queries.pace.all(year).map((row) => [row.category_id, row.uses])),
      wearDays: this.#queries.wearDays.get(year)?.n ?? 0,
    }
    if (!this.services.db.inTransaction) this.#year = found
    return found
  }

  #category(categoryId: string, items: readonly ItemFacts[], today: Day): SupplyView {
    const byId = new Map(items.map((item) => [item.id, item]))
    const stock = this.stockOf(items, today)
    const known = this.#worn(today).get(categoryId)
    const perYear = known?.perYear ?? null
    const inDate = stock.filter(({ goodFor }) => goodFor === null || goodFor >= 0)
    const told = {
      categoryId,
      category: items[0]?.wornAs ?? '',
      items: inDate.length,
      expired: stock.length - inDate.length,
      uses: Math.round(sumBy(inDate, (each) => each.uses.middle)),
      worn: known?.wears ?? 0,
      lastWorn: known?.lastWorn ?? null,
    }
    if (perYear === null) return { ...told, ...NO_PACE }
    const found = supplyOf(stock, perYear)
    return {
      ...told,
      perYear: Math.round(perYear),
      years: found.years,
      yearsInDate: found.yearsInDate,
      expiring: [...found.expiring].flatMap(([id, left]) => {
        const item = byId.get(id)
        return item
          ? [{ itemId: id, mark: callOf(item), lastGood: item.shelfLife.actOn, priceMinor: item.priceMinor, left }]
          : []
      }),
      expiringPrice: found.expiringPrice,
      expiringUnpriced: found.expiringUnpriced,
      need: needOf(found.need, today),
      keeping: supplyOfFewer(stock, found),
    }
  }
}

function byKind(items: readonly ItemFacts[]): Map<string, ItemFacts[]> {
  return groupBy(items, ({ wornAsId }) => wornAsId)
}

type DaySpan = NonNullable<SupplyView['need']>

function needOf(need: Span, today: Day): DaySpan {
  const at = (days: number): Day | null => (days > MOST_DAYS ? null : addDays(today, Math.round(days)))
  return { low: at(need.low), middle: at(need.middle), high: at(need.high) }
}
