import { fail, ok } from '../failing.js'
import { AddAway, AddLowSeason, AddWearLess, DropStretch, SaveSettings } from '#contract/settings'
import { read, write, type Route } from '../http/routes.js'
import type { SettingsStore } from './settings-store.js'
import type { Stretches } from './stretches.js'

export function settingsRoutes({
  settingsStore: store,
  stretches,
}: {
  settingsStore: SettingsStore
  stretches: Stretches
}): Route[] {
  return [
    read('/settings', () => ok(store.read())),
    write('put', '/settings', 'save-settings', SaveSettings, (body) => {
      const before = store.read()
      if (before.version !== body.version) return fail('stale', { current: JSON.stringify(before) })
      store.save(body.settings)
      return ok({ words: 'Changed the settings', answer: store.read() })
    }),
    read('/stretches', () => ok(stretches.all())),
    write('post', '/away', 'add-away', AddAway, (body) => stretches.addAway(body)),
    write('post', '/away/:id/drop', 'drop-away', DropStretch, (_, id) => stretches.dropAway(id)),
    write('post', '/low-seasons', 'add-low-season', AddLowSeason, (body) => stretches.addLowSeason(body)),
    write('post', '/low-seasons/:id/drop', 'drop-low-season', DropStretch, (_, id) => stretches.dropLowSeason(id)),
    write('post', '/wear-less', 'add-wear-less', AddWearLess, (body) => stretches.addWearLess(body)),
    write('post', '/wear-less/:id/drop', 'drop-wear-less', DropStretch, (_, id) => stretches.dropWearLess(id)),
  ]
}
