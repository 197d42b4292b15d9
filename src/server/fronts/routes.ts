import { Router } from 'express'
import { ok } from '../failing.js'
import type { House } from '../house.js'
import { read } from '../http/routes.js'

export function frontRoutes(house: House): Router {
  const routes = Router()
  read(routes, '/fronts', () => ok(house.fronts.read()))
  return routes
}
