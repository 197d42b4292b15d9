import { Router } from 'express'
import { ok } from '../failing.js'
import { FinishItem, FinishPart, PutReview } from '#contract/ending'
import type { House } from '../house.js'
import { command, read } from '../http/routes.js'

export function emptiesRoutes(house: House): Router {
  const { empties } = house
  const routes = Router()
  read(routes, '/empties', () => ok(empties.all()))
  command(house, routes, 'post', '/items/:id/finish', FinishItem, 'finish', (body, { id = '' }) =>
    empties.finish(id, body),
  )
  command(house, routes, 'post', '/parts/:id/finish', FinishPart, 'finish-part', (body, { id = '' }) =>
    empties.finishPart(id, body.day),
  )
  command(house, routes, 'put', '/items/:id/review', PutReview, 'put-review', (body, { id = '' }) =>
    empties.putReview(id, body),
  )
  return routes
}
