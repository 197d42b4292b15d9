import type { z } from 'zod'
import { addDays, type Day } from '#core/calendar/day'
import type { PlanSetup } from '#core/plan/laid/basis'
import { asksForFresh, newsOf, weekOf, type AdoptedPlan, type LineFacts } from '#core/plan/laid/in-force'
import type { PlanMonth, PlanWeek } from '#core/plan/laid/span'
import { itemMark } from '#core/words/told'
import type { AdoptPlan, PlanAnswer, PlanInForce } from '#contract/planning'
import type { Done, TouchedRow } from '../db/journal.js'
import { fail, ok, type Outcome } from '../failing.js'
import type { House } from '../house.js'
import { PlanGathering } from './gathering.js'
import { planQueries } from './queries.js'

type Answer = Outcome<Done<{ id: string }>>

/** The plan in force as it is kept. */
interface KeptPlan extends AdoptedPlan {
  readonly id: string
  readonly setup: PlanSetup
  readonly done: PlanInForce['done']
  readonly lines: readonly (AdoptedPlan['lines'][number] & { readonly low: Day | null; readonly high: Day | null })[]
}

/** Planned and worn in the week that a day lies in. */
export interface WeekAim {
  readonly planned: number
  readonly worn: number
}

/** Adopting a plan writes the plan and nothing else: what lies where, goals and stays change by acts of their own. */
export class Planning {
  readonly #house: House
  readonly #queries
  readonly #gathering: PlanGathering
  /** Undefined = not read since something touched it. */
  #kept: KeptPlan | null | undefined

  constructor(house: House) {
    this.#house = house
    this.#queries = planQueries(house.db)
    this.#gathering = new PlanGathering(house, this.#queries)
  }

