import type { z } from 'zod'
import { fail, ok, type Failure, type Outcome } from '#core/failure'
import type { Day } from '#core/calendar/day'
import { breachBy, type RuleBreach } from '#core/goal/project-rules'
import { isCounted } from '#core/goal/progress'
import { leftByReading } from '#core/item/what-is-left'
import type {
  AddProject,
  CarryOver,
  EditProject,
  GoalBody,
  ProjectsAnswer,
  PutOnShortList,
  RollIn,
  RollInMany,
  RollOut,
  ShortListAnswer,
} from '#contract/projects'
import type { GoalView, ItemSummary } from '#contract/item'
import type { Done } from '../db/journal.js'
import type { House } from '../house.js'
import { bareOf } from '../stock/stock.js'
import { ProjectViews } from './project-view.js'
import { projectQueries, type ProjectRow, type StayHeadRow } from './queries.js'
import { RollInList } from './roll-in-list.js'

type AddBody = z.output<typeof AddProject>
type EditBody = z.output<typeof EditProject>
type RollInBody = z.output<typeof RollIn>
type RollOutBody = z.output<typeof RollOut>
type Answer = Outcome<Done<{ id: string }>>
type Refusal = { readonly ok: false; readonly failure: Failure }

const POWDERS = ['pressed', 'baked', 'loose']
const SAMPLES = ['mini', 'deluxe sample', 'sachet']

/** Projects of every school: items roll in with a goal under her rules, and out when she says so. */
export class Projects {
  readonly #house: House
  readonly #queries
  readonly #views: ProjectViews
  readonly #list: RollInList

  constructor(house: House) {
    this.#house = house
    this.#queries = projectQueries(house.db)
    this.#views = new ProjectViews(house, this.#queries)
    this.#list = new RollInList(house, this.#queries)
  }

  all(): ProjectsAnswer {
    return this.#views.all()
  }

  add(body: AddBody): Answer {
    if (this.#queries.one.get(body.id)) return fail('id-taken', { value: body.id })
    const wrong = this.#wrongProject(body)
    if (wrong) return wrong
    this.#queries.add.run(bindings(body, body.id))
    return ok({ words: `Started ${body.name}`, answer: { id: body.id } })
  }

  edit(id: string, body: EditBody): Answer {
    const there = this.#queries.one.get(id)
    if (!there) return fail('unknown-project', { value: id })
    if (there.version !== body.version) return this.#stale(there)
    const wrong = this.#wrongProject(body)
    if (wrong) return wrong
    this.#queries.edit.run(bindings(body, id))
    return ok({ words: `Changed ${body.name}`, answer: { id } })
  }

  /** The finale: what is still inside rolls out unfinished, and the lessons are kept. */
  close(id: string, version: number, lessons: string): Answer {
    const project = this.#queries.one.get(id)
    if (!project) return fail('unknown-project', { value: id })
    if (project.version !== version) return this.#stale(project)
    if (project.closed_on !== null) return fail('project-closed', { name: project.name })
    const today = this.#house.today()
    for (const { stayId, goal, rolledOut } of this.#views.one(project, today).stays)
      if (rolledOut === null)
        this.#queries.rollOut.run({
          id: stayId,
          day: today < goal.rolledIn ? goal.rolledIn : today,
          reason: goal.met ? (goal.kind === 'finish' ? 'finished' : 'met') : 'left unfinished',
          words: goal.met ? '' : 'at the finale',
        })
    this.#queries.close.run({ id, day: today, lessons })
    return ok({ words: `Closed ${project.name}`, answer: { id } })
  }

