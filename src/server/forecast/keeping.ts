import { daysBetween, type Day } from '#core/calendar/day'
import { LONG_DAYS } from '#core/calendar/lengths'
import type { ForecastReason } from '#core/forecast/role'
import type { TouchedRow } from '../db/journal.js'
import type { ItemFacts } from '../stock/item-facts.js'
import { forecastQueries } from './queries.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'
import type { Forecasts } from './forecasts.js'

/** A forecast is kept at least so often of what is in use. */
const EVERY_DAYS = 28
/** What takes longer is written down as this: a century says as little as five years. */
const MOST_DAYS = LONG_DAYS * 4

/** Keeps forecasts as they were shown, to be scored by what comes of them. */
export class ForecastKeeping {
  readonly #queries

  constructor(private readonly services: Context & { stock: Stock; forecasts: Forecasts }) {
    this.#queries = forecastQueries(services.db)
  }

  /** After a change: of what rolled in, and of what was read. */
  after(touched: readonly TouchedRow[]): void {
    const wanted = new Map<string, ForecastReason>()
    for (const { tbl, before, after } of touched) {
      if (before !== null || after === null || (tbl !== 'stay' && tbl !== 'measurement')) continue
      const row = JSON.parse(after) as { item_id: string }
      wanted.set(row.item_id, tbl === 'stay' ? 'rolled in' : 'read')
    }
    const today = this.services.today()
    for (const item of this.services.stock.facts([...wanted.keys()], today))
      this.#keep(item, wanted.get(item.id) ?? 'read')
  }

  /** Of everything in use that none was kept of for four weeks. */
  due(): number {
    const today = this.services.today()
    const last = new Map(this.#queries.lastKept.all().map((row) => [row.item_id, row.made_on]))
    const due = this.services.stock.facts(this.services.stock.presentIds(), today).filter((item) => {
      if (item.lifecycle !== 'open' || (item.placement === null && item.goal === null && !usedOfLate(item, today)))
        return false
      const kept = last.get(item.id)
      return kept === undefined || daysBetween(kept, today) >= EVERY_DAYS
    })
    this.services.db.transaction(() => due.forEach((item) => this.#keep(item, 'four weeks')))()
    return due.length
  }

  #keep(item: ItemFacts, why: ForecastReason): void {
    if (item.endedOn !== null) return
    const today = this.services.today()
    const { forecast, last } = this.services.forecasts.of(item)
    const since = daysBetween(last, today)
    const days = (each: number): number => Math.max(0.5, Math.min(MOST_DAYS, each) - since)
    const { low, middle, high } = forecast.finish
    this.#queries.keep.run({
      id: this.services.newId(),
      item_id: item.id,
      made_on: today,
      why,
      uses: item.uses,
      low_days: days(low),
      middle_days: days(middle),
      high_days: days(high),
      share_left: forecast.content.share.middle,
    })
  }
}

function usedOfLate(item: ItemFacts, today: Day): boolean {
  return item.lastWorn !== null && daysBetween(item.lastWorn, today) < EVERY_DAYS
}
