import { groupBy } from '#core/lists/grouping'
import { median } from '#core/lists/median'
import { afterForecasts, plain, type Route } from '../http/routes.js'
import type { ItemFacts } from '../stock/item-facts.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'
import type { Forecasts } from '../forecast/forecasts.js'
import type { ForecastViews } from '../forecast/views.js'

export function shelfLifeRoutes({
  today,
  stock,
  forecasts,
  forecastViews,
  settings,
}: Context & { stock: Stock; forecasts: Forecasts; forecastViews: ForecastViews }): Route[] {
  return [
    // Of everything that is there, when it will be gone against its last good day.
    afterForecasts(
      'all',
      plain('get', '/shelf-life', (_request, response) => {
        const day = today()
        const items = stock.facts(stock.presentIds(), day).filter((item) => item.setAside !== 'keepsake')
        // Thousands of races are not written anew for every reader: each is kept as JSON.
        const usual = usualPrices(items)
        const races = items.map((item) => forecastViews.raceJson(item, usual.get(item.wornAsId) ?? null))
        const head = JSON.stringify({
          today: day,
          paceKnown: forecasts.paceKnown(),
          currency: settings().currency,
        }).slice(0, -1)
        response.type('json').send(`${head},"races":[${races.join(',')}]}`)
      }),
    ),
  ]
}

/** The middle price of the items of each category that have one. */
function usualPrices(items: readonly ItemFacts[]): Map<string, number> {
  const priced = groupBy(
    items.filter(({ priceMinor }) => priceMinor !== null),
    ({ wornAsId }) => wornAsId,
  )
  return new Map([...priced].map(([id, own]) => [id, median(own.map(({ priceMinor }) => priceMinor ?? 0))]))
}
