import type { z } from 'zod'
import type { SetAside } from '#core/decide/set-aside'
import type { Day } from '#core/calendar/day'
import { itemMark } from '#core/words/told'
import type { AsideAnswer, SetAsideBody } from '#contract/deciding'
import type { Done } from '../db/journal.js'
import type { Db } from '../db/open-database.js'
import { preparing } from '../db/query.js'
import { fail, ok, type Outcome } from '../failing.js'
import type { House } from '../house.js'
import { summaryOf } from '../stock/item-facts.js'

/** What is kept to look at, and what is kept for occasions. */
export class SettingAside {
  readonly #house: House
  readonly #queries

  constructor(house: House) {
    this.#house = house
    this.#queries = asideQueries(house.db)
  }

  all(): AsideAnswer {
    const today = this.#house.today()
    const items = this.#house.stock.facts(
      this.#queries.all.all().map((row) => row.item_id),
      today,
    )
    const of = (kind: SetAside): AsideAnswer['special'] =>
      items.filter((item) => item.setAside === kind && item.endedOn === null).map(summaryOf)
    const soonest = (a: AsideAnswer['special'][number], b: AsideAnswer['special'][number]): number =>
      (a.shelfLife.actOn ?? '9999') < (b.shelfLife.actOn ?? '9999') ? -1 : 1
    return {
      today,
      currency: this.#house.settings().currency,
      special: of('special').sort(soonest),
      keepsakes: of('keepsake'),
    }
  }

  /** What is kept to look at lies in no drawer, on no list and on no trial. */
  set(itemId: string, body: z.output<typeof SetAsideBody>): Outcome<Done<{ id: string }>> {
    const today = this.#house.today()
    const item = this.#house.stock.one(itemId, today)
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
        const out = this.#house.drawer.takeOut(itemId, today)
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
