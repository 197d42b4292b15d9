import { Router } from 'express'
import { ok } from '../failing.js'
import { CloseCheckIn, DropCheckIn, EditCheckIn, StartCheckIn, TakeStep } from '#contract/check-in'
import type { House } from '../house.js'
import { command, read } from '../http/routes.js'

export function checkInRoutes(house: House): Router {
  const { checkIns } = house
  const routes = Router()
  read(routes, '/check-ins', () => ok(checkIns.all()))
  read(routes, '/check-ins/:id', (_, { id = '' }) => checkIns.one(id))
  command(house, routes, 'post', '/check-ins', StartCheckIn, 'start-check-in', (body) => checkIns.start(body))
  command(house, routes, 'put', '/check-ins/:id', EditCheckIn, 'edit-check-in', (body, { id = '' }) =>
    checkIns.edit(id, body),
  )
  command(house, routes, 'post', '/check-ins/:id/steps/:step', TakeStep, 'take-step', (body, { id = '', step = '' }) =>
    checkIns.take(id, step, body),
  )
  command(house, routes, 'post', '/check-ins/:id/close', CloseCheckIn, 'close-check-in', (body, { id = '' }) =>
    checkIns.close(id, body),
  )
  command(house, routes, 'post', '/check-ins/:id/drop', DropCheckIn, 'drop-check-in', (_, { id = '' }) =>
    checkIns.drop(id),
  )
  return routes
}
