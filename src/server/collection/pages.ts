import { isSpoiled } from '#core/shelf-life/last-good-day'
import { wearsSince } from '#core/wear/tally'
import { destinationsFor } from '#core/decide/verdict'
import type { ItemAnswer, LifeEvent } from '#contract/item'
import { packItems } from '#contract/packed-items'
import type { Context } from '../context.js'
import { fail, ok, type Outcome } from '../failing.js'
import type { Guessing } from '../forecast/guessing.js'
import type { ForecastViews } from '../forecast/views.js'
import type { Measuring } from '../measuring/measuring.js'
import { listedOf, summaryOf } from '../stock/item-facts.js'
import type { Stock } from '../stock/stock.js'
import type { Care } from './care.js'
import type { Photos } from './photos.js'
import { collectionQueries } from './queries.js'

export class CollectionPages {
  readonly #queries

  constructor(
    private readonly services: Context & {
      stock: Stock
      care: Care
      photos: Photos
      measuring: Measuring
      forecastViews: ForecastViews
      guessing: Guessing
    },
  ) {
    this.#queries = collectionQueries(services.db)
  }

  all() {
    const { stock } = this.services
    const today = this.services.today()
    const items = packItems(stock.facts(stock.presentIds(), today).map(listedOf))
    return { today, currency: this.services.settings().currency, items }
  }

  categories() {
    const categories = this.#queries.categories.all().map((row) => ({
      id: row.id,
      version: row.version,
      name: row.name,
      makeup: row.makeup === 1,
      zoneId: row.zone_id,
      usualForm: row.usual_form,
      eye: row.eye === 1,
      lip: row.lip === 1,
      modelType: row.model_type,
    }))
    return { categories, zones: this.#queries.zones.all() }
  }

  item(id: string): Outcome<ItemAnswer> {
    const { stock, care, photos, measuring, forecastViews, guessing } = this.services
    const today = this.services.today()
    const found = stock.one(id, today)
    const head = this.#queries.itemHead.get(id)
    if (!found || !head) return fail('unknown-item', { value: id })
    const spoiled = isSpoiled(found.shelfLife)
    const goals = stock.goals([id], today).get(id) ?? []
    const wearDays = this.#queries.wearDays.all(id).map((row) => row.day)
    const look = this.#queries.lastLook.get(id)
    return ok({
      today,
      currency: this.services.settings().currency,
      item: summaryOf(found),
      keptText: JSON.parse(head.kept_text) as ItemAnswer['keptText'],
      wearDays,
      sinceReading: look === undefined ? null : { day: look.day, uses: wearsSince(wearDays, look) },
      pairs: care.pairsOf(id),
      photos: photos.of(id),
      ...measuring.of(found),
      forecast: forecastViews.one(found),
      outlooks: forecastViews.outlooks(
        found,
        goals.filter(({ stay }) => stay.rolled_out === null).map(({ goal }) => goal),
      ),
      guesses: guessing.of(id),
      goals: goals.map(({ goal }) => goal),
      events: this.#queries.events.all({ id }) as LifeEvent[],
      destinations: [
        ...destinationsFor({ opened: found.lifecycle !== 'unopened', eye: found.eye, lip: found.lip, spoiled }),
      ],
    })
  }
}
