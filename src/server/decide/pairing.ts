import { callOf } from '#core/item/naming'
import { learnedPairs, type Together } from '#core/decide/pairs'
import type { Felt } from '#core/decide/feelings'
import type { TogetherAnswer } from '#contract/deciding'
import { type Db, preparing } from '../db/query.js'
import { fail, ok, type Outcome } from '../failing.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'
import type { Care } from '../collection/care.js'

const MOST_SHOWN = 6

export class Pairing {
  readonly #queries

  constructor(private readonly services: Context & { stock: Stock; care: Care }) {
    this.#queries = pairingQueries(services.db)
  }

  of(itemId: string): Outcome<TogetherAnswer> {
    const today = this.services.today()
    if (!this.services.stock.one(itemId, today)) return fail('unknown-item', { value: itemId })
    const felt = new Map<string, Record<Felt, number>>()
    for (const { item_id: id, felt: how, n } of this.#queries.felt.all(itemId)) {
      const counts = felt.get(id) ?? { good: 0, 'so-so': 0, bad: 0 }
      felt.set(id, { ...counts, [how]: n })
    }
    const said = new Set(this.services.care.pairsOf(itemId).map((pair) => pair.otherItemId))
    const together = this.#queries.together.all(itemId).map(({ item_id: otherId, n }): Together => ({
      otherId,
      days: n,
      felt: felt.get(otherId) ?? { good: 0, 'so-so': 0, bad: 0 },
    }))
    const learned = learnedPairs(together).filter(({ otherId }) => !said.has(otherId))
    const most = together.slice(0, MOST_SHOWN)
    const marks = new Map(
      this.services.stock
        .facts(
          [...learned, ...most].map(({ otherId }) => otherId),
          today,
        )
        .map((item) => [item.id, callOf(item)]),
    )
    const told = (each: Together) => ({
      otherId: each.otherId,
      other: marks.get(each.otherId) ?? '',
      days: each.days,
      felt: { ...each.felt },
    })
    return ok({
      learned: learned.map((each) => ({ ...told(each), verdict: each.verdict })),
      most: most.map(told),
    })
  }
}

export function pairingQueries(db: Db) {
  const sql = preparing(db)
  return {
    together: sql<[string], { item_id: string; n: number }>(`
      SELECT o.item_id, count(*) AS n FROM wear mine JOIN wear o ON o.day = mine.day AND o.item_id <> mine.item_id
       WHERE mine.item_id = ? GROUP BY o.item_id ORDER BY n DESC, o.item_id`),
    felt: sql<[string], { item_id: string; felt: Felt; n: number }>(`
      SELECT o.item_id, f.felt, count(*) AS n
        FROM wear mine JOIN feeling f ON f.wear_id = mine.id AND f.aspect = 'in all'
        JOIN wear o ON o.day = mine.day AND o.item_id <> mine.item_id
       WHERE mine.item_id = ? GROUP BY o.item_id, f.felt`),
  }
}
