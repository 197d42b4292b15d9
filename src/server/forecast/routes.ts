import { Router } from 'express'
import { ok } from '../failing.js'
import { AddGuess, DropGuess, SetRole, SetUpQuery } from '#contract/forecast'
import type { House } from '../house.js'
import { problemOfInput, sendProblem } from '../http/problem.js'
import { command, read } from '../http/routes.js'
import { calendarFile } from './calendar-file.js'

export function forecastRoutes(house: House): Router {
  const { guessing, lookingBack, settingUp, supplying } = house
  const routes = Router()
  read(routes, '/look-back', () => ok(lookingBack.all()))
  read(routes, '/supply', () => ok(supplying.all()))
  routes.get('/set-up', (request, response) => {
    const parsed = SetUpQuery.safeParse(request.query)
    if (!parsed.success) return sendProblem(response, problemOfInput(parsed.error, request.query))
    response.json(settingUp.of(parsed.data))
  })
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
