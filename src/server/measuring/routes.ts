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
import { read, write, type Route } from '../http/routes.js'
import type { Measuring } from './measuring.js'
import type { Packages } from './packages.js'

export function measuringRoutes({ measuring, packages }: { measuring: Measuring; packages: Packages }): Route[] {
  return [
    read('/containers', () => ok(packages.containers())),
    write('post', '/items/:id/readings', 'add-reading', AddReading, (body, id) => measuring.addReading(id, body)),
    write('put', '/readings/:id', 'edit-reading', EditReading, (body, id) => measuring.editReading(id, body)),
    write('post', '/readings/:id/drop', 'drop-reading', DropReading, (_, id) => measuring.dropReading(id)),
    write('post', '/readings/:id/cause', 'say-cause', SayCause, (body, id) => measuring.sayCause(id, body)),
    write('post', '/items/:id/package-weights', 'add-package-weight', AddPackageWeight, (body, id) =>
      measuring.addWeight(id, body),
    ),
    write('post', '/package-weights/:id/drop', 'drop-package-weight', DropPackageWeight, (_, id) =>
      measuring.dropWeight(id),
    ),
    write('post', '/items/:id/events', 'add-event', AddEvent, (body, id) => packages.addEvent(id, body)),
    write('post', '/events/:id/drop', 'drop-event', DropEvent, (_, id) => packages.dropEvent(id)),
    write('post', '/blends', 'blend', AddBlend, (body) => packages.blend(body)),
    write('post', '/items/:id/depot', 'depot', Depot, (body, id) => packages.depot(id, body)),
    write('post', '/containers', 'add-container', AddContainer, (body) => packages.addContainer(body)),
    write('put', '/containers/:id', 'edit-container', EditContainer, (body, id) => packages.editContainer(id, body)),
    write('post', '/containers/:id/gone', 'container-gone', ContainerGone, (body, id) =>
      packages.containerGone(id, body.day),
    ),
  ]
}
