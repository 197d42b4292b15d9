import type { Request, RequestHandler, Response } from 'express'
import type { z } from 'zod'
import { type Day, parseDay } from '#core/calendar/day'
import type { Outcome } from '../failing.js'
import type { Applied, Done, Journal } from '../db/journal.js'
import { problemOf, problemOfInput, sendProblem } from './problem.js'

export type Params = Readonly<Record<string, string>>
type Query = Request['query']

export interface Route {
  readonly method: 'get' | 'post' | 'put'
  readonly path: string
  readonly schema: z.ZodType | null
  readonly handlers: (journal: Journal) => readonly RequestHandler[]
  /** Whether it waits for forecasts that are being made: of everything, or of a few items. */
  readonly awaits?: 'all' | 'few'
}

/** A route that tells of forecasts: whoever asks waits for those that are being made. */
export function afterForecasts(awaits: 'all' | 'few', route: Route): Route {
  return { ...route, awaits }
}

/** A route that reads. `id` is the one in its path. */
export function read(
  path: string,
  answer: (id: string, query: Query) => Outcome<object>,
  awaits?: Route['awaits'],
): Route {
  const route = plain('get', path, (request, response) => {
    send(response, answer(idOf(request), request.query))
  })
  return awaits ? afterForecasts(awaits, route) : route
}

/** A route that reads and takes a query of its own. */
export function readBy<S extends z.ZodType>(
  path: string,
  schema: S,
  answer: (query: z.output<S>) => Outcome<object>,
  awaits: 'all' | 'few',
): Route {
  const route = plain('get', path, (request, response) => {
    const parsed = schema.safeParse(request.query)
    if (!parsed.success) return sendProblem(response, problemOfInput(parsed.error, request.query))
    send(response, answer(parsed.data))
  })
  return afterForecasts(awaits, route)
}

/** A route that reads and answers in a way of its own. */
export function plain(method: 'get' | 'post', path: string, ...handlers: readonly RequestHandler[]): Route {
  return { method, path, schema: null, handlers: () => handlers }
}

/** A command: Zod at the door, then one journalled change named `name`. What it makes stale is read off the rows it touched. */
export function write<S extends z.ZodType<{ changeId: string }>>(
  method: 'post' | 'put',
  path: string,
  name: string,
  schema: S,
  act: (body: z.output<S>, id: string, params: Params) => Outcome<Done<object>>,
): Route {
  return writeAs(method, path, schema, (body, params, journal) =>
    journal.run({ changeId: body.changeId, command: name, body: { params, body } }, () =>
      act(body, params['id'] ?? '', params),
    ),
  )
}

/** A command that runs its change itself. */
export function writeAs<S extends z.ZodType>(
  method: 'post' | 'put',
  path: string,
  schema: S,
  run: (
    body: z.output<S>,
    params: Params,
    journal: Journal,
    response: Response,
  ) => Outcome<Applied<object>> | Promise<Outcome<Applied<object>>>,
): Route {
  const handler =
    (journal: Journal): RequestHandler =>
    async (request, response) => {
      const parsed = schema.safeParse(request.body)
      if (!parsed.success) return sendProblem(response, problemOfInput(parsed.error, request.body))
      send(response, await run(parsed.data, request.params as Params, journal, response))
    }
  return { method, path, schema, handlers: (journal) => [handler(journal)] }
}

export function send(response: Response, outcome: Outcome<object>): void {
  if (outcome.ok) response.json(outcome.value)
  else sendProblem(response, problemOf(outcome.failure))
}

export function dayParam(value: unknown): Day | null {
  return typeof value === 'string' ? parseDay(value) : null
}

function idOf(request: Request): string {
  return (request.params as Params)['id'] ?? ''
}
