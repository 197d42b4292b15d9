import { Router, type Request, type Response } from 'express'
import { ok } from '#core/failure'
import { UndoBody } from '#contract/settings'
import type { House } from '../house.js'
import { problemOf, problemOfInput, sendProblem } from '../http/problem.js'
import { read } from '../http/routes.js'

/** How many changes the list shows. */
const RECENT = 60

export function changeRoutes(house: House): Router {
  const routes = Router()
  read(routes, '/changes', () => ok({ changes: house.undo.recent(RECENT) }))
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
