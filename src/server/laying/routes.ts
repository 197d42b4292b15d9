import { fail, ok } from '../failing.js'
import { ChooseAsPlanned, ChooseInLaying, CloseLaying, DropLaying, StartLaying } from '#contract/laying'
import { dayParam, read, write, type Route } from '../http/routes.js'
import type { Context } from '../context.js'
import type { Laying } from './laying.js'

export function layingRoutes({ laying, today }: Context & { laying: Laying }): Route[] {
  return [
    read('/laying', () => ok(laying.all())),
    read('/layouts/:id', (day) => {
      const asked = dayParam(day)
      return asked === null || asked > today() ? fail('day-in-future', { value: day }) : ok(laying.layout(asked))
    }),
    write('post', '/laying', 'start-laying', StartLaying, (body) => laying.start(body.id, body.season)),
    write('post', '/laying/:id/choose', 'choose-in-laying', ChooseInLaying, (body, id) => laying.choose(id, body)),
    write('post', '/laying/:id/as-planned', 'choose-as-planned', ChooseAsPlanned, (_, id) =>
      laying.chooseAsPlanned(id),
    ),
    write('post', '/laying/:id/close', 'close-laying', CloseLaying, (_, id) => laying.close(id)),
    write('post', '/laying/:id/drop', 'drop-laying', DropLaying, (_, id) => laying.drop(id)),
  ]
}
