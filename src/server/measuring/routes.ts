import { Router } from 'express'
import { ok } from '../failing.js'
import {
  AddBlend,
  AddContainer,
  AddEvent,
  AddPackageWeight,
  ContainerGone,
  Depot,
  DropEvent,
  DropPackageWeight,
  EditContainer,
} from '#contract/package'
import { AddReading, DropReading, EditReading, SayCause } from '#contract/reading'
import type { House } from '../house.js'
import { command, read } from '../http/routes.js'

export function measuringRoutes(house: House): Router {
  const { measuring, packages } = house
  const routes = Router()
  read(routes, '/containers', () => ok(packages.containers()))
  command(house, routes, 'post', '/items/:id/readings', AddReading, 'add-reading', (body, { id = '' }) =>
    measuring.addReading(id, body),
  )
  command(house, routes, 'put', '/readings/:id', EditReading, 'edit-reading', (body, { id = '' }) =>
    measuring.editReading(id, body),
  )
  command(house, routes, 'post', '/readings/:id/drop', DropReading, 'drop-reading', (_, { id = '' }) =>
    measuring.dropReading(id),
  )
  command(house, routes, 'post', '/readings/:id/cause', SayCause, 'say-cause', (body, { id = '' }) =>
    measuring.sayCause(id, body),
  )
  command(
    house,
    routes,
    'post',
    '/items/:id/package-weights',
    AddPackageWeight,
    'add-package-weight',
    (body, { id = '' }) => measuring.addWeight(id, body),
  )
  command(
    house,
    routes,
    'post',
    '/package-weights/:id/drop',
    DropPackageWeight,
    'drop-package-weight',
    (_, { id = '' }) => measuring.dropWeight(id),
  )
  command(house, routes, 'post', '/items/:id/events', AddEvent, 'add-event', (body, { id = '' }) =>
    packages.addEvent(id, body),
  )
  command(house, routes, 'post', '/events/:id/drop', DropEvent, 'drop-event', (_, { id = '' }) =>
    packages.dropEvent(id),
  )
  command(house, routes, 'post', '/blends', AddBlend, 'blend', (body) => packages.blend(body))
  command(house, routes, 'post', '/items/:id/depot', Depot, 'depot', (body, { id = '' }) => packages.depot(id, body))
  command(house, routes, 'post', '/containers', AddContainer, 'add-container', (body) => packages.addContainer(body))
  command(house, routes, 'put', '/containers/:id', EditContainer, 'edit-container', (body, { id = '' }) =>
    packages.editContainer(id, body),
  )
  command(house, routes, 'post', '/containers/:id/gone', ContainerGone, 'container-gone', (body, { id = '' }) =>
    packages.containerGone(id, body.day),
  )
  return routes
}
