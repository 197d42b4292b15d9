import { Router } from 'express'
import { fail, ok } from '../failing.js'
import { AddAway, AddLowSeason, AddWearLess, DropStretch, SaveSettings } from '#contract/settings'
import type { House } from '../house.js'
import { command, read } from '../http/routes.js'

export function settingsRoutes(house: House): Router {
  const { settingsStore: store, stretches } = house
  const routes = Router()
  read(routes, '/settings', () => ok(store.read()))
  command(house, routes, 'put', '/settings', SaveSettings, 'save-settings', (body) => {
    const before = store.read()
    if (before.version !== body.version) return fail('stale', { current: JSON.stringify(before) })
    store.save(body.settings)
    return ok({ words: 'Changed the settings', answer: store.read() })
  })
  read(routes, '/stretches', () => ok(stretches.all()))
  command(house, routes, 'post', '/away', AddAway, 'add-away', (body) => stretches.addAway(body))
  command(house, routes, 'post', '/away/:id/drop', DropStretch, 'drop-away', (_, { id = '' }) => stretches.dropAway(id))
  command(house, routes, 'post', '/low-seasons', AddLowSeason, 'add-low-season', (body) => stretches.addLowSeason(body))
  command(house, routes, 'post', '/low-seasons/:id/drop', DropStretch, 'drop-low-season', (_, { id = '' }) =>
    stretches.dropLowSeason(id),
  )
  command(house, routes, 'post', '/wear-less', AddWearLess, 'add-wear-less', (body) => stretches.addWearLess(body))
  command(house, routes, 'post', '/wear-less/:id/drop', DropStretch, 'drop-wear-less', (_, { id = '' }) =>
    stretches.dropWearLess(id),
  )
  return routes
}
