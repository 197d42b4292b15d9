import { Router } from 'express'
import {
  CompareQuery,
  DoubtsQuery,
  DropTarget,
  EndPick,
  SetAsideBody,
  SetFeelings,
  SetHanded,
  SetRegret,
  SetTarget,
  StartPick,
} from '#contract/deciding'
import { GiveVerdict, StartTrial, StartTrials } from '#contract/ending'
import { ok } from '../failing.js'
import { dayParam } from '../http/day-param.js'
import { problemOf, problemOfInput, sendProblem } from '../http/problem.js'
import { command, read } from '../http/routes.js'
import type { House } from '../house.js'

export function decideRoutes(house: House): Router {
  const { comparing, decide, doubting, feeling, lettingGo, pairing, settingAside, stash, targets } = house
  const routes = Router()
  read(routes, '/decide', () => ok(decide.all()))
  read(routes, '/feelings', (request) => {
    const day = dayParam(request.query['day'])
    return ok(day === null ? { worn: [] } : feeling.on(day))
  })
  read(routes, '/items/:id/together', (_request, { id = '' }) => pairing.of(id))
  read(routes, '/aside', () => ok(settingAside.all()))
  read(routes, '/stash', () => ok(stash.all()))
  read(routes, '/letting-go', () => ok(lettingGo.all()))
  read(routes, '/targets', () => ok(targets.all()))
  routes.get('/doubts', (request, response) => {
    const parsed = DoubtsQuery.safeParse(request.query)
    if (!parsed.success) return sendProblem(response, problemOfInput(parsed.error, request.query))
    response.json(doubting.all(parsed.data.leaning))
  })
  routes.get('/compare', (request, response) => {
    const parsed = CompareQuery.safeParse(request.query)
    if (!parsed.success) return sendProblem(response, problemOfInput(parsed.error, request.query))
    const compared = comparing.of(parsed.data.items)
    if (!compared.ok) return sendProblem(response, problemOf(compared.failure))
    response.json(compared.value)
  })
  command(house, routes, 'post', '/trials', StartTrial, 'start-trial', (body) => decide.startTrial(body))
  command(house, routes, 'post', '/trials/together', StartTrials, 'start-trials', (body) => decide.startTrials(body))
  command(house, routes, 'post', '/verdicts', GiveVerdict, 'verdict', (body) => decide.giveVerdict(body))
  command(house, routes, 'post', '/verdicts/:id/handed', SetHanded, 'set-handed', (body, { id = '' }) =>
    lettingGo.setHanded(id, body),
  )
  command(house, routes, 'post', '/verdicts/:id/regret', SetRegret, 'set-regret', (body, { id = '' }) =>
    lettingGo.setRegret(id, body),
  )
  command(house, routes, 'post', '/feelings', SetFeelings, 'set-feelings', (body) => feeling.set(body))
  command(house, routes, 'put', '/items/:id/aside', SetAsideBody, 'set-aside', (body, { id = '' }) =>
    settingAside.set(id, body),
  )
  command(house, routes, 'post', '/stash', StartPick, 'start-pick', (body) => stash.start(body))
  command(house, routes, 'post', '/stash/:id/end', EndPick, 'end-pick', (body, { id = '' }) => stash.end(id, body))
  command(house, routes, 'post', '/targets', SetTarget, 'set-target', (body) => targets.set(body))
  command(house, routes, 'post', '/targets/:id/drop', DropTarget, 'drop-target', (_, { id = '' }) => targets.drop(id))
  return routes
}
