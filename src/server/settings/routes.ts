import { Router } from 'express'
import { fail, ok } from '#core/failure'
import { SaveSettings } from '#contract/settings'
import type { House } from '../house.js'
import { command, read } from '../http/routes.js'
import { SettingsStore } from './settings-store.js'

export function settingsRoutes(house: House): Router {
  const store = new SettingsStore(house.db)
  const routes = Router()
  read(routes, '/settings', () => ok(store.read()))
  command(house, routes, 'put', '/settings', SaveSettings, 'save-settings', (body) => {
    const before = store.read()
    if (before.version !== body.version) return fail('stale', { current: JSON.stringify(before) })
    store.save(body.settings)
    return ok({ words: 'Changed the settings', answer: store.read() })
  })
  return routes
}
