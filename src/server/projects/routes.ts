import { ok } from '../failing.js'
import {
  AddProject,
  CarryOver,
  CloseProject,
  EditGoal,
  EditProject,
  MoveUpNext,
  PutOnShortList,
  RollIn,
  RollInMany,
  RollOut,
  TakeOffShortList,
} from '#contract/projects'
import { read, write, type Route } from '../http/routes.js'
import type { Projects } from './projects.js'

export function projectRoutes({ projects }: { projects: Projects }): Route[] {
  return [
    read('/projects', () => ok(projects.all()), 'few'),
    read('/projects/:id/short-list', (id, query) => {
      const replacing = query['replacing']
      return projects.shortList(id, typeof replacing === 'string' ? replacing : null)
    }),
    write('post', '/projects', 'add-project', AddProject, (body) => projects.add(body)),
    write('put', '/projects/:id', 'edit-project', EditProject, (body, id) => projects.edit(id, body)),
    write('post', '/projects/:id/close', 'close-project', CloseProject, (body, id) =>
      projects.close(id, body.version, body.lessons),
    ),
    write('post', '/projects/:id/roll-in', 'roll-in', RollIn, (body, id) => projects.rollIn(id, body)),
    write('post', '/projects/:id/roll-in-many', 'roll-in-many', RollInMany, (body, id) =>
      projects.rollInMany(id, body),
    ),
    write('put', '/stays/:id/goal', 'edit-goal', EditGoal, (body, id) => projects.editGoal(id, body)),
    write('post', '/stays/:id/roll-out', 'roll-out', RollOut, (body, id) => projects.rollOut(id, body)),
    write('post', '/stays/:id/carry-over', 'carry-over', CarryOver, (body, id) => projects.carryOver(id, body)),
    write('post', '/short-list', 'short-list', PutOnShortList, (body) => projects.putOnShortList(body)),
    write('post', '/short-list/:id/move', 'move-up-next', MoveUpNext, ({ before }, id) =>
      projects.moveUpNext(id, before),
    ),
    write('post', '/short-list/:id/take-off', 'off-short-list', TakeOffShortList, (_, id) =>
      projects.takeOffShortList(id),
    ),
  ]
}
