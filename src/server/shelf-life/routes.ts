import { Router } from 'express'
import type { House } from '../house.js'
import type { ItemFacts } from '../stock/item-facts.js'

export function shelfLifeRoutes(house: House): Router {
  const routes = Router()
  /** Of everything that is there, when it will be gone against its last good day. */
  routes.get('/shelf-life', (_request, response) => {
    const today = house.today()
    const items = house.stock.facts(house.stock.presentIds(), today).filter((item) => item.setAside !== 'keepsake')
    // Thousands of races are not written anew for every reader: each is kept as JSON.
    const usual = usualPrices(items)
    const races = items.map((item) => house.forecastViews.raceJson(item, usual.get(item.wornAsId) ?? null))
    const head = JSON.stringify({ today, currency: house.settings().currency }).slice(0, -1)
    response.type('json').send(`${head},"races":[${races.join(',')}]}`)
  })
  return routes
}

/** What a thing of each category usually cost her: the middle of those with a price. */
function usualPrices(items: readonly ItemFacts[]): Map<string, number> {
  const prices = new Map<string, number[]>()
  for (const { wornAsId, priceMinor } of items)
    if (priceMinor !== null) prices.set(wornAsId, [...(prices.get(wornAsId) ?? []), priceMinor])
  return new Map([...prices].map(([id, own]) => [id, own.sort((a, b) => a - b)[Math.floor(own.length / 2)] ?? 0]))
}
