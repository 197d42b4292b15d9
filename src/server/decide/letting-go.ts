import { groupBy, sumBy } from '#core/lists/grouping'
import type { z } from 'zod'
import type { Day } from '#core/calendar/day'
import type { Destination, LetGoWhy } from '#core/decide/verdict'
import { itemMark } from '#core/words/told'
import type { GoneView, LettingGoAnswer, SetHanded, SetRegret } from '#contract/deciding'
import type { Answer } from '../db/journal.js'
import { type Db, preparing } from '../db/query.js'
import { fail, ok, type Outcome } from '../failing.js'
import { summaryOf, type ItemFacts } from '../stock/item-facts.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'
import type { Forecasts } from '../forecast/forecasts.js'

export class LettingGo {
  readonly #queries

  constructor(private readonly services: Context & { stock: Stock; forecasts: Forecasts }) {
    this.#queries = lettingGoQueries(services.db)
  }

  all(): LettingGoAnswer {
    const today = this.services.today()
    const rows = this.#queries.all.all()
    const items = new Map(
      this.services.stock
        .facts(
          rows.map((row) => row.item_id),
          today,
        )
        .map((item) => [item.id, item]),
    )
    const gone = rows.flatMap((row) => {
      const item = items.get(row.item_id)
      return item ? [this.#gone(row, item)] : []
    })
    return {
      today,
      currency: this.services.settings().currency,
      waiting: gone.filter(({ handedOn }) => handedOn === null),
      gone: gone.filter(({ handedOn }) => handedOn !== null),
      reasons: sumsByReason(gone),
    }
  }

  /** Handed over on a day, or taken back into the bag. */
  setHanded(verdictId: string, { day, toWhom }: z.output<typeof SetHanded>): Answer {
    const row = this.#letGo(verdictId)
    if (!row.ok) return row
    if (day !== null && day > this.services.today()) return fail('day-in-future', { value: day })
    if (day !== null && day < row.value.day) return fail('handed-before-let-go', { value: day, day: row.value.day })
    this.#queries.hand.run({ id: verdictId, day, toWhom })
    const name = this.#nameOf(row.value.item_id)
    return ok({
      words: day === null ? `${name} isn’t handed over yet` : `Handed ${name} over`,
      answer: { id: verdictId },
    })
  }

  setRegret(verdictId: string, { day, words }: z.output<typeof SetRegret>): Answer {
    const row = this.#letGo(verdictId)
    if (!row.ok) return row
    if (day !== null && day > this.services.today()) return fail('day-in-future', { value: day })
    if (day !== null && day < row.value.day) return fail('handed-before-let-go', { value: day, day: row.value.day })
    this.#queries.regret.run({ id: verdictId, day, words: day === null ? '' : words })
    const name = this.#nameOf(row.value.item_id)
    return ok({ words: day === null ? `${name} isn’t missed` : `${name} is missed`, answer: { id: verdictId } })
  }

  #letGo(id: string): Outcome<GoneRow> {
    const row = this.#queries.one.get(id)
    if (!row) return fail('unknown-verdict', { value: id })
    return row.destination === null ? fail('not-let-go') : ok(row)
  }

  #nameOf(itemId: string): string {
    const item = this.services.stock.one(itemId, this.services.today())
    return item ? itemMark(item) : ''
  }

  /** What was left when it went, by the same computation that forecasts what is here. */
  #gone(row: GoneRow, item: ItemFacts): GoneView {
    const { forecasts } = this.services
    const { grams } = forecasts.of(item).forecast.content
    const known = item.content !== null
    return {
      verdictId: row.id,
      item: summaryOf(item),
      day: row.day,
      destination: row.destination as Destination,
      why: row.why,
      reason: row.reason,
      toWhom: row.to_whom,
      handedOn: row.handed_on,
      regretOn: row.regret_on,
      regretWords: row.regret_words,
      grams: known ? grams.middle : null,
      lost: item.priceMinor === null ? null : item.priceMinor * forecasts.shareLeft(item),
    }
  }
}

function sumsByReason(gone: readonly GoneView[]): LettingGoAnswer['reasons'] {
  return [...groupBy(gone, ({ why }) => why)]
    .map(([why, own]) => ({
      why,
      items: own.length,
      grams: sumBy(own, ({ grams }) => grams ?? 0),
      gramsUnknown: own.filter(({ grams }) => grams === null).length,
      lost: sumBy(own, ({ lost }) => lost ?? 0),
      unpriced: own.filter(({ lost }) => lost === null).length,
    }))
    .sort((a, b) => b.lost - a.lost || b.items - a.items)
}

interface GoneRow {
  id: string
  item_id: string
  day: Day
  destination: Destination | null
  why: LetGoWhy | null
  reason: string
  to_whom: string
  handed_on: Day | null
  regret_on: Day | null
  regret_words: string
}

export function lettingGoQueries(db: Db) {
  const sql = preparing(db)
  const columns = 'id, item_id, day, destination, why, reason, to_whom, handed_on, regret_on, regret_words'
  return {
    all: sql<[], GoneRow>(`SELECT ${columns} FROM verdict WHERE verdict = 'let go' ORDER BY day DESC, rowid DESC`),
    one: sql<[string], GoneRow>(`SELECT ${columns} FROM verdict WHERE id = ?`),
    hand: sql<[{ id: string; day: Day | null; toWhom: string }]>(
      'UPDATE verdict SET handed_on = @day, to_whom = @toWhom WHERE id = @id',
    ),
    regret: sql<[{ id: string; day: Day | null; words: string }]>(
      'UPDATE verdict SET regret_on = @day, regret_words = @words WHERE id = @id',
    ),
  }
}
