import type { z } from 'zod'
import type { SetAside } from '#core/decide/set-aside'
import type { Day } from '#core/calendar/day'
import { itemMark } from '#core/words/told'
import type { AsideAnswer, SetAsideBody } from '#contract/deciding'
import type { Answer } from '../db/journal.js'
import { type Db, preparing } from '../db/query.js'
import { fail, ok } from '../failing.js'
import { summaryOf } from '../stock/item-facts.js'
import type { Context } from '../context.js'
import type { Stock } from '../stock/stock.js'
import type { Drawer } from '../drawer/drawer.js'

export class SettingAside {
  readonly #queries

  constructor(private readonly services: Context & { stock: Stock; drawer: Drawer }) {
    this.#queries = asideQueries(services.db)
  }

  all(): AsideAnswer {
    const today = this.services.today()
    const items = this.services.stock.facts(
      this.#queries.all.all().map((row) => row.item_id),
      today,
    )
    const of = (kind: SetAside): AsideAnswer['special'] =>
      items.filter((item) => item.setAside === kind && item.endedOn === null).map(summaryOf)
    const soonest = (a: AsideAnswer['special'][number], b: AsideAnswer['special'][number]): number =>
      (a.shelfLife.actOn ?? '9999') < (b.shelfLife.actOn ?? '9999') ? -1 : 1
    return {
      today,
      currency: this.services.settings().currency,
      special: of('special').sort(soonest),
      keepsakes: of('keepsake'),
    }
  }

  /** What is kept to look at lies in no drawer, on no list and on no trial. */
  set(itemId: string, body: z.output<typeof SetAsideBody>): Answer {
    const today = this.services.today()
    const item = this.services.stock.one(itemId, today)
    if (!item) return fail('unknown-item', { value: itemId })
    if (item.endedOn !== null) return fail('item-ended', { name: itemMark(item) })
    const { kind, forDay, words, id } = body
    const name = itemMark(item)
    if (kind === null) {
      this.#queries.drop.run(itemId)
      return ok({ words: `${name}: used like anything else`, answer: { id: itemId } })
    }
    if (forDay !== null && forDay < today) return fail('for-day-past', { value: forDay })
    const other = this.#queries.one.get(id)
    if (other && other.item_id !== itemId) return fail('id-taken', { value: id })
    if (kind === 'keepsake') {
      const what = item.onTrial ? 'on trial' : this.#queries.inProject.get(itemId) ? 'in a project' : null
      if (what !== null) return fail('keepsake-in-use', { name, what })
      if (item.placement !== null) {
        const out = this.services.drawer.takeOut(itemId, today)
        if (!out.ok) return out
      }
      this.#queries.offShortList.run(itemId)
    }
    this.#queries.put.run({ id, itemId, kind, forDay, words, since: today })
    return ok({
      words: `${name}: ${kind === 'keepsake' ? 'a keepsake' : 'kept for occasions'}`,
      answer: { id: itemId },
    })
  }
}

export function asideQueries(db: Db) {
  const sql = preparing(db)
  return {
    all: sql<[], { item_id: string }>('SELECT item_id FROM set_aside'),
    one: sql<[string], { item_id: string }>('SELECT item_id FROM set_aside WHERE id = ?'),
    inProject: sql<[string], { id: string }>('SELECT id FROM stay WHERE item_id = ? AND rolled_out IS NULL LIMIT 1'),
    offShortList: sql<[string]>('DELETE FROM short_list WHERE item_id = ?'),
    drop: sql<[string]>('DELETE FROM set_aside WHERE item_id = ?'),
    put: sql<[{ id: string; itemId: string; kind: SetAside; forDay: Day | null; words: string; since: Day }]>(`
      INSERT INTO set_aside (id, item_id, kind, for_day, words, since) VALUES (@id, @itemId, @kind, @forDay, @words, @since)
      ON CONFLICT (item_id) DO UPDATE SET kind = excluded.kind, for_day = excluded.for_day, words = excluded.words,
        since = CASE WHEN kind = excluded.kind THEN since ELSE excluded.since END, version = version + 1`),
  }
}
