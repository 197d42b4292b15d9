import type { z } from 'zod'
import { fail, ok, type Outcome, type Refusal } from '../failing.js'
import { itemMark } from '#core/words/told'
import { later, type Day } from '#core/calendar/day'
import { placeBefore } from '#core/plan/up-next'
import type { RuleBreach } from '#core/goal/project-rules'
import { isCounted } from '#core/goal/progress'
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
import { counted } from '#core/words/counted'
import type { GoalView } from '#contract/item'
import type { Answer } from '../db/journal.js'
import type { ItemFacts } from '../stock/item-facts.js'
import { ProjectViews } from './project-view.js'
import { projectQueries, type ProjectRow, type StayHeadRow } from './queries.js'
import { projectForPlan, type ProjectForPlan } from './for-plan.js'
import { RollInList } from './roll-in-list.js'
import { ruleBrokenBy } from './rules-of.js'
import type { ForecastViews } from '../forecast/views.js'
import type { CurrentPlan } from '../planning/current-plan.js'
import type { Context } from '../context.js'
import type { Lessons } from '../buying/lessons.js'
import type { Stock } from '../stock/stock.js'
import type { Guessing } from '../forecast/guessing.js'

type AddBody = z.output<typeof AddProject>
type EditBody = z.output<typeof EditProject>
type RollInBody = z.output<typeof RollIn>
type RollOutBody = z.output<typeof RollOut>
/** A lesson is a line; a longer one is told in the project alone. */
const LESSON_LENGTH = 400
function linesOf(lessons: string): string[] {
  return lessons
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '' && line.length <= LESSON_LENGTH)
}

/** Projects of every school: items roll in with a goal under the user's rules, and out when the user says so. */
export class Projects {
  readonly #queries
  readonly #views: ProjectViews
  readonly #list: RollInList

