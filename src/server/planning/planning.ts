import type { z } from 'zod'
import { addDays, type Day } from '#core/calendar/day'
import { itemMark } from '#core/words/told'
import {
  type PlanAnswer,
  AddPlanBreak,
  AdoptPlan,
  ClearPlanMoves,
  DropPlanBreak,
  EndPlan,
  SetPlanMoves,
  SetPlanPace,
  SetPlanWord,
} from '#contract/planning'
import type { Done, Answer } from '../db/journal.js'
import { fail, ok, type Outcome } from '../failing.js'
import { PlanGathering } from './gathering.js'
import { planQueries } from './queries.js'
import type { Context } from '../context.js'
import type { CurrentPlan } from './current-plan.js'
import { read, write, type Route } from '../http/routes.js'

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

/** Adopting a plan writes the plan and nothing else: what lies where, goals and stays change by acts of their own. */
export class Planning {
  readonly #queries
  readonly #gathering: PlanGathering

  constructor(
    private readonly services: Context & ConstructorParameters<typeof PlanGathering>[0] & { currentPlan: CurrentPlan },
  ) {
    this.#queries = planQueries(services.db)
    this.#gathering = new PlanGathering(services, this.#queries)
  }

  all(): PlanAnswer {
    return { ...this.#gathering.all(), inForce: this.services.currentPlan.standing() }
  }

  setWord(
    itemId: string,
    body: { id: string; said: 'in' | 'no' | null; weight: number | null; mostAWeek: number | null },
  ): Answer {
    const item = this.services.stock.one(itemId, this.services.today())
    if (!item) return fail('unknown-item', { value: itemId })
    if (item.endedOn !== null) return fail('item-ended', { name: itemMark(item) })
    const { id, said, weight, mostAWeek } = body
    if (this.#queries.wordOwner.get({ id, itemId })) return fail('id-taken', { value: id })
    if (said === null && weight === null && mostAWeek === null) this.#queries.dropWord.run(itemId)
    else this.#queries.putWord.run({ id, itemId, said, on: this.services.today(), weight, mostAWeek })
    const words = said === 'in' ? 'always in the plan' : said === 'no' ? 'not now' : 'let the plan decide'
    return ok({ words: `${itemMark(item)}: ${words}`, answer: { id: itemId } })
  }

  setMoves(itemId: string, moves: readonly { month: string; lies: boolean | null }[]): Answer {
    const item = this.services.stock.one(itemId, this.services.today())
    if (!item) return fail('unknown-item', { value: itemId })
    if (item.endedOn !== null) return fail('item-ended', { name: itemMark(item) })
    for (const { month, lies } of moves)
      if (lies === null) this.#queries.dropMove.run({ itemId, month })
      else this.#queries.putMove.run({ id: this.services.newId(), itemId, month, lies: lies ? 1 : 0 })
    return ok({ words: `Moved ${itemMark(item)} in the plan`, answer: { id: itemId } })
  }

  clearMoves(): Outcome<Done<{ count: number }>> {
    const count = this.#queries.moves.all().length
    this.#queries.dropMoves.run()
    return ok({ words: 'Undid the moves in the plan', answer: { count } })
  }

  setPace(categoryId: string, body: { id: string; perWearDay: number | null }): Answer {
    const category = this.#queries.category.get(categoryId)
    if (!category) return fail('unknown-category', { value: categoryId })
    const { id, perWearDay } = body
    if (this.#queries.paceOwner.get({ id, categoryId })) return fail('id-taken', { value: id })
    if (perWearDay === null) this.#queries.dropPace.run(categoryId)
    else this.#queries.putPace.run({ id, categoryId, perWearDay })
    return ok({ words: `${category.name}: how often on a wear day`, answer: { id: categoryId } })
  }

  addBreak(body: { id: string; categoryId: string; from: Day; to: Day }): Answer {
    const category = this.#queries.category.get(body.categoryId)
    if (!category) return fail('unknown-category', { value: body.categoryId })
    if (this.#queries.breakTaken.get(body.id)) return fail('id-taken', { value: body.id })
    if (body.to < this.services.today()) return fail('break-over', { value: body.to })
    const { id, categoryId, from, to } = body
    this.#queries.addBreak.run({ id, categoryId, from, to })
    return ok({ words: `${category.name} rests`, answer: { id } })
  }

  dropBreak(id: string): Answer {
    if (!this.#queries.breakTaken.get(id)) return fail('unknown-break', { value: id })
    this.#queries.dropBreak.run(id)
    return ok({ words: 'Ended a rest', answer: { id } })
  }

  /** One plan is in force: this one ends the one it was laid beside, and no other. */
  adopt(body: z.output<typeof AdoptPlan>): Answer {
    const today = this.services.today()
    const before = this.#queries.inForce.get() ?? null
    if ((before?.id ?? null) !== body.replaces) return fail('plan-changed')
    if (this.#queries.taken.get(body.id)) return fail('id-taken', { value: body.id })
    if (this.#queries.lineTaken.get(JSON.stringify(body.lines.map(({ id }) => id))))
      return fail('id-taken', { value: body.id })
    const ids = body.lines.map(({ itemId }) => itemId)
    if (new Set(ids).size < ids.length) return fail('planned-twice')
    const last = body.weeks.at(-1)?.to ?? today
    // Laid last night and adopted this morning is near enough; a plan of last month is not.
    const first = body.weeks[0]?.from ?? today
    if (first > today || addDays(first, MOST_LATE_DAYS) < today || last < today) return fail('plan-of-another-day')
    const items = new Map(this.services.stock.facts(ids, today).map((item) => [item.id, item]))
    for (const id of ids) {
      const item = items.get(id)
      if (!item) return fail('unknown-item', { value: id })
      if (item.endedOn !== null) return fail('item-ended', { name: itemMark(item) })
    }
    if (before) this.#queries.end.run({ id: before.id, day: today })
    const { id, setup, done } = body
    this.#queries.add.run({
      id,
      on: today,
      projectId: setup.projectId,
      setup: JSON.stringify(setup),
      months: JSON.stringify(body.months),
      weeks: JSON.stringify(body.weeks),
      of: done.of,
      low: done.low,
      high: done.high,
    })
    for (const line of body.lines)
      this.#queries.addLine.run({
        id: line.id,
        planId: id,
        itemId: line.itemId,
        lies: JSON.stringify(line.lies),
        uses: JSON.stringify(line.uses),
        needed: line.needed,
        toward: line.toward,
        finishes: line.finishes ? 1 : 0,
        low: line.low,
        high: line.high,
      })
    return ok({ words: 'Using a new plan', answer: { id } })
  }

  end(id: string): Answer {
    if (this.#queries.inForce.get()?.id !== id) return fail('plan-changed')
    this.#queries.end.run({ id, day: this.services.today() })
    return ok({ words: 'Removed the plan', answer: { id } })
  }
}

/** A page may stay open over night. */
const MOST_LATE_DAYS = 2
