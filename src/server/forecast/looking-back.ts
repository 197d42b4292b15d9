import { groupBy } from '#core/lists/grouping'
import { callOf } from '#core/item/naming'
import { addDays, daysBetween, type Day } from '#core/calendar/day'
import { categoryFactor, guessFactor, pinballLoss, type GuessFactor } from '#core/forecast/guesses'
import { median } from '#core/lists/median'
import { Z_TENTH } from '#core/forecast/normal'
import { whyMissed, type MissReason } from '#core/look-back/misses'
import type { FactorView, LookBackAnswer } from '#contract/forecast'
import type { ItemFacts } from '../stock/item-facts.js'
import { forecastQueries, type ForecastRow } from './queries.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'

const SHARES = [0.1, 0.5, 0.9] as const

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

  /** Each finished item is scored once, by the forecast kept nearest to half its life. */
  #forecasts(today: Day): LookBackAnswer['forecasts'] {
    const rows = groupBy(this.#queries.allKept.all(), (row) => row.item_id)
    const items = this.#items([...rows.keys()], today)
    const scored = [...rows].flatMap(([id, own]) => {
      const item = items.get(id)
      if (!item || item.lifecycle !== 'finished' || item.endedOn === null || item.endedRoughly) return []
      const row = nearestHalf(own, item.firstWorn, item.endedOn)
      if (!row) return []
      const truth = daysBetween(row.made_on, item.endedOn)
      const said = [row.low_days, row.middle_days, row.high_days] as const
      return [
        {
          item,
          row,
          finishedOn: item.endedOn,
          early: truth < row.low_days,
          late: truth > row.high_days,
          loss: SHARES.reduce((sum, share, n) => sum + pinballLoss(share, said[n] ?? 0, truth), 0) / SHARES.length,
        },
      ]
    })
    return {
      all: scoreOf(scored),
      categories: byCategory(scored).map(([category, own]) => ({ category, score: scoreOf(own) })),
      each: scored.map(({ item, row, finishedOn, early, late }) => ({
        itemId: item.id,
        mark: callOf(item),
        madeOn: row.made_on,
        low: addDays(row.made_on, Math.round(row.low_days)),
        middle: addDays(row.made_on, Math.round(row.middle_days)),
        high: addDays(row.made_on, Math.round(row.high_days)),
        finishedOn,
        miss: early || late ? missOf(item, row, finishedOn, late) : null,
      })),
    }
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

function factorView({ factor, mean, sd, finished, unfinished, runsShort }: GuessFactor): FactorView {
  return {
    factor,
    low: Math.exp(mean - Z_TENTH * sd),
    high: Math.exp(mean + Z_TENTH * sd),
    finished,
    unfinished,
    runsShort,
  }
}

function scoreOf(
  scored: readonly { readonly early: boolean; readonly late: boolean; readonly loss: number }[],
): LookBackAnswer['forecasts']['all'] {
  const early = scored.filter((each) => each.early).length
  const late = scored.filter((each) => each.late).length
  const n = scored.length
  return {
    n,
    inside: n - early - late,
    early,
    late,
    loss: n === 0 ? null : scored.reduce((sum, { loss }) => sum + loss, 0) / n,
  }
}

function missOf(item: ItemFacts, row: ForecastRow, finishedOn: Day, late: boolean): MissReason | null {
  return whyMissed({
    daysBefore: item.firstWorn === null ? 0 : daysBetween(item.firstWorn, row.made_on),
    usesBefore: row.uses,
    daysAfter: daysBetween(row.made_on, finishedOn),
    usesAfter: item.wears - row.uses,
    expectedDays: row.middle_days,
    late,
  })
}

/** Not those made on its last day: by then there was nothing to forecast. */
function nearestHalf(rows: readonly ForecastRow[], first: Day | null, end: Day): ForecastRow | null {
  const usable = rows.filter((row) => row.made_on < end)
  const from = first ?? usable[0]?.made_on
  if (from === undefined) return null
  const half = addDays(from, Math.round(daysBetween(from, end) / 2))
  const off = (row: ForecastRow): number => Math.abs(daysBetween(half, row.made_on))
  return [...usable].sort((a, b) => off(a) - off(b))[0] ?? null
}

function byCategory<T extends { readonly item: ItemFacts }>(all: readonly T[]): [string, T[]][] {
  return [...groupBy(all, ({ item }) => item.category)].sort(([, a], [, b]) => b.length - a.length)
}
