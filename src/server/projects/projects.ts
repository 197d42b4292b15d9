import type { z } from 'zod'
import { fail, ok, type Outcome } from '#core/failure'
import type { Day } from '#core/calendar/day'
import { rollInShortList } from '#core/plan/roll-in'
import type {
  AddProject,
  EditProject,
  GoalBody,
  ProjectView,
  ProjectsAnswer,
  RollIn,
  RollOut,
  ShortListAnswer,
  StayView,
} from '#contract/projects'
import type { Done } from '../db/journal.js'
import type { House } from '../house.js'
import { projectQueries, type ProjectRow } from './queries.js'

type AddBody = z.output<typeof AddProject>
type EditBody = z.output<typeof EditProject>
type RollInBody = z.output<typeof RollIn>
type RollOutBody = z.output<typeof RollOut>
type Answer = Outcome<Done<{ id: string }>>

/** Projects of the rolling school: items roll in with a goal, and out when she says so. */
export class Projects {
  readonly #house: House
  readonly #queries

  constructor(house: House) {
    this.#house = house
    this.#queries = projectQueries(house.db)
  }

  all(): ProjectsAnswer {
    const today = this.#house.today()
    const { week, learned } = this.#house.stock.week(today)
    return {
      today,
      projects: this.#queries.open.all().map((row) => this.#view(row, today)),
      week: [...week],
      weekLearned: learned,
    }
  }

