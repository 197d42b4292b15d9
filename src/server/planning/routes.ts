import { Router } from 'express'
import {
  AddPlanBreak,
  AdoptPlan,
  ClearPlanMoves,
  DropPlanBreak,
  EndPlan,
  SetPlanMoves,
  SetPlanPace,
  SetPlanWord,
} from '#contract/planning'
import { ok } from '../failing.js'
import { command, read } from '../http/routes.js'
import type { House } from '../house.js'

export function planningRoutes(house: House): Router {
  const { planning } = house
  const routes = Router()
  read(routes, '/plan', () => ok(planning.all()))
  command(house, routes, 'put', '/plan/words/:id', SetPlanWord, 'plan-word', (body, { id = '' }) =>
    planning.setWord(id, body),
  )
  command(house, routes, 'put', '/plan/moves/:id', SetPlanMoves, 'plan-moves', (body, { id = '' }) =>
    planning.setMoves(id, body.moves),
  )
  command(house, routes, 'post', '/plan/moves/clear', ClearPlanMoves, 'clear-plan-moves', () => planning.clearMoves())
  command(house, routes, 'put', '/plan/paces/:id', SetPlanPace, 'plan-pace', (body, { id = '' }) =>
    planning.setPace(id, body),
  )
  command(house, routes, 'post', '/plan/breaks', AddPlanBreak, 'plan-break', (body) => planning.addBreak(body))
  command(house, routes, 'post', '/plan/breaks/:id/drop', DropPlanBreak, 'drop-plan-break', (_body, { id = '' }) =>
    planning.dropBreak(id),
  )
  command(house, routes, 'post', '/plan', AdoptPlan, 'adopt-plan', (body) => planning.adopt(body))
  command(house, routes, 'post', '/plan/:id/end', EndPlan, 'end-plan', (_body, { id = '' }) => planning.end(id))
  return routes
}
