import type { Request, Response, Router } from 'express'
import type { z } from 'zod'
import type { Outcome } from '../failing.js'
import type { Done } from '../db/journal.js'
import type { House } from '../house.js'
import { problemOf, problemOfInput, sendProblem } from './problem.js'

type Params = Readonly<Record<string, string>>

/** A route that writes, as the house knows it. */
export interface CommandRoute {
  readonly method: 'post' | 'put'
  readonly path: string
  readonly schema: z.ZodType
}

/** A route that writes: Zod at the door, then one journalled change; failures become problem+json. */
export function command<S extends z.ZodObject<{ changeId: z.ZodType<string> }>, A extends object>(
  house: House,
  routes: Router,
  method: 'post' | 'put',
  path: string,
  schema: S,
  name: string,
  act: (body: z.output<S>, params: Params) => Outcome<Done<A>>,
): void {
  house.commandRoutes.push({ method, path, schema })
  routes[method](path, (request: Request, response: Response) => {
    const parsed = schema.safeParse(request.body)
    if (!parsed.success) return sendProblem(response, problemOfInput(parsed.error, request.body))
    const body = parsed.data
    const params = request.params as Params
    const outcome = house.journal.run({ changeId: String(body.changeId), command: name, body: { params, body } }, () =>
      act(body, params),
    )
    if (!outcome.ok) return sendProblem(response, problemOf(outcome.failure))
    response.json(outcome.value)
  })
}

/** A route that reads. */
export function read<A extends object>(
  routes: Router,
  path: string,
  answer: (request: Request, params: Params) => Outcome<A>,
): void {
  routes.get(path, (request, response) => {
    const outcome = answer(request, request.params as Params)
    if (!outcome.ok) return sendProblem(response, problemOf(outcome.failure))
    response.json(outcome.value)
  })
}
