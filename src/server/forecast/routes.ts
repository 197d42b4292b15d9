import { ok } from '../failing.js'
import { AddGuess, DropGuess, SetRole, SetUpQuery } from '#contract/forecast'
import { afterForecasts, plain, read, readBy, write, type Route } from '../http/routes.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'
import { calendarFile } from './calendar-file.js'
import type { Guessing } from './guessing.js'
import type { LookingBack } from './looking-back.js'
import type { SettingUp } from './setting-up.js'
import type { Supplying } from './supplying.js'
import type { ForecastViews } from './views.js'

export function forecastRoutes(
  services: Context & {
    stock: Stock
    forecastViews: ForecastViews
    guessing: Guessing
    lookingBack: LookingBack
    settingUp: SettingUp
    supplying: Supplying
  },
): Route[] {
  const { forecastViews, guessing, lookingBack, settingUp, supplying } = services
  return [
    read('/look-back', () => ok(lookingBack.all()), 'few'),
    read('/verdicts', () => ok(forecastViews.verdicts()), 'few'),
    read('/supply', () => ok(supplying.all()), 'all'),
    readBy('/set-up', SetUpQuery, (query) => ok(settingUp.of(query)), 'few'),
    write('post', '/items/:id/guesses', 'guess', AddGuess, (body, id) => guessing.add(id, body)),
    write('post', '/guesses/:id/drop', 'drop-guess', DropGuess, (_, id) => guessing.drop(id)),
    write('put', '/items/:id/role', 'set-role', SetRole, (body, id) => guessing.setRole(id, body)),
    // One address, to be read or subscribed to by any calendar on this machine.
    afterForecasts(
      'all',
      plain('get', '/calendar.ics', (_request, response) => {
        response.setHeader('Content-Disposition', 'inline; filename="seligo.ics"')
        response.type('text/calendar; charset=utf-8').send(calendarFile(services))
      }),
    ),
  ]
}
