import type { Day } from '#core/calendar/day'
import type { EmptyView } from '#contract/ending'
import type { Db } from '../db/open-database.js'
import { preparing } from '../db/query.js'

export interface ReviewRow {
  item_id: string
  day: Day
  would_buy_again: EmptyView['wouldBuyAgain'] | null
  words: string
  package_goes: EmptyView['packageGoes']
}

export function emptiesQueries(db: Db) {
  const sql = preparing(db)
  return {
    /** Every finished item, with its review where there is one: those of an imported sheet have none. */
    finished: sql<[], ReviewRow>(`
      SELECT i.id AS item_id, i.ended_on AS day, r.would_buy_again, coalesce(r.words, '') AS words, r.package_goes
        FROM item i
        LEFT JOIN review r ON r.id = (SELECT id FROM review WHERE item_id = i.id ORDER BY day DESC, rowid DESC LIMIT 1)
       WHERE i.ended_as = 'finished' ORDER BY day DESC, r.rowid DESC, i.rowid DESC`),
    review: sql(`
      INSERT INTO review (id, product_id, item_id, day, would_buy_again, words, package_goes)
      VALUES (@id, @productId, @itemId, @day, @wouldBuyAgain, @words, @packageGoes)`),
    reviewTaken: sql<[string], { n: number }>('SELECT count(*) AS n FROM review WHERE id = ?'),
    finish: sql<[{ id: string; day: Day }]>(`
      UPDATE item SET ended_as = 'finished', ended_on = @day, location = 'resting', location_until = NULL,
             version = version + 1
       WHERE id = @id`),
    offShortList: sql<[string]>('DELETE FROM short_list WHERE item_id = ?'),
  }
}
