import type { z } from 'zod'
import { fail, ok, type Outcome, type Refusal } from '../failing.js'
import type { Day } from '#core/calendar/day'
import { counted } from '#core/words/counted'
import { kindsFor } from '#core/measure/reading'
import type { CheckInMeasure } from '#core/measure/check-in'
import {
  type CheckInAnswer,
  type CheckInHead,
  type CheckInsAnswer,
  type ClosedSheet,
  type Correction,
  type StepView,
  CloseCheckIn,
  DropCheckIn,
  EditCheckIn,
  StartCheckIn,
  TakeStep,
} from '#contract/check-in'
import type { Answer } from '../db/journal.js'
import { listedOf, type ItemFacts } from '../stock/item-facts.js'
import { checkInQueries, type CheckInRow, type StepRow } from './queries.js'
import { sheetOf } from './sheet-of.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'
import type { Measuring } from '../measuring/measuring.js'
import { read, write, type Route } from '../http/routes.js'

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

/** Guided passes over a project, a category, the drawer or chosen items, and the sheets they close with. */
export class CheckIns {
  readonly #queries

  constructor(private readonly services: Context & { stock: Stock; measuring: Measuring }) {
    this.#queries = checkInQueries(services.db)
  }

  all(): CheckInsAnswer {
    const counts = this.#counts()
    const today = this.services.today()
    const facts = this.services.stock.facts(this.services.stock.presentIds(), today)
    const categories = new Map<string, { id: string; name: string; items: number }>()
    for (const item of facts) {
      if (item.lifecycle !== 'open') continue
      const there = categories.get(item.categoryId) ?? { id: item.categoryId, name: item.category, items: 0 }
      categories.set(item.categoryId, { ...there, items: there.items + 1 })
    }
    return {
      today,
      checkIns: this.#queries.all.all().map((row) => headOf(row, counts)),
      choices: {
        projects: this.#queries.projects.all().map(({ id, name, items }) => ({ id, name, items })),
        categories: [...categories.values()],
        drawer: this.#queries.inDrawer.all().length,
      },
    }
  }

  one(id: string): Outcome<CheckInAnswer> {
    const row = this.#queries.one.get(id)
    if (!row) return fail('unknown-check-in', { value: id })
    const today = this.services.today()
    const steps = this.#queries.steps.all(id)
    const items = this.#itemsOf(steps)
    const sheet = row.sheet
      ? (JSON.parse(row.sheet) as ClosedSheet)
      : sheetOf(this.services, this.#queries, row, steps, items, today)
    const said = new Map<string, { day: Day; words: string }>()
    for (const { item_id, day, words } of this.#queries.saidBefore.all({ id, startedOn: row.started_on }))
      if (!said.has(item_id)) said.set(item_id, { day, words })
    return ok({
      today,
      checkIn: headOf(row, this.#counts()),
      steps: steps.map(stepView),
      items: items.map(listedOf),
      saidBefore: Object.fromEntries(said),
      sheet,
      corrections: row.sheet ? this.#corrections(sheet, items) : [],
    })
  }

  start(body: z.output<typeof StartCheckIn>): Answer {
    if (this.#queries.one.get(body.id)) return fail('id-taken', { value: body.id })
    const today = this.services.today()
    const wrong = this.#wrongScope(body)
    if (wrong) return wrong
    const items = this.#scope(body)
    if (items.length === 0) return fail('check-in-of-nothing')
    this.#queries.add.run({ ...body, day: today })
    items.forEach((item, position) => {
      for (const measure of measuresOf(item))
        this.#queries.addStep.run({
          id: this.services.newId(),
          checkInId: body.id,
          itemId: item.id,
          position,
          measure,
        })
    })
    return ok({ words: `Began to check in: ${body.name}`, answer: { id: body.id } })
  }

  /** One item asked is done, skipped or asked again; its readings are written down with it. */
  take(checkInId: string, stepId: string, body: z.output<typeof TakeStep>): Answer {
    const row = this.#queries.one.get(checkInId)
    const step = this.#queries.step.get(stepId)
    if (!row) return fail('unknown-check-in', { value: checkInId })
    if (!step || step.check_in_id !== checkInId) return fail('unknown-step', { value: stepId })
    if (row.closed_on !== null) return fail('check-in-closed')
    if (step.version !== body.version) return fail('stale', { current: JSON.stringify(stepView(step)) })
    for (const { id, partId, reading, pan } of body.readings) {
      const { changeId } = body
      const read = this.services.measuring.addReading(step.item_id, { changeId, id, partId, reading, pan, checkInId })
      if (!read.ok) return read
    }
    const today = this.services.today()
    this.#queries.takeStep.run({
      id: stepId,
      state: body.state,
      day: body.state === 'done' ? today : null,
      words: body.words,
    })
    const name = this.services.stock.one(step.item_id, today)
    return ok({ words: wordsOf(body.state, step.measure, name), answer: { id: stepId } })
  }

