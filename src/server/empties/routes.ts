import { Router } from 'express'
import { ok } from '#core/failure'
import { FinishItem } from '#contract/ending'
import type { House } from '../house.js'
import { command, read } from '../http/routes.js'
import { Empties } from './empties.js'

export function emptiesRoutes(house: House): Router {
  const empties = new Empties(house)
  const routes = Router()
  read(routes, '/empties', () => ok(empties.all()))
  command(house, routes, 'post', '/items/:id/finish', FinishItem, 'finish', (body, { id = '' }) =>
    empties.finish(id, body),
  )
  return routes
}
