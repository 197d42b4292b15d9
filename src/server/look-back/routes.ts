import { Router } from 'express'
import { AnswerAsk, DropAsk, DropSpan, PutAsk, PutSpan, PutSpanWords } from '#contract/look-back'
import { fail, ok } from '../failing.js'
import type { House } from '../house.js'
import { dayParam } from '../http/day-param.js'
import { command, read } from '../http/routes.js'
import { facesOf } from './faces-of.js'

export function lookBackRoutes(house: House): Router {
  const { spanSheets, keptSpans, asking } = house
  const routes = Router()
  read(routes, '/look-back/sheet', ({ query }) => {
    const [from, to] = [dayParam(query['from']), dayParam(query['to'])]
    if (from === null) return fail('no-such-day', { value: String(query['from'] ?? '') })
    if (to === null) return fail('no-such-day', { value: String(query['to'] ?? '') })
    return spanSheets.of({ from, to }, typeof query['project'] === 'string' ? query['project'] : null)
  })
  read(routes, '/look-back/spans', () => ok(keptSpans.all()))
  read(routes, '/look-back/faces', ({ query }) => {
    const until = query['until'] === undefined ? house.today() : dayParam(query['until'])
    if (until === null || until > house.today()) return fail('day-in-future', { value: String(query['until']) })
    return ok(facesOf(house, until))
  })
  read(routes, '/look-back/asks', () => ok(asking.all()))
  command(house, routes, 'post', '/look-back/spans', PutSpan, 'put-span', (body) => keptSpans.put(body))
  command(house, routes, 'post', '/look-back/spans/:id/drop', DropSpan, 'drop-span', (_body, { id = '' }) =>
    keptSpans.drop(id),
  )
  command(house, routes, 'post', '/look-back/words', PutSpanWords, 'span-words', (body) => keptSpans.putWords(body))
  command(house, routes, 'post', '/look-back/asks', PutAsk, 'put-ask', (body) => asking.put(body))
  command(house, routes, 'post', '/look-back/asks/:id/answer', AnswerAsk, 'answer-ask', (body, { id = '' }) =>
    asking.answer(id, body),
  )
  command(house, routes, 'post', '/look-back/asks/:id/drop', DropAsk, 'drop-ask', (_body, { id = '' }) =>
    asking.drop(id),
  )
  return routes
}