  edit(id: string, body: z.output<typeof EditCheckIn>): Answer {
    const row = this.#queries.one.get(id)
    if (!row) return fail('unknown-check-in', { value: id })
    if (row.closed_on !== null) return fail('check-in-closed')
    if (row.version !== body.version) return fail('stale', { current: JSON.stringify(headOf(row, this.#counts())) })
    if (body.pushItemId !== null && !this.#queries.steps.all(id).some((step) => step.item_id === body.pushItemId))
      return fail('unknown-item', { value: body.pushItemId })
    const { name, way, pushItemId } = body
    this.#queries.edit.run({ id, name, way, pushItemId })
    return ok({ words: `Changed the check-in ${name}`, answer: { id } })
  }

  /** Its sheet is kept as it stands; what is corrected later is marked on it, not changed in it. */
  close(id: string, body: z.output<typeof CloseCheckIn>): Answer {
    const row = this.#queries.one.get(id)
    if (!row) return fail('unknown-check-in', { value: id })
    if (row.closed_on !== null) return fail('check-in-closed')
    if (row.version !== body.version) return fail('stale', { current: JSON.stringify(headOf(row, this.#counts())) })
    if (body.day > this.services.today()) return fail('day-in-future', { value: body.day })
    if (body.day < row.started_on) return fail('closed-before-begun', { value: body.day, day: row.started_on })
    const steps = this.#queries.steps.all(id)
    const sheet = sheetOf(this.services, this.#queries, row, steps, this.#itemsOf(steps), body.day)
    if (sheet.totals.looked === 0) return fail('nothing-looked-at')
    this.#queries.close.run({ id, day: body.day, sheet: JSON.stringify(sheet) })
    return ok({
      words: `Checked in: ${row.name}, ${counted(sheet.totals.looked, 'item')}`,
      answer: { id },
    })
  }

  /** It goes; what was read in it stays with the items. */
  drop(id: string): Answer {
    const row = this.#queries.one.get(id)
    if (!row) return fail('unknown-check-in', { value: id })
    if (row.closed_on !== null) return fail('check-in-closed')
    this.#queries.letReadings.run(id)
    this.#queries.letEvents.run(id)
    this.#queries.dropSteps.run(id)
    this.#queries.drop.run(id)
    return ok({ words: `Discarded the check-in ${row.name}`, answer: { id } })
  }

  #counts(): ReadonlyMap<string, { items: number; done: number }> {
    return new Map(this.#queries.counts.all().map((row) => [row.check_in_id, row]))
  }

  #itemsOf(steps: readonly StepRow[]): ItemFacts[] {
    const position = new Map(steps.map((step) => [step.item_id, step.position]))
    return this.services.stock
      .facts([...position.keys()], this.services.today())
      .sort((a, b) => (position.get(a.id) ?? 0) - (position.get(b.id) ?? 0))
  }

  #scope(body: z.output<typeof StartCheckIn>): ItemFacts[] {
    const ids =
      body.over === 'project'
        ? this.#queries.inProject.all(body.projectId ?? '').map((row) => row.item_id)
        : body.over === 'category'
          ? this.#queries.inCategory.all(body.categoryId ?? '').map((row) => row.item_id)
          : body.over === 'drawer'
            ? this.#queries.inDrawer.all().map((row) => row.item_id)
            : [...new Set(body.itemIds)]
    return this.services.stock
      .facts(ids, this.services.today())
      .filter((item) => item.endedOn === null && (body.over === 'chosen' || item.lifecycle === 'open'))
  }

  #wrongScope(body: z.output<typeof StartCheckIn>): Refusal | null {
    if (body.projectId !== null) {
      const project = this.#queries.project.get(body.projectId)
      if (!project) return fail('unknown-project', { value: body.projectId })
      if (project.closed_on !== null) return fail('project-closed', { name: project.name })
    }
    if (body.categoryId !== null && !this.#queries.category.get(body.categoryId))
      return fail('unknown-category', { value: body.categoryId })
    const known = new Set(this.services.stock.facts(body.itemIds, this.services.today()).map((item) => item.id))
    const missing = body.itemIds.find((id) => !known.has(id))
    return missing === undefined ? null : fail('unknown-item', { value: missing })
  }

  #corrections(sheet: ClosedSheet, items: readonly ItemFacts[]): Correction[] {
    const byId = new Map(items.map((item) => [item.id, item]))
    return sheet.items.flatMap(({ itemId, after }): Correction[] => {
      const item = byId.get(itemId)
      if (!item || after === null) return []
      const now = new Map(this.services.measuring.of(item).readings.map((reading) => [reading.id, reading]))
      const then = [
        ...(after.gross ? [{ id: after.gross.id, as: [after.gross.grams, after.gross.day] }] : []),
        ...[after.reading, ...after.parts.map((part) => ({ ...part.reading, id: part.id }))].flatMap((reading) =>
          reading ? [{ id: reading.id, as: [reading.value ?? reading.stage ?? reading.word, reading.day] }] : [],
        ),
      ]
      return then.flatMap(({ id, as }) => {
        const current = now.get(id)
        if (current && !current.doubtful) {
          const is = [current.value ?? current.stage ?? current.word, current.day]
          if (JSON.stringify(is) === JSON.stringify(as)) return []
        }
        return [{ itemId, readingId: id, now: current ?? null }]
      })
    })
  }
}

/** What is asked of an item: the scale, the eye, a photo of what is a pan, a few words. */
function measuresOf(item: ItemFacts): CheckInMeasure[] {
  if (item.parts.length > 0) return ['weigh', 'look', 'photo', 'words']
  // A pan is looked at on its photo; what it shows by eye can be said there too.
  return ['weigh', kindsFor(item.form, item.opaque, false).includes('bare') ? 'photo' : 'look', 'words']
}

function headOf(row: CheckInRow, counts: ReadonlyMap<string, { items: number; done: number }>): CheckInHead {
  const { items, done } = counts.get(row.id) ?? { items: 0, done: 0 }
  return {
    id: row.id,
    version: row.version,
    name: row.name,
    over: row.over,
    projectId: row.project_id,
    categoryId: row.category_id,
    way: row.way,
    startedOn: row.started_on,
    closedOn: row.closed_on,
    items,
    done,
    pushItemId: row.push_item_id,
    totals: row.sheet ? (JSON.parse(row.sheet) as ClosedSheet).totals : null,
  }
}

function stepView(row: StepRow): StepView {
  const { id, version, position, measure, state, words } = row
  return { id, version, itemId: row.item_id, position, measure, state, words }
}

function wordsOf(state: StepRow['state'], measure: CheckInMeasure, item: ItemFacts | null): string {
  const name = item ? item.shade || item.name : 'an item'
  if (state === 'skipped') return `Skipped at the check-in: ${name}`
  if (state === 'asked') return `Asked again at the check-in: ${name}`
  const done = { weigh: 'Weighed', look: 'Looked at', photo: 'Photographed', words: 'Said of' }[measure]
  return `${done} at the check-in: ${name}`
}
