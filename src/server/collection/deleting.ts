import { fail, ok } from '../failing.js'
import { itemMark } from '#core/words/told'
import { counted } from '#core/words/counted'
import type { Answer } from '../db/journal.js'
import { TABLES } from '../db/tables.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'
import { mergingQueries } from './merging-queries.js'

/** What goes with an item that was added by mistake: what it is, where it is, and what is planned with it. */
const GOES_ALONG: readonly string[] = [
  'import_mark',
  'part',
  'pair',
  'saved_face_item',
  'put_back',
  'not_today',
  'measurement',
  'short_list',
  'placement',
  'laying_choice',
  'set_aside',
  'ask_item',
  'plan_word',
  'plan_move',
  'plan_line',
]
/** What of its history is counted in words; all else is a record. */
const RECORDS: Readonly<Record<string, string>> = {
  wear: 'tick',
  photo: 'picture',
  stay: 'place in a project',
  trial: 'trial',
  verdict: 'verdict',
  review: 'review',
}

/** Deletes an item that was added by mistake. What was worn, judged or worked on is history, and is refused with what stands against it. */
export class Deleting {
  readonly #queries

  constructor(private readonly services: Context & { stock: Stock }) {
    this.#queries = mergingQueries(services.db)
  }

  delete(id: string): Answer {
    const { db } = this.services
    const item = this.services.stock.one(id, this.services.today())
    if (!item) return fail('unknown-item', { value: id })
    const columns = Object.entries(TABLES).flatMap(([table, { items = {} }]) =>
      Object.keys(items).map((column) => ({ table, column })),
    )
    const history = columns.flatMap(({ table, column }) => {
      if (GOES_ALONG.includes(table)) return []
      const count = db.prepare<[string], { n: number }>(`SELECT count(*) AS n FROM "${table}" WHERE "${column}" = ?`)
      const n = count.get(id)?.n ?? 0
      return n === 0 ? [] : [counted(n, RECORDS[table] ?? 'record')]
    })
    if (history.length > 0) return fail('item-has-history', { name: itemMark(item), what: history.join(', ') })
    this.#queries.dropPanReadings.run(id)
    // What refers to another row stands behind it in the list of tables.
    for (const { table, column } of columns.reverse())
      if (GOES_ALONG.includes(table)) db.prepare(`DELETE FROM "${table}" WHERE "${column}" = ?`).run(id)
    db.prepare('DELETE FROM item WHERE id = ?').run(id)
    this.#queries.dropUnusedProduct.run({ id: item.productId })
    return ok({ words: `Deleted ${itemMark(item)}`, answer: { id } })
  }
}
