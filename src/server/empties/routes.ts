import { ok } from '../failing.js'
import { FinishItem, FinishPart, PutReview } from '#contract/ending'
import { read, write, type Route } from '../http/routes.js'
import type { Empties } from './empties.js'

export function emptiesRoutes({ empties }: { empties: Empties }): Route[] {
  return [
    read('/empties', () => ok(empties.all())),
    write('post', '/items/:id/finish', 'finish', FinishItem, (body, id) => empties.finish(id, body)),
    write('post', '/parts/:id/finish', 'finish-part', FinishPart, (body, id) => empties.finishPart(id, body.day)),
    write('put', '/items/:id/review', 'put-review', PutReview, (body, id) => empties.putReview(id, body)),
  ]
}
