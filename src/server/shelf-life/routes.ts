import { Router } from 'express'
import { ok } from '#core/failure'
import type { CollectionAnswer } from '#contract/item'
import type { House } from '../house.js'
import { read } from '../http/routes.js'

export function shelfLifeRoutes(house: House): Router {
  const routes = Router()
  read(routes, '/shelf-life', () => ok(everythingByLastGoodDay()))
  return routes

  /** What is there, the soonest to spoil first; what is unknown last. */
  function everythingByLastGoodDay(): CollectionAnswer {
    const today = house.today()
    const items = house.stock
      .summaries(house.stock.presentIds(), today)
      .sort((a, b) => (a.shelfLife.actOn ?? '9999').localeCompare(b.shelfLife.actOn ?? '9999'))
    return { today, currency: house.settings().currency, items }
  }
}