  constructor(
    private readonly services: Context & {
      lessons: Lessons
      stock: Stock
      guessing: Guessing
      currentPlan: CurrentPlan
      forecastViews: ForecastViews
    },
  ) {
    this.#queries = projectQueries(services.db)
    this.#views = new ProjectViews(services, this.#queries)
    this.#list = new RollInList(services)
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
    const today = this.services.today()
    for (const { stayId, goal, rolledOut } of this.#views.one(project, today).stays)
      if (rolledOut === null)
        this.#queries.rollOut.run({
          id: stayId,
          day: today < goal.rolledIn ? goal.rolledIn : today,
          reason: goal.met ? (goal.kind === 'finish' ? 'finished' : 'met') : 'left unfinished',
          words: goal.met ? '' : 'at the wrap-up',
        })
    this.#queries.close.run({ id, day: today, lessons })
    for (const words of linesOf(lessons))
      this.services.lessons.learn({ id: this.services.newId(), words }, 'finale', null)
    return ok({ words: `Closed ${project.name}`, answer: { id } })
  }

  /** The goal hangs on the stay, with what was left and bare that day as its baseline. */
  rollIn(projectId: string, body: RollInBody, carriedFrom: string | null = null): Answer {
    const project = this.#queries.one.get(projectId)
    if (!project) return fail('unknown-project', { value: projectId })
    if (project.closed_on !== null) return fail('project-closed', { name: project.name })
    const today = this.services.today()
    const item = this.services.stock.one(body.itemId, today)
    if (!item) return fail('unknown-item', { value: body.itemId })
    if (item.endedOn !== null) return fail('item-ended', { name: itemMark(item) })
    if (item.setAside === 'keepsake') return fail('is-keepsake', { name: itemMark(item) })
    if (body.day > today) return fail('day-in-future', { value: body.day })
    if (this.#queries.stay.get(body.stayId)) return fail('id-taken', { value: body.stayId })
    const part = item.parts.find((each) => each.id === body.partId)
    if (body.partId !== null && !part) return fail('unknown-part', { value: body.partId, field: 'partId' })
    const stays = this.#queries.stays.all(projectId)
    const inside = stays.some(
      (stay) => stay.item_id === body.itemId && stay.part_id === body.partId && stay.rolled_out === null,
    )
    if (inside) return fail('already-in-project', { name: part?.name ?? itemMark(item) })
    const wrong = wrongGoal(body.goal, project, body.day) ?? this.#breach(project, stays, item, body)
    if (wrong) return wrong
    this.#queries.rollIn.run({
      id: body.stayId,
      projectId,
      itemId: body.itemId,
      partId: body.partId,
      day: body.day,
      beside: body.beside ? 1 : 0,
      carriedFrom,
      ...goalBindings(body.goal),
    })
    if (body.guess) {
      const guessed = this.services.guessing.write(body.itemId, body.day, body.guess)
      if (!guessed.ok) return guessed
    }
    const name = part?.name ?? itemMark(item)
    return ok({
      words: body.beside ? `${name} goes along with ${project.name}` : `${name} rolled into ${project.name}`,
      answer: { id: body.stayId },
    })
  }

  rollInMany(projectId: string, body: z.output<typeof RollInMany>): Answer {
    for (const stay of body.stays) {
      const { changeId, day, goal } = body
      const done = this.rollIn(projectId, { changeId, day, goal, beside: false, guess: null, ...stay })
      if (!done.ok) return done
    }
    const name = this.#queries.one.get(projectId)?.name ?? ''
    return ok({ words: `${counted(body.stays.length, 'item')} rolled into ${name}`, answer: { id: projectId } })
  }

  editGoal(stayId: string, { version, goal }: { readonly version: number; readonly goal: GoalBody }): Answer {
    const stay = this.#queries.stay.get(stayId)
    const project = stay ? this.#queries.one.get(stay.project_id) : undefined
    if (!stay || !project) return fail('unknown-stay', { value: stayId })
    if (stay.rolled_out !== null) return fail('already-rolled-out')
    if (stay.version !== version)
      return fail('stale', { current: JSON.stringify({ version: stay.version, goal: this.#goal(stay) ?? null }) })
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
    const today = this.services.today()
    if (body.day > today) return fail('day-in-future', { value: body.day })
    if (body.day < stay.rolled_in) return fail('rolled-out-before-in', { value: body.day, day: stay.rolled_in })
    const wrong = this.#wrongReason(stay, project, body.reason)
    if (wrong) return wrong
    const item = this.services.stock.one(stay.item_id, today)
    this.#queries.rollOut.run({ id: stayId, day: body.day, reason: body.reason, words: body.words })
    return ok({ words: `${item ? itemMark(item) : 'An item'} rolled out`, answer: { id: stayId } })
  }

  /**
   * In one step: out of one project unfinished, into another with everything counted so far as its head start: the old head
   * start and every use from the day it rolled in up to the day it is carried over.
   */
  carryOver(stayId: string, body: z.output<typeof CarryOver>): Answer {
    const stay = this.#queries.stay.get(stayId)
    const into = this.#queries.one.get(body.projectId)
    if (!stay) return fail('unknown-stay', { value: stayId })
    if (!into) return fail('unknown-project', { value: body.projectId })
    const goal = this.#goal(stay)
    if (!goal) return fail('unknown-stay', { value: stayId })
    if (body.day > this.services.today()) return fail('day-in-future', { value: body.day })
    const earliest = stay.rolled_out ?? stay.rolled_in
    if (body.day < earliest) return fail('carried-before-in', { value: body.day, day: earliest })
    // A use of the very day counts from the new stay's first day on; it must not be in the head start too.
    const span = { itemId: stay.item_id, partId: stay.part_id, from: stay.rolled_in, until: body.day }
    const counts = isCounted(goal.kind)
    const headStart = counts ? goal.headStart + (this.#queries.usesWithin.get(span)?.n ?? 0) : 0
    if (counts && headStart >= (goal.target ?? 1))
      return fail('carried-though-met', { value: body.day, uses: headStart, target: goal.target ?? 1 })
    if (stay.rolled_out === null) {
      const words = `carried over to ${into.name}`
      this.#queries.rollOut.run({ id: stayId, day: body.day, reason: 'left unfinished', words })
    }
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
          headStart,
          by: { kind: into.by_day === null ? 'none' : 'project' },
        },
        guess: null,
      },
      stayId,
    )
  }

  /** Ends every stay of what is used up by a blend, whatever the project's rules say of leaving: it is there no more. */
  rollOutBlended(itemId: string, day: Day): void {
    const goals = this.services.stock.goals([itemId], this.services.today()).get(itemId) ?? []
    for (const { goal, stay } of goals)
      if (stay.rolled_out === null)
        this.#queries.rollOut.run({
          id: stay.id,
          day: later(day, stay.rolled_in),
          reason: goal.met ? 'met' : 'left unfinished',
          words: 'used up by a blend',
        })
  }

  rollOutEverywhere(itemId: string, day: Day): void {
    this.#queries.rollOutEverywhere.run({ itemId, day, reason: 'let go' })
  }

  /** What could roll in, each with its reason; like for like first when something makes room. */
  shortList(projectId: string, replacing: string | null): Outcome<ShortListAnswer> {
    const project = this.#queries.one.get(projectId)
    if (!project) return fail('unknown-project', { value: projectId })
    const stays = this.#queries.stays.all(projectId)
    const day = this.services.today()
    return ok(
      this.#list.of(
        project,
        stays,
        replacing,
        (item) => this.#breach(project, stays, item, { day, beside: false }) === null,
      ),
    )
  }

  forPlan(items: readonly ItemFacts[]): ProjectForPlan[] {
    const today = this.services.today()
    return this.#queries.open.all().map((project) => {
      const stays = this.#queries.stays.all(project.id)
      return projectForPlan(project, stays, this.#categoriesOf(stays), items, today)
    })
  }

  putOnShortList(body: z.output<typeof PutOnShortList>): Answer {
    const today = this.services.today()
    const item = this.services.stock.one(body.itemId, today)
    if (!item) return fail('unknown-item', { value: body.itemId })
    if (item.endedOn !== null) return fail('item-ended', { name: itemMark(item) })
    const { id, itemId, season, words } = body
    if (this.#queries.shortListOwner.get({ id, itemId })) return fail('id-taken', { value: id })
    this.#queries.putOnShortList.run({ id, itemId, season, words, day: today })
    return ok({ words: `${itemMark(item)} is up next`, answer: { id } })
  }

  /** Before another that is up next, or to the end. */
  moveUpNext(id: string, before: string | null): Answer {
    const all = this.#queries.shortList.all()
    const moved = all.find((row) => row.id === id)
    const others = all.filter((row) => row.id !== id)
    const at = before === null ? others.length : others.findIndex((row) => row.id === before)
    if (!moved || at < 0) return fail('not-up-next')
    const places = others.map(({ place }) => place)
    if (all[at] !== moved) this.#queries.placeUpNext.run({ id, place: placeBefore(places, at) })
    const item = this.services.stock.one(moved.item_id, this.services.today())
    return ok({ words: `${item ? itemMark(item) : 'An item'} is number ${at + 1} of what’s up next`, answer: { id } })
  }

  takeOffShortList(id: string): Answer {
    this.#queries.takeOffShortList.run(id)
    return ok({ words: 'Taken off what is up next', answer: { id } })
  }

  #wrongReason(stay: StayHeadRow, project: ProjectRow, reason: RollOutBody['reason']): Refusal | null {
    const item = this.services.stock.one(stay.item_id, this.services.today())
    const part = item?.parts.find((each) => each.id === stay.part_id)
    const name = part?.name ?? (item ? itemMark(item) : '')
    if (reason === 'met' && this.#goal(stay)?.met !== true) return fail('goal-not-met')
    if (reason === 'finished' && item?.lifecycle !== 'finished' && (part?.finishedOn ?? null) === null)
      return fail('not-finished-yet', { name })
    if (reason === 'let go' && item?.lifecycle !== 'left') return fail('not-let-go-yet', { name })
    if (reason === 'left unfinished' && project.leaving_allowed === 0 && stay.beside === 0)
      return fail('leaving-not-allowed', { project: project.name })
    return null
  }

  #goal(stay: StayHeadRow): GoalView | undefined {
    return this.services.stock
      .goals([stay.item_id], this.services.today())
      .get(stay.item_id)
      ?.find((each) => each.stay.id === stay.id)?.goal
  }

  #stale(project: ProjectRow): Refusal {
    return fail('stale', { current: JSON.stringify(this.#views.one(project, this.services.today())) })
  }

  #wrongProject(body: Omit<AddBody, 'id'>): Refusal | null {
    const { startedOn, by, shape, categoryId, paletteId, atLeast, mostItems } = body
    if (startedOn > this.services.today()) return fail('day-in-future', { value: startedOn })
    if (by !== null && by <= startedOn) return fail('by-before-start', { value: by })
    if (shape === 'sweep' && (categoryId === null || body.usesEach === null)) return fail('sweep-incomplete')
    if (categoryId !== null && !this.#queries.category.get(categoryId))
      return fail('unknown-category', { value: categoryId })
    if (shape === 'palette' || paletteId !== null) {
      const palette = paletteId === null ? null : this.services.stock.one(paletteId, this.services.today())
      if (!palette || palette.parts.length === 0) return fail('palette-missing', { value: paletteId ?? '' })
    }
    if (atLeast !== null && mostItems !== null && atLeast > mostItems)
      return fail('at-least-too-many', { most: mostItems })
    return null
  }

  /** The rule of the user's that says no, in words of the server. */
  #breach(
    project: ProjectRow,
    stays: readonly StayHeadRow[],
    item: ItemFacts,
    body: { day: Day; beside: boolean },
  ): Refusal | null {
    const breach = ruleBrokenBy(project, stays, this.#categoriesOf(stays), item, body)
    return breach === null ? null : refusalOf(breach, project.name, itemMark(item))
  }

  #categoriesOf(stays: readonly StayHeadRow[]): Map<string, string> {
    const ids = stays.map((stay) => stay.item_id)
    return new Map(this.services.stock.facts(ids, this.services.today()).map((each) => [each.id, each.categoryId]))
  }
}

function refusalOf(breach: RuleBreach, project: string, name: string): Refusal {
  const { code, ...data } = breach
  return fail(`rule-${code}`, { ...data, project, name })
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