  /** The goal hangs on the stay, with what was left and bare that day as its baseline. */
  rollIn(projectId: string, body: RollInBody, carriedFrom: string | null = null): Answer {
    const project = this.#queries.one.get(projectId)
    if (!project) return fail('unknown-project', { value: projectId })
    if (project.closed_on !== null) return fail('project-closed', { name: project.name })
    const today = this.#house.today()
    const item = this.#house.stock.one(body.itemId, today)
    if (!item) return fail('unknown-item', { value: body.itemId })
    if (item.endedOn !== null) return fail('item-ended', { name: item.name })
    if (body.day > today) return fail('day-in-future', { value: body.day })
    if (this.#queries.stay.get(body.stayId)) return fail('id-taken', { value: body.stayId })
    const part = item.parts.find((each) => each.id === body.partId)
    if (body.partId !== null && !part) return fail('unknown-part', { value: body.partId })
    const stays = this.#queries.stays.all(projectId)
    const inside = stays.some(
      (stay) => stay.item_id === body.itemId && stay.part_id === body.partId && stay.rolled_out === null,
    )
    if (inside) return fail('already-in-project', { name: part?.name ?? (item.shade || item.name) })
    const wrong = wrongGoal(body.goal, project, body.day) ?? this.#breach(project, stays, item, body)
    if (wrong) return wrong
    const reading = part ? part.reading : item.reading
    this.#queries.rollIn.run({
      id: body.stayId,
      projectId,
      itemId: body.itemId,
      partId: body.partId,
      day: body.day,
      left: part ? leftOfPart(part.reading) : item.left,
      bare: bareOf(reading),
      beside: body.beside ? 1 : 0,
      carriedFrom,
      ...goalBindings(body.goal),
    })
    const name = part?.name ?? (item.shade || item.name)
    return ok({
      words: body.beside ? `${name} goes along with ${project.name}` : `${name} rolled into ${project.name}`,
      answer: { id: body.stayId },
    })
  }

  /** A whole set as one change: all of it or nothing. */
  rollInMany(projectId: string, body: z.output<typeof RollInMany>): Answer {
    for (const stay of body.stays) {
      const { changeId, day, goal } = body
      const done = this.rollIn(projectId, { changeId, day, goal, beside: false, ...stay })
      if (!done.ok) return done
    }
    const name = this.#queries.one.get(projectId)?.name ?? ''
    return ok({ words: `${body.stays.length} rolled into ${name}`, answer: { id: projectId } })
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
    const project = stay ? this.#queries.one.get(stay.project_id) : undefined
    if (!stay || !project) return fail('unknown-stay', { value: stayId })
    if (stay.rolled_out !== null) return fail('already-rolled-out')
    const today = this.#house.today()
    if (body.day > today || body.day < stay.rolled_in) return fail('day-in-future', { value: body.day })
    if (body.reason === 'met' && this.#goal(stay)?.met !== true) return fail('goal-not-met')
    if (body.reason === 'left unfinished' && project.leaving_allowed === 0 && stay.beside === 0)
      return fail('leaving-not-allowed', { project: project.name })
    const item = this.#house.stock.one(stay.item_id, today)
    this.#queries.rollOut.run({ id: stayId, day: body.day, reason: body.reason, words: body.words })
    return ok({ words: `${item?.shade || item?.name || 'An item'} rolled out`, answer: { id: stayId } })
  }

  /** In one step: out of one project unfinished, into another with what was counted as its head start. */
  carryOver(stayId: string, body: z.output<typeof CarryOver>): Answer {
    const stay = this.#queries.stay.get(stayId)
    const into = this.#queries.one.get(body.projectId)
    if (!stay) return fail('unknown-stay', { value: stayId })
    if (!into) return fail('unknown-project', { value: body.projectId })
    const goal = this.#goal(stay)
    if (!goal) return fail('unknown-stay', { value: stayId })
    if (stay.rolled_out === null) {
      const words = `carried over to ${into.name}`
      this.#queries.rollOut.run({ id: stayId, day: body.day, reason: 'left unfinished', words })
    }
    // A use of the very day counts from the new stay's first day on; it must not be in the head start too.
    const again = this.#queries.usesFrom.get({ itemId: stay.item_id, partId: stay.part_id, day: body.day })?.n ?? 0
    return this.rollIn(
      body.projectId,
      {
        changeId: body.changeId,
        stayId: body.stayId,
        itemId: stay.item_id,
        partId: stay.part_id,
        beside: stay.beside === 1,
        day: body.day,
        goal: {
          kind: goal.kind,
          target: goal.target,
          headStart: isCounted(goal.kind) ? Math.min(goal.uses - again, (goal.target ?? 1) - 1) : 0,
          by: { kind: into.by_day === null ? 'none' : 'project' },
        },
      },
      stayId,
    )
  }

  /** Ends every stay of an item that is gone. */
  rollOutEverywhere(itemId: string, day: Day, reason: 'finished' | 'let go'): void {
    this.#queries.rollOutEverywhere.run({ itemId, day, reason })
  }

  /** What could roll in, each with its reason; like for like first when something makes room. */
  shortList(projectId: string, replacing: string | null): Outcome<ShortListAnswer> {
    const project = this.#queries.one.get(projectId)
    if (!project) return fail('unknown-project', { value: projectId })
    const stays = this.#queries.stays.all(projectId)
    const day = this.#house.today()
    return ok(
      this.#list.of(
        project,
        stays,
        replacing,
        (item) => this.#breach(project, stays, item, { day, beside: false }) === null,
      ),
    )
  }

  putOnShortList(body: z.output<typeof PutOnShortList>): Answer {
    const today = this.#house.today()
    const item = this.#house.stock.one(body.itemId, today)
    if (!item) return fail('unknown-item', { value: body.itemId })
    const { id, itemId, season, words } = body
    this.#queries.putOnShortList.run({ id, itemId, season, words, day: today })
    return ok({ words: `${item.shade || item.name} on the short list`, answer: { id } })
  }

  takeOffShortList(id: string): Answer {
    this.#queries.takeOffShortList.run(id)
    return ok({ words: 'Taken off the short list', answer: { id } })
  }

  #goal(stay: StayHeadRow): GoalView | undefined {
    return this.#house.stock
      .goals([stay.item_id], this.#house.today())
      .get(stay.item_id)
      ?.find((each) => each.stay.id === stay.id)?.goal
  }

  #stale(project: ProjectRow): Refusal {
    return fail('stale', { current: JSON.stringify(this.#views.one(project, this.#house.today())) })
  }

  #wrongProject(body: Omit<AddBody, 'id'>): Refusal | null {
    const { startedOn, by, shape, categoryId, paletteId, atLeast, mostItems } = body
    if (startedOn > this.#house.today()) return fail('day-in-future', { value: startedOn })
    if (by !== null && by <= startedOn) return fail('by-before-start', { value: by })
    if (shape === 'sweep' && (categoryId === null || body.usesEach === null)) return fail('sweep-incomplete')
    if (categoryId !== null && !this.#queries.category.get(categoryId))
      return fail('unknown-category', { value: categoryId })
    if (shape === 'palette') {
      const palette = paletteId === null ? null : this.#house.stock.one(paletteId, this.#house.today())
      if (!palette || palette.parts.length === 0) return fail('palette-missing')
    }
    if (atLeast !== null && mostItems !== null && atLeast > mostItems)
      return fail('at-least-too-many', { most: mostItems })
    return null
  }

  /** The rule of hers that says no, in words of the server. */
  #breach(
    project: ProjectRow,
    stays: readonly StayHeadRow[],
    item: ItemSummary,
    body: { day: Day; beside: boolean },
  ): Refusal | null {
    const others = this.#house.stock.summaries(
      stays.map((stay) => stay.item_id),
      this.#house.today(),
    )
    const categories = new Map(others.map((each) => [each.id, each.categoryId]))
    const breach = breachBy(
      {
        shape: project.shape,
        startedOn: project.started_on,
        replacing: project.replacing,
        mostItems: project.most_items,
        breakDays: project.break_days,
        leavingAllowed: project.leaving_allowed === 1,
        theme: project.theme,
        categoryId: project.category_id,
        atOnce: project.at_once,
        paletteId: project.palette_id,
      },
      stays.map((stay) => ({
        itemId: stay.item_id,
        categoryId: categories.get(stay.item_id) ?? '',
        rolledIn: stay.rolled_in,
        rolledOut: stay.rolled_out,
        reached: stay.out_reason === 'met' || stay.out_reason === 'finished',
        beside: stay.beside === 1,
      })),
      {
        itemId: item.id,
        categoryId: item.categoryId,
        sample: item.format !== null && SAMPLES.includes(item.format),
        powder: POWDERS.includes(item.form),
        beside: body.beside,
      },
      body.day,
    )
    return breach === null ? null : refusalOf(breach, project.name, item.shade || item.name)
  }
}

