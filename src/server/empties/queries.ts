import type { Day } from '#core/calendar/day'
import type { EmptyView } from '#contract/ending'
import type { Db } from '../db/open-database.js'
import { preparing } from '../db/query.js'

export interface ReviewRow {
  item_id: string
  day: Day
  would_buy_again: EmptyView['wouldBuyAgain']
  words: string
  package_goes: EmptyView['packageGoes']
}

export function emptiesQueries(db: Db) {
  const sql = preparing(db)
  return {
    reviews: sql<[], ReviewRow>(
      'SELECT item_id, day, would_buy_again, words, package_goes FROM review ORDER BY day DESC, rowid DESC',
    ),
    review: sql(`
      INSERT INTO review (id, item_id, day, would_buy_again, words, package_goes)
      VALUES (@id, @itemId, @day, @wouldBuyAgain, @words, @packageGoes)`),
    reviewTaken: sql<[string], { n: number }>('SELECT count(*) AS n FROM review WHERE id = ?'),
    finish: sql<[{ id: string; day: Day }]>(`
      UPDATE item SET lifecycle = 'finished', ended_on = @day, location = 'resting', location_until = NULL,
             version = version + 1
       WHERE id = @id`),
    assumeOpened: sql<[string]>("UPDATE item SET opened_kind = 'unknown' WHERE id = ? AND opened_kind = 'unopened'"),
  }
}
