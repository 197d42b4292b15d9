import { Router } from 'express'
import {
  AddRule,
  AddWish,
  BuyingQuery,
  BuyWish,
  DropRule,
  DropWish,
  EditWish,
  KeepLesson,
  StrikeLesson,
} from '#contract/buying'
import { ok } from '../failing.js'
import { problemOf, problemOfInput, sendProblem } from '../http/problem.js'
import { command, read } from '../http/routes.js'
import type { House } from '../house.js'

export function buyingRoutes(house: House): Router {
  const { buying, buyingCheck, buyingRules, lessons } = house
  const routes = Router()
  read(routes, '/buying', () => ok(buying.all()))
  read(routes, '/lessons', () => ok(lessons.all()))
  routes.get('/buying/check', (request, response) => {
    const parsed = BuyingQuery.safeParse(request.query)
    if (!parsed.success) return sendProblem(response, problemOfInput(parsed.error, request.query))
    const checked = buyingCheck.of(parsed.data)
    if (!checked.ok) return sendProblem(response, problemOf(checked.failure))
    response.json(checked.value)
  })
  command(house, routes, 'post', '/wishes', AddWish, 'add-wish', (body) => buying.addWish(body))
  command(house, routes, 'put', '/wishes/:id', EditWish, 'edit-wish', (body, { id = '' }) => buying.editWish(id, body))
  command(house, routes, 'post', '/wishes/:id/drop', DropWish, 'drop-wish', (_, { id = '' }) => buying.dropWish(id))
  command(house, routes, 'post', '/wishes/:id/bought', BuyWish, 'buy-wish', (body, { id = '' }) =>
    buying.buyWish(id, body),
  )
  command(house, routes, 'post', '/buying-rules', AddRule, 'add-rule', (body) => buyingRules.add(body))
  command(house, routes, 'post', '/buying-rules/:id/drop', DropRule, 'drop-rule', (_, { id = '' }) =>
    buyingRules.drop(id),
  )
  command(house, routes, 'post', '/lessons', KeepLesson, 'keep-lesson', (body) => lessons.keep(body))
  command(house, routes, 'post', '/lessons/:id/strike', StrikeLesson, 'strike-lesson', (body, { id = '' }) =>
    lessons.strike(id, body.struck),
  )
  return routes
}