  all(): PlanAnswer {
    return { ...this.#gathering.all(), inForce: this.#standing() }
  }

  /** In short: how many things went otherwise than planned. */
  brief(): { readonly otherwise: number; readonly askFresh: boolean } | null {
    const standing = this.#standing()
    if (standing === null) return null
    const otherwise = standing.news.filter(({ code }) => code !== 'finished').length
    return { otherwise, askFresh: standing.askFresh }
  }

  forget(touched: readonly TouchedRow[]): void {
    if (touched.some(({ tbl }) => tbl === 'plan' || tbl === 'plan_line')) this.#kept = undefined
  }

  /** Of the week a day lies in, what is planned of each thing and how often it was worn before that day. */
  weekAims(day: Day): ReadonlyMap<string, WeekAim> {
    const plan = this.#inForce()
    const week = plan && weekOf(plan, day)
    const from = week === null || !plan ? null : (plan.weeks[week]?.from ?? null)
    if (!plan || week === null || from === null) return new Map()
    const worn = this.#worn(plan, from)
    return new Map(
      plan.lines.flatMap(({ itemId, uses }) => {
        const planned = uses[week] ?? 0
        if (planned === 0) return []
        return [[itemId, { planned, worn: (worn.get(itemId) ?? []).filter((each) => each < day).length }] as const]
      }),
    )
  }

  /**
   * The month that runs: whether the plan has a thing in the drawer, by item, and whether it is a plan of the whole drawer; null where none
   * runs.
   */
  monthDrawer(day: Day): { readonly lies: ReadonlyMap<string, boolean>; readonly whole: boolean } | null {
    const plan = this.#inForce()
    const week = plan && weekOf(plan, day)
    const month = week === null || !plan ? null : (plan.weeks[week]?.month ?? null)
    if (!plan || month === null) return null
    const lies = new Map(plan.lines.map((line) => [line.itemId, line.lies[month] === true]))
    return { lies, whole: plan.setup.projectId === null }
  }

  /** What the plan lays in, in this month or the next, with the month: what could roll in. What lies there already does not come. */
  comingIn(day: Day): ReadonlyMap<string, PlanMonth> {
    const plan = this.#inForce()
    const week = plan && weekOf(plan, day)
    const month = week === null || !plan ? null : (plan.weeks[week]?.month ?? null)
    if (!plan || month === null) return new Map()
    return new Map(
      plan.lines.flatMap(({ itemId, lies }) => {
        const at = [month, month + 1].find((each) => lies[each] === true && (each === 0 || lies[each - 1] !== true))
        const name = at === undefined ? undefined : plan.months[at]
        return name === undefined ? [] : [[itemId, name] as const]
      }),
    )
  }

  setWord(
    itemId: string,
    body: { id: string; said: 'in' | 'no' | null; weight: number | null; mostAWeek: number | null },
  ): Answer {
    const item = this.#house.stock.one(itemId, this.#house.today())
    if (!item) return fail('unknown-item', { value: itemId })
    if (item.endedOn !== null) return fail('item-ended', { name: itemMark(item) })
    const { id, said, weight, mostAWeek } = body
    if (this.#queries.wordOwner.get({ id, itemId })) return fail('id-taken', { value: id })
    if (said === null && weight === null && mostAWeek === null) this.#queries.dropWord.run(itemId)
    else this.#queries.putWord.run({ id, itemId, said, on: this.#house.today(), weight, mostAWeek })
    const words = said === 'in' ? 'in the plan, whatever else' : said === 'no' ? 'not now' : 'as the plan sees fit'
    return ok({ words: `${itemMark(item)}: ${words}`, answer: { id: itemId } })
  }

  setMoves(itemId: string, moves: readonly { month: string; lies: boolean | null }[]): Answer {
    const item = this.#house.stock.one(itemId, this.#house.today())
    if (!item) return fail('unknown-item', { value: itemId })
    if (item.endedOn !== null) return fail('item-ended', { name: itemMark(item) })
    for (const { month, lies } of moves)
      if (lies === null) this.#queries.dropMove.run({ itemId, month })
      else this.#queries.putMove.run({ id: this.#house.newId(), itemId, month, lies: lies ? 1 : 0 })
    return ok({ words: `Moved ${itemMark(item)} in the plan`, answer: { id: itemId } })
  }

  clearMoves(): Outcome<Done<{ count: number }>> {
    const count = this.#queries.moves.all().length
    this.#queries.dropMoves.run()
    return ok({ words: 'Took the moves in the plan back', answer: { count } })
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
    if (body.to < this.#house.today()) return fail('break-over', { value: body.to })
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
    const today = this.#house.today()
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
    const items = new Map(this.#house.stock.facts(ids, today).map((item) => [item.id, item]))
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
    return ok({ words: 'Adopted a plan', answer: { id } })
  }

  end(id: string): Answer {
    if (this.#queries.inForce.get()?.id !== id) return fail('plan-changed')
    this.#queries.end.run({ id, day: this.#house.today() })
    return ok({ words: 'Dropped the plan', answer: { id } })
  }

  #inForce(): KeptPlan | null {
    if (this.#kept !== undefined) return this.#kept
    const row = this.#queries.inForce.get()
    const kept: KeptPlan | null = row
      ? {
          id: row.id,
          adoptedOn: row.adopted_on,
          setup: JSON.parse(row.setup) as PlanSetup,
          months: JSON.parse(row.months) as PlanMonth[],
          weeks: JSON.parse(row.weeks) as PlanWeek[],
          done: { of: row.done_of, low: row.done_low, high: row.done_high },
          lines: this.#queries.lines.all(row.id).map((line) => ({
            itemId: line.item_id,
            lies: JSON.parse(line.lies) as boolean[],
            uses: JSON.parse(line.uses) as number[],
            needed: line.needed,
            toward: line.toward,
            finishes: line.finishes === 1,
            low: line.low_day,
            high: line.high_day,
          })),
        }
      : null
    if (!this.#house.db.inTransaction) this.#kept = kept
    return kept
  }

  #worn(plan: KeptPlan, from: Day): Map<string, Day[]> {
    const worn = new Map<string, Day[]>()
    for (const row of this.#queries.wornSince.all({ planId: plan.id, from }))
      worn.set(row.item_id, [...(worn.get(row.item_id) ?? []), row.day])
    return worn
  }

  #standing(): PlanInForce | null {
    const plan = this.#inForce()
    if (plan === null) return null
    const today = this.#house.today()
    const worn = this.#worn(plan, plan.adoptedOn)
    const items = this.#house.stock.facts(
      plan.lines.map(({ itemId }) => itemId),
      today,
    )
    const facts = items.map((item): LineFacts => {
      const goal = item.goal
      const counts = goal !== null && goal.partId === null && !goal.beside
      return {
        itemId: item.id,
        ended: item.endedOn === null ? null : { day: item.endedOn, finished: item.lifecycle === 'finished' },
        met: counts && goal.met,
        inDrawer: item.placement !== null,
        days: worn.get(item.id) ?? [],
      }
    })
    const news = newsOf(plan, facts, today)
    const marks = new Map(items.map((item) => [item.id, itemMark(item)]))
    return {
      ...plan,
      lines: plan.lines.map((line) => ({ ...line, worn: (worn.get(line.itemId) ?? []).length })),
      news: news.map((each) => ({ ...each, mark: marks.get(each.itemId) ?? '' })),
      askFresh: asksForFresh(news) || (plan.weeks.at(-1)?.to ?? today) < today,
    }
  }
}

/** A page may stay open over night. */
const MOST_LATE_DAYS = 2
