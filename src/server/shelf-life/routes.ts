import { Router } from 'express'
import type { House } from '../house.js'

export function shelfLifeRoutes(house: House): Router {
  const routes = Router()
  /** What is there, the soonest to spoil first; what is unknown last. */
  routes.get('/shelf-life', (_request, response) => {
    const today = house.today()
    const end = (actOn: string | null): string => actOn ?? '9999'
    const items = house.stock.facts(house.stock.presentIds(), today).sort((a, b) => {
      const [first, second] = [end(a.shelfLife.actOn), end(b.shelfLife.actOn)]
      return first < second ? -1 : first > second ? 1 : 0
    })
    // Thousands of items are not written anew for every reader: each is kept as JSON.
    const head = JSON.stringify({ today, currency: house.settings().currency }).slice(0, -1)
    response.type('json').send(`${head},"items":${house.stock.json(items)}}`)
  })
  return routes
}
