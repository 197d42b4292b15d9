import { Router } from 'express'
import { ok } from '../failing.js'
import { AddGuess, DropGuess, SetRole } from '#contract/forecast'
import type { House } from '../house.js'
import { command, read } from '../http/routes.js'
import { calendarFile } from './calendar-file.js'

export function forecastRoutes(house: House): Router {
  const { guessing, lookingBack, supplying } = house
  const routes = Router()
  read(routes, '/look-back', () => ok(lookingBack.all()))
  read(routes, '/supply', () => ok(supplying.all()))
  command(house, routes, 'post', '/items/:id/guesses', AddGuess, 'guess', (body, { id = '' }) => guessing.add(id, body))
  command(house, routes, 'post', '/guesses/:id/drop', DropGuess, 'drop-guess', (_, { id = '' }) => guessing.drop(id))
  command(house, routes, 'put', '/items/:id/role', SetRole, 'set-role', (body, { id = '' }) =>
    guessing.setRole(id, body),
  )
  /** The same under one address, to be read or subscribed to by any calendar on this machine. */
  routes.get('/calendar.ics', (_request, response) => {
    response.setHeader('Content-Disposition', 'inline; filename="seligo.ics"')
    response.type('text/calendar; charset=utf-8').send(calendarFile(house))
  })
  return routes
}
