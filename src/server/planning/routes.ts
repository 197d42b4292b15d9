import {
  AddPlanBreak,
  AdoptPlan,
  ClearPlanMoves,
  DropPlanBreak,
  EndPlan,
  SetPlanMoves,
  SetPlanPace,
  SetPlanWord,
} from '#contract/planning'
import { ok } from '../failing.js'
import { read, write, type Route } from '../http/routes.js'
import type { Planning } from './planning.js'

export function planningRoutes({ planning }: { planning: Planning }): Route[] {
  return [
    read('/plan', () => ok(planning.all()), 'all'),
    write('put', '/plan/words/:id', 'plan-word', SetPlanWord, (body, id) => planning.setWord(id, body)),
    write('put', '/plan/moves/:id', 'plan-moves', SetPlanMoves, (body, id) => planning.setMoves(id, body.moves)),
    write('post', '/plan/moves/clear', 'clear-plan-moves', ClearPlanMoves, () => planning.clearMoves()),
    write('put', '/plan/paces/:id', 'plan-pace', SetPlanPace, (body, id) => planning.setPace(id, body)),
    write('post', '/plan/breaks', 'plan-break', AddPlanBreak, (body) => planning.addBreak(body)),
    write('post', '/plan/breaks/:id/drop', 'drop-plan-break', DropPlanBreak, (_, id) => planning.dropBreak(id)),
    write('post', '/plan', 'adopt-plan', AdoptPlan, (body) => planning.adopt(body)),
    write('post', '/plan/:id/end', 'end-plan', EndPlan, (_, id) => planning.end(id)),
  ]
}
