import { groupBy } from '#core/lists/grouping'
import { callOf } from '#core/item/naming'
import type { Day } from '#core/calendar/day'
import type { PlanSetup } from '#core/plan/schedule/basis'
import { asksForFresh, newsOf, weekOf, type AdoptedPlan, type LineFacts } from '#core/plan/schedule/in-force'
import type { PlanMonth, PlanWeek } from '#core/plan/schedule/span'
import type { PlanInForce } from '#contract/planning'
import type { Context } from '../context.js'
import type { TouchedRow } from '../db/journal.js'
import type { Stock } from '../stock/stock.js'
import { planQueries } from './queries.js'

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

export class CurrentPlan {
  readonly #queries
  /** Undefined = not read since something touched it. */
  #kept: KeptPlan | null | undefined

  constructor(private readonly services: Context & { stock: Stock }) {
    this.#queries = planQueries(services.db)
  }

  brief(): { readonly otherwise: number; readonly askFresh: boolean } | null {
    const standing = this.standing()
    if (standing === null) return null
    const otherwise = standing.news.filter(({ code }) => code !== 'finished').length
    return { otherwise, askFresh: standing.askFresh }
  }

  forget(touched: readonly TouchedRow[]): void {
    if (touched.some(({ tbl }) => tbl === 'plan' || tbl === 'plan_line')) this.#kept = undefined
  }

  /** Of the week a day lies in, what is planned of each item and how often it was worn before that day. */
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
   * The month that runs: whether the plan has an item in the drawer, by item, and whether it is a plan of the whole drawer; null where none
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
    if (!this.services.db.inTransaction) this.#kept = kept
    return kept
  }

  #worn(plan: KeptPlan, from: Day): Map<string, Day[]> {
    const rows = this.#queries.wornSince.all({ planId: plan.id, from })
    return new Map([...groupBy(rows, (row) => row.item_id)].map(([id, own]) => [id, own.map(({ day }) => day)]))
  }

  /** With its news; null where there is none. */
  standing(): PlanInForce | null {
    const plan = this.#inForce()
    if (plan === null) return null
    const today = this.services.today()
    const worn = this.#worn(plan, plan.adoptedOn)
    const items = this.services.stock.facts(
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
    const marks = new Map(items.map((item) => [item.id, callOf(item)]))
    return {
      ...plan,
      lines: plan.lines.map((line) => ({ ...line, worn: (worn.get(line.itemId) ?? []).length })),
      news: news.map((each) => ({ ...each, mark: marks.get(each.itemId) ?? '' })),
      askFresh: asksForFresh(news) || (plan.weeks.at(-1)?.to ?? today) < today,
    }
  }
}
