import { createHash } from 'node:crypto'
import { Router, type Request, type Response } from 'express'
import { PreviewImport, RunImport } from '#contract/importing'
import { fail } from '../failing.js'
import type { House } from '../house.js'
import { isStillLetIn } from '../http/guard.js'
import { problemOf, problemOfInput, sendProblem } from '../http/problem.js'

export function importingRoutes(house: House): Router {
  const { importing } = house
  house.commandRoutes.push({ method: 'post', path: '/import/run', schema: RunImport })
  const routes = Router()
  routes.post('/import/preview', preview)
  routes.post('/import/run', run)
  return routes

  async function preview(request: Request, response: Response): Promise<void> {
    const parsed = PreviewImport.safeParse(request.body)
    if (!parsed.success) return sendProblem(response, problemOfInput(parsed.error, request.body))
    const outcome = await importing.preview(parsed.data)
    if (!outcome.ok) return sendProblem(response, problemOf(outcome.failure))
    response.json(outcome.value)
  }

  async function run(request: Request, response: Response): Promise<void> {
    const parsed = RunImport.safeParse(request.body)
    if (!parsed.success) return sendProblem(response, problemOfInput(parsed.error, request.body))
    const body = parsed.data
    const prepared = await importing.prepare(body)
    if (!prepared.ok) return sendProblem(response, problemOf(prepared.failure))
    const { base64, ...named } = body
    // The journal keeps what the act was, not the file; what it hashes to tells one from another.
    const said = { ...named, hash: createHash('sha256').update(base64).digest('hex') }
    const outcome = await house.copies.around('import', (stored) =>
      isStillLetIn(response)
        ? house.journal.run(
            { changeId: body.changeId, command: 'import', body: said },
            () => importing.store(body, prepared.value),
            { stored },
          )
        : fail('not-let-in'),
    )
    if (!outcome.ok) return sendProblem(response, problemOf(outcome.failure))
    response.json(outcome.value)
  }
}
