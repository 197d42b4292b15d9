import { fail, ok } from '../failing.js'
import {
  ChooseAsPlanned,
  ChooseInSeasonChange,
  CloseSeasonChange,
  DropSeasonChange,
  StartSeasonChange,
} from '#contract/season-change'
import { dayParam, read, write, type Route } from '../http/routes.js'
import type { Context } from '../context.js'
import type { SeasonChange } from './season-change.js'

export function seasonChangeRoutes({ seasonChange, today }: Context & { seasonChange: SeasonChange }): Route[] {
  return [
    read('/laying', () => ok(seasonChange.all())),
    read('/layouts/:id', (day) => {
      const asked = dayParam(day)
      return asked === null || asked > today() ? fail('day-in-future', { value: day }) : ok(seasonChange.layout(asked))
    }),
    write('post', '/laying', 'start-laying', StartSeasonChange, (body) => seasonChange.start(body.id, body.season)),
    write('post', '/laying/:id/choose', 'choose-in-laying', ChooseInSeasonChange, (body, id) =>
      seasonChange.choose(id, body),
    ),
    write('post', '/laying/:id/as-planned', 'choose-as-planned', ChooseAsPlanned, (_, id) =>
      seasonChange.chooseAsPlanned(id),
    ),
    write('post', '/laying/:id/close', 'close-laying', CloseSeasonChange, (_, id) => seasonChange.close(id)),
    write('post', '/laying/:id/drop', 'drop-laying', DropSeasonChange, (_, id) => seasonChange.drop(id)),
  ]
}
