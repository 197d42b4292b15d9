import { Router } from 'express'
import { ok } from '../failing.js'
import {
  AddProject,
  CarryOver,
  CloseProject,
  EditGoal,
  EditProject,
  PutOnShortList,
  RollIn,
  RollInMany,
  RollOut,
  TakeOffShortList,
} from '#contract/projects'
import type { House } from '../house.js'
import { command, read } from '../http/routes.js'

export function projectRoutes(house: House): Router {
  const { projects } = house
  const routes = Router()
  read(routes, '/projects', () => ok(projects.all()))
  read(routes, '/projects/:id/short-list', (request, { id = '' }) => {
    const replacing = request.query['replacing']
    return projects.shortList(id, typeof replacing === 'string' ? replacing : null)
  })
  command(house, routes, 'post', '/projects', AddProject, 'add-project', (body) => projects.add(body))
  command(house, routes, 'put', '/projects/:id', EditProject, 'edit-project', (body, { id = '' }) =>
    projects.edit(id, body),
  )
  command(house, routes, 'post', '/projects/:id/close', CloseProject, 'close-project', (body, { id = '' }) =>
    projects.close(id, body.version, body.lessons),
  )
  command(house, routes, 'post', '/projects/:id/roll-in', RollIn, 'roll-in', (body, { id = '' }) =>
    projects.rollIn(id, body),
  )
  command(house, routes, 'post', '/projects/:id/roll-in-many', RollInMany, 'roll-in-many', (body, { id = '' }) =>
    projects.rollInMany(id, body),
  )
  command(house, routes, 'put', '/stays/:id/goal', EditGoal, 'edit-goal', (body, { id = '' }) =>
    projects.editGoal(id, body),
  )
  command(house, routes, 'post', '/stays/:id/roll-out', RollOut, 'roll-out', (body, { id = '' }) =>
    projects.rollOut(id, body),
  )
  command(house, routes, 'post', '/stays/:id/carry-over', CarryOver, 'carry-over', (body, { id = '' }) =>
    projects.carryOver(id, body),
  )
  command(house, routes, 'post', '/short-list', PutOnShortList, 'short-list', (body) => projects.putOnShortList(body))
  command(house, routes, 'post', '/short-list/:id/take-off', TakeOffShortList, 'off-short-list', (_, { id = '' }) =>
    projects.takeOffShortList(id),
  )
  return routes
}
