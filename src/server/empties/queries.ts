import type { Day } from '#core/calendar/day'
import type { EmptyView } from '#contract/ending'
import { type Db, preparing } from '../db/query.js'

export interface ReviewRow {
  item_id: string
  day: Day
  would_buy_again: EmptyView['wouldBuyAgain'] | null
  words: string
  package_goes: EmptyView['packageGoes']
  review_id: string | null
  version: number | null
  ended_by: EmptyView['endedBy']
  remained: number | null
  did: string
  for_whom: string
  dislikes: string
  again_why: string
  replaced_by: string
  replaced_by_item_id: string | null
}

export function emptiesQueries(db: Db) {
  const sql = preparing(db)
  return {
    /** Every finished item, with its review where there is one: those of an imported sheet have none. */
    finished: sql<[], ReviewRow>(`
      SELECT i.id AS item_id, i.ended_on AS day, r.would_buy_again, coalesce(r.words, '') AS words, r.package_goes,
             r.id AS review_id, r.version, r.ended_by, r.remained, coalesce(r.did, '') AS did, coalesce(r.for_whom, '') AS for_whom,
             coalesce(r.dislikes, '') AS dislikes, coalesce(r.again_why, '') AS again_why,
             coalesce(r.replaced_by, '') AS replaced_by, r.replaced_by_item_id
        FROM item i
        LEFT JOIN review r ON r.id = (SELECT id FROM review WHERE item_id = i.id ORDER BY day DESC, rowid DESC LIMIT 1)
       WHERE i.ended_as = 'finished' ORDER BY day DESC, r.rowid DESC, i.rowid DESC`),
    review: sql(`
      INSERT INTO review (id, product_id, item_id, day, would_buy_again, words, package_goes, ended_by, remained, did, for_whom,
        dislikes, again_why, replaced_by, replaced_by_item_id)
      VALUES (@id, @productId, @itemId, @day, @wouldBuyAgain, @words, @packageGoes, @endedBy, @remained, @did, @forWhom,
        @dislikes, @againWhy, @replacedBy, @replacedById)`),
    editReview: sql(`
      UPDATE review SET would_buy_again = @wouldBuyAgain, words = @words, package_goes = @packageGoes, ended_by = @endedBy,
             remained = @remained, did = @did, for_whom = @forWhom, dislikes = @dislikes, again_why = @againWhy,
             replaced_by = @replacedBy, replaced_by_item_id = @replacedById, version = version + 1
       WHERE id = @id`),
    reviewOf: sql<[string], { id: string; version: number }>(
      'SELECT id, version FROM review WHERE item_id = ? ORDER BY day DESC, rowid DESC LIMIT 1',
    ),
    photos: sql<[], { id: string; item_id: string; words: string }>(`
      SELECT f.id, f.item_id, f.words FROM photo f JOIN item i ON i.id = f.item_id
       WHERE i.ended_as = 'finished' ORDER BY f.day, f.rowid`),
    reviewTaken: sql<[string], { n: number }>('SELECT count(*) AS n FROM review WHERE id = ?'),
    finish: sql<[{ id: string; day: Day }]>(`
      UPDATE item SET ended_as = 'finished', ended_on = @day, location = 'resting', location_until = NULL,
             version = version + 1
       WHERE id = @id`),
    keepContainer: sql<
      [{ id: string; words: string; itemId: string; day: Day; grams: number | null; resolution: number | null }]
    >(`
      INSERT INTO kept_container (id, words, form, grams, resolution, item_id, kept_on)
      SELECT @id, @words, form, @grams, @resolution, id, @day FROM item WHERE id = @itemId`),
    part: sql<[string], { id: string; item_id: string; name: string; finished_on: Day | null; last_worn: Day | null }>(`
      SELECT p.id, p.item_id, p.name, p.finished_on,
             (SELECT max(w.day) FROM wear_part wp JOIN wear w ON w.id = wp.wear_id WHERE wp.part_id = p.id) AS last_worn
        FROM part p WHERE p.id = ?`),
    finishPart: sql<[{ id: string; day: Day }]>(
      'UPDATE part SET finished_on = @day, version = version + 1 WHERE id = @id',
    ),
    partsLeft: sql<[string], { n: number }>(
      'SELECT count(*) AS n FROM part WHERE item_id = ? AND finished_on IS NULL AND depotted_on IS NULL',
    ),
    offShortList: sql<[string]>('DELETE FROM short_list WHERE item_id = ?'),
  }
}
