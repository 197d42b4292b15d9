import { Router } from 'express'
import { ok } from '#core/failure'
import { AddProject, EditGoal, EditProject, RollIn, RollOut } from '#contract/projects'
import type { House } from '../house.js'
import { command, read } from '../http/routes.js'
import { Projects } from './projects.js'

export function projectRoutes(house: House): Router {
  const projects = new Projects(house)
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
  command(house, routes, 'post', '/projects/:id/roll-in', RollIn, 'roll-in', (body, { id = '' }) =>
    projects.rollIn(id, body),
  )
  command(house, routes, 'put', '/stays/:id/goal', EditGoal, 'edit-goal', (body, { id = '' }) =>
    projects.editGoal(id, body.goal),
  )
  command(house, routes, 'post', '/stays/:id/roll-out', RollOut, 'roll-out', (body, { id = '' }) =>
    projects.rollOut(id, body),
  )
  return routes
}
