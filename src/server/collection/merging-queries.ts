import type { Day } from '#core/calendar/day'
import { type Db, preparing, type Query } from '../db/query.js'
import { MERGED_COLUMNS, type ItemRow } from './merged-columns.js'

type Both = { kept: string; other: string }

export function mergingQueries(db: Db) {
  const sql = preparing(db)
  return {
    /** Whether one of them was blended from the other. */
    blended: sql<[{ kept: string; other: string }], { id: string }>(`
      SELECT id FROM blend_parent WHERE (item_id = @kept AND parent_item_id = @other) OR (item_id = @other AND parent_item_id = @kept)`),
    bothIn: sql<[Both], { name: string }>(`
      SELECT p.name FROM project p JOIN stay a ON a.project_id = p.id JOIN stay b ON b.project_id = p.id
       WHERE a.item_id = @kept AND b.item_id = @other AND a.rolled_out IS NULL AND b.rolled_out IS NULL LIMIT 1`),
    sameMark: sql<[Both], { id: string }>(`
      SELECT a.id FROM import_mark a JOIN import_mark b ON b.identity = a.identity
       WHERE a.item_id = @kept AND b.item_id = @other LIMIT 1`),
    fillWears: sql<[Both]>(`
      UPDATE wear SET used_as = coalesce(wear.used_as, o.used_as), felt = coalesce(wear.felt, o.felt),
             mix_id = coalesce(wear.mix_id, o.mix_id),
             amount = coalesce(wear.amount, o.amount), amount_unit = coalesce(wear.amount_unit, o.amount_unit)
        FROM wear o WHERE wear.item_id = @kept AND o.item_id = @other AND o.day = wear.day`),
    moveWears: sql<[Both]>(`
      UPDATE wear SET item_id = @kept
       WHERE item_id = @other AND NOT EXISTS (SELECT 1 FROM wear mine WHERE mine.item_id = @kept AND mine.day = wear.day)`),
    takeFeelings: sql<[Both]>(`
      UPDATE OR IGNORE feeling SET wear_id = mine.id FROM wear o JOIN wear mine ON mine.day = o.day AND mine.item_id = @kept
       WHERE o.item_id = @other AND feeling.wear_id = o.id`),
    dropFeelings: sql<[{ other: string }]>(
      'DELETE FROM feeling WHERE wear_id IN (SELECT id FROM wear WHERE item_id = @other)',
    ),
    dropWears: sql<[{ other: string }]>('DELETE FROM wear WHERE item_id = @other'),
    closePlacement: sql<[{ id: string; day: Day }]>(
      'UPDATE placement SET to_day = @day WHERE item_id = @id AND to_day IS NULL',
    ),
    inDrawer: sql<[{ id: string }]>(
      "UPDATE item SET location = 'zone', location_until = NULL, version = version + 1 WHERE id = @id",
    ),
    pairsOf: sql<[{ id: string }], { id: string; item_id: string; other_item_id: string }>(
      'SELECT id, item_id, other_item_id FROM pair WHERE item_id = @id OR other_item_id = @id',
    ),
    pairBetween: sql<[{ a: string; b: string }], { id: string }>(
      'SELECT id FROM pair WHERE (item_id = @a AND other_item_id = @b) OR (item_id = @b AND other_item_id = @a)',
    ),
    dropPairsBetween: sql<[Both]>(`
      DELETE FROM pair WHERE (item_id = @kept AND other_item_id = @other) OR (item_id = @other AND other_item_id = @kept)`),
    dropPair: sql<[string]>('DELETE FROM pair WHERE id = ?'),
    movePair: sql<[Both & { id: string }]>(`
      UPDATE pair SET item_id = CASE item_id WHEN @other THEN @kept ELSE item_id END,
             other_item_id = CASE other_item_id WHEN @other THEN @kept ELSE other_item_id END, version = version + 1
       WHERE id = @id`),
    reviewsToProduct: sql<[{ itemId: string; productId: string }]>(
      'UPDATE review SET product_id = @productId, version = version + 1 WHERE item_id = @itemId AND product_id <> @productId',
    ),
    row: db.prepare<[string], ItemRow>(
      `SELECT ${Object.keys(MERGED_COLUMNS).join(', ')} FROM item WHERE id = ?`,
    ) as Query<[string], ItemRow>,
    categoryNames: sql<[], { id: string; name: string }>('SELECT id, name FROM category'),
    notItsOwnOrigin: sql<[{ id: string }]>(
      'UPDATE item SET origin_item_id = NULL WHERE id = @id AND origin_item_id = @id',
    ),
    /** Words beside what only one of them can have. */
    asideWords: sql<[Both]>(`
      UPDATE set_aside SET words = substr(trim(set_aside.words || '; ' || o.words, '; '), 1, 200), version = set_aside.version + 1
        FROM set_aside o WHERE set_aside.item_id = @kept AND o.item_id = @other AND o.words NOT IN ('', set_aside.words)`),
    shortListWords: sql<[Both]>(`
      UPDATE short_list SET words = substr(trim(short_list.words || '; ' || o.words, '; '), 1, 200), version = short_list.version + 1
        FROM short_list o WHERE short_list.item_id = @kept AND o.item_id = @other AND o.words NOT IN ('', short_list.words)`),
    asksOfOne: sql<[], { id: string }>(`
      SELECT a.id FROM ask a WHERE (SELECT count(*) FROM ask_item i WHERE i.ask_id = a.id) < 2`),
    dropAskItems: sql<[string]>('DELETE FROM ask_item WHERE ask_id = ?'),
    dropAsk: sql<[string]>('DELETE FROM ask WHERE id = ?'),
    dropPanReadings: sql<[string]>(
      'DELETE FROM pan_reading WHERE measurement_id IN (SELECT id FROM measurement WHERE item_id = ?)',
    ),
    dropUnusedProduct: sql<[{ id: string }]>(
      'DELETE FROM product WHERE id = @id AND NOT EXISTS (SELECT 1 FROM item WHERE product_id = @id)',
    ),
  }
}
