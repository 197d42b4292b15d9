import { Router } from 'express'
import { fail, ok } from '../failing.js'
import { ChooseAsPlanned, ChooseInLaying, CloseLaying, DropLaying, StartLaying } from '#contract/laying'
import type { House } from '../house.js'
import { dayParam } from '../http/day-param.js'
import { command, read } from '../http/routes.js'

export function layingRoutes(house: House): Router {
  const { laying } = house
  const routes = Router()
  read(routes, '/laying', () => ok(laying.all()))
  read(routes, '/layouts/:day', (_, { day = '' }) => {
    const asked = dayParam(day)
    return asked === null || asked > house.today() ? fail('day-in-future', { value: day }) : ok(laying.layout(asked))
  })
  command(house, routes, 'post', '/laying', StartLaying, 'start-laying', (body) => laying.start(body.id, body.season))
  command(house, routes, 'post', '/laying/:id/choose', ChooseInLaying, 'choose-in-laying', (body, { id = '' }) =>
    laying.choose(id, body),
  )
  command(house, routes, 'post', '/laying/:id/as-planned', ChooseAsPlanned, 'choose-as-planned', (_, { id = '' }) =>
    laying.chooseAsPlanned(id),
  )
  command(house, routes, 'post', '/laying/:id/close', CloseLaying, 'close-laying', (_, { id = '' }) => laying.close(id))
  command(house, routes, 'post', '/laying/:id/drop', DropLaying, 'drop-laying', (_, { id = '' }) => laying.drop(id))
  return routes
}
