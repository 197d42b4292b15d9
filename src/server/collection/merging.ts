import type { z } from 'zod'
import { fail, ok, type Outcome } from '#core/failure'
import type { MergeItems } from '#contract/collection'
import type { ItemSummary } from '#contract/item'
import type { Done } from '../db/journal.js'
import type { House } from '../house.js'

/** Tables whose rows go over to the item that is kept; a row that cannot stand beside one of its own is dropped. */
const MOVED = [
  'wear',
  'measurement',
  'item_event',
  'photo',
  'stay',
  'placement',
  'trial',
  'verdict',
  'review',
  'put_back',
  'not_today',
]
/** Tables in which the other item merely goes. */
const DROPPED = ['saved_face_item', 'short_list', 'laying_choice']

/** Makes one item of several that are the same thing: its history is theirs, uses on the same day count once. */
export class Merging {
  readonly #house: House

  constructor(house: House) {
    this.#house = house
  }

  merge(body: z.output<typeof MergeItems>): Outcome<Done<{ id: string }>> {
    const today = this.#house.today()
    const kept = this.#house.stock.one(body.keepId, today)
    if (!kept) return fail('unknown-item', { value: body.keepId })
    for (const id of new Set(body.dropIds)) {
      const other = this.#house.stock.one(id, today)
      if (!other || id === body.keepId) return fail('unknown-item', { value: id })
      if (other.parts.length > 0 || kept.parts.length > 0) return fail('merge-with-shades')
      this.#take(kept, other)
    }
    const name = kept.shade || kept.name
    return ok({ words: `Made one of ${body.dropIds.length + 1}: ${name}`, answer: { id: body.keepId } })
  }

  #take(kept: ItemSummary, other: ItemSummary): void {
    const { db } = this.#house
    const at = { kept: kept.id, other: other.id }
    for (const table of MOVED) {
      // One wear a day, one open stay in a project, one open placement, trial and review: what would collide goes.
      db.prepare(`UPDATE OR IGNORE "${table}" SET item_id = @kept WHERE item_id = @other`).run(at)
      if (table === 'wear')
        db.prepare('DELETE FROM wear_part WHERE wear_id IN (SELECT id FROM wear WHERE item_id = @other)').run({
          other: other.id,
        })
      db.prepare(`DELETE FROM "${table}" WHERE item_id = @other`).run({ other: other.id })
    }
    for (const table of DROPPED) db.prepare(`DELETE FROM "${table}" WHERE item_id = @other`).run({ other: other.id })
    db.prepare('DELETE FROM pair WHERE item_id = @other OR other_item_id = @other').run({ other: other.id })
    db.prepare('UPDATE item SET uses_before = uses_before + @uses, version = version + 1 WHERE id = @kept').run({
      kept: kept.id,
      uses: other.usesBefore,
    })
    const product = db
      .prepare<[string], { product_id: string }>('SELECT product_id FROM item WHERE id = ?')
      .get(other.id)
    db.prepare('DELETE FROM item WHERE id = ?').run(other.id)
    db.prepare('DELETE FROM product WHERE id = @id AND NOT EXISTS (SELECT 1 FROM item WHERE product_id = @id)').run({
      id: product?.product_id ?? '',
    })
  }
}
