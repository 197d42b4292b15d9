import { groupBy } from '#core/lists/grouping'
import { callOf } from '#core/item/naming'
import { addDays, daysBetween, earlier, later, type Day } from '#core/calendar/day'
import { lifeTable, type Watched } from '#core/forecast/life-table'
import { categoryFactor, guessFactor, type GuessFactor } from '#core/forecast/guesses'
import { median } from '#core/lists/median'
import { Z_TENTH } from '#core/forecast/normal'
import { whyMissed, type MissReason } from '#core/look-back/misses'
import type { FactorView, LookBackAnswer } from '#contract/forecast'
import type { ItemFacts } from '../stock/item-facts.js'
import { joinedStays } from './forecasts.js'
import { forecastQueries, type ForecastRow } from './queries.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'

/** So many days in a row out of drawer and projects, and it is not in use any more. */
const OUT_DAYS = 30

export class LookingBack {
  readonly #queries

  constructor(private readonly services: Context & { stock: Stock }) {
    this.#queries = forecastQueries(services.db)
  }

  all(): LookBackAnswer {
    const today = this.services.today()
    return {
      today,
      guesses: this.#guesses(today),
      forecasts: this.#forecasts(today),
      lasted: this.#lasted(today),
    }
  }

  #guesses(today: Day): LookBackAnswer['guesses'] {
    const rows = this.#queries.allGuesses.all()
    const items = this.#items(
      rows.map((row) => row.item_id),
      today,
    )
    const guesses = rows.flatMap((row) => {
      const item = items.get(row.item_id)
      // Of one that ended nobody knows when, nothing came to be compared.
      if (!item || item.endedRoughly) return []
      const until = item.endedOn ?? today
      const days = daysBetween(row.made_on, until)
      // What left unfinished had lasted so long by then: it is no finish.
      const finished = item.lifecycle === 'finished'
      return [{ item, outcome: { months: row.months, days: Math.max(0, days), finished }, madeOn: row.made_on }]
    })
    const all = guessFactor(guesses.map((each) => each.outcome))
    return {
      all: factorView(all),
      categories: byCategory(guesses).map(([category, own]) => ({
        category,
        factor: factorView(
          categoryFactor(
            own.map((each) => each.outcome),
            all,
          ),
        ),
      })),
      each: guesses.map(({ item, outcome, madeOn }) => ({
        itemId: item.id,
        mark: callOf(item),
        madeOn,
        ...outcome,
      })),
    }
  }

  #forecasts(today: Day): LookBackAnswer['forecasts'] {
    const watched = this.watched(today)
    return {
      marks: lifeTable(watched.map(({ came }) => came)),
      each: watched.flatMap(({ item, row, came }) => {
        if (!came.finished || item.endedOn === null) return []
        const late = came.days > came.high
        return [
          {
            itemId: item.id,
            mark: callOf(item),
            madeOn: row.made_on,
            low: addDays(row.made_on, Math.round(row.low_days)),
            middle: addDays(row.made_on, Math.round(row.middle_days)),
            high: addDays(row.made_on, Math.round(row.high_days)),
            finishedOn: item.endedOn,
            miss: came.days < came.low || late ? missOf(item, row, item.endedOn, late) : null,
          },
        ]
      }),
    }
  }

  /**
   * Of each item the first forecast that was kept while it was in the drawer or a project, with what came: watched until it was
   * finished, else until it left, until its thirtieth day out of drawer and projects, or until yesterday.
   */
  watched(today: Day): { readonly item: ItemFacts; readonly row: ForecastRow; readonly came: Watched }[] {
    const rows = groupBy(this.#queries.allKept.all(), (row) => row.item_id)
    const items = this.#items([...rows.keys()], today)
    return [...rows].flatMap(([id, own]) => {
      const item = items.get(id)
      if (!item || item.endedRoughly) return []
      const stays = joinedStays(this.#queries.stays.all({ id }), item.endedOn ?? today)
      const row = own.find(({ made_on: day }) => stays.some(({ first, last }) => first <= day && day <= last))
      // Made on its last day there was nothing to forecast.
      if (!row || row.made_on === item.endedOn) return []
      const finished = item.lifecycle === 'finished'
      const until =
        finished && item.endedOn !== null
          ? item.endedOn
          : watchedUntil(stays, row.made_on, item.endedOn ?? addDays(today, -1))
      const days = daysBetween(row.made_on, until)
      if (days <= 0) return []
      const { low_days: low, middle_days: middle, high_days: high } = row
      return [{ item, row, came: { low, middle, high, days, finished } }]
    })
  }

  /** Only of items whose beginning and end are known to the day. */
  #lasted(today: Day): LookBackAnswer['lasted'] {
    const finished = this.services.stock
      .facts(
        this.#queries.finishedIds.all().map((row) => row.id),
        today,
      )
      .flatMap((item) => {
        const { within } = item.opening
        if (item.endedOn === null || item.endedRoughly || within === null || within.earliest !== within.latest)
          return []
        return [{ item, days: daysBetween(within.earliest, item.endedOn), uses: item.uses }]
      })
    return byCategory(finished).map(([category, own]) => ({
      category,
      finished: own.length,
      days: Math.round(median(own.map((each) => each.days))),
      uses: Math.round(median(own.map((each) => each.uses))),
    }))
  }

  #items(ids: readonly string[], today: Day): Map<string, ItemFacts> {
    return new Map(this.services.stock.facts([...new Set(ids)], today).map((item) => [item.id, item]))
  }
}

function factorView({ factor, middle, mean, sd, finished, unfinished, runsShort }: GuessFactor): FactorView {
  return {
    factor,
    middle,
    low: Math.exp(mean - Z_TENTH * sd),
    high: Math.exp(mean + Z_TENTH * sd),
    finished,
    unfinished,
    runsShort,
  }
}

/** The day on which watching ends of what was not finished: its thirtieth in a row out of use, at the latest `end`. */
function watchedUntil(stays: readonly { readonly first: Day; readonly last: Day }[], from: Day, end: Day): Day {
  let last = from
  for (const stay of stays) {
    if (stay.last < from) continue
    if (daysBetween(last, stay.first) > OUT_DAYS) break
    last = later(last, stay.last)
  }
  return earlier(addDays(last, OUT_DAYS), end)
}

function missOf(item: ItemFacts, row: ForecastRow, finishedOn: Day, late: boolean): MissReason | null {
  // Both counts hold what was used before the log: of that nobody knows the days.
  const beforeLog = item.uses - item.wears
  return whyMissed({
    daysBefore: item.firstWorn === null ? 0 : daysBetween(item.firstWorn, row.made_on),
    usesBefore: row.uses - beforeLog,
    daysAfter: daysBetween(row.made_on, finishedOn),
    usesAfter: item.uses - row.uses,
    expectedDays: row.middle_days,
    late,
  })
}

function byCategory<T extends { readonly item: ItemFacts }>(all: readonly T[]): [string, T[]][] {
  return [...groupBy(all, ({ item }) => item.category)].sort(([, a], [, b]) => b.length - a.length)
}
