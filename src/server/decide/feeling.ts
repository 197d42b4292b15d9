import { groupBy } from '#core/lists/grouping'
import type { z } from 'zod'
import type { Day } from '#core/calendar/day'
import type { Aspect, Felt } from '#core/decide/feelings'
import { itemMark } from '#core/words/told'
import type { FeelingsAnswer, SetFeelings } from '#contract/deciding'
import type { Answer } from '../db/journal.js'
import { type Db, preparing } from '../db/query.js'
import { fail, ok } from '../failing.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'

export class Feeling {
  readonly #queries

  constructor(private readonly services: Context & { stock: Stock }) {
    this.#queries = feelingQueries(services.db)
  }

  on(day: Day): FeelingsAnswer {
    const found = groupBy(this.#queries.on.all(day), (row) => row.item_id)
    return {
      worn: [...found].map(([itemId, rows]) => ({ itemId, felt: rows.map(({ aspect, felt }) => ({ aspect, felt })) })),
    }
  }

  set({ itemId, day, felt, words }: z.output<typeof SetFeelings>): Answer {
    const item = this.services.stock.one(itemId, this.services.today())
    if (!item) return fail('unknown-item', { value: itemId })
    const wear = this.#queries.wear.get({ itemId, day })
    if (!wear) return fail('not-worn', { value: itemId })
    for (const each of felt) {
      const at = { wearId: wear.id, aspect: each.aspect }
      if (each.felt === null) this.#queries.drop.run(at)
      else this.#queries.put.run({ ...at, id: this.services.newId(), felt: each.felt })
    }
    if (words !== null) this.#queries.say.run({ id: wear.id, words: words === '' ? null : words })
    return ok({ words: `Recorded how ${itemMark(item)} felt`, answer: { id: wear.id } })
  }
}

export function feelingQueries(db: Db) {
  const sql = preparing(db)
  return {
    on: sql<[Day], { item_id: string; aspect: Aspect; felt: Felt }>(
      'SELECT w.item_id, f.aspect, f.felt FROM wear w JOIN feeling f ON f.wear_id = w.id WHERE w.day = ?',
    ),
    wear: sql<[{ itemId: string; day: Day }], { id: string }>(
      'SELECT id FROM wear WHERE item_id = @itemId AND day = @day',
    ),
    put: sql<[{ id: string; wearId: string; aspect: Aspect; felt: Felt }]>(`
      INSERT INTO feeling (id, wear_id, aspect, felt) VALUES (@id, @wearId, @aspect, @felt)
      ON CONFLICT (wear_id, aspect) DO UPDATE SET felt = excluded.felt`),
    drop: sql<[{ wearId: string; aspect: Aspect }]>('DELETE FROM feeling WHERE wear_id = @wearId AND aspect = @aspect'),
    say: sql<[{ id: string; words: string | null }]>('UPDATE wear SET felt = @words WHERE id = @id'),
  }
}
