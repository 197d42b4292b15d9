import { Router } from 'express'
import { ok } from '../failing.js'
import { GiveVerdict, StartTrial } from '#contract/ending'
import type { House } from '../house.js'
import { command, read } from '../http/routes.js'

export function decideRoutes(house: House): Router {
  const { decide } = house
  const routes = Router()
  read(routes, '/decide', () => ok(decide.all()))
  command(house, routes, 'post', '/trials', StartTrial, 'start-trial', (body) => decide.startTrial(body))
  command(house, routes, 'post', '/verdicts', GiveVerdict, 'verdict', (body) => decide.giveVerdict(body))
  return routes
}