  add(body: AddBody): Answer {
    if (this.#queries.one.get(body.id)) return fail('id-taken', { value: body.id })
    const wrong = wrongDates(body, this.#house.today())
    if (wrong) return wrong
    this.#queries.add.run(bindings(body, body.id))
    return ok({ words: `Started ${body.name}`, answer: { id: body.id } })
  }

  edit(id: string, body: EditBody): Answer {
    const there = this.#queries.one.get(id)
    if (!there) return fail('unknown-project', { value: id })
    if (there.version !== body.version)
      return fail('stale', { current: JSON.stringify(this.#view(there, this.#house.today())) })
    const wrong = wrongDates(body, this.#house.today())
    if (wrong) return wrong
    this.#queries.edit.run(bindings(body, id))
    return ok({ words: `Changed ${body.name}`, answer: { id } })
  }

  /** The goal hangs on the stay, with what was left that day as its baseline. */
  rollIn(projectId: string, body: RollInBody): Answer {
    const project = this.#queries.one.get(projectId)
    if (!project) return fail('unknown-project', { value: projectId })
    const today = this.#house.today()
    const item = this.#house.stock.one(body.itemId, today)
    if (!item) return fail('unknown-item', { value: body.itemId })
    if (item.endedOn !== null) return fail('item-ended', { name: item.name })
    if (body.day > today) return fail('day-in-future', { value: body.day })
    if (this.#queries.stay.get(body.stayId)) return fail('id-taken', { value: body.stayId })
    const inside = this.#queries.stays
      .all(projectId)
      .some((stay) => stay.item_id === body.itemId && stay.rolled_out === null)
    if (inside) return fail('already-in-project', { name: item.shade || item.name })
    const wrong = wrongGoal(body.goal, project, body.day)
    if (wrong) return wrong
    this.#queries.rollIn.run({
      id: body.stayId,
      projectId,
      itemId: body.itemId,
      day: body.day,
      left: item.left,
      ...goalBindings(body.goal),
    })
    return ok({ words: `${item.shade || item.name} rolled into ${project.name}`, answer: { id: body.stayId } })
  }

  editGoal(stayId: string, goal: GoalBody): Answer {
    const stay = this.#queries.stay.get(stayId)
    const project = stay ? this.#queries.one.get(stay.project_id) : undefined
    if (!stay || !project) return fail('unknown-stay', { value: stayId })
    if (stay.rolled_out !== null) return fail('already-rolled-out')
    const wrong = wrongGoal(goal, project, stay.rolled_in)
    if (wrong) return wrong
    this.#queries.editGoal.run({ id: stayId, ...goalBindings(goal) })
    return ok({ words: 'Changed a goal', answer: { id: stayId } })
  }

  rollOut(stayId: string, body: RollOutBody): Answer {
    const stay = this.#queries.stay.get(stayId)
    if (!stay) return fail('unknown-stay', { value: stayId })
    if (stay.rolled_out !== null) return fail('already-rolled-out')
    const today = this.#house.today()
    if (body.day > today || body.day < stay.rolled_in) return fail('day-in-future', { value: body.day })
    const item = this.#house.stock.one(stay.item_id, today)
    const goal = this.#house.stock
      .goals([stay.item_id], today)
      .get(stay.item_id)
      ?.find((each) => each.goal.stayId === stayId)?.goal
    if (body.reason === 'met' && goal?.met !== true) return fail('goal-not-met')
    this.#queries.rollOut.run({ id: stayId, day: body.day, reason: body.reason, words: body.words })
    return ok({ words: `${item?.shade || item?.name || 'An item'} rolled out`, answer: { id: stayId } })
  }

  /** Ends every stay of an item that is gone. */
  rollOutEverywhere(itemId: string, day: Day, reason: 'finished' | 'let go'): void {
    this.#queries.rollOutEverywhere.run({ itemId, day, reason })
  }

  /** What could roll in, each with its reason; like for like first when something makes room. */
  shortList(projectId: string, replacing: string | null): Outcome<ShortListAnswer> {
    const project = this.#queries.one.get(projectId)
    if (!project) return fail('unknown-project', { value: projectId })
    const today = this.#house.today()
    const inside = new Set(
      this.#queries.stays
        .all(projectId)
        .filter((stay) => stay.rolled_out === null)
        .map((stay) => stay.item_id),
    )
    const all = this.#house.stock.summaries(this.#house.stock.presentIds(), today)
    const since = new Map(this.#queries.openedSince.all().map((row) => [row.id, row.opened ?? row.first_worn]))
    const openIn = new Map<string, number>()
    for (const item of all)
      if (item.lifecycle === 'open') openIn.set(item.categoryId, (openIn.get(item.categoryId) ?? 0) + 1)
    const out = replacing === null ? null : this.#house.stock.one(replacing, today)
    const candidates = rollInShortList(
      all
        .filter((item) => !inside.has(item.id) && item.lifecycle === 'open' && item.makeup)
        .map((item) => ({
          itemId: item.id,
          categoryId: item.categoryId,
          shelfLife: item.shelfLife,
          opened: true,
          openedSince: since.get(item.id) ?? null,
          left: item.left,
          liking: item.liking,
          lastWorn: item.lastWorn,
          openInCategory: openIn.get(item.categoryId) ?? 0,
          inDrawer: item.placement !== null,
        })),
      out === null ? null : { categoryId: out.categoryId },
      today,
    )
    const byId = new Map(all.map((item) => [item.id, item]))
    return ok({
      items: candidates.flatMap(({ itemId, sameCategory, reason }) => {
        const item = byId.get(itemId)
        return item ? [{ item, sameCategory, reason }] : []
      }),
    })
  }

  #view(row: ProjectRow, today: Day): ProjectView {
    const heads = this.#queries.stays.all(row.id)
    const ids = [...new Set(heads.map((head) => head.item_id))]
    const items = new Map(this.#house.stock.summaries(ids, today).map((item) => [item.id, item]))
    const goals = this.#house.stock.goals(ids, today)
    const stays = heads.flatMap((head): StayView[] => {
      const item = items.get(head.item_id)
      const found = goals.get(head.item_id)?.find(({ stay }) => stay.id === head.id)
      if (!item || !found) return []
      return [{ stayId: head.id, item, goal: found.goal, rolledOut: head.rolled_out, outReason: found.stay.out_reason }]
    })
    return {
      id: row.id,
      version: row.version,
      name: row.name,
      startedOn: row.started_on,
      by: row.by_day,
      finishesWanted: row.finishes_wanted,
      rules: row.rules,
      stays,
      reached: stays.filter((stay) => stay.outReason === 'met' || stay.outReason === 'finished').length,
    }
  }
}

function bindings(body: Omit<AddBody, 'id'>, id: string): Record<string, unknown> {
  const { name, startedOn, by, finishesWanted, rules } = body
  return { id, name, startedOn, by, finishesWanted, rules }
}

function goalBindings(goal: GoalBody): Record<string, unknown> {
  const { kind, target, headStart, by } = goal
  return { kind, target, headStart, byKind: by.kind, byDay: by.kind === 'own' ? by.day : null }
}

function wrongDates(body: { startedOn: Day; by: Day | null }, today: Day) {
  if (body.startedOn > today) return fail('day-in-future', { value: body.startedOn })
  if (body.by !== null && body.by <= body.startedOn) return fail('by-before-start', { value: body.by })
  return null
}

function wrongGoal(goal: GoalBody, project: ProjectRow, rolledIn: Day) {
  if (goal.by.kind === 'project' && project.by_day === null) return fail('no-project-date')
  if (goal.by.kind === 'own' && goal.by.day <= rolledIn) return fail('by-before-start', { value: goal.by.day })
  if (goal.target !== null && goal.headStart >= goal.target)
    return fail('head-start-too-big', { value: goal.headStart, target: goal.target })
  return null
}
