import { Router, type Request, type Response } from 'express'
import { PreviewImport, RunImport } from '#contract/importing'
import type { House } from '../house.js'
import { problemOf, problemOfInput, sendProblem } from '../http/problem.js'
import { command } from '../http/routes.js'
import { Importing } from './importing.js'

export function importingRoutes(house: House): Router {
  const importing = new Importing(house)
  const routes = Router()
  routes.post('/import/preview', (request: Request, response: Response) => {
    const parsed = PreviewImport.safeParse(request.body)
    if (!parsed.success) return sendProblem(response, problemOfInput(parsed.error, request.body))
    const outcome = importing.preview(parsed.data)
    if (!outcome.ok) return sendProblem(response, problemOf(outcome.failure))
    response.json(outcome.value)
  })
  routes.post('/import/run', (_request, _response, next) => {
    house.backUp('import')
    next()
  })
  command(house, routes, 'post', '/import/run', RunImport, 'import', (body) => importing.run(body))
  return routes
}
