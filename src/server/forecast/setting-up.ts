import { groupBy } from '#core/lists/grouping'
import type { z } from 'zod'
import { addDays, type Day } from '#core/calendar/day'
import { isCounted } from '#core/goal/progress'
import { usesUntil } from '#core/forecast/outlook'
import { setUpOf } from '#core/forecast/set-up'
import type { Span } from '#core/forecast/weighed'
import type { SetUpAnswer, SetUpQuery } from '#contract/forecast'
import { preparing } from '../db/query.js'
import type { ItemFacts } from '../stock/item-facts.js'
import { aimOf, spanOfUses, type GoalAsked, type ForecastViews } from './views.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'
import type { Forecasts } from './forecasts.js'

type Query = z.output<typeof SetUpQuery>
/** How often a zone is worn is that of the last year. */
const YEAR_DAYS = 365

/** What a goal would ask, before the user commits to it: uses against the days there are, and what would make it possible. */
export class SettingUp {
  readonly #queries

  constructor(
    private readonly services: Context & { stock: Stock; forecastViews: ForecastViews; forecasts: Forecasts },
  ) {
    const sql = preparing(services.db)
    this.#queries = {
      zoneDays: sql<[{ from: Day }], { zone_id: string | null; days: number }>(`
        SELECT c.zone_id, count(DISTINCT w.day) AS days 
          FROM worn w JOIN category c ON c.id = w.category_id
         WHERE w.day >= @from GROUP BY c.zone_id
        UNION ALL SELECT NULL, count(DISTINCT day) FROM wear WHERE day >= @from`),
      zones: sql<[], { id: string; name: string }>('SELECT id, name FROM zone'),
      inProject: sql<[string], { item_id: string }>(
        'SELECT DISTINCT item_id FROM stay WHERE project_id = ? AND rolled_out IS NULL AND beside = 0 AND part_id IS NULL',
      ),
    }
  }

  of(query: Query): SetUpAnswer {
    const today = this.services.today()
    const items = this.services.stock.facts(query.items, today).filter((item) => item.endedOn === null)
    const asked: GoalAsked = { kind: query.kind, target: query.target ?? null, uses: query.headStart }
    const by = query.by ?? null
    return {
      by,
      kinds: by === null || by < today || aimOf(asked) === null ? [] : this.#kinds(items, asked, by, query),
      outlooks: items.flatMap((item) => {
        const outlook = this.services.forecastViews.outlook(item, null, { ...asked, by, standing: null })
        return outlook === null ? [] : [{ itemId: item.id, ...outlook }]
      }),
    }
  }

  #kinds(items: readonly ItemFacts[], asked: GoalAsked, by: Day, { project }: Query): SetUpAnswer['kinds'] {
    const today = this.services.today()
    const zones = new Map(this.#queries.zones.all().map((row) => [row.id, row.name]))
    const shares = this.#zoneShares(today)
    const others = this.#already(project ?? null, new Set(items.map((item) => item.id)), by)
    return [...groupBy(items, ({ wornAsId }) => wornAsId)].map(([categoryId, own]) => {
      const already = others.get(categoryId) ?? []
      const needs = [...own.map((item) => this.#needs(item, asked)), ...already]
      const zoneId = own[0]?.homeZoneId ?? ''
      const share = shares.get(zoneId) ?? 1
      const daysUntil = (day: Day): number => this.services.stock.wearDaysBetween(today, day) * share
      const found = setUpOf(needs, daysUntil(by))
      return {
        category: own[0]?.wornAs ?? '',
        zone: zones.get(zoneId) ?? '',
        items: own.length,
        already: already.length,
        ...found,
        needed: rounded(found.needed),
        days: Math.round(daysUntil(by)),
        usesEach: found.usesEach,
        counted: isCounted(asked.kind),
        enoughOn: found.fits ? null : this.services.stock.dayOfWears(found.needed.middle / share, today),
      }
    })
  }

  #needs(item: ItemFacts, asked: GoalAsked): Span {
    const aim = aimOf(asked)
    if (aim === null) return { low: 0, middle: 0, high: 0 }
    if (aim.kind === 'uses') {
      const left = Math.max(0, aim.target - aim.done)
      return { low: left, middle: left, high: left }
    }
    return spanOfUses(usesUntil(this.services.forecasts.of(item).forecast, aim))
  }

  #already(projectId: string | null, except: ReadonlySet<string>, by: Day): Map<string, Span[]> {
    const found = new Map<string, Span[]>()
    if (projectId === null) return found
    const today = this.services.today()
    const ids = this.#queries.inProject
      .all(projectId)
      .map((row) => row.item_id)
      .filter((id) => !except.has(id))
    const goals = this.services.stock.goals(ids, today)
    for (const item of this.services.stock.facts(ids, today))
      for (const { goal } of goals.get(item.id) ?? []) {
        if (goal.projectId !== projectId || goal.partId !== null || goal.met || goal.by === null || goal.by > by)
          continue
        const need = this.#needs(item, goal)
        found.set(item.wornAsId, [...(found.get(item.wornAsId) ?? []), need])
      }
    return found
  }

  /** Of the days with makeup, the share on which anything of a zone is worn; all of them where nothing is known yet. */
  #zoneShares(today: Day): Map<string, number> {
    const rows = this.#queries.zoneDays.all({ from: addDays(today, -YEAR_DAYS) })
    const all = rows.find((row) => row.zone_id === null)?.days ?? 0
    return new Map(rows.flatMap((row) => (row.zone_id === null || all === 0 ? [] : [[row.zone_id, row.days / all]])))
  }
}

function rounded({ low, middle, high }: Span): Span {
  return { low: Math.round(low), middle: Math.round(middle), high: Math.round(high) }
}