function refusalOf(breach: RuleBreach, project: string, name: string): Refusal {
  const { code, ...data } = breach
  return fail(`rule-${code}`, { ...data, project, name })
}

function leftOfPart(reading: ItemSummary['reading']): number | null {
  if (reading === null) return null
  if (reading.kind === 'stage') return leftByReading({ kind: 'stage', stage: reading.stage ?? 'untouched' })
  return reading.value
}

function bindings(body: Omit<AddBody, 'id'>, id: string): Record<string, unknown> {
  return { ...body, id, leavingAllowed: body.leavingAllowed ? 1 : 0 }
}

function goalBindings(goal: GoalBody): Record<string, unknown> {
  const { kind, target, headStart, by } = goal
  return { kind, target, headStart, byKind: by.kind, byDay: by.kind === 'own' ? by.day : null }
}

function wrongGoal(goal: GoalBody, project: ProjectRow, rolledIn: Day): Refusal | null {
  if (goal.by.kind === 'project' && project.by_day === null) return fail('no-project-date')
  if (goal.by.kind === 'own' && goal.by.day <= rolledIn) return fail('by-before-start', { value: goal.by.day })
  if (isCounted(goal.kind) && goal.target !== null && goal.headStart >= goal.target)
    return fail('head-start-too-big', { value: goal.headStart, target: goal.target })
  return null
}
