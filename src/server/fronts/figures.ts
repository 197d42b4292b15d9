import type { Day } from '#core/calendar/day'
import type { Fronts } from '#contract/today'
import { type Db, preparing } from '../db/query.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'
import type { Decide } from '../decide/decide.js'
import { ok } from '../failing.js'
import { read, type Route } from '../http/routes.js'

export function frontRoutes({ fronts }: { fronts: FrontFigures }): Route[] {
  return [read('/fronts', () => ok(fronts.read()))]
}

export class FrontFigures {
  readonly #queries

  constructor(private readonly services: Context & { stock: Stock; decide: Decide }) {
    this.#queries = frontQueries(services.db)
  }

  read(): Fronts {
    const { services } = this
    const queries = this.#queries
    const today = services.today()
    const present = services.stock.presentIds()
    const soon = services.stock
      .facts(present, today)
      .filter((item) => item.lifecycle === 'open' && item.shelfLife.state === 'within 90 days')
    const trials = services.decide.counts()
    return {
      today,
      wornToday: queries.wornOn.get(today)?.n ?? 0,
      items: present.length,
      projects: queries.projects.get()?.n ?? 0,
      spoilSoon: soon.length,
      decisionsDue: trials.due,
      trials: trials.running,
      emptiesThisYear: queries.emptiesIn.get(today.slice(0, 4))?.n ?? 0,
      checkIn: queries.checkIn.get() ?? null,
    }
  }
}

export function frontQueries(db: Db) {
  const sql = preparing(db)
  return {
    wornOn: sql<[Day], { n: number }>('SELECT count(*) AS n FROM wear WHERE day = ?'),
    projects: sql<[], { n: number }>('SELECT count(*) AS n FROM project WHERE closed_on IS NULL'),
    checkIn: sql<[], { items: number; done: number }>(`
      SELECT count(*) AS items, coalesce(sum(done), 0) AS done FROM (
        SELECT item_id, max(state = 'done') AS done FROM check_in_step
         WHERE check_in_id = (SELECT id FROM check_in WHERE closed_on IS NULL ORDER BY started_on DESC, rowid DESC LIMIT 1)
         GROUP BY item_id)
      HAVING count(*) > 0`),
    emptiesIn: sql<[string], { n: number }>(
      "SELECT count(*) AS n FROM item WHERE ended_as = 'finished' AND ended_roughly = 0 AND substr(ended_on, 1, 4) = ?",
    ),
  }
}
