import { Router } from 'express'
import { ok } from '../failing.js'
import type { House } from '../house.js'
import { read } from '../http/routes.js'

/** More letters than this are no search any more. */
const MOST_LETTERS = 200

export function findingRoutes(house: House): Router {
  const routes = Router()
  read(routes, '/find', (request) => ok(house.finder.find(String(request.query['words'] ?? '').slice(0, MOST_LETTERS))))
  return routes
}
