import type { Day } from '#core/calendar/day'
import { evennessOf } from '#core/goal/evenness'
import { overloads } from '#core/goal/overload'
import type { ProjectView, ProjectsAnswer, StayView, OverloadView } from '#contract/projects'
import { summaryOf, type ItemFacts } from '../stock/item-facts.js'
import type { ProjectQueries, ProjectRow } from './queries.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'
import type { CurrentPlan } from '../planning/current-plan.js'
import type { ForecastViews } from '../forecast/views.js'

export class ProjectViews {
  readonly #queries: ProjectQueries

  constructor(
    private readonly services: Context & { stock: Stock; currentPlan: CurrentPlan; forecastViews: ForecastViews },
    queries: ProjectQueries,
  ) {
    this.#queries = queries
  }

  all(): ProjectsAnswer {
    const today = this.services.today()
    const { week, weeks } = this.services.stock.week(today)
    return {
      today,
      projects: this.#queries.open.all().map((row) => this.one(row, today)),
      closed: this.#queries.closed.all().map((row) => this.one(row, today)),
      shortList: this.#shortList(today),
      week: [...week],
      weekLearnedFrom: weeks,
      plan: this.services.currentPlan.brief(),
    }
  }

  one(row: ProjectRow, today: Day): ProjectView {
    const stays = this.#stays(row.id, today)
    return {
      id: row.id,
      version: row.version,
      name: row.name,
      startedOn: row.started_on,
      by: row.by_day,
      finishesWanted: row.finishes_wanted,
      rules: row.rules,
      shape: row.shape,
      atLeast: row.at_least,
      mostItems: row.most_items,
      replacing: row.replacing,
      breakDays: row.break_days,
      leavingAllowed: row.leaving_allowed === 1,
      theme: row.theme,
      categoryId: row.category_id,
      category: row.category_id === null ? null : (this.#queries.category.get(row.category_id)?.name ?? null),
      usesEach: row.uses_each,
      atOnce: row.at_once,
      paletteId: row.palette_id,
      closedOn: row.closed_on,
      lessons: row.lessons,
      stays,
      ...countsOf(stays),
      overloads: overloadsOf(stays),
      evenness: evennessOf(stays.filter((stay) => !stay.goal.beside).map((stay) => stay.goal.wearsInStay)),
    }
  }

  #stays(projectId: string, today: Day): StayView[] {
    const heads = this.#queries.stays.all(projectId)
    const ids = [...new Set(heads.map((head) => head.item_id))]
    const items = new Map(this.services.stock.facts(ids, today).map((item) => [item.id, item]))
    const goals = this.services.stock.goals(ids, today)
    return heads.flatMap((head): StayView[] => {
      const item = items.get(head.item_id)
      const found = goals.get(head.item_id)?.find(({ stay }) => stay.id === head.id)
      if (!item || !found) return []
      return [
        {
          stayId: head.id,
          version: head.version,
          item: summaryOf(item),
          goal: found.goal,
          rolledOut: head.rolled_out,
          outReason: head.out_reason,
          outWords: head.out_words,
          carried: head.carried_from !== null,
          outlook:
            head.rolled_out === null ? (this.services.forecastViews.outlooks(item, [found.goal])[0] ?? null) : null,
        },
      ]
    })
  }

  #shortList(today: Day): ProjectsAnswer['shortList'] {
    const rows = this.#queries.shortList.all()
    const items = new Map<string, ItemFacts>(
      this.services.stock
        .facts(
          rows.map((row) => row.item_id),
          today,
        )
        .map((item) => [item.id, item]),
    )
    return rows.flatMap(({ id, item_id, season, words, added_on: addedOn }) => {
      const item = items.get(item_id)
      return item && item.endedOn === null ? [{ id, item: summaryOf(item), season, words, addedOn }] : []
    })
  }
}

/** What is reached, on the go and left unfinished: together all that rolled in with a goal. */
function countsOf(stays: readonly StayView[]): Pick<ProjectView, 'reached' | 'onTheGo' | 'left'> {
  const own = stays.filter((stay) => !stay.goal.beside)
  const inside = own.filter((stay) => stay.rolledOut === null)
  const out = own.filter((stay) => stay.outReason === 'met' || stay.outReason === 'finished').length
  const met = inside.filter((stay) => stay.goal.met).length
  return { reached: out + met, onTheGo: inside.length - met, left: own.length - inside.length - out }
}

function overloadsOf(stays: readonly StayView[]): OverloadView[] {
  const needs = stays.flatMap(({ item, goal, rolledOut }) =>
    rolledOut === null && goal.usesLeft !== null && goal.usesLeft > 0 && goal.by !== null && goal.wearDaysLeft !== null
      ? [
          {
            categoryId: item.wornAsId,
            itemId: item.id,
            usesLeft: goal.usesLeft,
            by: goal.by,
            wearDaysLeft: goal.wearDaysLeft,
          },
        ]
      : [],
  )
  const names = new Map(stays.map(({ item }) => [item.wornAsId, item.wornAs]))
  return overloads(needs).map((each) => ({ ...each, category: names.get(each.categoryId) ?? '' }))
}
