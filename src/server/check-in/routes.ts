import { ok } from '../failing.js'
import { CloseCheckIn, DropCheckIn, EditCheckIn, StartCheckIn, TakeStep } from '#contract/check-in'
import { read, write, type Route } from '../http/routes.js'
import type { CheckIns } from './check-ins.js'

export function checkInRoutes({ checkIns }: { checkIns: CheckIns }): Route[] {
  return [
    read('/check-ins', () => ok(checkIns.all())),
    read('/check-ins/:id', (id) => checkIns.one(id), 'few'),
    write('post', '/check-ins', 'start-check-in', StartCheckIn, (body) => checkIns.start(body)),
    write('put', '/check-ins/:id', 'edit-check-in', EditCheckIn, (body, id) => checkIns.edit(id, body)),
    write('post', '/check-ins/:id/steps/:step', 'take-step', TakeStep, (body, id, { step = '' }) =>
      checkIns.take(id, step, body),
    ),
    write('post', '/check-ins/:id/close', 'close-check-in', CloseCheckIn, (body, id) => checkIns.close(id, body)),
    write('post', '/check-ins/:id/drop', 'drop-check-in', DropCheckIn, (_, id) => checkIns.drop(id)),
  ]
}
