import { Router, type Request, type Response } from 'express'
import { ok } from '../failing.js'
import { GoBackBody, UndoBody } from '#contract/settings'
import type { House } from '../house.js'
import { problemOf, problemOfInput, sendProblem } from '../http/problem.js'
import { read } from '../http/routes.js'

/** How many changes a page of the journal shows. */
const PAGE = 60
/** More are asked for page by page. */
const MOST = 3000

export function changeRoutes(house: House): Router {
  const routes = Router()
  read(routes, '/changes', (request) => {
    const before = Number(request.query['before'])
    const limit = Number(request.query['limit'])
    return ok(
      house.undo.page(
        Number.isSafeInteger(before) && before > 0 ? before : null,
        Number.isSafeInteger(limit) && limit > 0 ? Math.min(limit, MOST) : PAGE,
      ),
    )
  })
  house.commandRoutes.push(
    { method: 'post', path: '/changes/:id/go-back', schema: GoBackBody },
    { method: 'post', path: '/changes/:id/take-back', schema: UndoBody },
  )
  routes.post('/changes/:id/go-back', (request: Request, response: Response) => {
    const parsed = GoBackBody.safeParse(request.body)
    if (!parsed.success) return sendProblem(response, problemOfInput(parsed.error, request.body))
    const target = String(request.params['id'])
    const { changeId } = parsed.data
    const outcome = house.undo.takeBackSince({ changeId, command: 'go-back', body: { target } }, target)
    if (!outcome.ok) return sendProblem(response, problemOf(outcome.failure))
    response.json(outcome.value)
  })
  routes.post('/changes/:id/take-back', (request: Request, response: Response) => {
    const parsed = UndoBody.safeParse(request.body)
    if (!parsed.success) return sendProblem(response, problemOfInput(parsed.error, request.body))
    const target = String(request.params['id'])
    const { changeId, withLater } = parsed.data
    const outcome = house.undo.takeBack(
      { changeId, command: 'take-back', body: { target, withLater } },
      target,
      withLater,
    )
    if (!outcome.ok) return sendProblem(response, problemOf(outcome.failure))
    response.json(outcome.value)
  })
  return routes
}
